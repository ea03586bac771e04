<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Property;

use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\Invariants;
use AmberStep\Core\Tests\Support\RandomBuild;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Doing what the bench proposes, one step after the other, ends with nothing left and no stop that was not there before. */
final class WorkedToItsEndTest extends TestCase
{
    use Invariants;

    #[DataProvider('few')]
    public function test_a_build_worked_to_its_end_has_nothing_left(int $seed): void
    {
        $random = new RandomBuild($seed);
        $build = new Build($random->said());
        $wanted = array_column($build->plan()->stops(), 'key');
        for ($i = 0; $i < 400; $i++) {
            $plan = $build->plan();
            if ($plan->left === []) {
                break;
            }
            $this->doNext($build, $plan, 3);
        }

        self::assertSame([], array_keys($build->plan()->left), "seed {$seed}");
        $new = array_filter($build->plan()->stops(), static fn ($f): bool => ! in_array($f->key, $wanted, true));
        self::assertSame([], array_map(static fn ($f) => $f->title, $new), "seed {$seed}: stops at the end");
    }

    /** @return iterable<string, array{int}> */
    public static function few(): iterable
    {
        for ($seed = 1001; $seed <= 1020; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }
}
