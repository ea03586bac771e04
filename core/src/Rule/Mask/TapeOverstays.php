<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Mask;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Drying\Wait;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\NotBefore;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Masking\Cover;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'A mask that stays longer than its medium allows: its glue creeps, or it marks the paint.',
    speaks: [Severity::Think],
    rests: 'Handbook 2, Mask media: how long each may stay',
)]
final class TapeOverstays implements Judges
{
    /** Minutes. */
    private const A_DAY = 1440.0;

    /** Minutes it takes to come to it: what was laid first thing one evening comes off first thing in the next. */
    private const JUST_SAT_DOWN = 5;

    public function id(): string
    {
        return 'tape-overstays';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($outlook->left as $planned) {
            $step = $planned->step;
            if ($step->operation !== Operation::Unmask || $step->isRemedy()) {
                continue;
            }
            $onEpoch = ($outlook->left["{$step->target}/mask/{$step->purpose}/{$step->n}"] ?? null)?->endEpoch;
            $medium = $step->medium ?? Medium::PaperTape;
            foreach ($step->targets as $area) {
                foreach ($context->surface->area($area)->masks as $mask) {
                    $onEpoch = $mask->atEpoch;
                    $medium = $mask->medium;
                }
            }
            $bare = in_array($step->purpose, [MaskFor::PANES, MaskFor::BARE], true);
            $stay = $onEpoch === null ? 0 : Retape::longest($onEpoch, $planned, $outlook);
            // The cover behind the edge may be what has to come off first (house rule).
            $cover = Cover::with($step, $context->house);
            $medium = $cover !== null && $cover->longestStayMinutes($bare) < $medium->longestStayMinutes($bare) ? $cover : $medium;
            if ($medium === Medium::HeldCard || $stay <= $medium->longestStayMinutes($bare) + self::JUST_SAT_DOWN) {
                continue;
            }
            yield new Finding($this->id(), Severity::Think, ucfirst($medium->word()).' stays on for '.self::span($stay), "{$medium->word()} on {$context->pieceName($step->pieceId)} should be off after ".Wait::span($medium->longestStayMinutes($bare)).': '.self::leaves($medium).WhySoLong::of($outlook, $planned, (int) $onEpoch, $bare), [$step->pieceId, ...$step->targets], [$step->key], $this->fixes($outlook, $step->key, $step->purpose, $step->pieceId, $bare, $stay, $medium));
        }
    }

    /** Never as short as what it overstays: in hours to two days, then in days, rounded up. */
    private static function span(float $minutes): string
    {
        $unit = $minutes < 2880 ? 60 : 1440;

        return Wait::span(ceil($minutes / $unit) * $unit);
    }

    private static function leaves(Medium $medium): string
    {
        return match ($medium) {
            Medium::Putty => 'its oil goes into what is under it.',
            Medium::Tissue => 'it dries and lets go.',
            default => 'its glue creeps and marks what is under it.',
        };
    }

    /** @return list<Fix> */
    private function fixes(Outlook $outlook, string $unmask, string $purpose, string $piece, bool $bare, float $stay, Medium $worn): array
    {
        $fixes = [];
        $mask = str_replace('/unmask/', '/mask/', $unmask);
        $targets = ($outlook->context->steps->find($unmask) ?? $outlook->left[$unmask]->step)->targets;
        $planned = $outlook->left[$mask] ?? null;
        $isOn = array_filter($targets, static fn (string $t): bool => $outlook->context->surface->area($t)->masks !== []) !== [];
        if ($planned !== null && ! $isOn) {
            $longest = $worn->longestStayMinutes($bare);
            $fixes = $this->later($outlook, $planned, $stay - $longest + min(self::A_DAY, $longest / 2));
        }
        // Nothing that holds longer gives a soft edge.
        if ($planned !== null && $worn !== Medium::Putty) {
            foreach ([Medium::CutFilm, Medium::PaperTape] as $medium) {
                if ($medium->longestStayMinutes($bare) >= $stay) {
                    $fixes[] = new Fix(ucfirst($medium->word()).' instead', [Edit::pin(new Pin(Id::from('medium', $unmask, $medium->value), Operation::Mask, $piece, explode('+', $purpose)[0], medium: $medium))]);
                    break;
                }
            }
        }
        $fixes[] = $isOn ? Retape::fix($outlook, $outlook->left[$unmask], $worn, $bare) : null;

        return Say::fixes($fixes);
    }

    /**
     * Laid just before the coat it is for, where the days it stays too long are those before that coat. With room to
     * spare: a coat that has to wait for its mask may end an evening later.
     *
     * @param  float  $over  minutes it is laid later at least
     * @return list<Fix>
     */
    private function later(Outlook $outlook, PlannedStep $mask, float $over): array
    {
        $coat = null;
        foreach ($outlook->leftOfPiece($mask->step->pieceId) as $other) {
            if ($other->step->isSprayed() && $other->startEpoch >= $mask->endEpoch && ($coat === null || $other->startEpoch < $coat->startEpoch)) {
                $coat = $other;
            }
        }
        $at = $coat === null ? 0 : $coat->startEpoch - ($mask->endEpoch - $mask->startEpoch);
        $set = array_filter($outlook->context->kit->notBefore, static fn (NotBefore $n): bool => $n->step === $mask->step->key);

        return $set !== [] || $at - $mask->startEpoch <= 60 * $over ? [] : [new Fix('Lay it just before the coat', [Edit::add('notBefore', (new NotBefore(Id::from('later', $mask->step->key), $mask->step->key, $at))->toArray())])];
    }
}
