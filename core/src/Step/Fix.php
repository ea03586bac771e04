<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Kit\Edit;

/** A way out: a title and the edits that take it. A fix never edits the log. */
final readonly class Fix
{
    /** @param  non-empty-list<Edit>  $edits */
    public function __construct(public string $title, public array $edits)
    {
    }
}
