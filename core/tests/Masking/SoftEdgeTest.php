<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Masking;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Masking\SoftEdge;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** From the width of a soft edge to the roll that makes it, and back. */
final class SoftEdgeTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, float}> roll, tilt, width, how far from the line */
    public static function rolls(): iterable
    {
        yield 'upright' => [4, 0, 1.00, 2.00];
        yield 'leaning' => [4, 15, 1.35, 2.61];
        yield 'a thick roll, leaning far' => [6, 30, 3.00, 5.20];
    }

    #[DataProvider('rolls')]
    public function test_a_roll_makes_an_edge_as_wide_and_as_far_from_the_line(float $roll, float $tilt, float $width, float $moved): void
    {
        $edge = SoftEdge::ofRoll($roll, $tilt);

        self::assertEqualsWithDelta([$width, $moved], [$edge->widthMm, $edge->movedMm], 0.005);
        self::assertEqualsWithDelta($roll, SoftEdge::rollFor($edge->widthMm, $tilt)->rollMm, 1e-9, 'and back');
        // Traced: the rays that pass the roll lie between its shadow's edge and where half the cloud is hidden.
        $touch = $roll / 2 * (1 / cos(deg2rad($tilt)) + tan(deg2rad($tilt)));
        self::assertEqualsWithDelta($touch, $edge->movedMm, 1e-9);
    }

    public function test_two_millimetres_at_fifteen_degrees_want_a_roll_of_five_point_nine(): void
    {
        self::assertEqualsWithDelta(5.9, SoftEdge::rollFor(2.0, 15)->rollMm, 0.05);
    }

    public function test_a_card_held_off_makes_one_too(): void
    {
        self::assertEqualsWithDelta([1.0, 0.0], [SoftEdge::ofCard(2)->widthMm, SoftEdge::ofCard(2)->movedMm], 1e-9);
        $leaning = SoftEdge::ofCard(3, 30);
        self::assertEqualsWithDelta([2.0, 1.732], [$leaning->widthMm, $leaning->movedMm], 0.001);
        self::assertEqualsWithDelta(3.0, SoftEdge::cardFor(2.0, 30)->standOffMm, 1e-9);
    }

    public function test_what_cannot_be_made_so_says_what_would(): void
    {
        self::assertSame('', SoftEdge::rollFor(1.0)->else());
        self::assertStringContainsString('tape it', SoftEdge::rollFor(0.2)->else());
        self::assertStringContainsString('freehand', SoftEdge::rollFor(4.5)->else());
        $this->expectException(BadDocument::class);
        SoftEdge::ofRoll(4, 80);
    }
}
