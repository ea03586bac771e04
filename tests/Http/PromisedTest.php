<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use Tests\Support\AppTestCase;

/** What a preview says is what comes, in the one time of all builds; and what a build that is put away holds still runs. */
final class PromisedTest extends AppTestCase
{
    public function test_a_preview_tells_the_dates_the_bench_tells_before_and_after(): void
    {
        $pin = [['op' => 'add', 'list' => 'pins', 'value' => ['id' => self::ulid(3), 'operation' => 'gloss', 'target' => null, 'purpose' => 'all', 'coats' => 6]]];
        $before = $this->bench()['finish'];
        $preview = $this->send('POST', "/api/builds/{$this->buildId()}/preview", ['edits' => $pin])->assertOk()->json('preview');
        self::assertSame($before, $preview['finishBefore']);
        $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'Six coats', 'edits' => $pin], ['If-Match' => '"1"'])->assertCreated();

        $after = $this->bench();
        self::assertSame($after['finish'], $preview['finishAfter']);
        self::assertNotSame($before, $after['finish']);
    }

    public function test_a_change_taken_back_gives_the_evenings_back_that_were_told_before(): void
    {
        $told = $this->bench(120)['follows'];
        $all = fn (): array => array_map(static fn (array $s): array => [$s['title'], $s['start']], $this->plan()['stages']);
        $before = $all();
        $change = $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'Six coats', 'edits' => [['op' => 'add', 'list' => 'pins', 'value' => ['id' => self::ulid(3), 'operation' => 'final', 'target' => null, 'purpose' => 'matt', 'coats' => 6]]]], ['If-Match' => '"1"'])->assertCreated()->json('change.id');
        self::assertNotSame($before, $all());
        $this->send('POST', "/api/builds/{$this->buildId()}/changes/{$change}/undo", [], ['If-Match' => '"2"'])->assertCreated();

        self::assertSame($before, $all());
        self::assertSame(array_column($told, 'start'), array_column($this->bench(120)['follows'], 'start'));
    }

    public function test_what_a_build_that_is_put_away_holds_runs_on(): void
    {
        $tractor = (string) Build::query()->where('name', 'like', '%Type 6%')->value('id');
        $of = fn (): array => array_values(array_filter($this->send('GET', '/api/frame')->json('holds'), static fn (array $h): bool => $h['buildId'] === $tractor));
        $holds = $of();
        self::assertNotSame([], $holds);
        $this->send('PUT', "/api/builds/{$tractor}/away", ['away' => true])->assertOk();

        self::assertSame(array_column($holds, 'key'), array_column($of(), 'key'));
        self::assertStringContainsString($holds[0]['label'], str_replace(["\r\n ", '\\,'], ['', ','], (string) $this->get('/api/holds.ics')->getContent()));
        foreach ($this->bench(120)['follows'] as $line) {
            self::assertNotSame($tractor, $line['buildId'], 'it takes no time');
        }
    }
}
