<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use Tests\Support\AppTestCase;

/** What the drawing of the coupé says to somebody who reads it, sentence by sentence; and steering it over the API. */
final class SectionTest extends AppTestCase
{
    private const COUPE = '01KAR5M0G8ZT4QW7J2XNC9VD31';

    /** @var array<string, mixed> */
    private array $section;

    protected function setUp(): void
    {
        parent::setUp();
        $this->section = $this->planOf(self::COUPE)['section'];
    }

    public function test_the_roof_is_cream_on_silver_on_primer_on_red_plastic_under_clear(): void
    {
        self::assertSame(['bare', 'Garnock Aerosol Primer', 'fine silver under rally bronze, roof cream', 'roof cream', 'gloss', 'wet sand, polish'], $this->column('roof'));
        self::assertSame(['#B01A20', 'styrene'], [$this->columnOf('roof')['baseSwatch'], $this->columnOf('roof')['base']]);
    }

    public function test_the_bronze_was_capped_while_the_cream_was_sprayed_and_bared_before_the_clear(): void
    {
        $cap = array_values(array_filter($this->section['caps'], fn (array $c): bool => $c['column'] === $this->place('sides and wings') && $c['from'] < $this->row('roof cream')))[0];

        self::assertSame(['paper tape', true, true], [$cap['word'], $cap['on'], $cap['off']]);
        self::assertGreaterThan($this->row('roof cream'), $cap['to']);
        self::assertLessThan($this->row('gloss'), $cap['to']);
    }

    public function test_the_clear_is_on_everywhere_on_the_body_and_waits_a_week_before_polish(): void
    {
        foreach (['roof', 'sides and wings', 'bonnet', 'boot lid', 'front bumper', 'rear bumper', 'mirror bases', 'fuel cap', 'outer half'] as $area) {
            $clear = $this->cell($area, 'gloss');
            self::assertSame([$clear['coats'], 'Threlk Two-part Clear'], [$clear['real'], $clear['product']], "{$area}: all coats are on");
        }
        $lids = array_filter($this->section['lids'], static fn (array $l): bool => $l['kind'] === 'cured' && $l['running']);
        self::assertEqualsCanonicalizing(['roof', 'sides and wings', 'bonnet', 'boot lid'], array_map(fn (array $l): string => $this->section['columns'][$l['column']]['name'], $lids));
        foreach ($lids as $lid) {
            self::assertGreaterThanOrEqual(7 * 86400, strtotime($lid['until']) - strtotime($lid['from']), 'a week, longer in a cool shed');
        }
    }

    public function test_polish_is_all_that_lies_above_the_now_stair(): void
    {
        $planned = array_filter($this->section['cells'], static fn (array $c): bool => $c['real'] < $c['coats']);

        self::assertSame(['wet sand, polish'], array_values(array_unique(array_map(fn (array $c): string => $this->section['rows'][$c['row']]['title'], $planned))));
        foreach ($planned as $cell) {
            self::assertGreaterThanOrEqual($this->section['columns'][$cell['column']]['now'], $cell['row']);
        }
    }

    public function test_bonnet_bumpers_mirrors_and_cap_are_sprayed_in_the_bodys_bronze_and_half_of_the_lamp_bases(): void
    {
        $bronze = array_filter($this->section['cells'], fn (array $c): bool => $this->section['rows'][$c['row']]['title'] === 'rally bronze');
        $areas = array_map(fn (array $c): string => $this->section['columns'][$c['column']]['name'], $bronze);

        self::assertEqualsCanonicalizing(['sides and wings', 'bonnet', 'boot lid', 'front bumper', 'rear bumper', 'mirror bases', 'fuel cap', 'outer half'], $areas);
        self::assertCount(1, array_unique(array_column($bronze, 'row')), 'one row: one colour');
        self::assertSame('fine silver', $this->section['rows'][$this->cell('inner half', 'fine silver')['row']]['title']);
        self::assertCount(1, array_unique(array_map(static fn (array $c): string => substr($c['at'], 0, 10), $bronze)), 'one spraying: one day');
    }

    public function test_film_is_what_handbook_and_coats_make_it(): void
    {
        // Aerosol primer 3 x 15, silver 2.5 + 5, cream 2.5 + 5 + 5 + 5, two-part clear 12 + 18 + 18 + 18.
        self::assertEqualsWithDelta(45 + 7.5 + 17.5 + 66, $this->columnOf('roof')['filmMicrons'], 0.06);
        self::assertEqualsWithDelta(45 + 7.5 + 7.5 + 66, $this->columnOf('bonnet')['filmMicrons'], 0.06);
        self::assertSame(['noteMicrons' => 110, 'thinkMicrons' => 140], $this->section['film']);
    }

    public function test_what_is_pinned_is_seen_on_its_cells(): void
    {
        self::assertSame([3], array_column($this->cell('roof', 'Garnock Aerosol Primer')['pins'], 'coats'));
        self::assertSame([], $this->cell('underside', 'Linnet Grey Primer')['pins']);
    }

    public function test_findings_are_marked_where_they_stand(): void
    {
        $plan = $this->planOf(self::COUPE);
        $keys = array_column($plan['findings'], 'key');
        foreach ($plan['section']['marks'] as $mark) {
            self::assertContains($mark['finding'], $keys);
            foreach ($mark['places'] as $place) {
                self::assertArrayHasKey($place['column'], $plan['section']['columns']);
                self::assertArrayHasKey($place['row'], $plan['section']['rows']);
            }
        }
        $film = array_values(array_filter($plan['findings'], static fn (array $f): bool => $f['rule'] === 'film-budget' && str_contains($f['title'], 'Body')))[0];
        $marks = array_column($plan['section']['marks'], 'places', 'finding')[$film['key']];
        self::assertEqualsCanonicalizing(['roof', 'sides and wings'], array_map(fn (array $p): string => $plan['section']['columns'][$p['column']]['name'], $marks));
    }

    public function test_a_layer_is_pinned_unpinned_and_the_plan_is_as_it_was(): void
    {
        $before = $this->planOf($this->buildId());
        $pin = ['op' => 'add', 'list' => 'pins', 'value' => ['id' => self::ulid(3), 'operation' => 'final', 'target' => null, 'purpose' => 'matt', 'coats' => 4]];
        $this->change([$pin], 1);
        $coats = fn (array $plan): int => max(array_column(array_filter($plan['section']['cells'], static fn (array $c): bool => $c['operation'] === 'final' && $c['purpose'] === 'matt'), 'coats'));
        self::assertSame([2, 4], [$coats($before), $coats($this->planOf($this->buildId()))]);
        $this->change([['op' => 'remove', 'list' => 'pins', 'id' => self::ulid(3)]], 2);

        $after = $this->planOf($this->buildId());
        self::assertSame($before['section'], $after['section']);
        self::assertSame($before['stages'], $after['stages']);
    }

    public function test_an_order_and_a_time_are_told_in_words_and_kept(): void
    {
        $stages = array_column($this->planOf($this->buildId())['stages'], null, 'title');
        $green = $stages['Spray slate green']['steps'][0]['key'];
        $tyre = $stages['Spray tyre black']['steps'][0]['key'];
        $this->change([['op' => 'add', 'list' => 'orders', 'value' => ['id' => self::ulid(3), 'first' => $tyre, 'then' => $green]], ['op' => 'add', 'list' => 'notBefore', 'value' => ['id' => self::ulid(4), 'step' => $green, 'at' => '2026-03-20T19:00:00Z']]], 1);
        $plan = $this->planOf($this->buildId());
        $starts = [];
        foreach ($plan['stages'] as $stage) {
            foreach ($stage['steps'] as $step) {
                $starts[$step['key']] = $step['start'];
            }
        }

        self::assertSame(['orders', 'notBefore'], array_column($plan['steered'], 'list'));
        self::assertStringContainsString('Spray tyre black, first mist coat on Tyres, before: Spray slate green', $plan['steered'][0]['words']);
        self::assertLessThan($starts[$green], $starts[$tyre]);
        self::assertGreaterThanOrEqual('2026-03-20T19:00:00Z', $starts[$green]);
    }

    public function test_an_order_that_makes_a_circle_is_a_stop_that_cannot_be_accepted(): void
    {
        $steps = array_values(array_filter($this->planOf($this->buildId())['stages'], static fn (array $s): bool => $s['title'] === 'Spray slate green'))[0]['steps'];
        [$first, $second] = [$steps[0]['key'], array_values(array_filter($steps, static fn (array $s): bool => $s['n'] === 2))[0]['key']];
        $this->change([['op' => 'add', 'list' => 'orders', 'value' => ['id' => self::ulid(3), 'first' => $second, 'then' => $first]]], 1);
        $stops = array_values(array_filter($this->planOf($this->buildId())['findings'], static fn (array $f): bool => $f['severity'] === 'stop'));

        self::assertNotSame([], $stops);
        self::assertFalse($stops[0]['acceptable']);
        self::assertSame(1, $this->send('GET', '/api/frame')->json('builds.0.stops') > 0 ? 1 : 0, 'and it shows on every screen');
    }

    public function test_whatever_is_changed_is_taken_back_to_the_letter(): void
    {
        $kit = Build::query()->findOrFail($this->buildId())->kit;
        $edits = [
            [['op' => 'house', 'list' => 'primer', 'value' => 'never']], [['op' => 'set', 'list' => 'kit', 'field' => 'name', 'value' => 'Renamed']], [['op' => 'set', 'list' => 'kit', 'field' => 'scale', 'value' => 48]],
            [['op' => 'set', 'list' => 'areas', 'id' => $kit['areas'][2]['id'], 'field' => 'intent.decals', 'value' => false], ['op' => 'set', 'list' => 'edges', 'id' => $kit['edges'][0]['id'], 'field' => 'subject', 'value' => 'taped']],
            [['op' => 'remove', 'list' => 'edges', 'id' => $kit['edges'][3]['id']]], [['op' => 'add', 'list' => 'inserted', 'value' => ['id' => self::ulid(5), 'operation' => 'test', 'targets' => [$kit['areas'][0]['id']], 'title' => 'Try it', 'surface' => 'paper']]],
        ];
        $revision = 1;
        foreach ($edits as $edit) {
            $this->change($edit, $revision++);
        }
        self::assertSame('Renamed', $this->send('GET', '/api/frame')->json('builds.0.name'));
        foreach ($edits as $_) {
            $undoable = $this->planOf($this->buildId())['undoable'];
            $this->send('POST', "/api/builds/{$this->buildId()}/changes/{$undoable['id']}/undo", [], ['If-Match' => "\"{$revision}\""])->assertCreated();
            $revision++;
        }
        $after = Build::query()->findOrFail($this->buildId())->kit;
        foreach (['edges', 'areas', 'inserted'] as $list) {
            self::assertEqualsCanonicalizing($kit[$list], $after[$list]);
        }
        self::assertSame([$kit['name'], $kit['scale'], $kit['house']], [$after['name'], $after['scale'], $after['house']]);
    }

    public function test_the_sheet_holds_every_step_of_the_evening_whole(): void
    {
        $bench = $this->bench(120);
        $sheet = $this->send('GET', "/api/builds/{$this->buildId()}/sheet?minutes=120")->assertOk()->json();

        $own = array_filter($bench['follows'], static fn (array $line): bool => $line['buildId'] === null);
        self::assertSame(array_column($own, 'key'), array_column($sheet['steps'], 'key'));
        self::assertSame($bench['follows'], $sheet['lines'], 'and what is done on other builds meanwhile');
        self::assertContains('rinse', array_column($sheet['steps'], 'operation'));
        foreach ($sheet['steps'] as $step) {
            self::assertSame($step['sprays'], $step['setUp'] !== null && $step['setUp']['cupMl'] !== null, $step['title']);
        }
        // What the bench has said already is said again on paper: nothing stands above its first line.
        self::assertSame([[], true], [$sheet['steps'][0]['cautionsAgain'], $sheet['steps'][0]['cautions'] !== []]);
        self::assertSame([], $bench['current']['cautions']);
    }

    /** @param  list<array<string, mixed>>  $edits */
    private function change(array $edits, int $revision): void
    {
        $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'A change', 'edits' => $edits], ['If-Match' => "\"{$revision}\""])->assertCreated();
    }

    private function place(string $area): int
    {
        return (int) array_search($area, array_column($this->section['columns'], 'name'), true);
    }

    /** @return array<string, mixed> */
    private function columnOf(string $area): array
    {
        return $this->section['columns'][$this->place($area)];
    }

    private function row(string $title): int
    {
        return (int) array_search($title, array_column($this->section['rows'], 'title'), true);
    }

    /** @return list<string> what is on an area, from the bottom up */
    private function column(string $area): array
    {
        $cells = array_filter($this->section['cells'], fn (array $c): bool => $c['column'] === $this->place($area));

        return array_values(array_map(fn (array $c): string => $this->section['rows'][$c['row']]['title'], $cells));
    }

    /** @return array<string, mixed> */
    private function cell(string $area, string $title): array
    {
        foreach ($this->section['cells'] as $cell) {
            if ($cell['column'] === $this->place($area) && $this->section['rows'][$cell['row']]['title'] === $title) {
                return $cell;
            }
        }
        self::fail("nothing of {$title} on {$area}");
    }
}
