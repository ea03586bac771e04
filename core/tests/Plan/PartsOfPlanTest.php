<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Layering\Minutes;
use AmberStep\Core\Log\UseBook;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Plan\Aspect;
use AmberStep\Core\Plan\AspectKind;
use AmberStep\Core\Plan\Sequencer;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Telling\Cautions;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Strength;
use DateTimeZone;
use PHPUnit\Framework\TestCase;

final class PartsOfPlanTest extends TestCase
{
    private static function step(string $name, int $rank): Step
    {
        return new Step($name, Operation::Look, 'x', 1, 1, 'p', [$name], $rank, 0);
    }

    private static function key(string $name): string
    {
        return "{$name}/look/x/1";
    }

    /** @param  list<Constraint>  $constraints */
    private static function sequence(array $constraints): Sequencer
    {
        $steps = [];
        foreach (['a' => 1, 'b' => 2, 'c' => 3] as $name => $rank) {
            $steps[self::key($name)] = self::step($name, $rank);
        }

        return new Sequencer($steps, $constraints);
    }

    private static function before(string $a, string $b, Strength $strength): Constraint
    {
        return new Constraint(self::key($a), self::key($b), $strength, 'r', "{$a} before {$b}.");
    }

    public function test_musts_are_kept_and_ties_follow_the_trade(): void
    {
        self::assertSame(array_map(self::key(...), ['b', 'c', 'a']), self::sequence([self::before('c', 'a', Strength::Must)])->order());
    }

    public function test_a_circle_with_a_rather_in_it_drops_the_lightest(): void
    {
        $sequence = self::sequence([self::before('a', 'b', Strength::Must), self::before('b', 'c', Strength::FragileLast), self::before('c', 'a', Strength::LightThenDark)]);

        self::assertSame(array_map(self::key(...), ['a', 'b', 'c']), $sequence->order());
        self::assertSame(Strength::LightThenDark, $sequence->circles[0]->dropped->strength);
        self::assertFalse($sequence->circles[0]->isOfMusts());
    }

    public function test_a_circle_of_musts_is_told_as_its_chain(): void
    {
        $sequence = self::sequence([self::before('a', 'b', Strength::Must), self::before('b', 'a', Strength::User)]);
        $sequence->order();

        self::assertTrue($sequence->circles[0]->isOfMusts());
        self::assertEqualsCanonicalizing(['A before b.', 'B before a.'], array_column($sequence->circles[0]->chain, 'sentence'));
    }

    public function test_the_order_of_the_rules_does_not_matter(): void
    {
        $constraints = [self::before('c', 'b', Strength::Must), self::before('b', 'a', Strength::LightThenDark), self::before('a', 'c', Strength::SameColour)];

        self::assertSame(self::sequence($constraints)->order(), self::sequence(array_reverse($constraints))->order());
    }

    public function test_a_steps_cup_is_what_the_gun_takes_and_what_its_recipe_says(): void
    {
        $build = new Build(['shelf' => ['haze' => ['water-acrylic', 'colour', '#9DB0B9', ['sheen' => 'satin', 'levelMl' => 1, 'mix' => ['sea grey' => 3, 'ground white' => 1, 'thinner' => 2]]]], 'kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['haze' => 'haze'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 196, 'colour' => 'haze']]]]);
        $plan = $build->plan();
        $coat = array_values(array_filter($plan->left, static fn ($p): bool => $p->step->operation->value === 'colour'))[1]->step;
        $plain = SetUp::of($coat, $build->kit);
        $learned = SetUp::of($coat, $build->kit, null, new UseBook([[0.35, Family::WaterAcrylic, 3.0, 2.0], [0.2, Family::WaterAcrylic, 9.0, 2.0], [0.35, Family::Lacquer, 9.0, 2.0]]));

        self::assertSame('1 : 0.5', $plain?->ratio, 'as the recipe has it');
        self::assertEqualsWithDelta(196 * 8e-4 / (0.3 * 0.5), $plain->need->neatMl, 1e-6);
        self::assertEqualsWithDelta(1.5 * $plain->need->neatMl, $learned?->need->neatMl, 1e-6, 'this gun and family alone');
        self::assertStringContainsString('× 1.50 as this gun takes it (1 job)', $learned->need->words());
        $uses = new UseBook([[0.35, Family::WaterAcrylic, 3.0, 2.0]]);
        self::assertEqualsWithDelta($plain->minutes() + 0.5 * $plain->need->mixMl / 0.4, Minutes::of($coat, $build->kit, uses: $uses), 1e-9, 'and it takes as much longer to spray, at 0.4 ml a minute');
        self::assertStringContainsString(sprintf('Of the mix: %.2f ml thinner and %.2f ml sea grey and %.2f ml ground white.', $plain->need->totalMl * 2 / 6, $plain->need->totalMl / 2, $plain->need->totalMl / 6), implode(' ', \AmberStep\Core\Telling\Manner::of($coat, $plan->context)));
        $kept = new Build(['shelf' => ['haze' => ['water-acrylic', 'colour', '#9DB0B9', ['levelMl' => 9, 'mix' => ['sea grey' => 3, 'ground white' => 1, 'thinner' => 2]]]], 'kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['haze' => 'haze'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 196, 'colour' => 'haze']]]]);
        $cup = array_values(array_filter($kept->plan()->cups, static fn ($p): bool => $p->step->product?->name === 'haze'))[0]->step;
        self::assertSame(sprintf('Into the cup, for 2 coats: %.2f ml haze out of its jar.', $cup->cup?->measuredMl()), \AmberStep\Core\Telling\Manner::of($cup, $kept->plan()->context)[0], 'what is kept of a mix is not mixed again');
        self::assertSame(0.5, SetUp::of($coat, $build->kit->apply([Edit::set('areas', $build->kit->areas[0]->id, 'cm2', 1)]))?->need->totalMl, 'less does not flow evenly');
    }

    public function test_the_gun_is_set_by_task_and_family(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 80, 'colour' => 'grey']]]]);
        $steps = [];
        foreach ($build->plan()->left as $planned) {
            $steps[$planned->step->operation->value] ??= $planned->step;
        }
        $prime = SetUp::of($steps['prime'], $build->kit);
        $colour = SetUp::of($steps['colour'], $build->kit);

        self::assertSame([[10.0, 15.0], 1.8, 0.5], [$prime?->distanceCm, $prime?->pressureBar, $prime?->nozzleMm]);
        self::assertSame([[8.0, 12.0], '1 : 0.65'], [$colour?->distanceCm, $colour?->ratio]);
        self::assertEqualsWithDelta(1.35, $colour->pressureBar ?? 0, 1e-9);
        self::assertNull(SetUp::of($steps['wash'], $build->kit));
        self::assertStringContainsString('respirator', implode(' ', Cautions::of($steps['colour'], $build->kit)));
        self::assertSame(['Blowing off: never at skin or eyes; bleed the tank first.'], Cautions::of($steps['wash'], $build->kit));
    }

    public function test_cautions_name_hardener_and_flame(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'brass'], 'colours' => ['red' => 'lacquer red'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'red']]], 'house' => ['inspection' => 'none']]);
        $said = '';
        foreach ($build->plan()->left as $planned) {
            $said .= implode(' ', Cautions::of($planned->step, $build->kit));
        }

        self::assertStringContainsString('No flame', $said);
    }

    public function test_sessions_are_wall_time_on_both_clock_change_nights(): void
    {
        $zone = new DateTimeZone('Europe/Lisbon');
        $calendar = Calendar::usual($zone);
        // Monday after each change, 19:00 on the wall: UTC+1 in summer, UTC in winter.
        self::assertSame('2026-03-30T18:00:00', gmdate('Y-m-d\TH:i:s', $calendar->earliestFit((int) strtotime('2026-03-28T22:00:00Z'), 30)));
        self::assertSame('2026-10-26T19:00:00', gmdate('Y-m-d\TH:i:s', $calendar->earliestFit((int) strtotime('2026-10-24T22:00:00Z'), 30)));
    }

    public function test_what_fits_no_more_tonight_moves_to_the_next_session(): void
    {
        $calendar = Calendar::usual(new DateTimeZone('UTC'));
        $at = (int) strtotime('2026-03-02T20:50:00Z');

        self::assertSame($at, $calendar->earliestFit($at, 10));
        self::assertSame((int) strtotime('2026-03-03T19:00:00Z'), $calendar->earliestFit($at, 11));
        self::assertSame($at, $calendar->atBench($at, 90)->earliestFit($at, 60));
    }

    public function test_a_closing_piece_is_named_before_an_open_one_and_the_soonest_hold_before_the_later(): void
    {
        $open = new Aspect(AspectKind::Open);
        $closing = new Aspect(AspectKind::Closing, untilEpoch: 50);
        $soon = new Aspect(AspectKind::Hold, untilEpoch: 10);
        $late = new Aspect(AspectKind::Hold, untilEpoch: 20);

        self::assertSame($closing, Aspect::over([$late, $open, $closing]));
        self::assertSame($soon, Aspect::over([$late, new Aspect(AspectKind::Shut), $soon]));
        self::assertSame(AspectKind::Done, Aspect::over([])->kind);
    }

    public function test_undecided_joints_are_settled_with_a_reason(): void
    {
        $build = new Build(['kit' => [
            'parts' => ['hull' => 'styrene', 'fin' => 'styrene', 'pod' => 'styrene', 'hood' => 'clear-styrene', 'rail' => ['substrate' => 'brass', 'fragile' => true]],
            'joints' => ['fin root' => ['parts' => ['hull', 'fin']], 'pylon' => ['parts' => ['hull', 'pod']], 'sill' => ['parts' => ['hull', 'hood']], 'feet' => ['parts' => ['hull', 'rail']]],
            'colours' => ['grey' => 'sea grey', 'green' => 'slate green'],
            'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey'], 'fin side' => ['part' => 'fin', 'colour' => 'grey'], 'pod side' => ['part' => 'pod', 'colour' => 'green']],
        ]]);
        $breakdown = $build->plan()->context->breakdown;
        $closes = array_map(fn (string $joint): bool => $breakdown->closesBeforePaint($build->id($joint)), ['fin root', 'pylon', 'sill', 'feet']);

        self::assertSame([true, false, true, false], $closes);
        self::assertStringContainsString('colours differ', $breakdown->reason($build->id('pylon')));
        self::assertCount(3, $breakdown->pieces);
    }
}
