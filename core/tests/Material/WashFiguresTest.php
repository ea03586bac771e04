<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Material;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Layering\Minutes;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Material\WashFigures;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Telling\Manner;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A wash is no coat: handbook 9, figure by figure. */
final class WashFiguresTest extends TestCase
{
    /** @return iterable<string, array{bool, Family, float, int, int|null, int, int}> filter, ml on 100 cm², wiped from, closing, shut, varnish (hours) */
    public static function rows(): iterable
    {
        yield 'pin wash, enamel' => [false, Family::Enamel, 0.1, 10, 40, 24, 48];
        yield 'pin wash, artist oil' => [false, Family::ArtistOil, 0.1, 15, 360, 24, 72];
        yield 'pin wash, water acrylic' => [false, Family::WaterAcrylic, 0.2, 0, 3, 0, 2];
        yield 'filter, enamel' => [true, Family::Enamel, 0.4, 0, null, 24, 24];
        yield 'filter, artist oil' => [true, Family::ArtistOil, 0.4, 0, null, 24, 72];
    }

    #[DataProvider('rows')]
    public function test_the_table_stands_as_the_handbook_has_it(bool $filter, Family $family, float $ml, int $opens, ?int $closes, int $shutHours, int $varnishHours): void
    {
        $figures = WashFigures::of($filter, $family);

        self::assertSame([$ml, $opens, $closes, $varnishHours * 60, $filter ? 0.03 : 0.08, $filter ? 1.0 : 0.1], [$figures->mlPer100Cm2, $figures->opens, $figures->closes, $figures->minutes(WaitKind::Recoat), $figures->minutesPerCm2, $figures->filmMicrons]);
        self::assertSame($shutHours === 0 ? 8 : $shutHours * 60, $figures->minutes(WaitKind::TouchDry));
        self::assertSame($figures->minutes(WaitKind::Recoat), $figures->minutes(WaitKind::Cured), 'no film of it cures for weeks');
    }

    public function test_a_panel_takes_half_of_the_time_it_can_be_wiped(): void
    {
        // (40 - 10) / 2 min at 0.08 min a cm² are 187 cm²; an acrylic one is small and quick.
        self::assertSame([180, 10, null], [WashFigures::of(false, Family::Enamel)->panelCm2(), WashFigures::of(false, Family::WaterAcrylic)->panelCm2(), WashFigures::of(true, Family::Enamel)->panelCm2()]);
    }

    public function test_it_takes_a_drop_and_a_quarter_of_an_hour_and_adds_no_film(): void
    {
        $build = $this->build();
        $plan = $build->plan();
        $step = array_values(array_filter($plan->left, static fn ($p): bool => $p->step->operation === Operation::PinWash))[0]->step;
        $need = SetUp::of($step, $build->kit)?->need;

        self::assertEqualsWithDelta(0.2, $need?->mixMl, 1e-9, '200 cm² at 0.1 ml on 100');
        self::assertEqualsWithDelta(0.5, $need?->totalMl, 1e-9, 'and what the palette keeps');
        self::assertEqualsWithDelta(16, Minutes::of($step, $build->kit), 1e-9);
        self::assertSame(['A panel of 180 cm² at a time: wiped from 10 min until 40 min after it is laid.'], Manner::of($step, $plan->context));
        $build->record(['at' => '2026-03-02 19:50', 'do' => 'pin-wash', 'on' => ['side'], 'with' => 'enamel wash']);
        self::assertEqualsWithDelta(0.1, $build->plan()->context->surface->area($build->id('side'))->top()?->filmMicrons(), 1e-9);
    }

    public function test_one_clock_closes_for_the_panel_in_hand_and_the_varnish_begins_as_a_mist(): void
    {
        $build = $this->build();
        $build->record(['at' => '2026-03-02 19:50', 'do' => 'pin-wash', 'on' => ['side'], 'with' => 'enamel wash']);
        $wiping = array_values(array_filter($build->plan()->holds, static fn ($h): bool => str_ends_with($h->key, '/wiping')));

        self::assertSame(['Hull: wipe the wash by 20:30', true], [$wiping[0]->label, $wiping[0]->closing]);
        self::assertSame([], array_filter($build->planAt($build->now + 1801, 90, $build->now)->holds, static fn ($h): bool => str_ends_with($h->key, '/wiping')), 'it stays as it is');
        $final = array_values(array_filter($build->plan(minutes: null)->left, static fn ($p): bool => $p->step->operation === Operation::Final));
        self::assertSame(['mist', 'light'], array_map(static fn ($p): ?string => $p->step->coatKind?->value, $final));
        self::assertGreaterThanOrEqual($build->at('2026-03-04 19:50'), $final[0]->startEpoch, 'two days, not the weeks of a film');
        self::assertLessThan($build->at('2026-03-06 00:00'), $final[0]->startEpoch);
    }

    public function test_a_varnish_pinned_wet_over_a_wash_is_said_with_the_way_back(): void
    {
        $build = $this->build();
        $build->edit([Edit::add('pins', ['id' => '01P00000000000000000000001', 'operation' => 'final', 'coatKind' => 'wet'])]);
        $said = static fn (): array => array_values(array_filter($build->plan()->findings, static fn ($f): bool => $f->rule === 'first-coat-mist'));
        $finding = $said()[0];

        self::assertSame('Matt varnish over a wash is planned wet', $finding->title);
        $build->edit($finding->fixes[0]->edits);
        self::assertSame([], $said());
    }

    private function build(): Build
    {
        $log = [];
        foreach ([['prime', 'lacquer primer', '2026-02-20 18:00'], ['prime', 'lacquer primer', '2026-02-20 18:30']] as [$do, $with, $at]) {
            $log[] = ['at' => $at, 'do' => $do, 'on' => ['side'], 'with' => $with];
        }
        $log[] = ['at' => '2026-02-20 19:00', 'do' => 'inspect', 'on' => ['side'], 'for' => 'prime'];
        $log[] = ['at' => '2026-02-21 18:00', 'do' => 'colour', 'on' => ['side'], 'for' => 'sand', 'with' => 'alcohol sand', 'coat' => 'mist'];
        $log[] = ['at' => '2026-02-21 18:20', 'do' => 'colour', 'on' => ['side'], 'for' => 'sand', 'with' => 'alcohol sand'];
        $log[] = ['at' => '2026-02-22 18:00', 'do' => 'gloss', 'on' => ['side'], 'with' => 'gloss varnish'];
        $log[] = ['at' => '2026-02-22 19:30', 'do' => 'gloss', 'on' => ['side'], 'with' => 'gloss varnish', 'coat' => 'wet'];

        return new Build(['house' => ['wash' => 'enamel'], 'log' => $log, 'kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['sand' => 'alcohol sand'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 200, 'colour' => 'sand', 'wash' => 'pin', 'sheen' => 'matt']]]]);
    }
}
