<?php

declare(strict_types=1);

namespace Tests\Http;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Material\Product as Paint;
use App\Csv\Csv;
use App\Models\Build;
use App\Models\Change;
use App\Models\Product;
use Tests\Support\AppTestCase;

/** Tables out and in: the same bytes come back, and what a spreadsheet does to them is survived. */
final class TablesTest extends AppTestCase
{
    public function test_areas_out_in_and_out_are_the_same_bytes_and_change_nothing(): void
    {
        foreach ($this->send('GET', '/api/frame')->json('builds') as $build) {
            $csv = $this->csv("/api/builds/{$build['id']}/areas.csv");
            $this->send('POST', "/api/builds/{$build['id']}/areas.csv", ['csv' => $csv], ['If-Match' => '"1"'])->assertOk()->assertJsonPath('change', null);

            self::assertSame($csv, $this->csv("/api/builds/{$build['id']}/areas.csv"));
        }
    }

    public function test_a_table_changed_in_a_spreadsheet_is_one_change(): void
    {
        $id = $this->buildId();
        $rows = Csv::read($this->csv("/api/builds/{$id}/areas.csv"));
        $head = array_flip($rows[0]);
        $rows[3][$head['cm2']] = '99,5';
        $rows[3][$head['sheen']] = 'gloss';
        // As a spreadsheet of another country writes it: a byte order mark, semicolons, its own line ends.
        $csv = "\xEF\xBB\xBF".implode("\n", array_map(static fn (array $row): string => implode(';', array_map(static fn (string $c): string => '"'.$c.'"', $row)), $rows));
        $this->send('POST', "/api/builds/{$id}/areas.csv", ['csv' => $csv], ['If-Match' => '"1"'])->assertCreated();
        $area = array_column($this->send('GET', "/api/builds/{$id}/kit")->json('areas'), null, 'id')[$rows[3][$head['id']]];

        self::assertSame([99.5, 'gloss'], [$area['cm2'], $area['intent']['sheen']]);
    }

    public function test_a_wrong_table_changes_nothing_and_names_row_and_column(): void
    {
        $id = $this->buildId();
        $csv = $this->csv("/api/builds/{$id}/areas.csv");
        foreach (["part,area,cm2\nWing,port wing band,wide\n" => 'row 2, cm2', "part;area;area\nWing;x;y\n" => 'column "area"', "part;shade\nWing;x\n" => 'head', "part,area\n\"Wing,x\n" => 'csv', '' => 'head'] as $wrong => $path) {
            $this->send('POST', "/api/builds/{$id}/areas.csv", ['csv' => $wrong], ['If-Match' => '"1"'])->assertUnprocessable()->assertJsonPath('error.problems.0.path', $path);
        }

        self::assertSame($csv, $this->csv("/api/builds/{$id}/areas.csv"));
    }

    public function test_the_shelf_out_in_and_out_is_the_same_bytes(): void
    {
        $this->send('POST', '/api/products', ['name' => '=SUM("A1"); "odd", name', 'range' => '-7', 'family' => 'enamel', 'role' => 'wash'])->assertCreated();
        Product::query()->create(['id' => self::ulid(8), 'position' => 900, 'body' => ['id' => self::ulid(8), 'name' => ' "two", lines ', 'range' => '@home', 'family' => 'lacquer', 'role' => 'colour', 'swatch' => '#123456', 'triedOn' => ['soft vinyl', 'putty'], 'label' => ['flash' => 12, 'temperatureC' => 23, 'humidity' => 0.5]]]);
        $this->send('PUT', '/api/house', ['question' => 'wash', 'position' => null])->assertOk();
        $csv = $this->csv('/api/products.csv');
        self::assertStringContainsString("\"'=SUM(", $csv, 'a formula is disarmed');
        $this->send('POST', '/api/products.csv', ['csv' => $csv])->assertCreated()->assertJsonPath('added', 0);

        self::assertSame($csv, $this->csv('/api/products.csv'));
        self::assertStringContainsString('40 ml at 6.9', $csv, 'other packs come along');
        self::assertSame([['ml' => 40.0, 'price' => 6.9]], array_map(static fn ($p): array => $p->toArray(), Paint::fromArray(Product::query()->where('body->name', 'Linnet Sea Grey')->firstOrFail()->body)->otherPacks));
        $this->send('POST', '/api/products.csv', ['csv' => "name,family,role,otherPacks\nx,lacquer,colour,a jar\n"])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'row 2, otherPacks');
    }

    public function test_rows_with_an_id_change_a_product_and_rows_without_one_are_new(): void
    {
        $known = Product::query()->orderBy('position')->firstOrFail();
        $answer = $this->send('POST', '/api/products.csv', ['csv' => "id,name,family,role,levelMl\n{$known->id},Linnet Grey Primer,polymer-primer,primer,\"7,5\"\n,Quay Ochre,lacquer,colour,20\n"])->assertCreated();

        self::assertSame([1, 1], [$answer->json('added'), $answer->json('changed')]);
        self::assertEquals(7.5, Product::query()->findOrFail($known->id)->body['levelMl']);
        $count = Product::query()->count();
        foreach (["name,family,role\nx,gouache,colour\n" => 'row 2, family', "colour\ny\n" => 'head', "name,family,name\nx,enamel,y\n" => 'column "name"', "id,name\n{$known->id},\n" => 'row 2, name', "id,name,family,role\n{$known->id},a,lacquer,colour\n{$known->id},b,lacquer,colour\n" => 'row 3, id', "name,family,role,price\ny,lacquer,colour,cheap\n" => 'row 2, price'] as $wrong => $path) {
            $this->send('POST', '/api/products.csv', ['csv' => $wrong])->assertUnprocessable()->assertJsonPath('error.problems.0.path', $path);
        }
        self::assertSame($count, Product::query()->count());
    }

    public function test_the_whole_shelf_and_all_areas_come_back_as_they_went_out(): void
    {
        $grey = Product::query()->where('body->name', 'Linnet Sea Grey')->firstOrFail();
        $this->send('PUT', "/api/jars/{$grey->id}", ['level' => '11.125', 'drops' => '27.5', 'stirred' => true])->assertOk();
        self::assertNotNull(Product::query()->whereNotNull('body->mix')->first(), 'the demo has a recipe');
        $all = static fn (): array => [Product::query()->orderBy('position')->get(['id', 'body', 'demo'])->toArray(), Build::query()->orderBy('id')->get(['id', 'kit', 'revision'])->toArray(), Change::query()->count()];
        $was = $all();
        $this->send('POST', '/api/products.csv', ['csv' => $this->csv('/api/products.csv')])->assertCreated()->assertJsonPath('changed', 0);
        foreach (Build::query()->pluck('id') as $id) {
            $this->send('POST', "/api/builds/{$id}/areas.csv", ['csv' => $this->csv("/api/builds/{$id}/areas.csv")], ['If-Match' => '"1"'])->assertOk()->assertJsonPath('looked.edits', 0);
        }

        self::assertSame($was, $all(), 'nothing stored is another, and no change is written');
    }

    public function test_a_column_that_is_not_there_changes_nothing_and_an_empty_cell_empties_its_field_alone(): void
    {
        $grey = Product::query()->where('body->name', 'Linnet Sea Grey')->firstOrFail();
        $this->send('PUT', "/api/jars/{$grey->id}", ['level' => '11.5', 'drops' => '27.5', 'stirred' => true])->assertOk();
        $was = Product::query()->findOrFail($grey->id)->body;
        $csv = "id,name,levelMl,dropsPerMl,hue\n{$grey->id},Linnet Sea Grey,,26,warm\n";
        $told = ['added' => 0, 'changed' => 1, 'emptied' => [['name' => 'Linnet Sea Grey', 'fields' => ['levelMl']]], 'unknown' => ['hue']];
        $look = $this->send('POST', '/api/products.csv', ['csv' => $csv, 'look' => true])->assertOk()->json();
        self::assertSame($told, array_diff_key($look, ['now' => 1]));
        self::assertSame($was, Product::query()->findOrFail($grey->id)->body, 'it was only looked at');
        $this->send('POST', '/api/products.csv', ['csv' => $csv])->assertCreated()->assertJsonFragment($told);

        self::assertEquals([...$was, 'levelMl' => null, 'dropsPerMl' => 26], Product::query()->findOrFail($grey->id)->body);
        $id = $this->buildId();
        $area = array_values(array_filter(Kit::fromArray(Build::query()->findOrFail($id)->kit)->areas, static fn ($a): bool => $a->intent->sheen !== null))[0];
        $looked = $this->send('POST', "/api/builds/{$id}/areas.csv", ['csv' => "id,sheen,mood\n{$area->id},,calm\n", 'look' => true], ['If-Match' => '"1"'])->assertOk()->json('looked');
        self::assertSame(['edits' => 1, 'emptied' => [['name' => $area->name, 'fields' => ['sheen']]], 'unknown' => ['mood']], $looked);
        $this->send('POST', "/api/builds/{$id}/areas.csv", ['csv' => "id,sheen,mood\n{$area->id},,calm\n"], ['If-Match' => '"1"'])->assertCreated();
        self::assertEquals([...$area->toArray(), 'intent' => [...$area->intent->toArray(), 'sheen' => null]], Kit::fromArray(Build::query()->findOrFail($id)->kit)->areasById[$area->id]->toArray());
    }

    private function csv(string $path): string
    {
        $answer = $this->get($path)->assertOk();
        self::assertStringStartsWith('text/csv', (string) $answer->headers->get('Content-Type'));

        return (string) $answer->getContent();
    }
}
