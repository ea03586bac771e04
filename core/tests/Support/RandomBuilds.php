<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use PHPUnit\Framework\Attributes\DataProvider;

/** The invariants over seeded random kits and logs; in two classes, so that two processes share them. */
trait RandomBuilds
{
    use Invariants;

    private const SEEDS = 250;

    private const PER_CASE = 25;

    /** Steps that are done of a plan before it is looked at again. */
    private const FOLLOWED = 3;

    abstract protected static function first(): int;

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

    /** Works on plan, and now and then off it. */
    private function work(Build $build, RandomBuild $random, int $steps): void
    {
        for ($done = 0; $done < $steps; $done += self::FOLLOWED) {
            $plan = $build->plan();
            if ($plan->left === []) {
                return;
            }
            if ($random->chance(8 * self::FOLLOWED)) {
                $painted = array_filter($build->kit->areas, static fn ($a): bool => $plan->context->surface->area($a->id)->layers !== []);
                $names = static fn (array $areas): array => array_values(array_map(static fn ($a): string => $a->name, $areas));
                $build->record(['at' => $build->now, ...$random->offPlan($names($build->kit->areas), $names($painted))]);
                $build->now += 60;
                $plan = $build->plan();
            }
            $this->doNext($build, $plan, min(self::FOLLOWED, $steps - $done));
        }
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = self::first(); $seed < self::first() + self::SEEDS; $seed += self::PER_CASE) {
            yield "seeds from {$seed}" => [$seed];
        }
    }
}
