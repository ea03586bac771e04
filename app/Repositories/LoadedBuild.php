<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Event;

/** A build as core sees it, with the revision its edits have to name. */
final readonly class LoadedBuild
{
    /** @param  list<Event>  $events all of them, as they came in */
    public function __construct(public string $id, public int $revision, public Kit $kit, public array $events)
    {
    }

    public function with(Kit $kit): self
    {
        return new self($this->id, $this->revision, $kit, $this->events);
    }
}
