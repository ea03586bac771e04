<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

/** Plans of builds that share one pair of hands, and the timetable they are read from. */
final readonly class Plans
{
    /** @param  array<array-key, Plan>  $byBuild  of those that were looked into */
    public function __construct(public array $byBuild, public Timetable $timetable, public AtTheGun $gun)
    {
    }
}
