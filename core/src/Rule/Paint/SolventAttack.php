<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\AttackTable;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Effect;
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
    'The next coat\'s liquid attacks the one below in the state it is in.',
    speaks: [Severity::Stop, Severity::Think, Severity::Note],
    rests: 'Handbook 2, What attacks what',
)]
final class SolventAttack implements Judges, OrdersHolds
{
    public const DAY = 86400;

    public function id(): string
    {
        return 'solvent-attack';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation->leavesLayer();
    }

    public function holds(Step $step, World $world): iterable
    {
        if ($step->product === null) {
            return;
        }
        foreach ($step->targets as $target) {
            $state = $world->state($target);
            $below = $state->top();
            // A wash has its own wait for whatever goes over it (handbook 9).
            if ($below === null || $below->wash() !== null || $below->product === null || $below->product->id === $step->product->id) {
                continue;
            }
            $before = AttackTable::before($below->below(), $step->product->liquid());
            $after = AttackTable::after($below->below(), $step->product->liquid());
            if (($before->waits() || $before->spoils()) && ! $after->spoils()) {
                $kind = $below->product->family->figures()->driesBy->leaves() ? WaitKind::TapeSafe : WaitKind::Cured;
                $wait = $world->waits->of($below, $kind, $state);
                yield new Hold($kind === WaitKind::Cured ? HoldKind::Cured : HoldKind::Recoat, $target, $wait->fromEpoch, $wait->untilEpoch, $this->id(), "{$step->product->liquid()->value} on {$below->word()}, which {$before->value}", $wait);
            }
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach (Stacks::pairs($outlook) as [$area, $below, $above]) {
            if ($below->product === null || $above->product === null || $below->product->id === $above->product->id || $below->wash() !== null) {
                continue;
            }
            $liquid = $above->product->liquid();
            $effect = AttackTable::after($below->below(), $liquid);
            $aged = AttackTable::aged($below->below(), $liquid);
            if ($aged !== null && $above->firstCoat()->atEpoch - $below->lastCoat()->atEpoch >= $aged[0] * self::DAY) {
                $effect = $aged[1];
            }
            if ($effect->spoils()) {
                yield $this->stop($outlook, $area, $below, $above, $effect);
            } elseif ($effect === Effect::MistOnly && $this->isWet($above)) {
                yield $this->mist($outlook, $area, $below, $above);
            } elseif ($effect === Effect::Scuff && $above->isPlanned() && ! $this->scuffed($outlook, $area)) {
                yield $this->scuff($outlook, $area, $below, $above);
            }
        }
    }

    private function stop(Outlook $outlook, Area $area, Layer $below, Layer $above, Effect $effect): Finding
    {
        $fixes = $above->isPlanned() ? SolventFixes::waysOut($outlook, $area, $below, $above) : [
            Say::look($outlook, $this->id().':'.$area->id, [$area->id], 'Look it over once it is cured; flat what wrinkled', WaitKind::Cured),
        ];

        return new Finding($this->id(), Severity::Stop, "{$above->word()} on {$below->word()}: it {$effect->value}", ucfirst($above->product?->liquid()->value ?? '')." gets into {$below->below()->value} and it {$effect->value}, however thin the coat.", [$area->id], $outlook->stepsOf($above), $fixes, rests: $below->mark);
    }

    private function mist(Outlook $outlook, Area $area, Layer $below, Layer $above): Finding
    {
        $piece = $outlook->context->breakdown->pieceOfArea[$area->id] ?? null;
        $pin = new Pin(Id::from('mist', $above->operation->value, $above->purpose, (string) $piece), $above->operation, $piece, $above->purpose, coatKind: CoatKind::Mist);
        $fixes = match (true) {
            ! $above->isPlanned() => [],
            default => Say::fixes([
                Say::unpin($outlook->context, static fn (Pin $p): bool => $p->operation === $above->operation && $p->coatKind !== null && $p->coatKind !== CoatKind::Mist, 'Back to mist coats'),
                in_array($pin->id, array_column($outlook->context->kit->pins, 'id'), true) ? null : new Fix('Mist coats only', [Edit::pin($pin)]),
            ]),
        };

        return new Finding($this->id(), $above->isPlanned() ? Severity::Think : Severity::Note, "{$above->word()} on {$below->word()}: mist coats only", 'A wet coat gets through to the layer below; mists are dry before they can.', [$area->id], $outlook->stepsOf($above), $fixes);
    }

    private function scuff(Outlook $outlook, Area $area, Layer $below, Layer $above): Finding
    {
        $target = $above->operation->value.'/'.$above->purpose;

        return new Finding($this->id(), Severity::Think, "{$below->word()} wants scuffing first", 'Cured two-part paint gives the next coat nothing to hold on to.', [$area->id], $outlook->stepsOf($above), [
            new Fix('Scuff it with P1500 first', [Edit::insert(new Inserted(Id::from('scuff', $area->id, $target), Operation::Abrade, [$area->id], 'Scuff with P1500', $target, WaitKind::SandSafe))]),
        ]);
    }

    private function scuffed(Outlook $outlook, Area $area): bool
    {
        foreach ($outlook->context->kit->inserted as $inserted) {
            if ($inserted->operation === Operation::Abrade && in_array($area->id, $inserted->targets, true)) {
                return true;
            }
        }

        return $outlook->context->surface->area($area->id)->count(Operation::Abrade, 'all') > 0;
    }

    private function isWet(Layer $layer): bool
    {
        foreach ($layer->coats as $coat) {
            if ($coat->kind !== CoatKind::Mist) {
                return true;
            }
        }

        return false;
    }
}
