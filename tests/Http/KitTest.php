<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use App\Models\Change;
use Tests\Support\AppTestCase;

/** A kit typed in over the API: begun, read, taken in, corrected, taken out, and taken back. */
final class KitTest extends AppTestCase
{
    private const LINES = "hull / upper A, 84, sea grey, decals, pin wash, matt, soft 240 to upper B\nhull / upper B, 61, slate green, pin wash, matt\ncanopy / panes, 8, pane\ngrille, brass, 2, sea grey";

    private string $id;

    protected function setUp(): void
    {
        parent::setUp();
        $this->id = $this->send('POST', '/api/builds/blank', ['name' => 'Test tender', 'scale' => 200])->assertCreated()->json('build.id');
    }

    public function test_a_build_begins_from_nothing_and_stands_on_every_screen(): void
    {
        $tabs = array_column($this->send('GET', '/api/frame')->json('builds'), 'scale', 'name');

        self::assertEquals(200, $tabs['Test tender']);
        self::assertSame([], $this->kit()['areas']);
        foreach ([['name' => '', 'scale' => 72], ['name' => 'x', 'scale' => 0], ['name' => 'x', 'scale' => 'big'], ['scale' => 72], ['name' => 'x', 'scale' => 72, 'owner' => 'me']] as $wrong) {
            $this->send('POST', '/api/builds/blank', $wrong)->assertUnprocessable();
        }
        self::assertSame(7, Build::query()->count());
    }

    public function test_lines_are_read_without_changing_anything(): void
    {
        $reading = $this->send('POST', "/api/builds/{$this->id}/lines/read", ['text' => self::LINES."\nfin, M, see grey", 'plan' => true])->assertOk()->json();

        self::assertSame([4, 1, 3], [$reading['understood'], $reading['unread'], $reading['pieces']]);
        self::assertSame('"see grey" is not understood here: did you mean sea grey.', ucfirst($reading['lines'][4]['problems'][0]['sentence']));
        self::assertSame(['hull', 'sea grey'], [mb_substr('hull / upper A', 0, 4), mb_substr(explode("\n", self::LINES)[0], $reading['lines'][0]['phrases'][1]['start'], $reading['lines'][0]['phrases'][1]['length'])]);
        self::assertGreaterThan(20, $reading['steps']);
        self::assertSame([], $reading['stops']);
        self::assertNull($this->send('POST', "/api/builds/{$this->id}/lines/read", ['text' => self::LINES])->json('steps'), 'planned only when asked');
        self::assertSame(1, Build::query()->findOrFail($this->id)->revision);
    }

    public function test_lines_are_taken_in_as_one_change_and_taken_back(): void
    {
        $answer = $this->send('POST', "/api/builds/{$this->id}/lines", ['text' => self::LINES."\nfin, M, see grey"], ['If-Match' => '"1"'])->assertCreated()->json();
        self::assertSame([2, 'fin, M, see grey', '4 lines typed in'], [$answer['revision'], $answer['left'], $answer['change']['title']]);
        $kit = $this->kit();
        self::assertSame(['upper A', 'upper B', 'panes', 'grille'], array_column($kit['areas'], 'name'));
        self::assertSame(['styrene', 'clear-styrene', 'brass'], array_column($kit['parts'], 'substrate'));
        self::assertSame([240.0, 'soft'], [(float) $kit['edges'][0]['mm'], $kit['edges'][0]['kind']]);

        $this->send('POST', "/api/builds/{$this->id}/changes/{$kit['undoable']['id']}/undo", [], ['If-Match' => '"2"'])->assertCreated();
        $after = $this->kit();
        self::assertSame([[], [], [], []], [$after['areas'], $after['parts'], $after['edges'], $after['colours']]);
    }

    public function test_the_kit_written_out_and_put_so_again_changes_nothing(): void
    {
        $this->take(self::LINES);
        $before = Build::query()->findOrFail($this->id);
        $answer = $this->send('POST', "/api/builds/{$this->id}/lines", ['text' => $this->kit()['lines'], 'whole' => true], ['If-Match' => '"2"'])->assertOk()->json();

        self::assertNull($answer['change']);
        self::assertSame($before->kit, Build::query()->findOrFail($this->id)->kit);
    }

    public function test_a_line_left_out_of_the_whole_takes_its_area_out_and_undo_brings_it_back(): void
    {
        $this->take(self::LINES);
        $lines = implode("\n", array_filter(explode("\n", $this->kit()['lines']), static fn (string $l): bool => ! str_contains($l, '/ upper B')));
        $lines = str_replace(', soft 240 mm to upper B', '', $lines);
        $this->send('POST', "/api/builds/{$this->id}/lines", ['text' => $lines, 'whole' => true], ['If-Match' => '"2"'])->assertCreated();
        self::assertSame(['upper A', 'panes', 'grille'], array_column($this->kit()['areas'], 'name'));
        self::assertSame([], $this->kit()['edges']);

        $this->send('POST', "/api/builds/{$this->id}/changes/{$this->kit()['undoable']['id']}/undo", [], ['If-Match' => '"3"'])->assertCreated();
        self::assertSame(['upper A', 'upper B', 'panes', 'grille'], array_column($this->kit()['areas'], 'name'));
        self::assertCount(1, $this->kit()['edges']);
    }

    public function test_of_the_whole_kit_no_line_is_lost_to_a_slip_of_the_fingers(): void
    {
        $this->take(self::LINES);
        $lines = str_replace(', slate green', ', slaty green', $this->kit()['lines']);
        $answer = $this->send('POST', "/api/builds/{$this->id}/lines", ['text' => $lines, 'whole' => true], ['If-Match' => '"2"'])->assertUnprocessable();

        self::assertMatchesRegularExpression('/^line \d+$/', $answer->json('error.problems.0.path'));
        self::assertSame(['upper A', 'upper B', 'panes', 'grille'], array_column($this->kit()['areas'], 'name'));
    }

    public function test_what_the_kit_as_a_whole_refuses_is_answered_at_its_line_and_the_rest_goes_in(): void
    {
        $text = "canopy / rail, 2, sea grey, seen through upper A\n".self::LINES;
        $line = $this->send('POST', "/api/builds/{$this->id}/lines/read", ['text' => $text])->assertOk()->json('lines.0');
        self::assertSame('Rail: seen through is not a pane: name an area whose face is "pane".', ucfirst($line['problems'][0]['sentence']));
        $answer = $this->send('POST', "/api/builds/{$this->id}/lines", ['text' => $text], ['If-Match' => '"1"'])->assertCreated();

        self::assertSame('canopy / rail, 2, sea grey, seen through upper A', $answer->json('left'), 'it stays to be put right');
        self::assertSame(['upper A', 'upper B', 'panes', 'grille'], array_column($this->kit()['areas'], 'name'));
        $this->send('POST', "/api/builds/{$this->id}/lines", ['text' => 'canopy / rail, 2, sea grey, seen through panes'], ['If-Match' => '"2"'])->assertCreated();
        self::assertContains('rail', array_column($this->kit()['areas'], 'name'));
    }

    public function test_every_cell_typed_over_is_a_change_of_its_own_and_can_be_taken_back(): void
    {
        $this->take(self::LINES);
        $area = $this->kit()['areas'][0];
        $typed = ['size' => '2,5', 'colour' => 'slate green', 'wash' => 'filter', 'sheen' => 'gloss', 'decals' => 'no', 'name' => 'upper, left'];
        $revision = 2;
        foreach ($typed as $field => $text) {
            $this->send('POST', "/api/builds/{$this->id}/cell", ['list' => 'areas', 'id' => $area['id'], 'field' => $field, 'text' => $text], ['If-Match' => "\"{$revision}\""])->assertCreated();
            $revision++;
        }
        $now = $this->kit()['areas'][0];
        self::assertSame([2.5, 'filter', 'gloss', false, 'upper, left'], [$now['cm2'], $now['intent']['wash'], $now['intent']['sheen'], $now['intent']['decals'], $now['name']]);
        foreach ($typed as $_) {
            $this->send('POST', "/api/builds/{$this->id}/changes/{$this->kit()['undoable']['id']}/undo", [], ['If-Match' => "\"{$revision}\""])->assertCreated();
            $revision++;
        }

        self::assertSame($area, $this->kit()['areas'][0]);
    }

    public function test_a_cell_nobody_understands_is_answered_at_the_cell(): void
    {
        $this->take(self::LINES);
        $area = $this->kit()['areas'][0]['id'];
        $problem = $this->send('POST', "/api/builds/{$this->id}/cell", ['list' => 'areas', 'id' => $area, 'field' => 'size', 'text' => '1,250.5'], ['If-Match' => '"2"'])->assertUnprocessable()->json('error.problems.0');

        self::assertSame(['size', '"1,250.5" can be read two ways', 'write 1250.5 or 1.2505'], [$problem['path'], $problem['wrong'], $problem['right']]);
        $this->send('POST', "/api/builds/{$this->id}/cell", ['list' => 'areas', 'id' => $area, 'field' => 'size', 'text' => '90'], ['If-Match' => '"1"'])->assertConflict();
        self::assertSame(2, Build::query()->findOrFail($this->id)->revision);
    }

    public function test_a_thing_taken_out_takes_with_it_what_only_makes_sense_with_it(): void
    {
        $this->take(self::LINES);
        $kit = $this->kit();
        $this->send('POST', "/api/builds/{$this->id}/remove", ['list' => 'areas', 'id' => $kit['areas'][1]['id']], ['If-Match' => '"2"'])->assertCreated()->assertJsonPath('change.title', 'Take out upper B');
        self::assertSame([], $this->kit()['edges']);
        $this->send('POST', "/api/builds/{$this->id}/remove", ['list' => 'colours', 'id' => $kit['colours'][0]['id']], ['If-Match' => '"3"'])->assertCreated();
        self::assertNull($this->kit()['areas'][0]['intent']['colour'], 'an area whose colour is out stays bare');
        $this->send('POST', "/api/builds/{$this->id}/remove", ['list' => 'areas', 'id' => self::ulid(5)], ['If-Match' => '"4"'])->assertUnprocessable();
        $this->send('POST', "/api/builds/{$this->id}/remove", ['list' => 'spoons', 'id' => self::ulid(5)], ['If-Match' => '"4"'])->assertUnprocessable();
        self::assertSame(3, Change::query()->where('build_id', $this->id)->count());
    }

    public function test_a_kit_copied_has_ids_of_its_own_and_an_empty_log(): void
    {
        $copy = $this->send('POST', "/api/builds/{$this->buildId()}/copy", [])->assertCreated()->json('build');
        $one = $this->send('GET', "/api/builds/{$this->buildId()}/kit")->json();
        $two = $this->send('GET', "/api/builds/{$copy['id']}/kit")->json();

        self::assertSame($one['lines'], $two['lines']);
        self::assertSame([], array_intersect(array_column($one['areas'], 'id'), array_column($two['areas'], 'id')));
        self::assertSame(0, $this->send('GET', "/api/builds/{$copy['id']}/log")->json('total'));
        self::assertSame([0], array_values(array_unique(array_column($two['areas'], 'logged'))));
    }

    public function test_a_paint_is_put_on_the_shelf_while_one_types(): void
    {
        $text = ['text' => 'cowl, S, harbour violet'];
        self::assertSame(1, $this->send('POST', "/api/builds/{$this->id}/lines/read", $text)->json('unread'));
        $this->send('POST', '/api/products', ['name' => 'Harbour Violet', 'range' => 'Linnet', 'family' => 'water-acrylic', 'role' => 'colour', 'swatch' => '#6A4F8C', 'sheen' => 'satin', 'opacity' => 'fair'])->assertCreated();
        self::assertSame(0, $this->send('POST', "/api/builds/{$this->id}/lines/read", $text)->json('unread'));
        self::assertContains('Harbour Violet', array_column($this->send('GET', '/api/products')->json('products'), 'name'));
        foreach ([['name' => 'x', 'family' => 'gouache', 'role' => 'colour'], ['name' => 'x', 'family' => 'lacquer', 'role' => 'colour', 'swatch' => 'red']] as $wrong) {
            self::assertNotSame('', $this->send('POST', '/api/products', $wrong)->assertUnprocessable()->json('error.problems.0.right'));
        }
    }

    /** @return array<string, mixed> */
    private function kit(): array
    {
        return $this->send('GET', "/api/builds/{$this->id}/kit")->assertOk()->json();
    }

    private function take(string $lines): void
    {
        $this->send('POST', "/api/builds/{$this->id}/lines", ['text' => $lines], ['If-Match' => '"1"'])->assertCreated()->assertJsonPath('left', '');
    }
}
