<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Colour;

use AmberStep\Core\Colour\KubelkaMunk;
use AmberStep\Core\Colour\Ratio;
use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Colour\WashColour;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The nearest whole ratio of some jars is the one an exhaustive search finds; a wash is chosen by how light its base is. */
final class RatioTest extends TestCase
{
    /** @param  non-empty-list<string>  $jars */
    #[DataProvider('jars')]
    public function test_it_is_what_trying_every_ratio_finds(array $jars, string $wanted): void
    {
        $paints = array_map(static fn (string $hex): array => [Spectrum::of($hex), 1.0, 0.8], $jars);
        $target = Srgb::fromHex($wanted)->lab();
        $found = Ratio::matching($target, $paints);
        // By the mixing formula itself, without any of what the search remembers.
        $all = [];
        for ($i = 1; $i < 11 ** count($jars); $i++) {
            $parts = array_map(static fn (int $j): int => intdiv($i, 11 ** $j) % 11, array_keys($jars));
            $mix = KubelkaMunk::mix(array_map(static fn (array $p, int $n): array => [$p[0], $n, $p[1], $p[2]], $paints, $parts));
            $all[] = round($mix->lab()->deltaE($target), 7);
        }
        $all = array_unique($all);
        sort($all);

        self::assertSame(array_slice($all, 0, 1), array_map(static fn (Ratio $r): float => round($r->differs, 7), array_slice($found, 0, 1)));
        self::assertCount(5, $found);
        self::assertSame($found, array_values($found));
        foreach ($found as $n => $ratio) {
            self::assertContains(round($ratio->differs, 7), $all);
            self::assertTrue($n === 0 || $ratio->differs >= $found[$n - 1]->differs - 1e-9, 'nearest first');
        }
    }

    /** @return iterable<string, array{non-empty-list<string>, string}> */
    public static function jars(): iterable
    {
        yield 'two' => [['#F5F5F0', '#1E4696'], '#7C96A3'];
        yield 'two that cannot reach it' => [['#F5F5F0', '#232325'], '#BE1E23'];
        yield 'three' => [['#F5F5F0', '#1E4696', '#F0C41E'], '#7FA07A'];
    }

    public function test_a_jar_by_itself_is_found_and_equal_ratios_are_tried_once(): void
    {
        $paints = [[Spectrum::of('#7C96A3'), 1.0, 0.8], [Spectrum::of('#F5F5F0'), 1.0, 1.4]];
        $found = Ratio::matching(KubelkaMunk::mix([[$paints[0][0], 1, 1, 0.8]])->lab(), [[$paints[0][0], 1.0, 0.8], [$paints[1][0], 1.0, 1.4]]);

        self::assertSame([1, 0], $found[0]->parts);
        self::assertEqualsWithDelta(0, $found[0]->differs, 1e-6);
        self::assertSame('nobody sees it', $found[0]->says());
        self::assertSame('not reached with these', Ratio::matching(Srgb::fromHex('#BE1E23')->lab(), $paints)[0]->says());
        self::assertCount(5, array_unique(array_map(static fn (Ratio $r): string => implode(':', $r->parts), $found)));
    }

    public function test_the_wash_goes_by_the_lightness_of_its_base(): void
    {
        $names = array_map(static fn (string $hex): string => WashColour::for(Srgb::fromHex($hex)->lab())[0], ['#F5F5F0', '#B79F78', '#6B7278', '#3A3D40', '#101214']);

        self::assertSame(['mid grey', 'warm brown', 'dark brown to black', 'black', 'a lighter grey'], $names);
        $grey = Srgb::fromHex('#7C96A3')->lab();
        self::assertStringStartsWith('hardly', WashColour::reads($grey, Srgb::fromHex('#7A94A1')->lab()));
        self::assertStringStartsWith('softly', WashColour::reads($grey, Srgb::fromHex('#667C88')->lab()));
        self::assertStringStartsWith('strongly', WashColour::reads($grey, Srgb::fromHex('#2B1E14')->lab()));
    }
}
