<?php

declare(strict_types=1);

namespace AmberStep\Core\Timing;

use AmberStep\Core\Drying\Conditions;

/** Where one may spray, and from when until when: a balcony by day, a kitchen once it is empty. */
final readonly class SprayPlace
{
    /**
     * @param  int  $from  minutes of the day, on the wall
     * @param  int  $until  minutes of the day, after $from: what is sprayed is done by then
     * @param  Conditions|null  $air  that it has; null: the room's
     */
    public function __construct(public string $name, public int $from, public int $until, public ?Conditions $air = null)
    {
    }
}
