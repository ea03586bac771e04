<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use Tests\Support\AppTestCase;

/** The booklet and the colour lists over the API. */
final class BookletTest extends AppTestCase
{
    private string $id;

    protected function setUp(): void
    {
        parent::setUp();
        $this->id = $this->send('POST', '/api/builds/blank', ['name' => 'Read ahead', 'scale' => 35])->json('build.id');
    }

    public function test_lines_are_read_with_the_totals_as_they_would_be_and_nothing_changes(): void
    {
        $reading = $this->send('POST', "/api/builds/{$this->id}/booklet/read", ['text' => "2: A1 sea grey L\nB7 see grey\n3: B7 sea grey XS x4"])->assertOk()->json();

        self::assertSame([2, 1], [$reading['understood'], $reading['unread']]);
        self::assertSame('"see grey" is no code, no colour and no paint: did you mean sea grey.', $reading['lines'][1]['problems'][0]['sentence']);
        self::assertEquals([7, 84, 2], [$reading['tally']['colours'][0]['counts'], $reading['tally']['colours'][0]['cm2'], $reading['tally']['colours'][0]['firstStep']]);
        self::assertSame([], $this->send('GET', "/api/builds/{$this->id}/booklet")->json('callouts'));
    }

    public function test_they_are_taken_in_as_one_change_that_can_be_taken_back(): void
    {
        $taken = $this->send('POST', "/api/builds/{$this->id}/booklet", ['text' => "2: A1 A2 sea grey L\nB7 fog"], ['If-Match' => '"1"'])->assertCreated()->json();

        self::assertSame(['1 line of the booklet', 'B7 fog'], [$taken['change']['title'], $taken['left']]);
        self::assertSame(['A1', 'A2'], array_column($this->send('GET', "/api/builds/{$this->id}/booklet")->json('callouts'), 'number'));
        $this->send('POST', "/api/builds/{$this->id}/booklet", ['text' => '2: A1 sea grey L'], ['If-Match' => '"2"'])->assertOk()->assertJsonPath('change', null);
        $this->send('POST', "/api/builds/{$this->id}/booklet", ['text' => '9: A9 sea grey'], ['If-Match' => '"1"'])->assertConflict();
        $this->send('POST', "/api/builds/{$this->id}/changes/{$taken['change']['id']}/undo", [], ['If-Match' => '"2"'])->assertCreated();
        self::assertSame([], $this->send('GET', "/api/builds/{$this->id}/booklet")->json('callouts'));
    }

    public function test_as_the_whole_booklet_a_line_left_out_is_gone_and_one_not_read_holds_all_back(): void
    {
        $this->send('POST', "/api/builds/{$this->id}/booklet", ['text' => "2: A1 sea grey L\n3: B7 slate green S"], ['If-Match' => '"1"'])->assertCreated();
        $this->send('POST', "/api/builds/{$this->id}/booklet", ['text' => "2: A1 sea grey L\nB8 fog", 'whole' => true], ['If-Match' => '"2"'])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'line 2');
        $this->send('POST', "/api/builds/{$this->id}/booklet", ['text' => '2: A1 sea grey L', 'whole' => true], ['If-Match' => '"2"'])->assertCreated();

        self::assertSame(['A1'], array_column($this->send('GET', "/api/builds/{$this->id}/booklet")->json('callouts'), 'number'));
    }

    public function test_what_is_on_no_piece_is_brought_in_and_then_planned(): void
    {
        $this->send('POST', "/api/builds/{$this->id}/booklet", ['text' => "2: A1 sea grey L\nA2 clear S\nA3 bare\n4: A1 + A2"], ['If-Match' => '"1"'])->assertCreated();
        self::assertSame(2, $this->send('GET', "/api/builds/{$this->id}/booklet")->json('lost'));
        $this->send('POST', "/api/builds/{$this->id}/booklet/bring-in", [], ['If-Match' => '"2"'])->assertCreated()->assertJsonPath('change.title', '2 call-outs brought into the kit');
        $this->send('POST', "/api/builds/{$this->id}/booklet/bring-in", [], ['If-Match' => '"3"'])->assertOk()->assertJsonPath('change', null);

        self::assertSame(0, $this->send('GET', "/api/builds/{$this->id}/booklet")->json('lost'));
        self::assertNotSame([], $this->planOf($this->id)['stages']);
    }

    public function test_a_line_of_a_list_is_ticked_and_unticked_and_its_colour_closed(): void
    {
        $this->send('POST', "/api/builds/{$this->id}/booklet", ['text' => "2: A1 sea grey L\nA2 sea grey S half"], ['If-Match' => '"1"'])->assertCreated();
        $this->send('POST', "/api/builds/{$this->id}/booklet/bring-in", [], ['If-Match' => '"2"'])->assertCreated();
        [$list] = $this->lists();
        self::assertSame([2, false, ['A1', 'A2']], [$list['open'], $list['closed'], array_column($list['items'], 'name')]);

        $this->send('POST', "/api/builds/{$this->id}/events", ['id' => self::ulid(1), 'kind' => 'ticked', 'at' => self::NOW, 'targets' => [$list['items'][1]['id']], 'purpose' => $list['id']])->assertCreated();
        self::assertSame([1, self::ulid(1)], [$this->lists()[0]['open'], $this->lists()[0]['items'][1]['tickedBy']]);
        $this->send('POST', "/api/builds/{$this->id}/events", ['id' => self::ulid(2), 'kind' => 'take-back', 'at' => self::NOW, 'takesBack' => self::ulid(1)])->assertCreated();
        self::assertSame(2, $this->lists()[0]['open']);

        $this->send('POST', "/api/builds/{$this->id}/events", ['id' => self::ulid(3), 'kind' => 'done', 'at' => self::NOW, 'operation' => 'close-colour', 'targets' => [$list['items'][0]['id']], 'purpose' => $list['id'], 'stepKey' => "{$list['id']}/close-colour/{$list['id']}/1"])->assertCreated();
        self::assertTrue($this->lists()[0]['closed']);
        $stops = array_values(array_filter($this->planOf($this->id)['findings'], static fn (array $f): bool => $f['severity'] === 'stop'));
        self::assertSame(['Sea grey is closed without A1, step 2 and A2, step 2, half'], array_column($stops, 'title'));
    }

    public function test_bad_input_is_refused_with_the_place_and_changes_nothing(): void
    {
        $kit = Build::query()->findOrFail($this->id)->kit;
        $this->send('POST', "/api/builds/{$this->id}/booklet/read", ['text' => 7])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'text');
        $this->send('POST', "/api/builds/{$this->id}/booklet", ['text' => 'x', 'more' => 1], ['If-Match' => '"1"'])->assertUnprocessable();
        $this->send('POST', "/api/builds/{$this->id}/events", ['id' => self::ulid(1), 'kind' => 'ticked', 'at' => self::NOW, 'targets' => [self::ulid(9)], 'purpose' => self::ulid(8)])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'targets[0]');
        $this->send('POST', "/api/builds/{$this->id}/events", ['id' => self::ulid(1), 'kind' => 'ticked', 'at' => self::NOW])->assertUnprocessable();
        $this->send('POST', "/api/builds/{$this->id}/changes", ['title' => 'x', 'edits' => [['op' => 'add', 'list' => 'callouts', 'value' => ['id' => self::ulid(5), 'number' => 'A1', 'step' => 2, 'colour' => self::ulid(7)]]]], ['If-Match' => '"1"'])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'callouts[0].colour');
        $this->send('POST', "/api/builds/{$this->id}/changes", ['title' => 'x', 'edits' => [['op' => 'add', 'list' => 'callouts', 'value' => ['id' => self::ulid(5), 'number' => 'A1', 'step' => 2, 'faces' => ['belly']]]]], ['If-Match' => '"1"'])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'callouts[0].faces');
        $this->get('/api/builds/'.self::ulid(1).'/booklet')->assertNotFound();

        self::assertSame($kit, Build::query()->findOrFail($this->id)->kit);
    }

    /** @return list<array<string, mixed>> */
    private function lists(): array
    {
        return $this->send('GET', "/api/builds/{$this->id}/lists")->assertOk()->json('lists');
    }
}
