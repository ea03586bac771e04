<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;

/** A shelf of invented paints. */
final class Paints
{
    private const ALL = [
        'grey primer' => ['polymer-primer', 'primer', '#9B9B9B', ['grade' => 1000]],
        'lacquer primer' => ['solvent-primer', 'primer', '#A6A6A4', ['grade' => 1000, 'bites' => true]],
        'gloss varnish' => ['water-varnish', 'varnish', null, ['sheen' => 'gloss']],
        'satin varnish' => ['water-varnish', 'varnish', null, ['sheen' => 'satin']],
        'matt varnish' => ['water-varnish', 'varnish', null, ['sheen' => 'matt']],
        'sea grey' => ['water-acrylic', 'colour', '#7C96A3', ['sheen' => 'satin']],
        'slate green' => ['water-acrylic', 'colour', '#56695A', ['sheen' => 'satin']],
        'pale grey' => ['water-acrylic', 'colour', '#C3CDD0', ['sheen' => 'satin']],
        'band yellow' => ['water-acrylic', 'colour', '#F0C41E', ['sheen' => 'satin', 'opacity' => 'weak']],
        'ground white' => ['water-acrylic', 'colour', '#F5F5F0', ['sheen' => 'matt', 'opacity' => 'fair']],
        'interior dark' => ['water-acrylic', 'colour', '#2B2F31', ['sheen' => 'matt', 'opacity' => 'opaque']],
        'alcohol sand' => ['alcohol-acrylic', 'colour', '#B79F78', ['sheen' => 'satin']],
        'lacquer red' => ['lacquer', 'colour', '#BE1E23', ['sheen' => 'gloss']],
        'lacquer bronze' => ['lacquer', 'metallic', '#8A6A45', ['sheen' => 'gloss']],
        'enamel brown' => ['enamel', 'colour', '#5B4636', ['sheen' => 'satin']],
        'two-part clear' => ['two-part', 'varnish', null, ['sheen' => 'gloss']],
        'oil umber' => ['artist-oil', 'wash', '#4A3A2A', []],
        'enamel wash' => ['enamel', 'wash', '#3F352B', []],
        'acrylic wash' => ['water-acrylic', 'wash', '#3F352B', []],
    ];

    /**
     * @param  list<string>  $without
     * @param  array<string, array{string, string, string|null, array<string, mixed>}>  $more  in front of the others
     */
    public static function shelf(Names $names, array $without = [], array $more = []): Shelf
    {
        $products = [];
        foreach ([...array_map(static fn (array $p): array => $p + [3 => []], $more), ...array_diff_key(self::ALL, [...array_flip($without), ...$more])] as $name => [$family, $role, $swatch, $rest]) {
            $mix = isset($rest['mix']) ? ['mix' => self::mix($rest['mix'], $rest['asks'] ?? [], $names)] : [];
            unset($rest['asks']);
            $products[] = Product::fromArray(['id' => $names->id($name), 'name' => $name, 'family' => $family, 'role' => $role, 'swatch' => $swatch, ...$rest, ...$mix]);
        }

        return new Shelf($products);
    }

    /**
     * A recipe written {sea grey: 3, ground white: 1, thinner: 2}.
     *
     * @param  array<string, float>  $said
     * @param  list<array<string, mixed>>  $asks
     * @return array<string, mixed>
     */
    private static function mix(array $said, array $asks, Names $names): array
    {
        return ['parts' => array_map(static fn (string $name, float $amount): array => ['product' => $name === 'thinner' ? null : $names->id($name), 'name' => $name, 'stuff' => $name === 'thinner' ? 'water' : 'paint', 'amount' => $amount, 'base' => 'parts'], array_keys($said), $said), 'asks' => $asks];
    }
}
