<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

/** What comes of a candidate, as all builds will be planned once it is taken. */
final readonly class Lever
{
    /**
     * @param  int  $allDaysLate  of all builds together
     * @param  int  $wonSeconds  at the bench, of its build
     */
    public function __construct(public Candidate $candidate, public Run $then, public int $allDaysLate, public int $wonSeconds)
    {
    }
}
