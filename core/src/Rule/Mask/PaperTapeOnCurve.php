<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Curve;
use AmberStep\Core\Kit\Edge;
use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A hard edge that turns tightly or both ways is taped with vinyl: paper creases there, and paint bleeds along each crease.',
    speaks: [Severity::Think],
    rests: 'The curve of the edge, as the kit has it',
)]
final class PaperTapeOnCurve implements Judges
{
    public function id(): string
    {
        return 'paper-tape-on-curve';
    }

    public function judge(Outlook $outlook): iterable
    {
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            if ($step->operation !== Operation::Mask || $step->isRemedy() || $step->medium !== Medium::PaperTape) {
                continue;
            }
            $beside = self::sprayedBeside($outlook->context, $step);
            $tight = array_filter($outlook->context->kit->edgesRound($step->targets), static fn (Edge $e): bool => array_intersect($e->areas, $beside) !== [] && $e->kind === EdgeKind::Hard && in_array($e->curve, [Curve::Compound, Curve::Fiddly], true));
            if ($tight !== []) {
                $cm = array_sum(array_map(static fn (Edge $e): float => $e->mm / 10, $tight));
                $purpose = explode('+', $step->purpose)[0];
                yield new Finding($this->id(), Severity::Think, 'Paper tape round a tight curve', sprintf('%.0f cm of the edge of %s turn too tightly for it: it creases, and paint runs in. Else seal the edge with a mist of the ground colour or clear.', $cm, Names::listed(array_map($outlook->context->areaName(...), $step->targets))), [$step->pieceId, ...$step->targets], [$step->key], [
                    new Fix('Vinyl tape instead', [Edit::pin(new Pin(Id::from('medium', $step->key, Medium::VinylTape->value), Operation::Mask, $step->pieceId, $purpose, medium: Medium::VinylTape))]),
                ]);
            }
        }
    }

    /** @return list<string> areas that are sprayed while it lies: an edge to what is capped itself then is no edge of it */
    private static function sprayedBeside(Context $context, Step $mask): array
    {
        $off = $context->steps->find("{$mask->target}/unmask/{$mask->purpose}/{$mask->n}")->rank ?? PHP_INT_MAX;
        $areas = [];
        foreach ($context->steps->ofPiece($mask->pieceId) as $step) {
            if ($step->isSprayed() && $step->phase === $mask->phase && ! $step->isRemedy() && $step->rank > $mask->rank && $step->rank < $off) {
                array_push($areas, ...$step->targets);
            }
        }

        return $areas;
    }
}
