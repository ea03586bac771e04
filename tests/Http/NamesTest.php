<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\AppTestCase;

/** A name is one line one can see, and is kept as it was written. */
final class NamesTest extends AppTestCase
{
    /** @return iterable<string, array{string}> */
    public static function unseen(): iterable
    {
        yield 'a line break' => ["one\ntwo"];
        yield 'a tab' => ["one\ttwo"];
        yield 'a bell' => ["one\x07two"];
        yield 'a control of the second set' => ["one\u{0085}two"];
        yield 'what turns the direction' => ["one\u{202E}two"];
        yield 'an isolate' => ["one\u{2066}two"];
        yield 'a break of line in Unicode' => ["one\u{2028}two"];
        yield 'a mark of byte order' => ["\u{FEFF}one"];
    }

    #[DataProvider('unseen')]
    public function test_what_cannot_be_seen_is_refused_in_a_name_through_every_door(string $name): void
    {
        $id = $this->buildId();
        $area = $this->send('GET', "/api/builds/{$id}/kit")->json('areas.0.id');
        $match = ['If-Match' => '"'.$this->send('GET', "/api/builds/{$id}/kit")->json('build.revision').'"'];
        $before = Build::query()->count();
        $this->send('POST', '/api/builds/blank', ['name' => $name, 'scale' => 72])->assertUnprocessable();
        $this->send('POST', "/api/builds/{$id}/changes", ['title' => 'x', 'edits' => [['op' => 'set', 'list' => 'areas', 'id' => $area, 'field' => 'name', 'value' => $name]]], $match)->assertUnprocessable();
        $this->send('POST', '/api/products', ['name' => $name, 'family' => 'lacquer', 'role' => 'colour', 'swatch' => '#112233'])->assertUnprocessable();
        $this->send('POST', '/api/products/several', ['paints' => [['name' => $name]], 'keep' => true])->assertUnprocessable();
        $quoted = strtr($name, ["\n" => '\\n', "\t" => '\\t']);
        self::assertSame(0, $this->send('POST', "/api/builds/{$id}/lines/read", ['text' => "\"{$quoted}\" / x, M, sea grey", 'whole' => false])->assertOk()->json('understood'));

        self::assertSame($before, Build::query()->count());
    }

    public function test_a_space_before_and_behind_a_name_survives_lines_tables_and_files(): void
    {
        $id = $this->buildId();
        $revision = fn (string $of): array => ['If-Match' => '"'.$this->send('GET', "/api/builds/{$of}/kit")->json('build.revision').'"'];
        $this->send('POST', "/api/builds/{$id}/lines", ['text' => '" radome " / "  nose ", 6.5, sea grey, matt', 'whole' => false], $revision($id))->assertCreated();
        $names = fn (string $of): array => array_values(array_filter(array_column($this->send('GET', "/api/builds/{$of}/kit")->json('areas'), 'name'), static fn (string $n): bool => str_contains($n, 'nose')));
        self::assertSame(['  nose '], $names($id));

        $lines = $this->send('GET', "/api/builds/{$id}/kit")->json('lines');
        self::assertNull($this->send('POST', "/api/builds/{$id}/lines", ['text' => $lines, 'whole' => true], $revision($id))->assertOk()->json('change'), 'written out and taken in they change nothing');
        $csv = (string) $this->get("/api/builds/{$id}/areas.csv")->getContent();
        self::assertNull($this->send('POST', "/api/builds/{$id}/areas.csv", ['csv' => $csv], $revision($id))->assertSuccessful()->json('change'));
        self::assertSame(['  nose '], $names($id));
        $copy = (string) $this->call('POST', '/api/builds?mode=copy', [], [], [], ['CONTENT_TYPE' => 'application/json'], (string) $this->get("/api/builds/{$id}/export")->getContent())->assertCreated()->json('build.id');
        self::assertSame(['  nose '], $names($copy));
    }

    public function test_names_from_before_become_ones_of_a_line_when_the_bench_is_brought_up_to_date(): void
    {
        $id = $this->buildId();
        $build = Build::query()->findOrFail($id);
        $kit = $build->kit;
        $kit['areas'][0]['name'] = "cockpit\nsides";
        DB::table('builds')->where('id', $id)->update(['kit' => json_encode($kit)]);
        (require base_path('database/migrations/2026_11_29_080000_names_on_one_line.php'))->up();

        self::assertSame('cockpit sides', $this->send('GET', "/api/builds/{$id}/kit")->assertOk()->json('areas.0.name'));
    }
}
