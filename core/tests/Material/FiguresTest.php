<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Material;

use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\Glue;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\Opacity;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Material\WaitKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The figures of handbook 2, row by row, in the units the tables are written in. */
final class FiguresTest extends TestCase
{
    private const HOUR = 60;

    private const DAY = 1440;

    /** @param  list<int|null>  $waits flash, recoat, touch, tape-safe, sand-safe, cured, in minutes */
    #[DataProvider('families')]
    public function test_a_row_of_the_family_table(Family $family, array $waits, float $thinner, float $bar, float $solids, float $film): void
    {
        $figures = $family->figures();

        self::assertSame($waits, array_map($figures->minutes(...), WaitKind::cases()));
        self::assertEqualsWithDelta($thinner, $figures->thinnerPerPaint->middle(), 1e-9, 'parts of thinner, middle');
        self::assertEqualsWithDelta($bar, $figures->pressureBar->middle(), 1e-9, 'bar, middle');
        self::assertSame([$solids, $film], [$figures->solidsByVolume, $figures->referenceFilmMicrons]);
    }

    /** @return iterable<string, array{Family, list<int|null>, float, float, float, float}> */
    public static function families(): iterable
    {
        $h = self::HOUR;
        $d = self::DAY;
        yield 'water acrylic' => [Family::WaterAcrylic, [15, 20, 15, 24 * $h, 48 * $h, 72 * $h], 0.65, 1.35, 0.30, 8.0];
        yield 'water acrylic varnish' => [Family::WaterVarnish, [60, 2 * $h, 30, 24 * $h, 72 * $h, 7 * $d], 0.25, 1.25, 0.30, 8.0];
        yield 'polymer primer' => [Family::PolymerPrimer, [15, 30, 20, 24 * $h, 72 * $h, 72 * $h], 0.25, 1.5, 0.32, 10.0];
        yield 'alcohol acrylic' => [Family::AlcoholAcrylic, [10, 10, 10, 12 * $h, 24 * $h, 48 * $h], 1.5, 1.1, 0.22, 5.0];
        yield 'lacquer' => [Family::Lacquer, [10, 10, 5, 6 * $h, 24 * $h, 48 * $h], 1.75, 1.1, 0.18, 5.0];
        yield 'solvent primer' => [Family::SolventPrimer, [10, 20, 10, 6 * $h, 4 * $h, 24 * $h], 1.25, 1.5, 0.24, 10.0];
        yield 'aerosol' => [Family::Aerosol, [20, 20, 20, 24 * $h, 72 * $h, 7 * $d], 0, 0, 0.15, 15.0];
        yield 'enamel' => [Family::Enamel, [30, 30, 6 * $h, 48 * $h, 5 * $d, 7 * $d], 1.1, 1.25, 0.40, 12.0];
        yield 'enamel with hardener' => [Family::HardenedEnamel, [20, 20, $h, 24 * $h, 48 * $h, 4 * $d], 0.95, 1.15, 0.42, 12.0];
        yield 'two-part' => [Family::TwoPart, [15, 15, $h, 24 * $h, 48 * $h, 7 * $d], 0, 1.5, 0.45, 12.0];
        yield 'artist oil' => [Family::ArtistOil, [24 * $h, 24 * $h, 2 * $d, 5 * $d, null, 14 * $d], 0, 0, 0.50, 5.0];
    }

    #[DataProvider('windows')]
    public function test_recoat_windows_close_and_open_again(Family $family, ?int $closes, ?int $opens): void
    {
        self::assertSame([$closes, $opens], [$family->figures()->firstWindowMinutes, $family->figures()->secondWindowMinutes]);
        self::assertSame($closes !== null, $family->hasWindow());
    }

    /** @return iterable<array{Family, int|null, int|null}> */
    public static function windows(): iterable
    {
        yield [Family::Enamel, 120, 48 * 60];
        yield [Family::HardenedEnamel, 120, 24 * 60];
        yield [Family::TwoPart, 240, 24 * 60];
        yield [Family::Lacquer, null, null];
        yield [Family::WaterAcrylic, null, null];
    }

    #[DataProvider('glues')]
    public function test_a_row_of_the_glues(Glue $glue, int $handle, int $fullHours, bool $cement): void
    {
        self::assertSame([$handle, $fullHours * 60, $cement], [$glue->handleMinutes(), $glue->fullMinutes(), $glue->isCement()]);
    }

    /** @return iterable<array{Glue, int, int, bool}> */
    public static function glues(): iterable
    {
        yield [Glue::ThinCement, 10, 24, true];
        yield [Glue::SlowCement, 30, 48, true];
        yield [Glue::Superglue, 1, 12, false];
        yield [Glue::ClearGlue, 30, 12, false];
        yield [Glue::Epoxy, 15, 24, false];
    }

    #[DataProvider('fillers')]
    public function test_when_a_filler_may_be_cut_back(Filler $filler, float $gapMm, int $minutes, ?int $shut): void
    {
        self::assertSame([$minutes, $shut], [$filler->readyMinutes($gapMm), $filler->shutMinutes()]);
    }

    /** @return iterable<array{Filler, float, int, int|null}> */
    public static function fillers(): iterable
    {
        yield [Filler::SolventPutty, 0.15, 120, null];
        yield [Filler::SolventPutty, 0.16, 720, null];
        yield [Filler::Superglue, 0.2, 2, 5];
        yield [Filler::SuperglueAccelerated, 0.2, 2, 30];
        yield [Filler::WaterPutty, 0.5, 120, null];
        yield [Filler::WaterPutty, 0.6, 720, null];
        yield [Filler::EpoxyPutty, 2, 1440, null];
    }

    public function test_the_filler_follows_the_gap(): void
    {
        self::assertSame([Filler::Surfacer, Filler::SolventPutty, Filler::WaterPutty], array_map(Filler::forGap(...), [0.05, 0.3, 0.4]));
    }

    #[DataProvider('media')]
    public function test_how_long_a_mask_may_stay(Medium $medium, float $onPaintDays, float $onPaneDays): void
    {
        self::assertEqualsWithDelta($onPaintDays * self::DAY, $medium->longestStayMinutes(false), 0.5);
        self::assertEqualsWithDelta($onPaneDays * self::DAY, $medium->longestStayMinutes(true), 0.5);
    }

    /** @return iterable<array{Medium, float, float}> */
    public static function media(): iterable
    {
        yield [Medium::PaperTape, 14, 30];
        yield [Medium::VinylTape, 3, 14];
        yield [Medium::CutFilm, 7, 60];
        yield [Medium::LiquidMask, 3, 14];
        yield [Medium::Putty, 1, 7];
        yield [Medium::RubberCement, 1, 3];
        yield [Medium::Tissue, 2 / 24, 2 / 24];
        yield [Medium::Plug, 3650, 3650];
    }

    public function test_minutes_of_masking_follow_the_curve(): void
    {
        self::assertSame([0.2, 0.4, 0.8, 0.8], array_map(Medium::PaperTape->minutesPerCm(...), ['flat', 'bent', 'compound', 'fiddly']));
        self::assertSame([0.1, 0.1], array_map(Medium::Putty->minutesPerCm(...), ['flat', 'compound']));
    }

    #[DataProvider('plastics')]
    public function test_the_highest_cabinet_of_a_plastic(Substrate $substrate, float $celsius): void
    {
        self::assertSame($celsius, $substrate->highestCabinetC());
    }

    /** @return iterable<array{Substrate, float}> */
    public static function plastics(): iterable
    {
        yield [Substrate::Styrene, 50];
        yield [Substrate::Abs, 50];
        yield [Substrate::ClearStyrene, 45];
        yield [Substrate::Petg, 45];
        yield [Substrate::Resin, 40];
        yield [Substrate::Printed, 40];
        yield [Substrate::SoftVinyl, 35];
    }

    public function test_film_of_a_coat_and_coats_of_a_colour(): void
    {
        self::assertSame([4.0, 8.0, 12.0, 16.0, 20.0], array_map(static fn (CoatKind $k): float => $k->filmMicrons(8), CoatKind::cases()));
        self::assertSame([2, 2, 3, 4], array_map(static fn (Opacity $o): int => $o->coats(), Opacity::cases()));
    }

    public function test_every_thing_has_a_word(): void
    {
        foreach ([Family::class, Glue::class, Filler::class, Medium::class, Substrate::class] as $enum) {
            $words = array_map(static fn (object $case): string => $case->word(), $enum::cases());
            self::assertSame($words, array_unique($words), $enum);
            self::assertNotContains('', $words, $enum);
        }
    }
}
