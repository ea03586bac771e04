<?php

declare(strict_types=1);

namespace AmberStep\Core\Section\Stages;

use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Section\Cap;

/** One colour on all pieces it goes on, with everything that is covered then (handbook 7, Stages); or the masks that come off last. */
final readonly class Frame
{
    /**
     * @param  Colour|null  $colour  a varnish goes by its sheen; null: nothing is sprayed any more
     * @param  array<string, list<Shown>>  $pieces  by plate
     * @param  array<string, list<Cap>>  $on  laid for it, by what is laid in one go
     * @param  array<string, list<Cap>>  $off  lifted after it, by what comes off in one go
     * @param  int|null  $fromEpoch  first coat; null where none is planned
     * @param  bool  $isDone  its last coat is really on
     * @param  bool  $inOne  a soft mask lies on one of its pieces: all coats in one sitting
     */
    public function __construct(public ?Colour $colour, public bool $inside, public array $pieces, public array $on, public array $off, public int $coats, public ?int $fromEpoch, public ?int $untilEpoch, public bool $isDone, public bool $inOne)
    {
    }

    /** @return list<Shown> areas that are finished and lie open within reach */
    public function open(): array
    {
        return array_values(array_filter(array_merge(...array_values($this->pieces)), static fn (Shown $s): bool => $s->as === Showing::Finished));
    }
}
