<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Kit\Hand;

/** Bought sets of masks as they are typed, once: "sheet 4: 1-12 panes, 13 14 roundels x2, 15L 15R stripe" (docs/format/masks.md). */
final class MaskLines
{
    /** Masks of one text. */
    private const MOST = 400;

    /**
     * @return list<array{sheet: string, label: string, what: string, hand: Hand, pair: string}>
     *
     * @throws BadDocument with every line and item that cannot be read
     */
    public static function read(string $text): array
    {
        $problems = new Problems;
        $masks = [];
        foreach (explode("\n", str_replace(["\r\n", "\r"], "\n", $text)) as $i => $line) {
            $line = trim($line);
            if ($line === '' || $line[0] === '#') {
                continue;
            }
            if (preg_match('/\Asheet\s+([^:]{1,40}):(.*)\z/iu', $line, $m) !== 1) {
                $problems->add('line '.($i + 1), 'does not begin with its sheet', 'write it as sheet 4: 1-12 panes, 15L 15R stripe');

                continue;
            }
            foreach (explode(',', $m[2]) as $item) {
                array_push($masks, ...self::item(trim($m[1]), trim($item), 'line '.($i + 1), $problems));
            }
        }
        if ($masks === []) {
            $problems->add('text', 'has no mask', 'write a line such as sheet 4: 1-12 panes');
        }
        if (count($masks) > self::MOST) {
            $problems->add('text', 'has '.count($masks).' masks', 'take in '.self::MOST.' at a time');
        }
        $seen = [];
        foreach ($masks as $mask) {
            $key = "{$mask['sheet']} {$mask['label']} {$mask['copy']}";
            if (isset($seen[$key])) {
                $problems->add('text', "has {$mask['label']} of sheet {$mask['sheet']} twice", 'write x2 where there are two of it');
            }
            $seen[$key] = true;
        }
        $problems->throwIfAny();

        return array_map(static fn (array $m): array => ['sheet' => $m['sheet'], 'label' => $m['label'], 'what' => $m['what'], 'hand' => $m['hand'], 'pair' => $m['pair']], $masks);
    }

    /** @return list<array{sheet: string, label: string, what: string, hand: Hand, pair: string, copy: int}> */
    private static function item(string $sheet, string $item, string $where, Problems $problems): array
    {
        if ($item === '') {
            return [];
        }
        if (preg_match('/\A((?:\d{1,4}(?:-\d{1,4}|[LRlr])?\s*)+)((?:[^\d\s][^,]*?)?)(?:\s+[x×](\d{1,2}))?\z/u', $item, $m) !== 1) {
            $problems->add($where, 'has "'.mb_scrub($item).'", which has no number', 'write numbers and what they are: 13 14 roundels x2');

            return [];
        }
        $masks = [];
        foreach (explode(' ', (string) preg_replace('/\s+/', ' ', trim($m[1]))) as $number) {
            for ($copy = 1; $copy <= max(1, (int) ($m[3] ?? 1)); $copy++) {
                array_push($masks, ...self::numbers($sheet, $number, trim($m[2]), $copy, $where, $problems));
            }
        }

        return $masks;
    }

    /** @return list<array{sheet: string, label: string, what: string, hand: Hand, pair: string, copy: int}> */
    private static function numbers(string $sheet, string $number, string $what, int $copy, string $where, Problems $problems): array
    {
        $mask = static fn (string $label, Hand $hand, string $pair): array => ['sheet' => $sheet, 'label' => $label, 'what' => $what, 'hand' => $hand, 'pair' => $pair, 'copy' => $copy];
        if (preg_match('/\A(\d+)-(\d+)\z/', $number, $m) === 1) {
            [$from, $to] = [(int) $m[1], (int) $m[2]];
            if ($to < $from || $to - $from >= self::MOST) {
                $problems->add($where, "goes from {$from} to {$to}", 'write the lower number first, such as 1-12');

                return [];
            }

            return array_map(static fn (int $n): array => $mask((string) $n, Hand::None, ''), range($from, $to));
        }
        $hand = match (strtoupper(substr($number, -1))) {
            'L' => Hand::Port,
            'R' => Hand::Starboard,
            default => Hand::None,
        };

        return [$mask(strtoupper($number), $hand, $hand === Hand::None ? '' : substr($number, 0, -1))];
    }
}
