<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Change;
use App\Repositories\Evenings;
use App\Repositories\Guns;
use App\Repositories\House;
use App\Repositories\Ledger;
use App\Repositories\ShelfRepository;
use App\Repositories\Shows;
use App\Repositories\Workshop;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Takes back what was changed that belongs to no build: by whom it belongs to. */
final readonly class Undo
{
    public function __construct(private ShelfRepository $shelf, private House $house, private Row $row, private Evenings $evenings, private Guns $guns, private Workshop $workshop, private Shows $shows)
    {
    }

    /**
     * Throws BadDocument where something later changed the same
     *
     * @throws NotFoundHttpException where there is no such change
     */
    public function of(string $changeId): Applied
    {
        return match (Change::query()->whereKey($changeId)->value('scope')) {
            Ledger::SHELF => Applied::of($this->shelf->undo($changeId)),
            Ledger::HOUSE => Applied::of($this->house->undo($changeId)),
            Ledger::CALENDAR => Applied::of($this->evenings->undo($changeId)),
            Ledger::GUNS => Applied::of($this->guns->undo($changeId)),
            Ledger::WORKSHOP => Applied::of($this->workshop->undo($changeId)),
            Ledger::SHOWS => Applied::of($this->shows->undo($changeId)),
            Ledger::BUILDS => $this->row->undo($changeId),
            default => throw new NotFoundHttpException,
        };
    }
}
