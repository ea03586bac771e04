<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Material\Shelf;
use Closure;

/**
 * Reads lines of text into a kit (docs/format/lines.md). A line with a problem is left out as a whole; what
 * the others then lack is said of them.
 */
final class LineReader
{
    /** Lines at once: more is no kit. */
    public const MOST = 2000;

    /** @param  Closure(): string  $newId  a fresh ULID, later than those before */
    public static function read(string $text, Kit $kit, Shelf $shelf, Closure $newId, bool $whole = false): Reading
    {
        $texts = array_slice(explode("\n", str_replace(["\r\n", "\r"], "\n", mb_scrub($text))), 0, self::MOST);
        $problems = $lost = [];
        while (true) {
            $known = count($problems);
            $draft = new Draft($kit, $newId, $whole);
            $lines = self::pass($texts, $problems, $lost, $draft, $shelf);

            // What speaks of what is gone falls with it: it is asked what it says to that, each line by itself.
            $asked = $lost !== [];
            $lost = count($problems) > $known ? $draft->uses->lostWith(array_keys($problems)) : [];
            if ($asked || count($problems) > $known) {
                continue;
            }
            try {
                $read = $draft->kit();
                break;
            } catch (BadDocument $bad) {
                $problems += array_map(static fn (LineProblem $p): array => [$p], self::refused($bad, $draft, $lines));
            }
            if (count($problems) === $known) {
                $read = $kit;
                break;
            }
        }

        return new Reading($lines, $read);
    }

    /**
     * What the kit as a whole refuses is put on the last line about the thing it stands at, else on the last one read.
     *
     * @param  list<ReadLine>  $lines
     * @return array<int, LineProblem> by line
     */
    private static function refused(BadDocument $bad, Draft $draft, array $lines): array
    {
        $read = array_filter($lines, static fn (ReadLine $l): bool => $l->about !== null && $l->problems === []);
        $refused = [];
        $document = $draft->document();
        foreach ($bad->problems as $wrong) {
            $name = self::nameAt($document, $wrong->path);
            $field = mb_strtolower((string) preg_replace(['/^.*\./', '/([A-Z])/'], ['', ' $1'], $wrong->path));
            $about = array_filter($read, static fn (ReadLine $l): bool => $name !== '' && preg_match('/(^|\s)'.preg_quote($name, '/').'(\s|\z)/u', $l->title) === 1);
            $at = array_key_last($about !== [] ? $about : $read);
            if ($at !== null) {
                $refused[$at] ??= new LineProblem(0, mb_strlen($lines[$at]->text), ($name === '' ? '' : "{$name}: ")."{$field} {$wrong->wrong}", $wrong->right);
            }
        }

        return $refused;
    }

    /**
     * What stands at a path of the kit, such as "areas[3].seenThrough", by its name; empty where it has none.
     *
     * @param  array<string, mixed>  $document
     */
    private static function nameAt(array $document, string $path): string
    {
        preg_match('/^(\w+)\[(\d+)\]/', $path, $at);
        $list = $document[$at[1] ?? ''] ?? null;
        $thing = is_array($list) ? $list[(int) ($at[2] ?? -1)] ?? null : null;

        return is_array($thing) ? Draft::text($thing['name'] ?? '') : '';
    }

    /**
     * @param  array<int, string>  $texts
     * @param  array<int, list<LineProblem>>  $problems  by line; lines that have some are left out
     * @param  list<int>  $lost  lines that are read once all others are, each by itself
     * @return list<ReadLine>
     */
    private static function pass(array $texts, array &$problems, array $lost, Draft $draft, Shelf $shelf): array
    {
        $lines = [];
        $openers = [];
        $taker = new LineTaker($draft, $shelf);
        $waits = array_fill_keys($lost, true);
        foreach (array_values($texts) as $i => $text) {
            $lines[$i] = $line = new ReadLine($i + 1, $text);
            if (isset($problems[$i])) {
                $line->problems = $problems[$i];

                continue;
            }
            if (isset($waits[$i])) {
                continue;
            }
            $draft->uses->line = $i;
            $openers[$i] = $taker->open($line);
        }
        // Names first, phrases after: a line may speak of what a later one makes.
        foreach ($openers as $i => $fill) {
            $draft->uses->line = $i;
            if ($fill !== null && $lines[$i]->problems === []) {
                $fill();
            }
            if ($lines[$i]->problems !== []) {
                $problems[$i] = $lines[$i]->problems;
            }
        }
        foreach ($lost as $i) {
            $probe = new LineTaker(clone $draft, $shelf);
            $fill = $probe->open($lines[$i]);
            if ($fill !== null && $lines[$i]->problems === []) {
                $fill();
            }
            if ($lines[$i]->problems !== []) {
                $problems[$i] = $lines[$i]->problems;
            }
        }

        return array_values($lines);
    }
}
