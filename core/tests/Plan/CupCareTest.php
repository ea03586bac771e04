<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Telling\Manner;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\RandomBuild;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Before the first coat out of a jar it is stirred, and what the evening takes of it is mixed: planned, timed, explained, recorded. */
final class CupCareTest extends TestCase
{
    private const HULL = ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 60, 'colour' => 'grey']]];

    public function test_no_paint_leaves_the_gun_that_was_not_mixed_that_evening(): void
    {
        foreach (range(401, 412) as $seed) {
            $build = new Build((new RandomBuild($seed))->said());
            $mixed = [];
            $steps = $build->plan()->atTheBench();
            foreach ($steps as $i => $planned) {
                $id = $planned->step->product->id ?? '';
                if ($planned->step->operation === Operation::Mix) {
                    self::assertSame(5, intdiv($planned->endEpoch - $planned->startEpoch, 60), "seed {$seed}");
                    self::assertSame([$id, $planned->endEpoch], [$steps[$i + 1]->step->product?->id, $steps[$i + 1]->startEpoch], "seed {$seed}: its coat follows at once");
                    $mixed[$id] = $planned->endEpoch;
                } elseif ($planned->step->isSprayed() && $planned->step->product?->family->value !== 'aerosol') {
                    $last = max([$mixed[$id] ?? 0, ...array_map(static fn ($e): int => $e->product === $id ? $e->atEpoch : 0, $build->events)]);
                    self::assertLessThanOrEqual(4 * 3600, $planned->startEpoch - $last, "seed {$seed}: {$planned->step->key}");
                }
            }
        }
    }

    public function test_a_cup_holds_what_is_sprayed_out_of_it(): void
    {
        foreach (range(431, 438) as $seed) {
            $build = new Build((new RandomBuild($seed))->said());
            $plan = $build->plan();
            $takes = $coats = $fillings = [];
            $cup = [];
            $fresh = [];
            foreach ($plan->atTheBench() as $planned) {
                $id = $planned->step->product->id ?? '';
                if ($planned->step->operation === Operation::Mix) {
                    $cup[$id] = $planned->step->key;
                    $fresh[$id] = true;
                } elseif ($planned->step->operation->cleansTheGun()) {
                    $fresh[$id] = true;
                } elseif ($planned->step->isSprayed() && isset($cup[$id])) {
                    $takes[$cup[$id]] = ($takes[$cup[$id]] ?? 0) + (SetUp::of($planned->step, $plan->context->kit, $plan->context->house)->need->mixMl ?? 0);
                    $coats[$cup[$id]] = ($coats[$cup[$id]] ?? 0) + 1;
                    $fillings[$cup[$id]] = ($fillings[$cup[$id]] ?? 0) + (isset($fresh[$id]) ? 1 : 0);
                    unset($fresh[$id]);
                }
            }
            self::assertNotSame([], $plan->cups);
            foreach ($plan->cups as $planned) {
                $key = $planned->step->key;
                self::assertSame($coats[$key], $planned->step->cup?->coats, "seed {$seed}: {$key}");
                $spare = $planned->step->product?->isOwnMix() === true && ($planned->step->product->levelMl ?? 0) <= 0 ? 1.2 : 1;
                self::assertEqualsWithDelta(max(0.5, $spare * ($takes[$key] + 0.3 * $fillings[$key])), $planned->step->cup->ml, 1e-9, "seed {$seed}: {$key}, 0.3 ml a filling");
            }
        }
    }

    /** @param  list<array<string, mixed>>  $log */
    #[DataProvider('jars')]
    public function test_it_is_stirred_where_it_stood(?string $stirred, array $log, ?string $title): void
    {
        $plan = $this->hull(['shelf' => ['sea grey' => ['water-acrylic', 'colour', '#7C96A3', ['sheen' => 'satin', 'stirred' => $stirred]]], 'log' => $log])->plan();
        $cups = array_values(array_filter($plan->cups, static fn (PlannedStep $p): bool => $p->step->product?->name === 'sea grey'));

        self::assertSame($title, $cups === [] ? null : Words::title($cups[0]->step, $plan->context));
    }

    /** @return iterable<string, array{string|null, list<array<string, mixed>>, string|null}> the evening is 2 March, 20:00 */
    public static function jars(): iterable
    {
        $mist = static fn (string $at): array => [['at' => $at, 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey', 'coat' => 'mist']];
        yield 'never' => [null, [], 'Stir and mix sea grey'];
        yield 'yesterday' => ['2026-03-01T19:00:00Z', [], 'Stir and mix sea grey'];
        yield 'an hour ago' => ['2026-03-02T19:00:00Z', [], 'Mix sea grey'];
        yield 'sprayed ten minutes ago' => [null, $mist('19:50'), null];
        yield 'sprayed and put away, three hours ago' => [null, $mist('17:00'), null];
        yield 'sprayed this morning' => [null, $mist('10:00'), 'Mix sea grey'];
    }

    public function test_the_cup_comes_before_the_coat_and_says_why(): void
    {
        $build = $this->hull();
        $plan = $build->plan();
        $now = $plan->now() ?? self::fail('nothing to do');

        self::assertSame(['Stir and mix sea grey', 'Cup', 'Cup is mixed'], [Words::title($now->step, $plan->context), Words::where($now->step, $plan->context), Words::button($now->step)]);
        self::assertSame(['bottle-mixed', 'Stir the jar to the bottom first.'], [$now->reasons()[0]->rule, $now->reasons()[0]->sentence]);
        self::assertSame($now->endEpoch, $plan->atTheBench()[1]->startEpoch, 'the coat follows at once');
        self::assertSame('Spray grey, first mist coat on hull, is what comes out of it next.', $now->reasons()[1]->sentence);
        self::assertStringContainsString('for 2 coats: ', Manner::of($now->step, $plan->context)[0]);
        self::assertSame([2, 60.0, 1.5], [$now->step->cup?->coats, $now->step->cup->cm2, $now->step->cup->thick], 'a mist is half a coat');
        self::assertEqualsWithDelta(60 * 1.5 * 8e-4 / (0.3 * 0.5) * 1.65 + 0.3, $now->step->cup->ml, 1e-9, 'as the Mix station would have it for 60 cm² and a coat and a half');
        self::assertEqualsWithDelta(1.1, $now->step->cup->measuredMl(), 1e-9);
    }

    public function test_once_pressed_the_coat_is_what_comes_and_taken_back_the_cup_is_there_again(): void
    {
        $build = $this->hull();
        $mix = $build->plan()->now() ?? self::fail('nothing to do');
        $build->events[] = $event = StepEvent::of($mix->step, '01F00000000000000000000001', $build->now, $build->now);

        self::assertSame([EventKind::Mixed, $build->id('sea grey'), null], [$event->kind, $event->product, $event->potLifeMinutes]);
        self::assertSame([Operation::Colour, []], [$build->plan()->now()?->step->operation, $build->plan()->cups]);
        array_pop($build->events);
        self::assertSame($mix->step->key, $build->plan()->now()?->step->key);
    }

    public function test_what_it_took_written_down_afterwards_mixes_no_cup(): void
    {
        $build = $this->hull(['log' => [['at' => '19:50', 'do' => 'mixed', 'with' => 'sea grey', 'predictedMl' => 2, 'usedMl' => 2.4]]]);

        self::assertCount(1, $build->plan()->cups);
    }

    public function test_it_is_mixed_while_the_last_wait_runs(): void
    {
        $build = $this->hull(['kit' => self::HULL, 'now' => '2026-03-07 12:00', 'house' => ['primer' => 'always', 'inspection' => 'none']]);
        foreach ($build->plan(minutes: null)->cups as $cup) {
            $first = $this->firstOf($build->plan(minutes: null), $cup);
            self::assertSame($cup->endEpoch, $first->startEpoch, "{$cup->step->key} is mixed just before it is sprayed");
        }
    }

    public function test_a_coat_set_at_a_time_keeps_it(): void
    {
        $build = $this->hull(['kit' => self::HULL + ['notBefore' => [['step' => 'hull/colour/grey/1', 'at' => '2026-03-02T20:30:00Z', 'exactly' => true]]]]);
        $plan = $build->plan();

        self::assertSame(['2026-03-02T20:25:00Z', '2026-03-02T20:30:00Z'], array_map(static fn (int $e): string => gmdate('Y-m-d\TH:i:s\Z', $e), [$plan->cups[0]->startEpoch, $this->firstOf($plan, $plan->cups[0])->startEpoch]));
    }

    public function test_hardener_starts_its_clock_when_the_cup_is_mixed(): void
    {
        $build = $this->hull(['kit' => ['colours' => ['grey' => 'enamel brown']] + self::HULL, 'house' => ['hardener' => 'yes', 'primer' => 'never']]);
        $cup = $build->plan()->cups[0] ?? self::fail('no cup');
        $celsius = $build->plan()->context->room->at($cup->endEpoch)->temperatureC;
        self::assertEqualsWithDelta(240 * 2 ** ((20 - $celsius) / 10), $cup->step->cup?->livesMinutes, 1e-9, '4 h at 20 °C, half of it 10 °C warmer');

        $build->events[] = StepEvent::of($cup->step, '01F00000000000000000000001', $build->now, $build->now);
        $holds = array_values(array_filter($build->plan()->holds, static fn ($h): bool => str_starts_with($h->key, 'mix/')));
        self::assertCount(1, $holds);
        self::assertSame($build->now + (int) (60 * $cup->step->cup->livesMinutes), $holds[0]->untilEpoch);
        self::assertStringContainsString('isocyanates sensitise', implode(' ', \AmberStep\Core\Telling\Cautions::of($cup->step, $build->kit)));
    }

    public function test_a_cup_that_is_dead_is_mixed_anew_and_one_that_lives_is_not(): void
    {
        foreach ([30 => 1, 300 => 0] as $lives => $cups) {
            $build = $this->hull(['kit' => ['colours' => ['grey' => 'enamel brown']] + self::HULL, 'house' => ['hardener' => 'yes', 'primer' => 'never'], 'log' => [['at' => '19:00', 'do' => 'mixed', 'with' => 'enamel brown', 'potLifeMinutes' => $lives]]]);
            self::assertCount($cups, $build->plan()->cups, "it lives {$lives} min, an hour ago");
        }
    }

    public function test_a_mixed_colour_gets_a_spare_fifth_unless_some_of_it_is_kept(): void
    {
        $ml = fn (float $kept): float => $this->hull(['shelf' => ['haze' => ['water-acrylic', 'colour', '#9DB0B9', ['sheen' => 'satin', 'levelMl' => $kept, 'mix' => ['sea grey' => 3, 'ground white' => 1, 'thinner' => 2]]]], 'kit' => ['colours' => ['grey' => 'haze']] + self::HULL])->plan()->cups[0]->step->cup->ml ?? 0;

        self::assertEqualsWithDelta(1.2, $ml(0) / $ml(3), 1e-9);
    }

    /** @param  array<string, mixed>  $said */
    private function hull(array $said = []): Build
    {
        $ready = [['at' => '2026-03-01 12:00', 'do' => 'wash', 'on' => ['side']], ['at' => '2026-03-01 12:30', 'do' => 'mount', 'on' => ['hull']]];

        return new Build(['log' => [...$ready, ...$said['log'] ?? []]] + $said + ['kit' => self::HULL, 'house' => ['primer' => 'never']]);
    }

    private function firstOf(Plan $plan, PlannedStep $cup): PlannedStep
    {
        foreach ($plan->byTime() as $planned) {
            if ($planned->step->isSprayed() && $planned->step->product?->id === $cup->step->product?->id && $planned->startEpoch >= $cup->endEpoch) {
                return $planned;
            }
        }
        self::fail("nothing is sprayed out of {$cup->step->key}");
    }
}
