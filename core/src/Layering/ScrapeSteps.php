<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Rank;

/** Joint faces that were painted because nobody plugged them are scraped before they are glued. */
final class ScrapeSteps
{
    public static function add(StepSet $steps, Kit $kit, Breakdown $breakdown, ModelState $surface): void
    {
        foreach ($steps->with(Operation::MaskFaces) as $plug) {
            $joint = $kit->jointsById[$plug->purpose];
            if ($surface->joint($joint->id)->closedAt !== null || $surface->piece($plug->pieceId)->count(Operation::MaskFaces, $joint->id) > 0) {
                continue;
            }
            foreach ($breakdown->byId[$plug->pieceId]->areas as $area) {
                $sameTime = ($breakdown->blocks($area->id)?->id === $plug->phase) || $plug->phase === '';
                if ($sameTime && $surface->area($area->id)->layers !== []) {
                    $steps->add(new Step($plug->pieceId, Operation::Scrape, $joint->id, 1, 1, $plug->pieceId, [$plug->pieceId], Rank::of(Operation::Scrape, $plug->phase), $plug->position, $plug->phase));
                    break;
                }
            }
        }
    }
}
