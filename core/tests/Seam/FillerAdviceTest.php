<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Seam;

use AmberStep\Core\Material\Access;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\FillerAdvice;
use AmberStep\Core\Material\Gap;
use AmberStep\Core\Material\Shim;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which filler for which gap (handbook 2, Fillers), and card for a straight one (handbook 4, Shim). */
final class FillerAdviceTest extends TestCase
{
    #[DataProvider('gaps')]
    public function test_the_first_that_applies_is_taken(Gap $gap, Filler $filler, string $why, string $how): void
    {
        $advice = FillerAdvice::for($gap);

        self::assertSame($filler, $advice->filler);
        self::assertStringContainsString($why, $advice->why);
        self::assertStringContainsString($how, implode(' ', $advice->how));
        self::assertNotNull($advice->runnerUp);
        self::assertNotSame($filler, $advice->runnerUp[0]);
    }

    /** @return iterable<string, array{Gap, Filler, string, string}> */
    public static function gaps(): iterable
    {
        yield 'where sanding would kill detail' => [new Gap(0.9, Access::None), Filler::ClearGlue, 'wiped wet', 'damp bud'];
        yield 'a wide straight gap' => [new Gap(0.9), Filler::Shim, 'card does not shrink', 'Card of 0.75 mm (30 thou), cemented in proud, then a skim for 0.15 mm (6 thou).'];
        yield 'a wide shaped one' => [new Gap(0.9, shaped: true), Filler::EpoxyPutty, 'modelled', 'Tool it wet'];
        yield 'a wide one that is not straight' => [new Gap(0.9, straight: false), Filler::WaterPutty, 'over 0.3 mm', 'In 2 layers'];
        yield 'a line through it' => [new Gap(0.2, rescribed: true, lengthCm: 8), Filler::Superglue, 'putty chips', '3 of them'];
        yield 'a line through it beside a pane' => [new Gap(0.2, rescribed: true, paneBeside: true), Filler::EpoxyPutty, 'putty chips', 'Sand it after 24 h'];
        yield 'tonight' => [new Gap(0.2, tonight: true), Filler::SuperglueAccelerated, 'two minutes', 'before 30 min'];
        yield 'tonight beside a pane' => [new Gap(0.2, tonight: true, paneBeside: true), Filler::LightCured, 'no vapour', 'Waxy'];
        yield 'a hair' => [new Gap(0.05), Filler::Surfacer, 'brushed coat', 'Sand it after 4 h'];
        yield 'narrow' => [new Gap(0.15), Filler::SolventPutty, 'bites', 'Sand it after 2 h'];
        yield 'narrow, but it shrinks' => [new Gap(0.29), Filler::SolventPutty, 'bites', 'plan a second pass. Sand it after 12 h'];
        yield 'tight' => [new Gap(0.2, Access::Detail), Filler::SolventPutty, 'bites', 'Tape on either side'];
        yield 'water putty is sealed' => [new Gap(0.45, straight: false), Filler::WaterPutty, 'over 0.3 mm', 'sealing coat'];
    }

    public function test_no_superglue_near_a_pane_whatever_else_is_asked(): void
    {
        foreach ([0.03, 0.2, 0.9, 3.0] as $mm) {
            foreach (Access::cases() as $access) {
                foreach (range(0, 15) as $bits) {
                    $advice = FillerAdvice::for(new Gap($mm, $access, ($bits & 1) === 1, ($bits & 2) === 2, true, ($bits & 4) === 4, ($bits & 8) === 8));
                    foreach ([$advice->filler, $advice->runnerUp[0] ?? null] as $filler) {
                        self::assertNotContains($filler, [Filler::Superglue, Filler::SuperglueAccelerated]);
                    }
                }
            }
        }
    }

    public function test_every_filler_of_the_table_is_reached(): void
    {
        $reached = [];
        foreach ([0.03, 0.2, 0.9] as $mm) {
            foreach (Access::cases() as $access) {
                foreach (range(0, 31) as $bits) {
                    $advice = FillerAdvice::for(new Gap($mm, $access, ($bits & 1) === 1, ($bits & 2) === 2, ($bits & 16) === 16, ($bits & 4) === 4, ($bits & 8) === 8));
                    $reached[$advice->filler->value] = $reached[$advice->runnerUp[0]->value ?? ''] = true;
                }
            }
        }

        self::assertEqualsCanonicalizing(array_map(static fn (Filler $f): string => $f->value, Filler::cases()), array_keys(array_filter($reached, static fn ($v, $k): bool => $k !== '', ARRAY_FILTER_USE_BOTH)));
    }

    /** @param  list<float>  $card */
    #[DataProvider('shims')]
    public function test_the_thickest_card_goes_in_until_less_than_a_third_of_a_millimetre_is_left(float $gap, array $card, float $rest): void
    {
        $shim = Shim::of($gap);

        self::assertSame($card, $shim->card);
        self::assertEqualsWithDelta($rest, $shim->rest, 1e-9);
        self::assertEqualsWithDelta($gap, array_sum($shim->card) + $shim->rest, 1e-9);
        self::assertLessThan(0.3, $shim->rest);
    }

    /** @return iterable<string, array{float, list<float>, float}> */
    public static function shims(): iterable
    {
        yield 'the handbooks' => [0.9, [0.75], 0.15];
        yield 'just enough' => [0.3, [0.25], 0.05];
        yield 'twice' => [1.1, [1.0], 0.1];
        yield 'again while 0.3 is left' => [1.9, [1.5, 0.38], 0.02];
        yield 'wide' => [5.0, [2.0, 2.0, 1.0], 0.0];
    }
}
