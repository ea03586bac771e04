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
    public function test_no_evening_makes_a_warning_but_of_a_medium_the_user_chose_that_lasts_for_fewer_evenings_than_there_are(): void
    {
        $builds = 0;
        foreach (range(1, 60) as $seed) {
            $set = new SetOfBuilds($seed);
            $builds += count($set->builds);
            $said = self::warnings($set->plans());
            $set->calendar = new Calendar(array_fill_keys(Calendar::DAYS, [[0, 1440]]), $set->calendar->zone);
            $own = array_diff_key($said, self::warnings($set->plans()));

            // Film is what panes are masked with: tape on them is a choice, and the finding says what the evenings make of it.
            self::assertSame([], array_values(array_filter($own, static fn (string $said): bool => preg_match('/^tape-overstays: Vinyl tape .* in the evenings there are/', $said) !== 1)), "set {$seed}");
        }
        self::assertGreaterThan(150, $builds);
    }

    public function test_no_way_that_is_found_for_the_guns_makes_one(): void
    {
        $taken = 0;
        foreach (range(1, 30) as $seed) {
            $set = new SetOfBuilds($seed);
            $plain = $set->plans();
            $found = $set->plans($set->searched(trials: 15));
            if ($found->timetable->isBetterThan($plain->timetable)) {
                $taken++;
                self::assertSame([], array_diff_key(self::warnings($found), self::warnings($plain)), "set {$seed}");
            }
        }
        self::assertGreaterThan(10, $taken);
    }

    /** @return array<string, string> thoughts and stops with their rules, by build and key */
    private static function warnings(Plans $plans): array
    {
        $said = [];
        foreach ($plans->byBuild as $build => $plan) {
            foreach ($plan->findings as $finding) {
                if ($finding->severity !== Severity::Note) {
                    $said["{$build} {$finding->key}"] = "{$finding->rule}: {$finding->title} {$finding->sentence}";
                }
            }
        }

        return $said;
    }
}
