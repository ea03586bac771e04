<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\AppTestCase;

final class ChangesTest extends AppTestCase
{
    /** @return array<string, mixed> a finding with a fix: gloss is left out under the decals */
    private function mistake(): array
    {
        $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'No gloss', 'edits' => [['op' => 'add', 'list' => 'pins', 'value' => ['id' => self::ulid(1), 'operation' => 'gloss', 'present' => false]]]], ['If-Match' => '"1"'])->assertCreated();
        foreach ($this->plan()['findings'] as $finding) {
            if ($finding['rule'] === 'gloss-before-decal') {
                return $finding;
            }
        }
        self::fail('decals on matt are not found');
    }

    public function test_a_fix_is_previewed_applied_and_undone(): void
    {
        $finding = $this->mistake();
        $fix = $finding['fixes'][0];
        $preview = $this->send('POST', "/api/builds/{$this->buildId()}/preview", ['edits' => $fix['edits']])->assertOk()->json('preview');
        self::assertContains($finding['title'], array_column($preview['findingsGone'], 'title'));
        self::assertNotSame([], $preview['added']);

        $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => $fix['title'], 'edits' => $fix['edits']], ['If-Match' => '"2"'])->assertCreated()->assertJsonPath('revision', 3);
        self::assertNotContains($finding['key'], array_column($this->plan()['findings'], 'key'));

        $undoable = $this->plan()['undoable'];
        $this->send('POST', "/api/builds/{$this->buildId()}/changes/{$undoable['id']}/undo", [], ['If-Match' => '"3"'])->assertCreated();
        self::assertContains($finding['key'], array_column($this->plan()['findings'], 'key'));
    }

    public function test_a_finding_is_accepted_with_a_reason_that_stays_visible(): void
    {
        $finding = $this->mistake();
        $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'Accept', 'edits' => [['op' => 'add', 'list' => 'accepted', 'value' => ['id' => self::ulid(2), 'finding' => $finding['key'], 'facts' => $finding['facts'], 'reason' => 'Old decals, trimmed close.']]]], ['If-Match' => '"2"'])->assertCreated();
        $after = array_column($this->plan()['findings'], null, 'key')[$finding['key']];

        self::assertSame('Old decals, trimmed close.', $after['accepted']);
    }

    public function test_an_edit_on_an_old_revision_is_a_conflict_and_changes_nothing(): void
    {
        $this->mistake();
        $kit = Build::query()->value('kit');
        $edit = ['title' => 'Late', 'edits' => [['op' => 'house', 'list' => 'primer', 'value' => 'never']]];
        $this->send('POST', "/api/builds/{$this->buildId()}/changes", $edit, ['If-Match' => '"1"'])->assertConflict()->assertJsonPath('error.there.changes', ['No gloss']);
        $this->send('POST', "/api/builds/{$this->buildId()}/changes", $edit)->assertUnprocessable();

        self::assertSame($kit, Build::query()->value('kit'));
    }

    public function test_undo_is_refused_where_a_later_change_touched_the_same_field(): void
    {
        $colour = Build::query()->firstOrFail()->kit['colours'][0]['id'];
        $rename = fn (string $name, int $revision): string => $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => $name, 'edits' => [['op' => 'set', 'list' => 'colours', 'id' => $colour, 'field' => 'name', 'value' => $name]]], ['If-Match' => "\"{$revision}\""])->assertCreated()->json('change.id');
        $first = $rename('amber', 1);
        $rename('straw', 2);
        $this->send('POST', "/api/builds/{$this->buildId()}/changes/{$first}/undo", [], ['If-Match' => '"3"'])
            ->assertUnprocessable()->assertJsonPath('error.problems.0.wrong', 'cannot be taken back: "straw" changed the same thing later');
    }

    public function test_edits_that_make_no_sense_say_what_would(): void
    {
        foreach ([
            ['op' => 'set', 'list' => 'areas', 'id' => self::ulid(9), 'field' => 'name', 'value' => 'x'],
            ['op' => 'set', 'list' => 'nothing', 'id' => self::ulid(9), 'field' => 'name', 'value' => 'x'],
            ['op' => 'add', 'list' => 'pins', 'value' => ['id' => self::ulid(9), 'operation' => 'fly']],
            ['op' => 'house', 'list' => 'primer', 'value' => 'sometimes'],
        ] as $edit) {
            $answer = $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'x', 'edits' => [$edit]], ['If-Match' => '"1"'])->assertUnprocessable();
            self::assertNotSame('', $answer->json('error.problems.0.right'));
        }
        self::assertSame(1, Build::query()->value('revision'));
    }

    /** @param  array<string, mixed>  $value */
    #[DataProvider('steerings')]
    public function test_steering_that_cannot_be_is_refused_at_its_field(string $list, array $value, string $field): void
    {
        $kit = Build::query()->findOrFail($this->buildId())->kit;
        $answer = $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'x', 'edits' => [['op' => 'add', 'list' => $list, 'value' => ['id' => self::ulid(9), ...$value]]]], ['If-Match' => '"1"'])->assertUnprocessable();

        self::assertStringContainsString($field, implode(' ', array_column($answer->json('error.problems'), 'path')));
        self::assertNotSame('', $answer->json('error.problems.0.right'));
        self::assertSame($kit, Build::query()->findOrFail($this->buildId())->kit, 'nothing is written');
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function steerings(): iterable
    {
        yield 'no coat' => ['pins', ['operation' => 'colour', 'coats' => 0], 'coats'];
        yield 'coats without end' => ['pins', ['operation' => 'colour', 'coats' => 21], 'coats'];
        yield 'half a coat' => ['pins', ['operation' => 'colour', 'coats' => 'half'], 'coats'];
        yield 'a medium nobody makes' => ['pins', ['operation' => 'mask', 'medium' => 'butter'], 'medium'];
        yield 'a product that is no id' => ['pins', ['operation' => 'colour', 'product' => 'sea grey'], 'product'];
        yield 'a place that is no id' => ['pins', ['operation' => 'colour', 'target' => 'the wing'], 'target'];
        yield 'a pin with more than a pin has' => ['pins', ['operation' => 'colour', 'mood' => 'good'], 'mood'];
        yield 'an order of one' => ['orders', ['first' => 'a/colour/b/1'], 'then'];
        yield 'a time without a zone' => ['notBefore', ['step' => 'a/colour/b/1', 'at' => '2026-03-20 19:00'], 'at'];
        yield 'a day that is none' => ['notBefore', ['step' => 'a/colour/b/1', 'at' => '2026-02-30T19:00:00Z'], 'at'];
        yield 'a test on nothing' => ['inserted', ['operation' => 'test', 'targets' => [], 'title' => 'Try it'], 'targets'];
        yield 'a surface nobody has' => ['inserted', ['operation' => 'test', 'title' => 'Try it', 'surface' => 'the cat'], 'surface'];
    }
}
