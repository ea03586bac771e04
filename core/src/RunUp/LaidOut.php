<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

/** One thing to lay out before a session begins. */
final readonly class LaidOut
{
    /**
     * @param  string|null  $swatch  of a paint, as #rrggbb
     * @param  float|null  $ml  mixed in the session, over all its fillings; null: nothing is mixed
     * @param  string  $with  how it is set or what for; empty where the name says it
     */
    public function __construct(public string $name, public string $with = '', public ?string $swatch = null, public ?float $ml = null)
    {
    }

    public function more(?float $ml): self
    {
        return new self($this->name, $this->with, $this->swatch, $ml === null ? $this->ml : $ml + ($this->ml ?? 0.0));
    }
}
