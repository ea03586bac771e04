<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

/** A paint as the hands see it: what it costs to have it in a gun. */
final readonly class Paint
{
    /**
     * @param  bool  $gun  it goes through a gun; a can needs none, and no cup
     * @param  int  $clean  seconds to get it out of a gun
     * @param  int  $cleanLast  the same where nothing more is sprayed this evening
     * @param  int  $keeps  seconds a cup of it may stand
     * @param  bool  $sets  what stands in the cup sets: a planned cup lasts until it has stood unused for that long
     * @param  int|null  $mixed  when what stands mixed already was mixed; null: nothing stands
     * @param  int  $stands  seconds that one may stand
     */
    public function __construct(public string $id, public bool $gun, public int $clean, public int $cleanLast, public int $keeps, public bool $sets, public ?int $mixed = null, public int $stands = 0)
    {
    }
}
