<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/**
 * What goes with a thing that is taken out of a kit: an area's edges, a part's areas and joints.
 *
 * @phpstan-type Thing array<string, mixed>
 */
final class Removal
{
    /**
     * A document without anything that speaks of what is no longer in it.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    public static function withoutLoose(array $document): array
    {
        $parts = self::ids($document, 'parts');
        $colours = self::ids($document, 'colours');
        $document['areas'] = self::keep($document, 'areas', static fn (array $a): bool => self::has($parts, [$a['part']]));
        $document['parts'] = array_map(static fn (array $p): array => [...$p, 'inside' => self::has($parts, [$p['inside'] ?? null]) ? $p['inside'] : null], self::things($document, 'parts'));
        $document['joints'] = self::keep($document, 'joints', static fn (array $j): bool => self::has($parts, $j['parts']));
        $document['pieces'] = self::keep($document, 'pieces', static fn (array $p): bool => self::has($parts, [$p['id']]));
        $document['flaws'] = self::keep($document, 'flaws', static fn (array $f): bool => self::has($parts, [$f['part']]));
        $document['features'] = self::keep($document, 'features', static fn (array $f): bool => self::has($parts, [$f['part']]));
        $areas = self::ids($document, 'areas');
        $document['edges'] = self::keep($document, 'edges', static fn (array $e): bool => self::has($areas, $e['areas']));
        $document['areas'] = array_map(static fn (array $a): array => self::area($a, $areas, $colours), self::things($document, 'areas'));
        $document['joints'] = array_map(static fn (array $j): array => [...$j, 'blocks' => array_values(array_filter(is_array($j['blocks'] ?? null) ? $j['blocks'] : [], static fn (mixed $b): bool => self::has($areas, [$b])))], self::things($document, 'joints'));
        $document['callouts'] = self::keep($document, 'callouts', static fn (array $c): bool => ($c['colour'] ?? null) === null || self::has($colours, [$c['colour']]));
        $document['masks'] = array_map(static fn (array $m): array => [...$m, 'area' => self::has($areas, [$m['area'] ?? null]) ? $m['area'] : null, 'stage' => self::has($colours, [$m['stage'] ?? null]) ? $m['stage'] : null], self::things($document, 'masks'));
        $known = [...$parts, ...$areas, ...self::ids($document, 'joints'), ...self::ids($document, 'flaws')];
        $document['photos'] = self::keep($document, 'photos', static fn (array $p): bool => self::has($known, [$p['target'] ?? null]));
        $document['photos'] = array_map(static fn (array $p): array => [...$p, 'marks' => array_values(array_filter(self::things($p, 'marks'), static fn (array $m): bool => ($m['area'] ?? null) === null || self::has($areas, [$m['area']])))], self::things($document, 'photos'));
        $document['proposed'] = self::keep($document, 'proposed', static fn (array $p): bool => self::has($known, [$p['of']]));
        $document['inserted'] = self::keep($document, 'inserted', static fn (array $i): bool => self::has($known, $i['targets']));
        $document['pins'] = self::keep($document, 'pins', static fn (array $p): bool => ($p['target'] ?? null) === null || self::has($known, [$p['target']]));

        return $document;
    }

    /**
     * The edits that take a thing out, and all that only makes sense with it.
     *
     * @return list<Edit>
     */
    public static function of(Kit $kit, string $list, string $id): array
    {
        $document = $kit->toArray();
        $document[$list] = self::keep($document, $list, static fn (array $thing): bool => $thing['id'] !== $id);

        return KitDiff::edits($kit, Kit::fromArray(self::withoutLoose($document)));
    }

    /**
     * @param  Thing  $area
     * @param  array<string, true>  $areas
     * @param  array<string, true>  $colours
     * @return Thing
     */
    private static function area(array $area, array $areas, array $colours): array
    {
        $intent = is_array($area['intent'] ?? null) ? $area['intent'] : [];
        foreach (['colour', 'insideColour', 'ground', 'preshade'] as $field) {
            $intent[$field] = self::has($colours, [$intent[$field] ?? null]) ? $intent[$field] : null;
        }

        return [...$area, 'seenThrough' => self::has($areas, [$area['seenThrough'] ?? null]) ? $area['seenThrough'] : null, 'intent' => $intent];
    }

    /** @param  array<string, true>  $known */
    private static function has(array $known, mixed $ids): bool
    {
        foreach (is_array($ids) ? $ids : [] as $id) {
            if (! is_string($id) || ! isset($known[$id])) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, true>
     */
    private static function ids(array $document, string $list): array
    {
        $ids = [];
        foreach (self::things($document, $list) as $thing) {
            if (is_string($thing['id'])) {
                $ids[$thing['id']] = true;
            }
        }

        return $ids;
    }

    /**
     * @param  array<string, mixed>  $document
     * @param  callable(Thing): bool  $stays
     * @return list<Thing>
     */
    private static function keep(array $document, string $list, callable $stays): array
    {
        return array_values(array_filter(self::things($document, $list), $stays));
    }

    /**
     * @param  array<string, mixed>  $document
     * @return list<Thing>
     */
    private static function things(array $document, string $list): array
    {
        /** @var list<Thing> */
        return $document[$list] ?? [];
    }
}
