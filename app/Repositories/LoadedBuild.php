<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\Event;
use Closure;

/** A build as core sees it, with the revision its edits have to name. Its log is read when it is asked for: it grows for months. */
final class LoadedBuild
{
    /** @var list<Event>|null */
    private ?array $events = null;

    /** @param  Closure(): list<Event>  $log */
    public function __construct(public readonly string $id, public readonly int $revision, public readonly Kit $kit, private readonly Closure $log)
    {
    }

    /** @return list<Event> all of them, as they came in */
    public function events(): array
    {
        return $this->events ??= ($this->log)();
    }

    public function with(Kit $kit): self
    {
        return new self($this->id, $this->revision, $kit, $this->events(...));
    }

    /** The same build with something more in its log. */
    public function and(Event $event): self
    {
        return new self($this->id, $this->revision, $this->kit, fn (): array => [...$this->events(), $event]);
    }
}
