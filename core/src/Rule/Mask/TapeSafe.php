<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Drying\Wait;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'Tape goes on paint that is tape-safe, down to its lowest layer: else it lifts or marks.',
    speaks: [Severity::Stop],
    rests: 'Handbook 2, Paint families: tape-safe, of every layer',
)]
final class TapeSafe implements Judges, OrdersHolds
{
    private const WEEK = 7 * 86400;

    private const FEW_HOURS = 4 * 3600;

    public function id(): string
    {
        return 'tape-safe';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation === Operation::Mask || $operation === Operation::Insignia;
    }

    public function holds(Step $step, World $world): iterable
    {
        $masks = $step->operation === Operation::Mask && $step->medium !== Medium::HeldCard && $step->purpose !== MaskFor::OPENING;
        if (! $masks && ! ($step->operation === Operation::Insignia && $step->n === 1)) {
            return;
        }
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            foreach ($state->layers as $layer) {
                if ($layer->product !== null) {
                    $wait = $world->waits->of($layer, WaitKind::TapeSafe, $state);
                    yield new Hold(HoldKind::TapeSafe, $target, $wait->fromEpoch, self::until($layer, $wait, $world->house), $this->id(), $layer->word(), $wait);
                }
            }
        }
    }

    /** By the table; a week for aerosol and enamel, or a few hours for what dries by leaving (house rule). */
    private static function until(Layer $layer, Wait $wait, HouseRules $house): int
    {
        $family = $layer->product?->family;
        $slow = in_array($family, [Family::Aerosol, Family::Enamel, Family::HardenedEnamel], true);

        return match (true) {
            $slow && $house->says('tape-after', 'week') => max($wait->untilEpoch, $wait->fromEpoch + self::WEEK),
            $family?->figures()->driesBy->leaves() === true && $house->says('tape-after', 'few-hours') => min($wait->untilEpoch, $wait->fromEpoch + self::FEW_HOURS),
            default => $wait->untilEpoch,
        };
    }

    /** Tape takes the shine off a buffed metallic, however old it is: clear goes over it first. */
    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($outlook->left as $planned) {
            if ($planned->step->operation !== Operation::Mask || $planned->step->isRemedy()) {
                continue;
            }
            foreach ($planned->step->targets as $area) {
                $state = $context->surface->area($area);
                $top = $state->top();
                $covered = array_filter($context->kit->inserted, static fn (Inserted $i): bool => $i->operation === Operation::Gloss && in_array($area, $i->targets, true));
                if ($top?->product?->isMetallic() !== true || $state->count(Operation::Polish, 'all') === 0 || $covered !== []) {
                    continue;
                }
                $clear = $context->shelf->pick(Role::Varnish, static fn ($p): bool => $p->family->liquid()->value === 'water', Family::WaterVarnish, Sheen::Gloss);
                yield new Finding($this->id(), Severity::Stop, "Tape on buffed {$top->word()}", 'Tape takes the buffed flakes with it: clear goes over them first.', [$area], [$planned->step->key], [
                    new Fix("Put {$clear->name} over it first", [Edit::insert(new Inserted(Id::from('clear', $area), Operation::Gloss, [$area], "Clear over the buffed metal with {$clear->name}", 'mask', product: $clear->id))]),
                ]);
            }
        }
    }
}
