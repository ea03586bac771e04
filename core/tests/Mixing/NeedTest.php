<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Mixing;

use AmberStep\Core\Log\UseBook;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Tool;
use AmberStep\Core\Mixing\Need;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How much to mix: the sum of handbook 4, Amount, line by line. */
final class NeedTest extends TestCase
{
    public function test_the_check_value_of_the_handbook(): void
    {
        $need = Need::of(196, 3, 9, 0.22, Tool::Airbrush, 1.5, true);

        self::assertEqualsWithDelta([0.529, 4.81], [$need->dryMl, $need->neatMl], 0.005);
        self::assertEqualsWithDelta($need->neatMl * 2.5, $need->mixMl, 1e-9);
        self::assertEqualsWithDelta(1.2 * ($need->mixMl + 0.3), $need->totalMl, 1e-9, 'what the gun keeps, and a fifth spare');
        self::assertSame(['196 cm² × 3 coats × 9 µm dry', '22 % solids, 50 % reaches the model', 'thinned, 1.5 thinner to 1 paint', 'cup and needle keep', 'spare for touch-ups, mixed colour'], array_column($need->lines(), 0));
    }

    #[DataProvider('tools')]
    public function test_each_tool_lays_and_keeps_its_share(Tool $tool, float $transfer, float $keeps): void
    {
        $need = Need::of(100, 2, 10, 0.5, $tool, 1, false);

        self::assertEqualsWithDelta(0.2 / 0.5 / $transfer, $need->neatMl, 1e-9);
        self::assertSame($keeps, $need->keptMl);
        self::assertSame($tool->isAirbrush() ? 2 * $need->neatMl : $need->neatMl, $need->mixMl, 'nothing else is thinned for it');
        self::assertNotSame('', $tool->word());
    }

    /** @return iterable<string, array{Tool, float, float}> */
    public static function tools(): iterable
    {
        yield 'over 30 mm wide' => [Tool::Airbrush, 0.5, 0.3];
        yield 'small parts' => [Tool::AirbrushSmall, 0.25, 0.3];
        yield 'rails and etch' => [Tool::AirbrushRails, 0.1, 0.3];
        yield 'a can' => [Tool::Aerosol, 0.35, 0.0];
        yield 'a brush' => [Tool::Brush, 0.95, 0.2];
    }

    public function test_never_less_than_flows_and_twice_the_area_takes_twice_the_paint(): void
    {
        self::assertSame(Need::LEAST_IN_THE_CUP, Need::of(1, 1, 5, 0.3, Tool::Airbrush, 0, false)->totalMl);
        self::assertLessThan(Need::LEAST_IN_THE_CUP, Need::of(1, 1, 5, 0.3, Tool::Aerosol, 0, false)->totalMl, 'a can has no cup');
        self::assertEqualsWithDelta(2 * Need::of(90, 3, 8, 0.3, Tool::Airbrush, 1, false)->mixMl, Need::of(180, 3, 8, 0.3, Tool::Airbrush, 1, false)->mixMl, 1e-9);
    }

    public function test_what_guns_took_is_told_apart_by_nozzle_and_family(): void
    {
        $book = new UseBook([[0.35, Family::WaterAcrylic, 3.0, 2.0], [0.35, Family::WaterAcrylic, 2.0, 3.0], [0.35, Family::Lacquer, 4.0, 2.0], [0.2, Family::WaterAcrylic, 90.0, 2.0]]);

        self::assertSame([2, 1.0], [$book->of(0.35, Family::WaterAcrylic)->jobs, round($book->of(0.35, Family::WaterAcrylic)->factor, 9)], 'half as much again and a third less cancel');
        self::assertEqualsWithDelta(2.0, $book->of(0.35, Family::Lacquer)->factor, 1e-9);
        self::assertEqualsWithDelta(3.0, $book->of(0.2, Family::WaterAcrylic)->factor, 1e-9, 'a slip of the pen goes only so far');
        self::assertSame([0, 0, 0], [$book->of(0.5, Family::WaterAcrylic)->jobs, $book->of(null, Family::Lacquer)->jobs, (new UseBook)->of(0.35, Family::Lacquer)->jobs]);
    }

    public function test_its_first_line_reads_as_one_says_it(): void
    {
        $line = static fn (float $coats): string => Need::of(88, $coats, 8, 0.3, Tool::Airbrush, 0.25, false)->lines()[0][0];

        self::assertSame(['88 cm² × 1 coat × 8 µm dry', '88 cm² × 1.5 coats × 8 µm dry'], [$line(1), $line(1.5)]);
    }
}
