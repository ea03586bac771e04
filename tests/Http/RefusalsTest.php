<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Event;
use App\Models\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\AppTestCase;

/** Bad input: what, where, what would be right; and nothing is written. */
final class RefusalsTest extends AppTestCase
{
    /** @param  array<string, mixed>  $change */
    #[DataProvider('events')]
    public function test_an_event_that_cannot_be_is_refused_at_its_field(array $change, string $path): void
    {
        $before = Event::query()->count();
        $event = [...$this->bench()['current']['event'], 'id' => self::ulid(1), 'at' => self::NOW];
        $answer = $this->send('POST', "/api/builds/{$this->buildId()}/events", [...$event, ...$change])->assertUnprocessable();

        self::assertContains($path, array_column($answer->json('error.problems'), 'path'));
        foreach ($answer->json('error.problems') as $problem) {
            self::assertNotSame('', $problem['right']);
        }
        self::assertSame($before, Event::query()->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function events(): iterable
    {
        yield 'unknown kind' => [['kind' => 'flew'], 'kind'];
        yield 'unknown operation' => [['operation' => 'fly'], 'operation'];
        yield 'unknown product' => [['product' => '01T00000000000000000000099'], 'product'];
        yield 'product that is no id' => [['product' => 'sea grey'], 'product'];
        yield 'unknown coat' => [['coatKind' => 'thick'], 'coatKind'];
        yield 'impossible film' => [['filmMicrons' => -1], 'filmMicrons'];
        yield 'instant without zone' => [['at' => '2026-03-03T19:05:00'], 'at'];
        yield 'a day that is none' => [['at' => '2026-02-30T19:05:00Z'], 'at'];
        yield 'tomorrow' => [['at' => '2026-03-04T19:05:00Z'], 'at'];
        yield 'targets as text' => [['targets' => 'all'], 'targets'];
        yield 'a target that is no id' => [['targets' => ['wing']], 'targets[0]'];
        yield 'a target of another build' => [['targets' => ['01T00000000000000000000042']], 'targets[0]'];
        yield 'no target' => [['targets' => []], 'targets'];
        yield 'humidity over one' => [['humidity' => 58], 'humidity'];
        yield 'a note too long' => [['note' => str_repeat('x', 2001)], 'note'];
        yield 'a bell in the note' => [['note' => "ring\x07"], 'note'];
        yield 'a field nobody knows' => [['colour' => 'grey'], 'colour'];
        yield 'an id in small letters' => [['id' => '01t00000000000000000000001'], 'id'];
        yield 'taking back what is not there' => [['kind' => 'take-back', 'takesBack' => '01T00000000000000000000042', 'stepKey' => null], 'takesBack'];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('readings')]
    public function test_a_reading_that_cannot_be_is_refused(array $body, string $path): void
    {
        $answer = $this->send('POST', '/api/readings', $body)->assertUnprocessable();

        self::assertSame($path, $answer->json('error.problems.0.path'));
        self::assertSame(0, Reading::query()->count());
        self::assertSame('simulated', $this->send('GET', '/api/frame')->json('room.source'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function readings(): iterable
    {
        yield 'nothing' => [['x' => 1], 'temperatureC'];
        yield 'an oven' => [['temperatureC' => 180, 'humidity' => 0.5], 'temperatureC'];
        yield 'percent' => [['temperatureC' => 20, 'humidity' => 55], 'humidity'];
        yield 'text' => [['temperatureC' => '20', 'humidity' => 0.5], 'temperatureC'];
        yield 'no air at all' => [['temperatureC' => 20, 'humidity' => 0], 'humidity'];
    }

    public function test_readings_come_from_one_of_two_sources(): void
    {
        $this->send('PUT', '/api/room/source', ['source' => 'guessed'])->assertUnprocessable()->assertJsonPath('error.problems.0.right', 'give simulated or typed');
    }

    #[DataProvider('revisions')]
    public function test_an_edit_names_the_revision_it_was_made_on(?string $revision): void
    {
        $edit = ['title' => 'x', 'edits' => [['op' => 'house', 'list' => 'primer', 'value' => 'never']]];
        $this->send('POST', "/api/builds/{$this->buildId()}/changes", $edit, $revision === null ? [] : ['If-Match' => $revision])
            ->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'If-Match');
    }

    /** @return iterable<array{string|null}> */
    public static function revisions(): iterable
    {
        yield [null];
        yield ['*'];
        yield ['"one"'];
        yield ['99999999999999'];
    }

    public function test_a_change_of_another_build_cannot_be_undone_here(): void
    {
        $this->send('POST', "/api/builds/{$this->buildId()}/changes/".self::ulid(3).'/undo', [], ['If-Match' => '"1"'])
            ->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'change');
    }

    public function test_a_change_is_undone_once(): void
    {
        $id = $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'x', 'edits' => [['op' => 'house', 'list' => 'primer', 'value' => 'never']]], ['If-Match' => '"1"'])->json('change.id');
        $this->send('POST', "/api/builds/{$this->buildId()}/changes/{$id}/undo", [], ['If-Match' => '"2"'])->assertCreated();
        $this->send('POST', "/api/builds/{$this->buildId()}/changes/{$id}/undo", [], ['If-Match' => '"3"'])->assertUnprocessable();
        self::assertNull($this->plan()['undoable']);
    }
}
