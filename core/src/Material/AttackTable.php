<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/**
 * "What attacks what" of handbook 2. Before: from the recoat minimum to tape-safe (what dries by
 * leaving) or cured (what reacts). After: from then on. Aged: from so many days on.
 */
final class AttackTable
{
    /** Before, after. Columns in the order of Liquid: water, alcohol, lacquer, white spirit, two-part. */
    private const PAINT = [
        'water acrylic' => [[Effect::Ok, Effect::Ok], [Effect::Soft, Effect::MistFirst], [Effect::Crazes, Effect::MistOnly], [Effect::Ok, Effect::Ok], [Effect::Crazes, Effect::MistFirst]],
        'alcohol acrylic' => [[Effect::Ok, Effect::Ok], [Effect::ReMelts, Effect::Ok], [Effect::ReMelts, Effect::MistOnly], [Effect::Ok, Effect::Ok], [Effect::ReMelts, Effect::MistFirst]],
        'lacquer' => [[Effect::Ok, Effect::Ok], [Effect::Ok, Effect::Ok], [Effect::ReMelts, Effect::Ok], [Effect::Ok, Effect::Ok], [Effect::Soft, Effect::Ok]],
        'enamel' => [[Effect::Cracks, Effect::Ok], [Effect::Lifts, Effect::MistOnly], [Effect::Wrinkles, Effect::Wrinkles], [Effect::Soft, Effect::Ok], [Effect::Lifts, Effect::Lifts]],
        'two-part paint' => [[Effect::Ok, Effect::Scuff], [Effect::Ok, Effect::Scuff], [Effect::Wrinkles, Effect::Scuff], [Effect::Ok, Effect::Scuff], [Effect::Window, Effect::Scuff]],
        'artist oil' => [[Effect::Lifts, Effect::Ok], [Effect::Lifts, Effect::Ok], [Effect::Lifts, Effect::MistOnly], [Effect::Soft, Effect::RubsUp], [Effect::Lifts, Effect::Lifts]],
        'decal' => [[Effect::Ok, Effect::Ok], [Effect::MistOnly, Effect::MistOnly], [Effect::MistOnly, Effect::MistOnly], [Effect::Ok, Effect::Ok], [Effect::Soft, Effect::MistFirst]],
    ];

    private const BARE = [
        'bare styrene' => [Effect::Ok, Effect::Ok, Effect::Ok, Effect::Ok, Effect::PrimerFirst],
        'bare clear styrene' => [Effect::Ok, Effect::MistFirst, Effect::MistFirst, Effect::Ok, Effect::MistFirst],
        'acrylic sheet' => [Effect::PoorGrip, Effect::Crazes, Effect::Crazes, Effect::PoorGrip, Effect::ByLabel],
        'PETG sheet' => [Effect::PoorGrip, Effect::PoorGrip, Effect::Bites, Effect::Chips, Effect::PrimerFirst],
        'soft vinyl' => [Effect::Ok, Effect::Tries, Effect::Tries, Effect::StaysTacky, Effect::ByLabel],
        'bare metal' => [Effect::DrawsBack, Effect::DrawsBack, Effect::Ok, Effect::DrawsBack, Effect::PrimerFirst],
        'resin' => [Effect::Ok, Effect::Ok, Effect::Ok, Effect::Ok, Effect::PrimerFirst],
    ];

    /** Days from which a cell that stays bad turns mild: enamel under lacquer or two-part. */
    private const AGED = [
        'enamel' => ['lacquer thinner' => [90, Effect::MistOnly], 'two-part thinner' => [90, Effect::MistFirst]],
    ];

    public static function before(Below $below, Liquid $liquid): Effect
    {
        return self::paint($below, $liquid)[0];
    }

    public static function after(Below $below, Liquid $liquid): Effect
    {
        return self::paint($below, $liquid)[1];
    }

    /** @return array{int, Effect}|null days from which the second holds */
    public static function aged(Below $below, Liquid $liquid): ?array
    {
        return self::AGED[$below->value][$liquid->value] ?? null;
    }

    public static function onBare(Below $below, Liquid $liquid): Effect
    {
        return (self::BARE[$below->value] ?? self::BARE['bare styrene'])[self::column($liquid)];
    }

    /** @return array{Effect, Effect} */
    private static function paint(Below $below, Liquid $liquid): array
    {
        return (self::PAINT[$below->value] ?? self::PAINT['lacquer'])[self::column($liquid)];
    }

    /** @return int<0, 4> */
    private static function column(Liquid $liquid): int
    {
        return match ($liquid) {
            Liquid::WaterAcrylic => 0,
            Liquid::AlcoholAcrylic => 1,
            Liquid::Lacquer => 2,
            Liquid::WhiteSpirit => 3,
            Liquid::TwoPart => 4,
        };
    }
}
