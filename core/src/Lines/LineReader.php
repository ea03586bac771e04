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
        $problems = [];
        do {
            $before = count($problems);
            $draft = new Draft($kit, $newId, $whole);
            $lines = self::pass($texts, $problems, $draft, $shelf);
            $read = $kit;
            if (count($problems) > $before) {
                continue;
            }
            try {
                $read = $draft->kit();
            } catch (BadDocument $bad) {
                [$at, $problem] = self::refused($bad, $draft, $lines);
                if ($at !== null) {
                    $problems[$at] = [$problem];
                }
            }
        } while (count($problems) > $before);

        return new Reading($lines, $read);
    }

    /**
     * What the kit as a whole refuses is put on the last line about the thing it stands at, else on the last one read.
     *
     * @param  list<ReadLine>  $lines
     * @return array{int|null, LineProblem}
     */
    private static function refused(BadDocument $bad, Draft $draft, array $lines): array
    {
        $wrong = $bad->problems[0];
        $name = $draft->nameAt($wrong->path);
        $field = mb_strtolower((string) preg_replace(['/^.*\./', '/([A-Z])/'], ['', ' $1'], $wrong->path));
        $read = array_filter($lines, static fn (ReadLine $l): bool => $l->about !== null && $l->problems === []);
        $about = array_filter($read, static fn (ReadLine $l): bool => $name !== '' && str_contains($l->title, $name));
        $at = array_key_last($about !== [] ? $about : $read);

        return [$at, new LineProblem(0, mb_strlen($lines[$at ?? 0]->text ?? ''), ($name === '' ? '' : "{$name}: ")."{$field} {$wrong->wrong}", $wrong->right)];
    }

    /**
     * @param  array<int, string>  $texts
     * @param  array<int, list<LineProblem>>  $problems  by line; lines that have some are left out
     * @return list<ReadLine>
     */
    private static function pass(array $texts, array &$problems, Draft $draft, Shelf $shelf): array
    {
        $lines = [];
        $openers = [];
        $taker = new LineTaker($draft, $shelf);
        foreach (array_values($texts) as $i => $text) {
            $lines[$i] = $line = new ReadLine($i + 1, $text);
            if (isset($problems[$i])) {
                $line->problems = $problems[$i];

                continue;
            }
            $openers[$i] = $taker->open($line);
        }
        // Names first, phrases after: a line may speak of what a later one makes.
        foreach ($openers as $i => $fill) {
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
