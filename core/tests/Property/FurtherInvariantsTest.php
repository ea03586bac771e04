<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Property;

use AmberStep\Core\Tests\Support\RandomBuilds;
use PHPUnit\Framework\TestCase;

/** What holds for every build: the invariants of the plan, over seeded random kits and logs from 251. */
final class FurtherInvariantsTest extends TestCase
{
    use RandomBuilds;

    protected static function first(): int
    {
        return 251;
    }
}
