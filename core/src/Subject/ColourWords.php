<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

/** A first swatch for a paint that is known by its words only, to be put right by eye. */
final class ColourWords
{
    private const HUES = [
        'black' => '#2A2A2A', 'white' => '#F2F2EE', 'grey' => '#8A9096', 'gray' => '#8A9096', 'red' => '#B02A24', 'orange' => '#D9772B', 'yellow' => '#E8B923', 'green' => '#4F6B4A', 'blue' => '#3B5C8C', 'brown' => '#6B4A32', 'sand' => '#C9B184',
        'buff' => '#CBB68E', 'cream' => '#EADFC3', 'tan' => '#B08D5E', 'olive' => '#5C5B3A', 'silver' => '#B9BCC0', 'steel' => '#7A7F84', 'bronze' => '#8C6A3F', 'gold' => '#C29A3F', 'copper' => '#A8623C', 'rust' => '#8A4526', 'leather' => '#7A4A2C',
        'flesh' => '#D9A98A', 'wood' => '#A57C52', 'violet' => '#6A4C85', 'purple' => '#6A4C85', 'pink' => '#D58FA5', 'turquoise' => '#3F9AA0', 'dark' => '#33363A', 'primer' => '#9B9B9B', 'rubber' => '#303030',
    ];

    private const LIGHTER = ['light' => 0.35, 'pale' => 0.5, 'dark' => -0.4, 'deep' => -0.3, 'medium' => 0.0];

    public static function swatch(string $words): string
    {
        $hex = '#8A9096';
        $by = 0.0;
        foreach (explode(' ', mb_strtolower($words)) as $word) {
            $hex = self::HUES[$word] ?? $hex;
            $by = self::LIGHTER[$word] ?? $by;
        }
        $rgb = array_map(static fn (string $two): int => (int) hexdec($two), str_split(substr($hex, 1), 2));

        return '#'.strtoupper(implode('', array_map(static fn (int $c): string => sprintf('%02X', (int) round($by >= 0 ? $c + (255 - $c) * $by : $c * (1 + $by))), $rgb)));
    }
}
