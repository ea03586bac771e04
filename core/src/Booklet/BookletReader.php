<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Lines\LineProblem;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Lines\Reading;
use AmberStep\Core\Lines\ReadLine;
use AmberStep\Core\Material\Shelf;
use Closure;

/** Reads the booklet as it is called out, page by page (docs/format/booklet.md). A line with a problem is left out as a whole. */
final class BookletReader
{
    /**
     * @param  Closure(): string  $newId  a fresh ULID, later than those before
     * @param  bool  $whole  the lines are the whole booklet: call-outs they do not name are gone
     */
    public static function read(string $text, Kit $kit, Shelf $shelf, Closure $newId, bool $whole = false): Reading
    {
        $texts = array_slice(explode("\n", str_replace(["\r\n", "\r"], "\n", mb_scrub($text))), 0, LineReader::MOST);
        /** @var array<int, list<LineProblem>> $problems */
        $problems = [];
        do {
            $before = count($problems);
            $draft = new BookletDraft($kit, $newId, $whole);
            $taker = new BookletLine($draft, $shelf);
            $lines = [];
            foreach ($texts as $i => $line) {
                $lines[$i] = new ReadLine($i + 1, $line);
                if (isset($problems[$i])) {
                    $lines[$i]->problems = $problems[$i];

                    continue;
                }
                $taker->take($lines[$i]);
                if ($lines[$i]->problems !== []) {
                    $problems[$i] = $lines[$i]->problems;
                }
            }
            if (count($problems) > $before) {
                continue;
            }
            try {
                return new Reading(array_values($lines), $draft->kit());
            } catch (BadDocument $bad) {
                $at = array_key_last(array_filter($lines, static fn (ReadLine $l): bool => $l->about !== null && $l->problems === []));
                $problems[$at ?? 0] = [new LineProblem(0, mb_strlen($texts[$at ?? 0]), "{$bad->problems[0]->path} {$bad->problems[0]->wrong}", $bad->problems[0]->right)];
            }
        } while (count($problems) > $before);

        return new Reading(array_values($lines), $kit);
    }
}
