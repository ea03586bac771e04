<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Between two paints, and at the end of the evening, the gun is cleaned: planned, timed, explained, recorded. */
final class GunCareTest extends TestCase
{
    /** @param  array<string, string>  $colours  by name, in the order they are sprayed */
    #[DataProvider('changes')]
    public function test_a_change_of_paint_cleans_the_gun_as_the_paint_asks(array $colours, Operation $how, string $why): void
    {
        $plan = $this->twoColours($colours);
        $between = $this->cleanings($plan, array_values($colours)[0]);

        self::assertNotSame([], $between);
        self::assertSame(['Gun'], array_values(array_unique(array_map(static fn (PlannedStep $p): string => Words::where($p->step, $plan->context), $between))), 'it is not done to a piece');
        self::assertContains($how, array_map(static fn (PlannedStep $p): Operation => $p->step->operation, $between));
        self::assertStringContainsString($why, implode(' ', array_map(static fn (PlannedStep $p): string => $p->reasons()[0]->sentence, $between)));
    }

    /** @return iterable<string, array{array<string, string>, Operation, string}> */
    public static function changes(): iterable
    {
        yield 'another paint of the family' => [['pale' => 'pale grey', 'green' => 'slate green'], Operation::Rinse, 'comes back as specks'];
        yield 'a metallic' => [['bronze' => 'lacquer bronze', 'red' => 'lacquer red'], Operation::Strip, 'stripped after a metallic'];
        yield 'enamel before water acrylic' => [['brown' => 'enamel brown', 'grey' => 'sea grey'], Operation::Rinse, 'comes back as specks'];
    }

    public function test_a_primer_of_another_family_is_rinsed_with_both_thinners(): void
    {
        $build = new Build(['now' => '2026-03-07 10:00', 'without' => ['grey primer'], 'kit' => [
            'parts' => ['hull' => 'brass', 'float' => 'styrene'], 'colours' => ['grey' => 'sea grey'],
            'areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'grey'], 'keel' => ['part' => 'float', 'cm2' => 40, 'colour' => 'grey']],
        ], 'house' => ['inspection' => 'none']]);
        $why = implode(' ', array_map(static fn (PlannedStep $p): string => $p->reasons()[0]->sentence, $build->plan(minutes: null)->cleaning));

        self::assertStringContainsString('lacquer', $why);
        self::assertNotSame('', $why);
    }

    public function test_no_spraying_begins_with_another_paint_in_the_gun(): void
    {
        foreach (range(401, 412) as $seed) {
            $plan = (new Build((new \AmberStep\Core\Tests\Support\RandomBuild($seed))->said()))->plan();
            $inGun = null;
            foreach ($plan->atTheBench() as $planned) {
                $product = $planned->step->product;
                if (in_array($planned->step->operation, [Operation::Rinse, Operation::Strip], true)) {
                    self::assertSame($inGun, $product?->id, "seed {$seed}: cleaned of what is not in it");
                    $inGun = null;
                } elseif ($planned->step->isSprayed()) {
                    self::assertContains($inGun, [null, $product?->id], "seed {$seed}: {$product?->name} on top of another");
                    $inGun = $product?->id;
                }
            }
            self::assertNull($inGun, "seed {$seed}: the gun is left dirty");
        }
    }

    public function test_hands_are_never_at_two_things_at_once(): void
    {
        foreach (range(421, 430) as $seed) {
            $end = 0;
            foreach ((new Build((new \AmberStep\Core\Tests\Support\RandomBuild($seed))->said()))->plan()->atTheBench() as $planned) {
                self::assertGreaterThanOrEqual($end, $planned->startEpoch, "seed {$seed}: {$planned->step->key}");
                $end = $planned->endEpoch;
            }
        }
    }

    public function test_a_gun_just_used_for_the_last_time_this_evening_is_what_comes_now(): void
    {
        $build = $this->oneColour([['at' => '19:30', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey', 'coat' => 'mist'], ['at' => '19:58', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey']]);
        $plan = $build->plan();
        $now = $plan->now();

        self::assertSame(Operation::Rinse, $now?->step->operation);
        self::assertSame('Rinse sea grey out of the gun', Words::title($now->step, $plan->context));
        self::assertSame('Gun is clean', Words::button($now->step));
        self::assertSame($build->id('sea grey').'/rinse/gun/1', $now->step->key);
    }

    public function test_once_pressed_it_is_over_and_taken_back_it_is_there_again(): void
    {
        $build = $this->oneColour([['at' => '19:30', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey', 'coat' => 'mist'], ['at' => '19:58', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey']]);
        $before = array_keys($build->plan()->left);
        $rinse = $build->plan()->now() ?? self::fail('nothing to do');
        $build->events[] = StepEvent::of($rinse->step, '01F00000000000000000000001', $build->now, $build->now);

        self::assertSame([], $build->plan()->cleaning);
        self::assertSame($before, array_keys($build->plan()->left), 'cleaning the gun does nothing to the model');
        array_pop($build->events);
        self::assertSame($rinse->step->key, $build->plan()->now()?->step->key);
    }

    public function test_the_next_cleaning_of_a_paint_has_a_key_of_its_own(): void
    {
        $build = $this->oneColour([['at' => '19:00', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey', 'coat' => 'mist'], ['at' => '19:10', 'do' => 'rinse', 'on' => ['hull'], 'with' => 'sea grey']]);

        self::assertSame([$build->id('sea grey').'/rinse/gun/2'], array_map(static fn (PlannedStep $p): string => $p->step->key, $this->cleanings($build->plan(), 'sea grey')));
    }

    public function test_a_gun_nobody_wrote_of_for_an_hour_is_taken_as_cleaned(): void
    {
        $soon = $this->oneColour([['at' => '19:40', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey', 'coat' => 'mist']]);
        $late = $this->oneColour([['at' => '19:00', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey', 'coat' => 'mist']]);

        self::assertSame('Spray grey, second light coat', Words::title($soon->plan()->now()->step ?? self::fail('nothing'), $soon->plan()->context), 'it is still in the gun, and the flash is over');
        self::assertSame('Spray grey, second light coat', Words::title($late->plan()->now()->step ?? self::fail('nothing'), $late->plan()->context));
    }

    public function test_a_can_needs_no_gun(): void
    {
        $build = new Build(['without' => ['grey primer', 'lacquer primer'], 'shelf' => ['can primer' => ['aerosol', 'primer', '#AAAAAA', ['grade' => 1000, 'bites' => true]]], 'kit' => [
            'parts' => ['hull' => 'styrene'], 'colours' => ['red' => 'lacquer red'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'red']],
        ]]);

        self::assertSame([], $this->cleanings($build->plan(), 'can primer'));
        self::assertCount(1, $this->cleanings($build->plan(), 'lacquer red'));
    }

    public function test_by_the_house_rule_it_is_stripped_every_evening(): void
    {
        $usual = $this->oneColour([])->plan();
        $strict = $this->oneColour([], ['gun' => 'strip-evening'])->plan();
        $strips = static fn (Plan $plan): int => count(array_filter($plan->cleaning, static fn (PlannedStep $p): bool => $p->step->operation === Operation::Strip));

        self::assertSame(0, $strips($usual));
        self::assertSame(count($strict->cleaning), $strips($strict));
        self::assertSame([20.0], array_values(array_unique(array_map(static fn (PlannedStep $p): float => $p->minutes, $strict->cleaning))));
    }

    /**
     * @param  list<array<string, mixed>>  $log
     * @param  array<string, string>  $house
     */
    private function oneColour(array $log, array $house = []): Build
    {
        return new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'grey']]], 'log' => $log, 'house' => $house]);
    }

    /** @param  array<string, string>  $colours */
    private function twoColours(array $colours): Plan
    {
        [$a, $b] = array_keys($colours);

        return (new Build(['kit' => [
            'parts' => ['hull' => 'styrene'], 'colours' => $colours,
            'areas' => ['upper' => ['part' => 'hull', 'cm2' => 40, 'colour' => $a], 'lower' => ['part' => 'hull', 'cm2' => 40, 'colour' => $b]], 'edges' => [['upper', 'lower', 100, 'hard']],
        ]]))->plan();
    }

    /** @return list<PlannedStep> */
    private function cleanings(Plan $plan, string $product): array
    {
        return array_values(array_filter($plan->cleaning, static fn (PlannedStep $p): bool => $p->step->product?->name === $product));
    }
}
