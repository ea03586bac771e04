<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

/** A clock that is started in a session, or runs out in it, of all pieces of a build it is started on alike. */
final readonly class RunsOn
{
    /**
     * @param  non-empty-list<string>  $pieces  names
     * @param  string  $because  what began it
     * @param  string  $forbids  what may not be done until then
     * @param  int  $firstEpoch  when the first of them is over
     * @param  int  $untilEpoch  when all are
     */
    public function __construct(public string $build, public array $pieces, public string $because, public string $forbids, public int $firstEpoch, public int $untilEpoch)
    {
    }

    public function and(self $other): self
    {
        return new self($this->build, array_values(array_unique([...$this->pieces, ...$other->pieces])), $this->because, $this->forbids, min($this->firstEpoch, $other->firstEpoch), max($this->untilEpoch, $other->untilEpoch));
    }
}
