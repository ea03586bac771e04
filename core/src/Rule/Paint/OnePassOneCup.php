<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Tool;
use AmberStep\Core\Mixing\Pass;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A pass over a large surface is never interrupted: where one cup does not hold it, the next is ready, and it breaks at an edge.',
    speaks: [Severity::Think],
    rests: 'Handbook 4, Passes: a cup of 7 ml',
)]
final class OnePassOneCup implements Judges
{
    /** ml: the cup of a usual gun. */
    public const CUP_ML = 7.0;

    public function id(): string
    {
        return 'one-pass-one-cup';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        $told = [];
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            $mark = $step->pieceId.'/'.$step->operation->value.'/'.$step->counted();
            if (isset($told[$mark]) || $step->isRemedy() || ! $step->isSprayed() || $step->product === null || $step->product->family === Family::Aerosol) {
                continue;
            }
            [$area, $ml] = $this->largest($planned, $outlook);
            if ($ml <= self::CUP_ML) {
                continue;
            }
            $told[$mark] = true;
            $key = (new Finding($this->id(), Severity::Think, '', '', [$area, $step->operation->value.$step->counted()]))->key;
            $cups = (int) ceil($ml / self::CUP_ML);
            yield new Finding($this->id(), Severity::Think, sprintf('One coat on %s takes %.1f ml', $context->areaName($area), $ml), sprintf('A cup holds about %g: stopped half way, a dull line stays where wet met dry.', self::CUP_ML), [$area, $step->operation->value.$step->counted()], [$step->key], [
                Say::insertBefore($key, $area, "Have {$cups} cups of {$step->product->name} ready, and choose the edge to break at", $step->operation->value.'/'.$step->counted(), Operation::Look),
            ], rests: (string) $cups);
        }
    }

    /** @return array{string, float} the area whose pass takes most, and the ml of mix it takes */
    private function largest(PlannedStep $planned, Outlook $outlook): array
    {
        $step = $planned->step;
        $most = ['', 0.0];
        if ($step->product === null) {
            return $most;
        }
        $figures = $step->product->family->figures();
        $film = ($step->coatKind ?? \AmberStep\Core\Material\CoatKind::Light)->filmMicrons($figures->referenceFilmMicrons);
        $thinner = $step->thinned ? $figures->thinnerPerPaint->high : $figures->thinnerPerPaint->middle();
        foreach ($step->targets as $target) {
            $cm2 = isset($outlook->context->kit->areasById[$target]) ? $outlook->context->kit->areasById[$target]->cm2() : 0.0;
            $ml = $cm2 < Tool::NARROWER_THAN_THE_SPRAY_CM2 ? 0.0 : Pass::ml($cm2, $film, $figures->solidsByVolume, 1 / (1 + $thinner), Tool::Airbrush->transfer());
            $most = $ml > $most[1] ? [$target, $ml] : $most;
        }

        return $most;
    }
}
