<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Lines;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\KitDiff;
use AmberStep\Core\Lines\Draft;
use AmberStep\Core\Lines\LinePrinter;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Lines\Reading;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Tests\Support\Names;
use AmberStep\Core\Tests\Support\Paints;
use AmberStep\Core\Tests\Support\RandomKit;
use DateTimeZone;
use PHPUnit\Framework\TestCase;

/** A kit printed as lines and read again is the same kit. */
final class RoundTripTest extends TestCase
{
    private const KITS = 200;

    private Shelf $shelf;

    private int $ids = 0;

    protected function setUp(): void
    {
        $this->shelf = Paints::shelf(new Names);
    }

    public function test_read_into_nothing_it_is_the_same_kit(): void
    {
        foreach ($this->kits() as $seed => $kit) {
            $text = LinePrinter::text($kit, $this->shelf);
            $reading = $this->read($text, new Kit('Random', '', 72, new DateTimeZone('UTC'), []));

            self::assertSame([], $reading->unread(), "seed {$seed}: {$this->said($reading)}\n{$text}");
            self::assertSame(self::shape($kit), self::shape($reading->kit), "seed {$seed}\n{$text}");
            self::assertSame($text, LinePrinter::text($reading->kit, $this->shelf), "seed {$seed}");
        }
    }

    public function test_read_into_itself_it_changes_nothing_added_or_as_the_whole(): void
    {
        foreach ($this->kits() as $seed => $kit) {
            $text = LinePrinter::text($kit, $this->shelf);
            foreach ([false, true] as $whole) {
                $edits = KitDiff::edits($kit, $this->read($text, $kit, $whole)->kit);
                self::assertSame([], array_map(static fn ($e): array => $e->toArray(), $edits), "seed {$seed}\n{$text}");
            }
        }
    }

    public function test_the_edits_between_two_kits_make_one_of_the_other_and_back(): void
    {
        $kits = array_values($this->kits());
        for ($i = 1; $i < 60; $i++) {
            // Kits of one seed apart share ids, so that things are set, added and removed.
            [$from, $to] = [$kits[$i - 1], $kits[$i]];
            [$made, $inverse] = $from->applyWithInverse(KitDiff::edits($from, $to));

            self::assertSame(self::lists($to), self::lists($made), "pair {$i}");
            self::assertSame(self::lists($from), self::lists($made->apply($inverse)), "pair {$i}, back");
        }
    }

    public function test_a_line_left_out_of_the_whole_is_gone_with_all_that_hangs_on_it(): void
    {
        $kit = $this->read("hull/top,84,sea grey,soft 90 bottom\nhull/bottom,60,slate green\nfin,9,sea grey\nroot: hull+fin,seam,blocks hull/bottom", new Kit('K', '', 72, new DateTimeZone('UTC'), []))->kit;
        $after = $this->read("hull/top,84,sea grey\nroot: hull+fin,seam\nfin,9,sea grey", $kit, true)->kit;

        self::assertSame(['hull', 'fin'], array_map(static fn ($p): string => $p->name, $after->parts));
        self::assertSame([$kit->areas[0]->id, $kit->areas[2]->id], array_map(static fn ($a): string => $a->id, $after->areas), 'what stays keeps its id');
        self::assertSame([[], []], [$after->edges, $after->joints[0]->blocks]);
    }

    public function test_a_line_for_what_is_there_changes_only_what_it_says(): void
    {
        $kit = $this->read('hull/top,84,sea grey,decals,matt', new Kit('K', '', 72, new DateTimeZone('UTC'), []))->kit;
        $after = $this->read('Hull / Top, 90, no decals', $kit)->kit;

        self::assertCount(1, $after->areas);
        self::assertSame([$kit->areas[0]->id, 'top', 90.0, false, 'matt'], [$after->areas[0]->id, $after->areas[0]->name, $after->areas[0]->measuredCm2, $after->areas[0]->intent->decals, $after->areas[0]->intent->sheen?->value]);
    }

    /** @return array<int, Kit> */
    private function kits(): array
    {
        $products = array_map(static fn (Product $p): string => $p->id, $this->shelf->products);
        $kits = [];
        for ($seed = 1; $seed <= self::KITS; $seed++) {
            $kits[$seed] = (new RandomKit($seed, $products))->kit();
        }

        return $kits;
    }

    private function read(string $text, Kit $kit, bool $whole = false): Reading
    {
        return LineReader::read($text, $kit, $this->shelf, fn (): string => sprintf('01Z0000000%016d', ++$this->ids), $whole);
    }

    private function said(Reading $reading): string
    {
        return implode(' ', array_map(static fn ($l): string => $l->text.' -- '.$l->problems[0]->sentence(), $reading->unread()));
    }

    /** @return array<string, mixed> the lists with each id replaced by its place */
    private static function shape(Kit $kit): array
    {
        $document = array_intersect_key($kit->toArray(), array_flip(Draft::LISTS));
        $places = [];
        foreach ($document as $list => $things) {
            foreach ($list === 'pieces' || $list === 'edges' ? [] : $things as $i => $thing) {
                $places[$thing['id']] = "{$list} {$i}";
            }
        }
        foreach ($document['edges'] as $i => $edge) {
            unset($document['edges'][$i]['id']);
        }
        // Edges are written on the line of their first area: their own order means nothing.
        usort($document['edges'], static fn (array $a, array $b): int => json_encode($a) <=> json_encode($b));
        $document['edges'] = array_map(static fn (array $e): array => [...$e, 'areas' => array_map(static fn (string $a): string => $places[$a], $e['areas'])], $document['edges']);
        usort($document['edges'], static fn (array $a, array $b): int => json_encode($a) <=> json_encode($b));

        return json_decode(strtr((string) json_encode($document), $places), true);
    }

    /** @return array<string, mixed> the lists by id: their order is kept by position */
    private static function lists(Kit $kit): array
    {
        $document = $kit->toArray();
        foreach (Draft::LISTS as $list) {
            $things = array_column($document[$list], null, 'id');
            ksort($things);
            $document[$list] = $things;
        }

        return $document;
    }
}
