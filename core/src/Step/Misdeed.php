<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Work\Severity;

/** What was done as no plan would have had it, said of the log in the words a plan would have used (handbook 3). */
final readonly class Misdeed
{
    /**
     * @param  string  $title  without "was done"
     * @param  string  $target  the place it matters to
     * @param  string  $remedy  what is looked at or done now
     */
    public function __construct(public Severity $severity, public string $title, public string $why, public string $target, public string $remedy)
    {
    }
}
