<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

/** One rule of the trade (handbook 3). What it may do is said by the interfaces it carries. */
interface Rule
{
    public function id(): string;
}
