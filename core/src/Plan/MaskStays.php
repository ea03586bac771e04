<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Masking\Cover;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Work\Operation;

/** How long each mask may stay on, tape for days too, so that no way of doing things is chosen by which one outstays its medium (handbook 7). */
final class MaskStays
{
    public static function into(Tasks $tasks, Thread $thread): void
    {
        foreach ($thread->steps as $off => $unmask) {
            // A card is held, and laid down with the gun.
            if ($unmask->operation !== Operation::Unmask || $unmask->isRemedy() || $unmask->medium === Medium::HeldCard) {
                continue;
            }
            $bare = in_array($unmask->purpose, [MaskFor::PANES, MaskFor::BARE], true);
            $on = $thread->places["{$unmask->target}/".Operation::Mask->value."/{$unmask->purpose}/{$unmask->n}"] ?? null;
            if ($on !== null) {
                $tasks->comesOff[$off] = [$on, self::seconds($unmask, $unmask->medium ?? Medium::PaperTape, $bare, $thread)];

                continue;
            }
            foreach ($unmask->targets as $area) {
                foreach ($thread->context->surface->area($area)->masks as $mask) {
                    $until = $mask->atEpoch + self::seconds($unmask, $mask->medium, $bare, $thread);
                    $tasks->comesOff[$off] = [-1, min($tasks->comesOff[$off][1] ?? PHP_INT_MAX, $until)];
                }
            }
        }
    }

    private static function seconds(Step $unmask, Medium $medium, bool $bare, Thread $thread): int
    {
        // The cover behind the edge may be what has to come off first (house rule).
        $cover = Cover::with($unmask, $thread->context->house);

        return (int) (60 * min($medium->longestStayMinutes($bare), $cover?->longestStayMinutes($bare) ?? INF));
    }
}
