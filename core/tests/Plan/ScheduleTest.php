<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The evening as it is planned: one pair of hands, the paint in the gun, what closes, what fits. */
final class ScheduleTest extends TestCase
{
    /** @param  array<string, mixed>  $more */
    private static function two(array $more = []): Build
    {
        return new Build(['kit' => [
            'parts' => ['hull' => 'styrene', 'float' => 'styrene'], 'colours' => ['grey' => 'sea grey', 'brown' => 'enamel brown'],
            'areas' => ['side' => ['part' => 'hull', 'cm2' => 60, 'colour' => 'grey'], 'keel' => ['part' => 'float', 'cm2' => 30, 'colour' => $more['keel'] ?? 'grey']],
        ], 'log' => $more['log'] ?? [], 'house' => ['primer' => 'never']]);
    }

    /** @return list<string> */
    private static function titles(Plan $plan, int $most): array
    {
        return array_map(static fn (PlannedStep $p): string => Words::where($p->step, $plan->context).': '.Words::title($p->step, $plan->context), array_slice($plan->byTime(), 0, $most));
    }

    public function test_no_two_steps_want_the_hands_at_once(): void
    {
        $end = 0;
        foreach (self::two()->plan()->byTime() as $planned) {
            self::assertGreaterThanOrEqual($end, $planned->startEpoch);
            $end = $planned->endEpoch;
        }
    }

    public function test_no_step_is_planned_into_a_hold_or_before_what_it_waits_for(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['a' => 'pale grey', 'b' => 'slate green'], 'areas' => ['low' => ['part' => 'hull', 'colour' => 'a', 'decals' => true, 'wash' => 'pin', 'sheen' => 'matt'], 'up' => ['part' => 'hull', 'colour' => 'b', 'sheen' => 'matt']], 'edges' => [['low', 'up', 120]]]]);
        $plan = $build->plan();
        foreach ($plan->left as $planned) {
            foreach ($planned->holds as $hold) {
                self::assertFalse($hold->covers($planned->startEpoch), $planned->step->key.' in '.$hold->key());
            }
            foreach ($planned->waitsOn() as $before) {
                self::assertLessThanOrEqual($planned->startEpoch, $plan->left[$before]->endEpoch, $planned->step->key);
            }
        }
    }

    public function test_pieces_take_turns_while_one_flashes(): void
    {
        $washed = static fn (string $area): array => ['at' => '2026-03-01 10:00', 'do' => 'wash', 'on' => [$area]];
        $held = static fn (string $piece): array => ['at' => '2026-03-01 10:30', 'do' => 'mount', 'on' => [$piece], 'for' => 'all'];
        $plan = self::two(['log' => [$washed('side'), $washed('keel'), $held('hull'), $held('float')]])->plan();

        self::assertSame(['hull: Spray grey, first mist coat', 'float: Spray grey, first mist coat', 'hull: Spray grey, second light coat', 'float: Spray grey, second light coat'], self::titles($plan, 4));
    }

    public function test_what_closes_soon_goes_before_the_plans_own_order(): void
    {
        $build = self::two(['keel' => 'brown', 'log' => [
            ['at' => '18:20', 'do' => 'colour', 'on' => ['keel'], 'for' => 'brown', 'with' => 'enamel brown', 'coat' => 'mist'],
            ['at' => '18:30', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey', 'coat' => 'mist'],
        ]]);

        self::assertSame('float: Spray brown, second light coat', self::titles($build->plan(), 1)[0]);
    }

    public function test_the_paint_in_the_gun_goes_on_before_other_work(): void
    {
        $build = self::two(['log' => [
            ['at' => '2026-03-01 10:00', 'do' => 'wash', 'on' => ['keel']], ['at' => '2026-03-01 10:30', 'do' => 'mount', 'on' => ['float'], 'for' => 'all'],
            ['at' => '19:50', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey', 'coat' => 'mist'],
        ]]);

        self::assertSame('float: Spray grey, first mist coat', self::titles($build->plan(), 1)[0]);
    }

    #[DataProvider('minutes')]
    public function test_no_more_is_planned_for_tonight_than_fits(int $minutes): void
    {
        $build = new Build(['now' => '2026-03-03 05:00', 'kit' => ['parts' => ['a' => 'styrene', 'b' => 'styrene', 'c' => 'styrene', 'd' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => array_combine(['w', 'x', 'y', 'z'], array_map(static fn (string $p): array => ['part' => $p, 'colour' => 'grey'], ['a', 'b', 'c', 'd']))]]);
        $now = array_filter($build->plan(null, $minutes)->byTime(), static fn (PlannedStep $p): bool => $p->startEpoch < $build->now + 3600 * 6);
        $busy = array_sum(array_map(static fn (PlannedStep $p): float => $p->endEpoch - $p->startEpoch, $now)) / 60;

        self::assertLessThanOrEqual($minutes, $busy);
        self::assertGreaterThan(0, count($now));
    }

    /** @return iterable<array{int}> */
    public static function minutes(): iterable
    {
        yield [12];
        yield [25];
        yield [60];
    }

    public function test_words_say_what_is_done_with_what(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'styrene', 'hood' => 'clear-styrene', 'fin' => 'styrene'],
            'joints' => ['sill' => ['parts' => ['hull', 'hood'], 'glue' => 'clear-glue'], 'root' => ['parts' => ['hull', 'fin'], 'kind' => 'seam', 'closed' => 'before', 'gapMm' => 0.2, 'lengthCm' => 5]],
            'colours' => ['grey' => 'sea grey', 'dark' => 'interior dark'],
            'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey', 'preshade' => 'dark', 'decals' => true, 'wash' => 'pin', 'sheen' => 'matt'], 'frame' => ['part' => 'hood', 'colour' => 'grey', 'insideColour' => 'dark'], 'pane' => ['part' => 'hood', 'face' => 'pane']]]]);
        $plan = $build->plan();
        $titles = array_map(static fn (PlannedStep $p): string => Words::title($p->step, $plan->context), $plan->byTime());
        foreach (['Close sill with clear glue', 'Fill root with solvent putty', 'Cut root back to the plastic', 'Mask the panes with cut film', 'Spray dark, the inside colour, first mist coat', 'Prime with grey primer, first coat', 'Look it over before colour', 'Pre-shade lines and recesses with dark', 'Spray gloss, second wet coat', 'Put the decals on', 'Seal the decals, one light coat', 'Pin wash with oil umber', 'Spray matt, first mist coat', 'Bare the panes'] as $title) {
            self::assertContains($title, $titles);
        }
        foreach ($plan->left as $planned) {
            self::assertNotSame('', Words::button($planned->step));
            self::assertStringNotContainsString('!', Words::title($planned->step, $plan->context).Words::technique($planned->step));
        }
    }
}
