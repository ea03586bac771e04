<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Lines;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Lines\AreaTable;
use AmberStep\Core\Lines\Cell;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Tests\Support\Names;
use AmberStep\Core\Tests\Support\Paints;
use AmberStep\Core\Tests\Support\RandomKit;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Cells typed over one by one, and whole tables of areas. */
final class TableTest extends TestCase
{
    private Shelf $shelf;

    private int $ids = 0;

    protected function setUp(): void
    {
        $this->shelf = Paints::shelf(new Names);
    }

    #[DataProvider('cells')]
    public function test_a_cell_typed_over_changes_its_field_alone(string $list, string $field, string $text, string $path, mixed $value): void
    {
        $kit = $this->kit();
        $id = $kit->toArray()[$list][0]['id'];
        $edits = Cell::edits($kit, $this->shelf, $list, $id, $field, $text, $this->newId(...));
        $after = $kit->apply($edits)->toArray();
        $thing = $after[$list][0];
        foreach (explode('.', $path) as $step) {
            $thing = $thing[$step];
        }

        self::assertSame($value, $thing);
        self::assertLessThanOrEqual(2, count($edits), 'nothing else is touched');
    }

    /** @return iterable<string, array{string, string, string, string, mixed}> */
    public static function cells(): iterable
    {
        foreach ([
            ['areas', 'name', 'matt', 'name', 'matt'], ['areas', 'size', '2,5', 'cm2', 2.5], ['areas', 'size', 'L', 'size', 'L'], ['areas', 'face', 'inside', 'face', 'inside'], ['areas', 'curve', 'bent', 'curve', 'bent'],
            ['areas', 'decals', 'no', 'intent.decals', false], ['areas', 'wash', 'filter', 'intent.wash', 'filter'], ['areas', 'wash', '', 'intent.wash', null], ['areas', 'sheen', 'gloss', 'intent.sheen', 'gloss'], ['areas', 'colour', '', 'intent.colour', null],
            ['areas', 'polish', 'x', 'intent.polish', true], ['areas', 'curve', '', 'curve', 'flat'],
            ['parts', 'substrate', 'etched brass', 'substrate', 'brass'], ['parts', 'bookletStep', '12', 'bookletStep', 12], ['parts', 'mouldedColour', 'red', 'mouldedColour', '#B01A20'], ['parts', 'number', 'B4', 'number', 'B4'], ['parts', 'fragile', 'yes', 'fragile', true], ['parts', 'letsLight', 'yes', 'letsLight', true],
            ['parts', 'count', '14', 'count', 14], ['parts', 'count', '', 'count', 1], ['parts', 'grip', 'flat back', 'grip', 'flat-back'], ['parts', 'origin', 'added', 'origin', 'added'], ['parts', 'hollow', 'yes', 'hollow', true], ['parts', 'option', 'hatch=open', 'option', 'hatch=open'],
            ['joints', 'step', '4', 'step', 4], ['joints', 'pins', 'no', 'pins', false], ['joints', 'removable', 'yes', 'removable', true], ['joints', 'bestSide', 'port', 'bestSide', 'port'], ['colours', 'code', 'H8', 'code', 'H8'],
            ['joints', 'kind', 'line', 'kind', 'line'], ['joints', 'closed', 'after paint', 'closed', 'after'], ['joints', 'glue', 'epoxy', 'glue', 'epoxy'], ['joints', 'gapMm', '12 thou', 'gapMm', 0.3048], ['joints', 'lengthCm', '18', 'lengthCm', 18.0], ['joints', 'filler', 'water putty', 'filler', 'water-putty'], ['joints', 'gapMm', '', 'gapMm', 0.0],
            ['edges', 'mm', '9 cm', 'mm', 90.0], ['edges', 'kind', 'feathered', 'kind', 'feathered'], ['edges', 'softMm', '1.5', 'softMm', 1.5], ['edges', 'subject', 'sprayed', 'subject', 'sprayed'], ['edges', 'subject', '', 'subject', null],
            ['colours', 'mustMatch', 'yes', 'mustMatch', true], ['colours', 'name', 'top grey', 'name', 'top grey'],
        ] as $case) {
            yield implode(' ', array_slice($case, 0, 3)) => $case;
        }
    }

    #[DataProvider('wrongCells')]
    public function test_a_wrong_cell_says_what_would_be_right(string $list, string $field, string $text, string $right): void
    {
        $kit = $this->kit();
        try {
            Cell::edits($kit, $this->shelf, $list, $kit->toArray()[$list][0]['id'], $field, $text, $this->newId(...));
            self::fail("\"{$text}\" was taken");
        } catch (BadDocument $bad) {
            self::assertStringContainsString($right, $bad->problems[0]->right);
        }
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function wrongCells(): iterable
    {
        foreach ([
            ['areas', 'size', 'huge', 'use one of xs'], ['areas', 'size', '1,250.5', '1250.5 or 1.2505'], ['areas', 'decals', 'maybe', 'yes or no'], ['areas', 'colour', 'sea gray', 'did you mean sea grey'], ['areas', 'sheen', 'decals', 'use one of matt'],
            ['areas', 'wash', 'matt', 'pin wash'], ['areas', 'name', '', 'name it'], ['parts', 'substrate', 'wood', 'use one of styrene'], ['parts', 'bookletStep', '0', '1 to 999'], ['joints', 'closed', 'never', 'before paint'], ['joints', 'gapMm', 'wide', 'gap 0.3 mm'],
            ['edges', 'mm', 'long', '240 mm'], ['edges', 'softMm', '90', '0 to 50'], ['edges', 'kind', 'blurred', 'hard, soft or feathered'], ['colours', 'product', 'no such paint', 'paint'], ['colours', 'product', '', 'name it'],
        ] as $case) {
            yield implode(' ', array_slice($case, 0, 3)) => $case;
        }
    }

    public function test_a_thing_that_is_gone_is_said_to_be(): void
    {
        $this->expectException(BadDocument::class);
        Cell::edits($this->kit(), $this->shelf, 'areas', '01Z00000000000000000009999', 'name', 'x', $this->newId(...));
    }

    public function test_a_table_taken_in_again_changes_nothing_on_random_kits(): void
    {
        $products = array_map(static fn (Product $p): string => $p->id, $this->shelf->products);
        for ($seed = 1; $seed <= 120; $seed++) {
            $kit = (new RandomKit($seed, $products))->kit();
            $rows = AreaTable::rows($kit, $this->shelf);

            self::assertSame($kit->toArray(), AreaTable::take($kit, $this->shelf, $rows, $this->newId(...))->toArray(), "seed {$seed}");
        }
    }

    public function test_rows_without_an_id_are_found_by_name_or_made(): void
    {
        $kit = AreaTable::take($this->kit(), $this->shelf, [['part', 'area', 'cm2', 'colour', 'seen through'], ['hull', 'upper A', '90', 'slate green', ''], ['fin', 'side', '', 'sea grey', 'canopy / panes'], ['', '', '', '', '']], $this->newId(...));

        self::assertSame([90.0, 'slate green'], [$kit->areas[0]->measuredCm2, $kit->colour($kit->areas[0]->intent->colour)?->name]);
        self::assertSame(['upper A', 'upper B', 'panes', 'side'], array_map(static fn ($a): string => $a->name, $kit->areas));
        self::assertSame($kit->areas[2]->id, $kit->areas[3]->seenThrough);
        self::assertTrue($kit->areas[0]->intent->decals, 'columns that are not there leave what is');
    }

    /** @param  list<list<string>>  $rows */
    #[DataProvider('wrongTables')]
    public function test_a_wrong_table_says_row_and_column(array $rows, string $path): void
    {
        try {
            AreaTable::take($this->kit(), $this->shelf, $rows, $this->newId(...));
            self::fail('it was taken');
        } catch (BadDocument $bad) {
            self::assertSame($path, $bad->problems[0]->path);
            self::assertNotSame('', $bad->problems[0]->right);
        }
    }

    /** @return iterable<string, array{list<list<string>>, string}> */
    public static function wrongTables(): iterable
    {
        yield 'a column that stands twice' => [[['part', 'area', 'Area'], ['hull', 'x', '1']], 'column "Area"'];
        yield 'no areas' => [[['part', 'cm2'], ['hull', '4']], 'head'];
        yield 'nothing' => [[], 'head'];
        yield 'a wrong size' => [[['part', 'area', 'size'], ['hull', 'upper A', 'M'], ['hull', 'upper B', 'vast']], 'row 3, size'];
        yield 'a row without a part' => [[['part', 'area'], ['', 'upper A']], 'row 2'];
        yield 'an id that is none' => [[['id', 'part', 'area'], ['17', 'hull', 'x']], 'row 2'];
    }

    private function kit(): Kit
    {
        return LineReader::read("hull/upper A,84,sea grey,decals,pin wash,soft 90 upper B\nhull/upper B,60,slate green\ncanopy/panes,8,pane\nroot: hull+canopy,seam,gap 0.2", new Kit('K', '', 72, new DateTimeZone('UTC'), []), $this->shelf, $this->newId(...))->kit;
    }

    private function newId(): string
    {
        return sprintf('01Z0000000%016d', ++$this->ids);
    }
}
