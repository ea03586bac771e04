<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Kit\Edit;

/** Something a build could be changed in to be ready sooner; nothing is dropped by itself. */
final readonly class Proposal
{
    /** @param  non-empty-list<Edit>  $edits */
    public function __construct(public string $title, public array $edits)
    {
    }
}
