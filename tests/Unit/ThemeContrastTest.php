<?php

declare(strict_types=1);

namespace Tests\Unit;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The theme's tokens against WCAG 2.2: text 4.5:1, marks and rules 3:1, in both surrounds; greys without hue. */
final class ThemeContrastTest extends TestCase
{
    #[DataProvider('pairs')]
    public function test_a_pair_of_tokens_contrasts_enough(string $surround, string $ink, string $ground, float $least): void
    {
        $tokens = self::tokens($surround);
        $ratio = self::contrast($tokens[$ink], $tokens[$ground]);

        self::assertGreaterThanOrEqual($least, $ratio, sprintf('%s on %s in %s: %.2f', $ink, $ground, $surround, $ratio));
    }

    /** @return iterable<string, array{string, string, string, float}> */
    public static function pairs(): iterable
    {
        foreach (['day', 'booth'] as $surround) {
            foreach (['ink', 'ink-soft', 'ink-faint', 'vermilion-text'] as $ink) {
                foreach (['ground', 'surface', 'raised'] as $ground) {
                    yield "{$surround} {$ink} on {$ground}" => [$surround, $ink, $ground, 4.5];
                }
            }
            yield "{$surround} press" => [$surround, 'press-ink', 'press', 4.5];
            yield "{$surround} edge" => [$surround, 'edge-soft', 'edge', 4.5];
            yield "{$surround} field border" => [$surround, 'rule-strong', 'surface', 3];
            yield "{$surround} closing" => [$surround, 'vermilion', 'surface', 3];
        }
        // Amber and the shut bar: by their own colour in Booth, by the line round them in Day.
        yield 'booth amber' => ['booth', 'amber', 'surface', 3];
        yield 'booth shut' => ['booth', 'shut', 'surface', 3];
        yield 'day outline' => ['day', 'mark-line', 'surface', 3];
    }

    public function test_only_amber_and_vermilion_have_a_hue(): void
    {
        foreach (['day', 'booth'] as $surround) {
            foreach (self::tokens($surround) as $name => $colour) {
                [$r, $g, $b] = sscanf($colour, '#%02x%02x%02x');
                self::assertSame(str_starts_with($name, 'amber') || str_starts_with($name, 'vermilion'), $r !== $g || $g !== $b, "{$name} in {$surround}");
            }
        }
    }

    /** @return array<string, string> hex colours by token */
    private static function tokens(string $surround): array
    {
        $css = (string) file_get_contents(__DIR__.'/../../web/theme/tokens.css');
        $blocks = explode(":root[data-surround='booth']", $css);
        preg_match_all('/--([a-z-]+): (#[0-9a-f]{6});/', $blocks[$surround === 'day' ? 0 : 1], $m);

        return array_combine($m[1], $m[2]);
    }

    private static function contrast(string $a, string $b): float
    {
        $light = static function (string $hex): float {
            $linear = array_map(static fn (int $c): float => $c / 255 <= 0.04045 ? $c / 255 / 12.92 : (($c / 255 + 0.055) / 1.055) ** 2.4, (array) sscanf($hex, '#%02x%02x%02x'));

            return 0.2126 * $linear[0] + 0.7152 * $linear[1] + 0.0722 * $linear[2];
        };
        [$high, $low] = [max($light($a), $light($b)), min($light($a), $light($b))];

        return ($high + 0.05) / ($low + 0.05);
    }
}
