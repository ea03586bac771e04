<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Material;

use AmberStep\Core\Material\Glue;
use AmberStep\Core\Material\GlueChoice;
use AmberStep\Core\Material\Substrate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which glue for which joint (handbook 2, Glues). */
final class GlueChoiceTest extends TestCase
{
    #[DataProvider('joints')]
    public function test_each_kind_of_joint_gets_its_glue(Substrate $a, Substrate $b, bool $load, bool $removable, bool $seam, Glue $glue, string $because): void
    {
        [$chosen, $why] = GlueChoice::for($a, $b, $load, $removable, $seam);

        self::assertSame($glue, $chosen);
        self::assertStringContainsString($because, $why);
        self::assertSame($chosen, GlueChoice::for($b, $a, $load, $removable, $seam)[0], 'it does not matter which part is named first');
    }

    /** @return iterable<string, array{Substrate, Substrate, bool, bool, bool, Glue, string}> */
    public static function joints(): iterable
    {
        yield 'styrene on styrene' => [Substrate::Styrene, Substrate::Styrene, false, false, false, Glue::ThinCement, 'flows in by itself'];
        yield 'a seam' => [Substrate::Styrene, Substrate::Styrene, false, false, true, Glue::SlowCement, 'time to align'];
        yield 'a loaded styrene joint' => [Substrate::Styrene, Substrate::Styrene, true, false, false, Glue::ThinCement, 'styrene on styrene'];
        yield 'etch' => [Substrate::Styrene, Substrate::Brass, false, false, false, Glue::Superglue, 'does not hold styrene on brass'];
        yield 'a metal jib that carries load' => [Substrate::Aluminium, Substrate::Styrene, true, false, false, Glue::Epoxy, 'carries load'];
        yield 'resin' => [Substrate::Resin, Substrate::Styrene, false, false, true, Glue::Superglue, 'does not hold resin'];
        yield 'a pane' => [Substrate::ClearStyrene, Substrate::Styrene, false, false, false, Glue::ClearGlue, 'no vapour'];
        yield 'a pane that carries load' => [Substrate::ClearStyrene, Substrate::Styrene, true, false, false, Glue::Epoxy, 'no vapour to fog'];
        yield 'two clear halves' => [Substrate::ClearStyrene, Substrate::ClearStyrene, false, false, false, Glue::ThinCement, 'styrene on styrene'];
        yield 'what comes off again' => [Substrate::Styrene, Substrate::Styrene, true, true, false, Glue::ClearGlue, 'comes off again'];
        yield 'PETG' => [Substrate::Petg, Substrate::Styrene, false, false, false, Glue::Superglue, 'PETG sheet'];
        yield 'vinyl' => [Substrate::SoftVinyl, Substrate::SoftVinyl, false, false, true, Glue::Superglue, 'soft vinyl'];
    }

    public function test_what_is_proposed_always_will_do(): void
    {
        foreach (Substrate::cases() as $a) {
            foreach (Substrate::cases() as $b) {
                foreach ([[false, false], [true, false], [false, true]] as [$load, $removable]) {
                    [$glue] = GlueChoice::for($a, $b, $load, $removable, false);
                    self::assertTrue(GlueChoice::fits($glue, $a, $b, $load, $removable), "{$a->value} on {$b->value}: {$glue->value}");
                }
            }
        }
    }

    public function test_cement_is_never_said_to_hold_metal_resin_vinyl_or_petg(): void
    {
        foreach (Substrate::cases() as $other) {
            foreach ([Glue::ThinCement, Glue::SlowCement] as $cement) {
                self::assertSame($other->takesCement(), GlueChoice::holds($cement, Substrate::Styrene, $other), $other->value);
            }
            self::assertTrue(GlueChoice::holds(Glue::Epoxy, Substrate::Styrene, $other));
        }
    }

    public function test_each_glue_says_how_it_is_dosed_and_what_to_look_out_for(): void
    {
        foreach (Glue::cases() as $glue) {
            self::assertMatchesRegularExpression('/\A[A-Z].{30,160}\.\z/', GlueChoice::dose($glue));
            self::assertNotSame([], GlueChoice::lookOut($glue));
            self::assertGreaterThan($glue->handleMinutes(), $glue->fullMinutes());
        }
        self::assertStringContainsString('fogs', implode(' ', GlueChoice::lookOut(Glue::Superglue)));
        self::assertStringContainsString('creeps', implode(' ', GlueChoice::lookOut(Glue::ThinCement)));
        self::assertStringContainsString('squeeze-out', implode(' ', GlueChoice::lookOut(Glue::SlowCement)));
    }
}
