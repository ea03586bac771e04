<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** One line of a recipe: what, how much of it against the others, and what a percentage refers to. */
final readonly class Part
{
    /**
     * @param  float  $amount  parts above 0; for an additive per cent of its base, 0 to 100
     * @param  Vessel  $vessel  what it is dropped from
     * @param  float|null  $mlPerDrop  counted into 1 ml for this bottle; null: as usual for its vessel
     */
    public function __construct(public string $name, public Stuff $stuff, public float $amount, public Base $base = Base::Parts, public Vessel $vessel = Vessel::Dropper, public ?float $mlPerDrop = null)
    {
    }

    public function mlPerDrop(): float
    {
        return $this->mlPerDrop ?? ($this->stuff === Stuff::Water ? 0.05 : $this->vessel->mlPerDrop());
    }
}
