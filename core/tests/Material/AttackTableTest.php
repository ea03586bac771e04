<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Material;

use AmberStep\Core\Material\AttackTable;
use AmberStep\Core\Material\Below;
use AmberStep\Core\Material\Effect;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Substrate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Cells of "what attacks what" as the handbook gives them. */
final class AttackTableTest extends TestCase
{
    #[DataProvider('cells')]
    public function test_a_cell_of_the_table(Below $below, Liquid $liquid, Effect $before, Effect $after): void
    {
        self::assertSame([$before, $after], [AttackTable::before($below, $liquid), AttackTable::after($below, $liquid)]);
    }

    /** @return iterable<array{Below, Liquid, Effect, Effect}> */
    public static function cells(): iterable
    {
        yield [Below::WaterAcrylic, Liquid::Lacquer, Effect::Crazes, Effect::MistOnly];
        yield [Below::AlcoholAcrylic, Liquid::AlcoholAcrylic, Effect::ReMelts, Effect::Ok];
        yield [Below::Lacquer, Liquid::TwoPart, Effect::Soft, Effect::Ok];
        yield [Below::Enamel, Liquid::WaterAcrylic, Effect::Cracks, Effect::Ok];
        yield [Below::Enamel, Liquid::Lacquer, Effect::Wrinkles, Effect::Wrinkles];
        yield [Below::TwoPart, Liquid::WhiteSpirit, Effect::Ok, Effect::Scuff];
        yield [Below::ArtistOil, Liquid::WaterAcrylic, Effect::Lifts, Effect::Ok];
        yield [Below::Decal, Liquid::Lacquer, Effect::MistOnly, Effect::MistOnly];
    }

    public function test_old_enamel_takes_mists(): void
    {
        self::assertSame([90, Effect::MistOnly], AttackTable::aged(Below::Enamel, Liquid::Lacquer));
        self::assertSame([90, Effect::MistFirst], AttackTable::aged(Below::Enamel, Liquid::TwoPart));
        self::assertNull(AttackTable::aged(Below::Lacquer, Liquid::Lacquer));
    }

    public function test_bare_materials(): void
    {
        self::assertSame(Effect::DrawsBack, AttackTable::onBare(Substrate::Brass->below(), Liquid::WaterAcrylic));
        self::assertSame(Effect::StaysTacky, AttackTable::onBare(Substrate::SoftVinyl->below(), Liquid::WhiteSpirit));
        self::assertSame(Effect::Bites, AttackTable::onBare(Substrate::Petg->below(), Liquid::Lacquer));
    }

    public function test_enamel_cut_with_lacquer_thinner_counts_as_lacquer(): void
    {
        $paint = new Product('01K00000000000000000000001', 'x', '', Family::Enamel, Role::Colour, thinnedWith: Liquid::Lacquer);

        self::assertSame(Liquid::Lacquer, $paint->liquid());
    }
}
