<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use AmberStep\Core\Kit\Kit;
use DateTimeZone;

/** Reads a kit written in names instead of ids. */
final class KitWords
{
    private const INTENT = ['colour', 'insideColour', 'ground', 'preshade', 'decals', 'wash', 'sheen', 'polish'];

    public function __construct(private readonly Names $names, private readonly DateTimeZone $zone)
    {
    }

    /** @param  array<string, mixed>  $said */
    public function kit(array $said): Kit
    {
        $kit = $said['kit'];
        $parts = $this->parts($kit['parts']);
        $colours = [];
        foreach ($kit['colours'] ?? [] as $name => $colour) {
            $colour = is_array($colour) ? $colour : ['product' => $colour];
            $colours[] = ['id' => $this->names->id('colour '.$name), 'position' => count($colours), 'name' => $name, 'product' => $this->names->id($colour['product'] ?? $name), 'mustMatch' => $colour['mustMatch'] ?? false];
        }
        $areas = $this->areas($kit['areas'] ?? []);

        return Kit::fromArray([
            'name' => $said['title'] ?? 'A build', 'scale' => 72, 'zone' => $this->zone->getName(),
            'parts' => $parts, 'colours' => $colours, 'areas' => $areas,
            'joints' => $this->joints($kit['joints'] ?? []),
            'edges' => $this->edges($kit['edges'] ?? []),
            'pieces' => array_map(fn (string $part, string $name): array => ['id' => $this->names->id($part), 'name' => $name], array_keys($kit['pieces'] ?? []), array_values($kit['pieces'] ?? [])),
            'flaws' => array_map(fn (array $f, int $i): array => ['id' => $this->names->id($f['where'] ?? "flaw {$i}"), 'position' => $i, ...$f, 'part' => $this->names->id($f['part'])], $kit['flaws'] ?? [], array_keys($kit['flaws'] ?? [])),
            'masks' => array_map(fn (array $m, int $i): array => ['id' => $this->names->id("mask {$i}"), 'position' => $i, ...$m, ...(isset($m['area']) ? ['area' => $this->names->id($m['area'])] : [])], $kit['masks'] ?? [], array_keys($kit['masks'] ?? [])),
            'house' => $said['house'] ?? [],
            'pins' => $this->things('pins', $kit['pins'] ?? []),
            'inserted' => $this->things('inserted', $kit['inserted'] ?? []),
            'orders' => array_map(fn (array $o, int $i): array => ['id' => $this->names->id("order {$i}"), 'first' => $this->key($o['first']), 'then' => $this->key($o['then'])], $kit['orders'] ?? [], array_keys($kit['orders'] ?? [])),
            'notBefore' => array_map(fn (array $o, int $i): array => ['id' => $this->names->id("time {$i}"), 'step' => $this->key($o['step']), 'at' => gmdate('Y-m-d\TH:i:s\Z', (int) strtotime($o['at'])), 'exactly' => $o['exactly'] ?? false], $kit['notBefore'] ?? [], array_keys($kit['notBefore'] ?? [])),
        ]);
    }

    /** "hull/colour/sea grey/2" with names for ids. */
    public function key(string $words): string
    {
        [$target, $operation, $purpose, $n] = explode('/', $words);

        return $this->names->id($target).'/'.$operation.'/'.$this->purpose($purpose).'/'.$n;
    }

    private function purpose(string $purpose): string
    {
        $known = fn (string $word): string => $this->names->has('colour '.$word) ? $this->names->id('colour '.$word) : ($this->names->has($word) && ! in_array($word, ['panes', 'all', 'bare', 'prime'], true) ? $this->names->id($word) : $word);

        return implode('+', array_map($known, explode('+', $purpose)));
    }

    /**
     * @param  array<string, mixed>  $said
     * @return list<array<string, mixed>>
     */
    private function parts(array $said): array
    {
        $parts = [];
        foreach ($said as $name => $part) {
            $part = is_array($part) ? $part : ['substrate' => $part];
            $parts[] = ['id' => $this->names->id($name), 'position' => count($parts), 'name' => $name, ...$part, ...(isset($part['inside']) ? ['inside' => $this->names->id($part['inside'])] : [])];
        }

        return $parts;
    }

    /**
     * @param  array<string, array<string, mixed>>  $said
     * @return list<array<string, mixed>>
     */
    private function areas(array $said): array
    {
        $areas = [];
        foreach ($said as $name => $area) {
            $intent = array_intersect_key($area, array_flip(self::INTENT));
            foreach (['colour', 'insideColour', 'ground', 'preshade'] as $field) {
                if (isset($intent[$field])) {
                    $intent[$field] = $this->names->id('colour '.$intent[$field]);
                }
            }
            $areas[] = ['id' => $this->names->id($name), 'position' => count($areas), 'name' => $name, ...array_diff_key($area, array_flip(self::INTENT)), 'part' => $this->names->id($area['part']), 'intent' => $intent];
        }

        return $areas;
    }

    /**
     * @param  array<string, array<string, mixed>>  $said
     * @return list<array<string, mixed>>
     */
    private function joints(array $said): array
    {
        $joints = [];
        foreach ($said as $name => $joint) {
            $joints[] = ['id' => $this->names->id($name), 'position' => count($joints), 'name' => $name, ...$joint, 'parts' => array_map($this->names->id(...), $joint['parts']), 'blocks' => array_map($this->names->id(...), $joint['blocks'] ?? [])];
        }

        return $joints;
    }

    /**
     * @param  list<array{string, string, float|int, string}>  $said
     * @return list<array<string, mixed>>
     */
    private function edges(array $said): array
    {
        return array_map(fn (array $e, int $i): array => ['id' => $this->names->id("edge {$i}"), 'areas' => [$this->names->id($e[0]), $this->names->id($e[1])], 'mm' => $e[2], 'kind' => $e[3] ?? 'hard', 'curve' => $e[4] ?? 'flat', ...($e[5] ?? [])], $said, array_keys($said));
    }

    /**
     * @param  list<array<string, mixed>>  $said
     * @return list<array<string, mixed>>
     */
    private function things(string $list, array $said): array
    {
        $things = [];
        foreach ($said as $i => $thing) {
            foreach (['target', 'product'] as $field) {
                if (isset($thing[$field])) {
                    $thing[$field] = $this->names->id($thing[$field]);
                }
            }
            if (isset($thing['purpose'])) {
                $thing['purpose'] = $this->purpose($thing['purpose']);
            }
            if (isset($thing['targets'])) {
                $thing['targets'] = array_map($this->names->id(...), $thing['targets']);
            }
            $things[] = ['id' => $this->names->id("{$list} {$i}"), ...$thing];
        }

        return $things;
    }
}
