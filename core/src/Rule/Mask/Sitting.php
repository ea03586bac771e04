<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;
use DateTimeImmutable;

#[Says(
    'What is sprayed under a soft or held mask is one sitting, from laying to lifting; where no evening holds it, a night lies between.',
    speaks: [Severity::Note],
    rests: 'Handbook 7, Stages: putty 24 h at most; else a better ground, a faster family, one night between, tape',
)]
final class Sitting implements Judges
{
    public function id(): string
    {
        return 'sitting';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($outlook->left as $unmask) {
            $step = $unmask->step;
            if ($step->operation !== Operation::Unmask || $step->medium?->isSoft() !== true || $step->isRemedy()) {
                continue;
            }
            $coats = $this->under($outlook, $unmask);
            $evenings = array_unique(array_map(static fn (PlannedStep $p): string => (new DateTimeImmutable('@'.$p->startEpoch))->setTimezone($context->kit->zone)->format('Y-m-d'), $coats));
            if (count($evenings) < 2) {
                continue;
            }
            $piece = $context->pieceName($step->pieceId);
            yield new Finding($this->id(), Severity::Note, "The {$step->medium->word()} on {$piece} lies over night", count($coats).' coats under it are more than one evening holds: keep the night short of its 24 h. A ground of the colour\'s own kind under them saves coats, a faster family waits less; taped, the edge is hard and may wait.', [$step->pieceId, ...$step->targets], [$step->key], [
                new Fix('Paper tape instead', [Edit::pin(new Pin(Id::from('sitting', $step->key), Operation::Mask, $step->pieceId, $step->counted(), medium: Medium::PaperTape))]),
            ]);
        }
    }

    /** @return list<PlannedStep> coats that are sprayed on its piece while it lies */
    private function under(Outlook $outlook, PlannedStep $unmask): array
    {
        $mask = $outlook->left[str_replace('/unmask/', '/mask/', $unmask->step->key)] ?? null;

        return array_values(array_filter($outlook->leftOfPiece($unmask->step->pieceId), static fn (PlannedStep $p): bool => $p->step->isSprayed() && $p->step->phase === $unmask->step->phase && $p->startEpoch < $unmask->startEpoch && ($mask === null || $p->startEpoch >= $mask->endEpoch)));
    }
}
