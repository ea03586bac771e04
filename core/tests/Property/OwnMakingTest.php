<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Property;

use AmberStep\Core\Plan\Plans;
use AmberStep\Core\Tests\Support\SetOfBuilds;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Work\Severity;
use PHPUnit\Framework\TestCase;

/** The planner warns of the user's choices, not of its own timing: what it says in a week of evenings it says of a bench that is never left too. */
final class OwnMakingTest extends TestCase
{
    public function test_no_evening_makes_a_warning_but_of_masks_that_have_to_stay_while_another_colour_dries_for_its_own(): void
    {
        $builds = 0;
        foreach (range(1, 60) as $seed) {
            $set = new SetOfBuilds($seed);
            $builds += count($set->builds);
            $said = self::warnings($set->plans());
            $set->calendar = new Calendar(array_fill_keys(Calendar::DAYS, [[0, 1440]]), $set->calendar->zone);
            $own = array_diff_key($said, self::warnings($set->plans()));

            self::assertSame([], array_values(array_diff($own, ['tape-overstays'])), "set {$seed}");
        }
        self::assertGreaterThan(150, $builds);
    }

    /** @return array<string, string> rules of thoughts and stops, by build and key */
    private static function warnings(Plans $plans): array
    {
        $said = [];
        foreach ($plans->byBuild as $build => $plan) {
            foreach ($plan->findings as $finding) {
                if ($finding->severity !== Severity::Note) {
                    $said["{$build} {$finding->key}"] = $finding->rule;
                }
            }
        }

        return $said;
    }
}
