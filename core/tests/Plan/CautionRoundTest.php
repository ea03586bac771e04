<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\CautionRound;
use AmberStep\Core\Telling\Cautions;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\TestCase;

/** What was read twice is read no more: a caution is whole once a session, and a mark after (handbook 5). */
final class CautionRoundTest extends TestCase
{
    private const LACQUER = ['parts' => ['hull' => 'styrene'], 'colours' => ['red' => 'lacquer red'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'red']]];

    public function test_each_is_said_whole_with_the_first_step_of_a_session_that_has_it_and_marked_after(): void
    {
        $build = new Build(['kit' => self::LACQUER]);
        $steps = $build->plan(minutes: null)->byTime();
        $round = new CautionRound($steps, $build->kit);
        $said = [];
        $ended = $steps[0]->startEpoch;
        $marks = 0;
        foreach ($steps as $planned) {
            $said = $planned->startEpoch - $ended > CautionRound::PAUSE ? [] : $said;
            $ended = $planned->endEpoch;
            $all = Cautions::of($planned->step, $build->kit);
            self::assertEqualsCanonicalizing($all, [...$round->whole($planned, $build->kit), ...$round->again($planned)], 'none is lost');
            self::assertEqualsCanonicalizing(array_values(array_filter(array_intersect($all, $said), static fn (string $c): bool => ! Cautions::isSaidEachTime($c))), $round->again($planned), $planned->step->key);
            $said = [...$said, ...$all];
            $marks += count($round->again($planned));
        }
        self::assertGreaterThan(1, $marks);
    }

    public function test_what_was_said_of_the_work_just_done_is_marked_at_once(): void
    {
        $build = new Build(['kit' => self::LACQUER]);
        $sprays = array_values(array_filter($build->plan(minutes: null)->byTime(), static fn (PlannedStep $p): bool => $p->step->operation->sprays()));
        $before = Cautions::of($sprays[0]->step, $build->kit);
        self::assertNotSame([], $before);
        $round = new CautionRound([$sprays[0]], $build->kit, $before);

        self::assertSame([true, false], [self::speaksOf('Extraction', $round->again($sprays[0])), self::speaksOf('Extraction', $round->whole($sprays[0], $build->kit))]);
        self::assertSame([false, true], [self::speaksOf('No flame', $round->again($sprays[0])), self::speaksOf('No flame', $round->whole($sprays[0], $build->kit))], 'fire is said each time');
    }

    /** @param  list<string>  $cautions */
    private static function speaksOf(string $hazard, array $cautions): bool
    {
        return str_contains(implode(' ', $cautions), $hazard);
    }

    public function test_isocyanates_are_said_whole_each_time(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['c' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'c', 'decals' => true]], 'pins' => [['operation' => 'gloss', 'product' => 'two-part clear']]]]);
        $steps = $build->plan(minutes: null)->byTime();
        $round = new CautionRound($steps, $build->kit);
        $times = array_filter($steps, static fn (PlannedStep $p): bool => str_contains(implode(' ', $round->whole($p, $build->kit)), 'isocyanates'));

        self::assertGreaterThan(1, count($times));
        foreach ($steps as $planned) {
            self::assertStringNotContainsString('isocyanates', implode(' ', $round->again($planned)));
        }
    }
}
