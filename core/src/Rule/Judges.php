<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Step\Finding;

/** A rule that has something to say about a plan or about what was done. */
interface Judges extends Rule
{
    /** @return iterable<Finding> */
    public function judge(Outlook $outlook): iterable;
}
