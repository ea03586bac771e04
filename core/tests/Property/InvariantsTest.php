<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Property;

use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\Invariants;
use AmberStep\Core\Tests\Support\RandomBuild;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What holds for every build: the invariants of the plan, over seeded random kits and logs. */
final class InvariantsTest extends TestCase
{
    use Invariants;

    private const SEEDS = 400;

    private const PER_CASE = 25;

    #[DataProvider('seeds')]
    public function test_the_invariants_hold(int $from): void
    {
        for ($seed = $from; $seed < $from + self::PER_CASE; $seed++) {
            $random = new RandomBuild($seed);
            $build = new Build($random->said());
            $this->work($build, $random, $random->one([0, 3, 8, 20]));
            $plan = $build->plan();

            $this->theInvariantsHold($build, $plan, $random->shuffled(...), $seed);
        }
    }

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
            $this->doNext($build, $plan);
        }

        self::assertSame([], array_keys($build->plan()->left), "seed {$seed}");
        $new = array_filter($build->plan()->stops(), static fn ($f): bool => ! in_array($f->key, $wanted, true));
        self::assertSame([], array_map(static fn ($f) => $f->title, $new), "seed {$seed}: stops at the end");
    }

    /** Works on plan, and now and then off it. */
    private function work(Build $build, RandomBuild $random, int $steps): void
    {
        for ($i = 0; $i < $steps; $i++) {
            $plan = $build->plan();
            if ($plan->left === []) {
                return;
            }
            if ($random->chance(8)) {
                $painted = array_filter($build->kit->areas, static fn ($a): bool => $plan->context->surface->area($a->id)->layers !== []);
                $names = static fn (array $areas): array => array_values(array_map(static fn ($a): string => $a->name, $areas));
                $build->record(['at' => $build->now, ...$random->offPlan($names($build->kit->areas), $names($painted))]);
                $build->now += 60;
            } else {
                $this->doNext($build, $plan);
            }
        }
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed += self::PER_CASE) {
            yield "seeds from {$seed}" => [$seed];
        }
    }

    /** @return iterable<string, array{int}> */
    public static function few(): iterable
    {
        for ($seed = 1001; $seed <= 1020; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }
}
