<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Finish;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\Below;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\Stacks;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'White spirit melts enamel and oil for weeks: a coat of another family goes between, and is tape-safe first.',
    speaks: [Severity::Stop],
    rests: 'Handbook 2, What attacks what: white spirit on enamel and oil',
)]
final class BarrierBeforeWash implements Judges, OrdersHolds
{
    public function id(): string
    {
        return 'barrier-before-wash';
    }

    public function concerns(Operation $operation): bool
    {
        return self::isWash($operation);
    }

    public function holds(Step $step, World $world): iterable
    {
        if ($step->product?->liquid() !== Liquid::WhiteSpirit) {
            return;
        }
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            $top = $state->top();
            if ($top?->product !== null && ! self::melts($top)) {
                $wait = $world->waits->of($top, WaitKind::TapeSafe, $state);
                yield new Hold(HoldKind::TapeSafe, $target, $wait->fromEpoch, $wait->untilEpoch, $this->id(), $top->word().' as barrier under the wash', $wait);
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach (Stacks::pairs($outlook) as [$area, $below, $above]) {
            if (self::isWash($above->operation) && $above->product?->liquid() === Liquid::WhiteSpirit && self::melts($below)) {
                yield new Finding($this->id(), Severity::Stop, "The wash melts {$below->word()}", "White spirit works into {$below->below()->value} for weeks, long after it feels dry.", [$area->id], $outlook->stepsOf($above), $this->fixes($outlook, $area, $above));
            }
        }
    }

    /** @return list<Fix> */
    private function fixes(Outlook $outlook, Area $area, Layer $wash): array
    {
        $context = $outlook->context;
        if (! $wash->isPlanned()) {
            return [Say::look($outlook, $this->id().':'.$area->id, [$area->id], 'Look for rubbed and dull places; mist colour over them once it is cured', WaitKind::Cured)];
        }
        $piece = $context->breakdown->pieceOfArea[$area->id] ?? '';
        $varnishes = [Operation::Gloss, Operation::Seal, Operation::Barrier];
        $unpin = Say::unpin($context, static fn (Pin $p): bool => in_array($p->operation, $varnishes, true) && ($p->present === false || $p->product !== null) && in_array($p->target, [null, $area->id, $piece], true), 'Put the varnish back under the wash');
        $barrier = $context->shelf->pick(Role::Varnish, static fn ($p): bool => $p->family->below() === Below::WaterAcrylic, Family::WaterVarnish, Sheen::Gloss);
        $insert = new Inserted(Id::from('barrier', $area->id, $wash->operation->value), Operation::Barrier, [$area->id], "Spray a barrier of {$barrier->name}", $wash->operation->value, product: $barrier->id);

        return Say::fixes([$unpin, new Fix("Put a barrier of {$barrier->name} under the wash", [Edit::insert($insert)])]);
    }

    private static function isWash(Operation $operation): bool
    {
        return $operation->isWash();
    }

    private static function melts(Layer $below): bool
    {
        return $below->below() === Below::Enamel || $below->below() === Below::ArtistOil;
    }
}
