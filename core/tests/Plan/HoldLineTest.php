<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Log\Fault;
use AmberStep\Core\Plan\AspectKind;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What runs and what closes, and the remedies that take their place. */
final class HoldLineTest extends TestCase
{
    /** @param  list<array<string, mixed>>  $log */
    private static function build(array $log, string $paint = 'sea grey', array $more = []): Build
    {
        return new Build([...$more, 'house' => ['primer' => 'never', 'inspection' => 'none'], 'kit' => ['parts' => ['hull' => 'styrene', 'float' => 'styrene'], 'colours' => ['c' => $paint, 'd' => 'slate green'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'c'], 'deck' => ['part' => 'hull', 'colour' => 'd'], 'keel' => ['part' => 'float', 'colour' => 'c']], 'edges' => [['side', 'deck', 80]]], 'log' => $log]);
    }

    private static function coat(string $at, string $paint = 'sea grey', string $on = 'side'): array
    {
        return ['at' => $at, 'do' => 'colour', 'on' => [$on], 'for' => 'c', 'with' => $paint];
    }

    public function test_only_holds_that_stand_in_the_way_of_a_next_step_are_drawn(): void
    {
        $plan = self::build([self::coat('19:50')])->plan();

        // Tape-safe runs too, but the next step on the hull is another coat.
        self::assertSame([HoldKind::Flash], array_map(static fn ($h) => $h->kind, $plan->holds));
        self::assertSame('Hull, colour from 20:05', $plan->holds[0]->label);
    }

    public function test_the_soonest_comes_first(): void
    {
        $plan = self::build([self::coat('19:58'), self::coat('19:50', on: 'keel')])->plan();

        self::assertSame(['Float, colour from 20:05', 'Hull, colour from 20:13'], array_column($plan->holds, 'label'));
    }

    public function test_a_hold_says_what_it_is_made_of(): void
    {
        $plan = self::build([self::coat('19:50')], more: ['room' => [12, 70]])->plan();
        $words = array_values(array_filter(array_column($plan->holds, 'words'), static fn (string $w): bool => str_contains($w, 'typically')))[0];

        self::assertSame('coat 1 of sea grey: typically 15 min, air × 2.9', $words);
    }

    public function test_a_hardened_mix_closes_when_its_pot_life_ends(): void
    {
        $plan = self::build([['at' => '19:30', 'do' => 'mixed', 'with' => 'two-part clear', 'potLifeMinutes' => 120]])->plan();
        $mix = array_values(array_filter($plan->holds, static fn ($h): bool => $h->closing))[0];

        self::assertSame('two-part clear in the cup dies 21:30', $mix->label);
    }

    public function test_a_mix_that_died_is_no_longer_drawn(): void
    {
        $plan = self::build([['at' => '12:00', 'do' => 'mixed', 'with' => 'two-part clear', 'potLifeMinutes' => 120]])->plan();

        self::assertSame([], array_filter($plan->holds, static fn ($h): bool => $h->closing));
    }

    public function test_an_open_enamel_window_closes_and_the_bench_takes_it_first(): void
    {
        $build = self::build([self::coat('18:30', 'enamel brown')], 'enamel brown');
        $plan = $build->plan();

        self::assertSame(AspectKind::Closing, $plan->pieces[$build->id('hull')]->kind);
        self::assertSame('Hull: colour by 20:30', $plan->holds[0]->label);
        self::assertSame($build->id('hull'), $plan->now()?->step->pieceId);
    }

    public function test_a_build_whose_steps_are_all_done_is_done(): void
    {
        $build = new Build(['house' => ['primer' => 'never', 'inspection' => 'none'], 'kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['c' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'c']]], 'log' => [self::coat('18:00'), self::coat('19:00')]]);
        $plan = $build->plan();

        self::assertSame(AspectKind::Done, $plan->aspect()->kind);
        self::assertNull($plan->now());
        self::assertNull($plan->finishEpoch());
        self::assertSame([], $plan->holds);
    }

    #[DataProvider('faults')]
    public function test_the_remedy_of_a_fault_comes_before_everything_else_on_its_piece(Fault $fault): void
    {
        $build = self::build([self::coat('18:00'), ['at' => '18:01', 'do' => 'fault', 'on' => ['side'], 'fault' => $fault->value]]);
        $plan = $build->plan();
        $onPiece = array_values(array_filter($plan->left, static fn ($p): bool => in_array($build->id('side'), $p->step->targets, true)));
        $titles = array_map(static fn ($p): string => Words::title($p->step, $plan->context), array_slice($onPiece, 0, count($fault->remedy())));

        self::assertSame(array_column($fault->remedy(), 1), $titles);
        foreach (array_slice($onPiece, 0, count($fault->remedy())) as $i => $planned) {
            self::assertSame($fault->remedy()[$i][0]->leavesLayer(), $planned->step->product !== null);
            self::assertSame($i > 0, $planned->waitsOn() !== []);
        }
        self::assertContains($onPiece[count($fault->remedy()) - 1]->step->key, $onPiece[count($fault->remedy())]->waitsOn());
    }

    /** @return iterable<string, array{Fault}> */
    public static function faults(): iterable
    {
        foreach (Fault::cases() as $fault) {
            yield $fault->value => [$fault];
        }
    }

    public function test_a_run_waits_twice_its_sand_safe_time(): void
    {
        $build = self::build([self::coat('2026-03-02 12:00'), ['at' => '12:01', 'do' => 'fault', 'on' => ['side'], 'fault' => 'run']]);
        foreach ($build->plan()->left as $planned) {
            if ($planned->step->operation === Operation::Flat) {
                self::assertSame($build->at('12:00') + 2 * 48 * 3600, $planned->openFrom($build->now));
            }
        }
        self::assertSame(['sand-safe'], array_values(array_unique(array_map(static fn ($h): string => $h->kind->value, $build->plan()->holds))));
    }

    public function test_a_cold_room_without_a_forecast_shuts_spraying_with_the_reading(): void
    {
        $build = new Build(['room' => ['readings' => [['18:00', 11, 50]]], 'house' => ['primer' => 'never', 'inspection' => 'none'], 'kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['c' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'c']]], 'log' => [self::coat('2026-03-01 12:00')]]);
        $aspect = $build->plan()->pieces[$build->id('hull')];

        self::assertSame(AspectKind::Shut, $aspect->kind);
        self::assertStringContainsString('11.0 °C is under the 15 °C', $aspect->because);
    }
}
