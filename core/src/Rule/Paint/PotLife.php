<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Document\Instant;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Mixing\PotLife as Life;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\OrdersHolds;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Rule\SeesDeeds;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Misdeed;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'What has hardener in it dies in the cup: a spraying that takes longer than it lives wants two mixes.',
    speaks: [Severity::Stop],
    rests: 'Handbook 2: label, else 2 h two-part, 4 h hardened enamel; half per 10 °C',
)]
final class PotLife implements Judges, OrdersHolds, SeesDeeds
{
    public function id(): string
    {
        return 'pot-life';
    }

    public function concerns(Operation $operation): bool
    {
        return $operation === Operation::Discard;
    }

    public function holds(Step $step, World $world): iterable
    {
        foreach ($world->surface->mixes as $mix) {
            if ($mix->eventId === $step->purpose) {
                yield new Hold(HoldKind::NotBefore, $step->pieceId, $mix->atEpoch, $mix->atEpoch + (int) (60 * $mix->potLifeMinutes), $this->id(), 'the cup lives until then');
            }
        }
    }

    public function deeds(Step $step, World $before): iterable
    {
        $cup = null;
        foreach ($before->surface->mixes as $mix) {
            $cup = $mix->product === $step->product?->id ? $mix : $cup;
        }
        $dead = $cup === null || $cup->potLifeMinutes <= 0 ? null : $cup->atEpoch + (int) (60 * $cup->potLifeMinutes);
        // A day later nobody sprays what has set: another cup was mixed, and not written down.
        if ($step->isSprayed() && $dead !== null && $before->nowEpoch > $dead && $before->nowEpoch < $dead + 86400 && ($step->targets[0] ?? '') !== '') {
            yield new Misdeed(Severity::Stop, "{$step->product?->name} sprayed from a dead cup", sprintf('Its life was over for %d min: it sprays, but it does not cross-link as it should.', intdiv($before->nowEpoch - $dead, 60)), $step->targets[0], 'Try a nail on it once it should be hard; strip what stays soft');
        }
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach (self::runs($outlook) as [$product, $run, $lives]) {
            $mixed = $run[0]->startEpoch;
            $dies = $mixed + (int) (60 * $lives);
            $late = array_values(array_filter($run, static fn (PlannedStep $p): bool => $p->endEpoch > $dies));
            $target = $late[0]->step->targets[0] ?? '';
            $key = (new Finding($this->id(), Severity::Stop, '', '', [$product->id, $target]))->key;
            yield new Finding(
                $this->id(), Severity::Stop, "{$product->name} dies in the cup", sprintf('Mixed %s it lives %d min at %.0f °C; the last coat of it ends %d min later.', Instant::wall($mixed, $outlook->context->nowEpoch, $outlook->context->kit->zone), (int) $lives, self::celsius($outlook, $mixed), (int) round(($run[count($run) - 1]->endEpoch - $mixed) / 60)),
                [$product->id, $target], array_map(static fn (PlannedStep $p): string => $p->step->key, $late),
                [Say::insertBefore($key, $target, "Mix {$product->name} anew: two mixes, the first is dead by then", $late[0]->step->operation->value.'/'.$late[0]->step->counted(), Operation::Look)],
                rests: (string) count($late),
            );
        }
    }

    /** @return iterable<array{Product, non-empty-list<PlannedStep>, float}> sprayings of a hardened paint that outlast one mix: the steps, and minutes it lives */
    private static function runs(Outlook $outlook): iterable
    {
        $open = [];
        foreach ($outlook->left as $planned) {
            $product = $planned->step->product;
            if ($product === null || $planned->step->isRemedy() || ! $planned->step->isSprayed() || ! in_array($product->family, [Family::TwoPart, Family::HardenedEnamel], true)) {
                continue;
            }
            $run = $open[$product->id] ?? [];
            $lives = Life::at(Life::usual($product->family), self::celsius($outlook, ($run[0] ?? $planned)->startEpoch));
            // A pause as long as its life: nobody counts on the old mix.
            if ($run !== [] && $planned->startEpoch - $run[count($run) - 1]->endEpoch >= 60 * $lives) {
                $run = [];
            }
            $run[] = $planned;
            $open[$product->id] = $run;
            if ($planned->endEpoch - $run[0]->startEpoch > 60 * $lives) {
                yield [$product, $run, $lives];
                $open[$product->id] = [$planned];
            }
        }
    }

    private static function celsius(Outlook $outlook, int $epoch): float
    {
        return $outlook->context->room->at($epoch)->temperatureC;
    }
}
