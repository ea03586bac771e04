<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Work\Severity;

#[Says(
    'A wet or extra thin coat of a metallic over paint that is still soft: the flakes swim and leave the edges.',
    speaks: [Severity::Think],
    rests: 'Handbook 2, What attacks what',
)]
final class MetallicNoFlood implements Judges
{
    public function id(): string
    {
        return 'metallic-no-flood';
    }

    public function judge(Outlook $outlook): iterable
    {
        $told = [];
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            $product = $step->product;
            if ($product?->isMetallic() !== true || ! $step->isSprayed() || $step->isRemedy() || ($step->coatKind !== CoatKind::Wet && ! $step->thinned)) {
                continue;
            }
            $soft = array_values(array_filter($step->targets, fn (string $t): bool => self::isOverSoft($outlook, $t, $planned)));
            $mark = $step->pieceId.'/'.$step->counted();
            if ($soft === [] || isset($told[$mark])) {
                continue;
            }
            $told[$mark] = true;
            yield new Finding($this->id(), Severity::Think, "{$product->name} floods over soft paint", 'The flakes swim in a '.($step->thinned ? 'mix so thin' : 'wet coat').' and leave the edges; what lies under is not cured yet and lets them.', $soft, [$step->key], Say::fixes([
                Say::unpin($outlook->context, static fn (Pin $p): bool => $p->concerns($step->operation, $step->counted(), $step->pieceId, ...$step->targets) && ($p->coatKind === CoatKind::Wet || $p->extraThinner), 'Light coats, thinned as the rest'),
            ]));
        }
    }

    private static function isOverSoft(Outlook $outlook, string $area, PlannedStep $planned): bool
    {
        $state = $outlook->final->area($area);
        $below = null;
        foreach ($state->layers as $layer) {
            if ($layer->product?->id === $planned->step->product?->id && $layer->operation === $planned->step->operation) {
                break;
            }
            $below = $layer;
        }

        return $below instanceof Layer && $below->product !== null && $outlook->waits->of($below, WaitKind::Cured, $state)->untilEpoch > $planned->startEpoch;
    }
}
