<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Build\BenchFile;
use App\Models\Build;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\AppTestCase;

/** When the user is at the bench, with how many guns, and that all builds are planned into it. */
final class EveningsTest extends AppTestCase
{
    /** @return list<array{int, int, string}> begin and end of all that hands do, of any build, with its name */
    private function all(): array
    {
        $lines = [];
        foreach (Build::query()->where('away', false)->orderBy('position')->pluck('name', 'id')->all() as $id => $name) {
            $plan = $this->planOf((string) $id);
            foreach ($plan['stages'] as $stage) {
                foreach ($stage['steps'] as $step) {
                    $lines[] = [(int) strtotime($step['start']), (int) strtotime($step['end']), "{$name} {$step['title']}"];
                }
            }
        }
        sort($lines);

        return $lines;
    }

    public function test_no_two_builds_want_the_hands_at_once(): void
    {
        $this->artisan('amber:plan', ['--all' => true, '--json' => true])->assertSuccessful();
        $lines = $this->all();
        self::assertGreaterThan(500, count($lines));
        $apart = 0;
        foreach ($lines as $i => [$start, , $what]) {
            $apart += $i > 0 && $start < $lines[$i - 1][1] ? $lines[$i - 1][1] - $start : 0;
        }

        self::assertLessThan(60 * 60, $apart, 'each build is looked into by itself: what the others tell is near enough');
    }

    public function test_the_bench_says_which_model_to_take_up_and_what_follows_on_which(): void
    {
        $bench = $this->bench(90);

        self::assertSame('Dunmore Type 6', $bench['takeUp']['build'], 'its filler sets harder than the plastic by the minute');
        self::assertContains(null, array_column($bench['follows'], 'build'));
        $starts = array_column($bench['follows'], 'start');
        $sorted = $starts;
        sort($sorted);
        self::assertSame($sorted, $starts);
    }

    public function test_a_date_is_made_longer_struck_and_taken_back_and_plans_follow(): void
    {
        $first = fn (): string => min(array_map(static fn (array $s): string => $s['start'], array_filter($this->plan()['stages'], static fn (array $s): bool => $s['start'] > '2026-03-04')));
        self::assertStringStartsWith('2026-03-04', $first());

        $change = $this->send('PUT', '/api/evenings/dates/2026-03-04', ['sessions' => []])->assertOk()->json('change');
        self::assertSame('Away on Wed 4 Mar', $change['title']);
        self::assertStringStartsWith('2026-03-05', $first());
        self::assertSame(['2026-03-04' => []], $this->send('GET', '/api/evenings')->json('dates'));

        $this->send('POST', "/api/changes/{$change['id']}/undo", [])->assertCreated();
        self::assertStringStartsWith('2026-03-04', $first());
        $this->send('PUT', '/api/evenings/dates/2026-03-04', ['sessions' => [['from' => 600, 'until' => 700]]])->assertOk();
        self::assertStringStartsWith('2026-03-04T10', $first());
        self::assertNotNull($this->send('PUT', '/api/evenings/dates/2026-03-04', ['sessions' => null])->assertOk()->json('change'));
        self::assertNull($this->send('PUT', '/api/evenings/dates/2026-03-04', ['sessions' => null])->assertOk()->json('change'), 'it was so already');
    }

    public function test_a_weekday_is_changed_and_taken_back(): void
    {
        $change = $this->send('PUT', '/api/evenings/days/wed', ['sessions' => [['from' => 1200, 'until' => 1320], ['from' => 480, 'until' => 540]]])->assertOk()->json('change');
        self::assertSame([['from' => 480, 'until' => 540], ['from' => 1200, 'until' => 1320]], $this->send('GET', '/api/evenings')->json('week.wed'));
        $this->send('POST', "/api/changes/{$change['id']}/undo", [])->assertCreated();
        self::assertSame([['from' => 1140, 'until' => 1260]], $this->send('GET', '/api/evenings')->json('week.wed'));
    }

    public function test_they_go_along_with_the_whole_bench_and_a_file_from_before_has_none(): void
    {
        $this->send('PUT', '/api/evenings/dates/2026-03-04', ['sessions' => [['from' => 600, 'until' => 700]]])->assertOk();
        $file = app(BenchFile::class)->toJson();
        $evenings = $this->send('GET', '/api/evenings')->json();
        $this->send('PUT', '/api/evenings/dates/2026-03-04', ['sessions' => null])->assertOk();
        $this->send('PUT', '/api/guns', ['guns' => []])->assertOk();

        app(BenchFile::class)->take($file, true);
        self::assertSame($evenings, $this->send('GET', '/api/evenings')->json());
        self::assertSame($file, app(BenchFile::class)->toJson());
        $before = json_decode($file, true);
        unset($before['dates'], $before['guns']);
        app(BenchFile::class)->take((string) json_encode($before), true);
        self::assertSame([[], []], [$this->send('GET', '/api/evenings')->json('dates'), $this->send('GET', '/api/evenings')->json('guns')]);
    }

    public function test_guns_are_kept_and_taken_back(): void
    {
        $guns = $this->send('GET', '/api/evenings')->json('guns');
        self::assertSame(['Fine', 'All-round', 'Wide'], array_column($guns, 'name'));
        $change = $this->send('PUT', '/api/guns', ['guns' => [['name' => 'Old one', 'nozzleMm' => 0.3, 'cupMl' => 5], $guns[1]]])->assertOk()->json('change');
        self::assertSame(['Old one', 'All-round'], array_column($this->send('GET', '/api/evenings')->json('guns'), 'name'));
        $this->send('POST', "/api/changes/{$change['id']}/undo", [])->assertCreated();
        self::assertSame($guns, $this->send('GET', '/api/evenings')->json('guns'));
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('wrong')]
    public function test_what_is_no_session_and_no_gun_is_refused_where_it_stands(string $path, array $body, string $at): void
    {
        $before = $this->send('GET', '/api/evenings')->json();
        self::assertSame($at, $this->send('PUT', $path, $body)->assertStatus(422)->json('error.problems.0.path'));
        self::assertSame($before, $this->send('GET', '/api/evenings')->json());
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no such day' => ['/api/evenings/days/xyz', ['sessions' => []], 'day'];
        yield 'no such date' => ['/api/evenings/dates/2026-02-30', ['sessions' => []], 'date'];
        yield 'ends before it begins' => ['/api/evenings/dates/2026-03-05', ['sessions' => [['from' => 1200, 'until' => 1140]]], 'sessions.0'];
        yield 'one in the other' => ['/api/evenings/days/mon', ['sessions' => [['from' => 600, 'until' => 700], ['from' => 650, 'until' => 800]]], 'sessions.1'];
        yield 'no list' => ['/api/evenings/days/mon', ['sessions' => 'always'], 'sessions'];
        yield 'something else besides' => ['/api/evenings/days/mon', ['sessions' => [], 'x' => 1], 'sessions'];
        yield 'a nozzle like a hose' => ['/api/guns', ['guns' => [['name' => 'Big', 'nozzleMm' => 12, 'cupMl' => 5]]], 'guns.0.nozzleMm'];
        yield 'a gun without a name' => ['/api/guns', ['guns' => [['nozzleMm' => 0.3, 'cupMl' => 5]]], 'guns.0.name'];
    }

    public function test_coats_are_planned_for_the_hours_of_the_places_one_sprays_in_and_taken_back_they_are_as_before(): void
    {
        $sprays = fn (): array => array_values(array_filter($this->send('GET', "/api/builds/{$this->buildId()}/bench?minutes=720")->json('follows'), static fn (array $l): bool => $l['sprays']));
        $before = $sprays();
        self::assertLessThan('2026-03-03T19:30', $before[0]['start']);
        $change = $this->send('PUT', '/api/workshop', ['cabinet' => 4, 'places' => [['name' => 'Kitchen', 'from' => 1200, 'until' => 1380, 'temperatureC' => null, 'humidity' => null]]])->assertOk()->json('change');
        self::assertSame('Where is sprayed', $change['title']);
        self::assertSame(4, $this->send('GET', '/api/evenings')->json('workshop.cabinet'));
        foreach ($sprays() as $line) {
            // The demo is in London: in March the wall shows what UTC does.
            self::assertGreaterThanOrEqual('20:00', substr($line['start'], 11, 5), $line['title']);
        }
        $this->send('POST', "/api/changes/{$change['id']}/undo", [])->assertCreated();

        self::assertSame(array_column($before, 'start'), array_column($sprays(), 'start'));
        self::assertSame(['cabinet' => null, 'places' => []], $this->send('GET', '/api/evenings')->json('workshop'));
    }

    #[DataProvider('noWorkshops')]
    public function test_what_is_no_place_is_refused_and_said(array $sent, string $path): void
    {
        $said = $this->send('PUT', '/api/workshop', $sent)->assertStatus(422)->json('error.problems');
        self::assertContains($path, array_column($said, 'path'));
        self::assertSame(['cabinet' => null, 'places' => []], $this->send('GET', '/api/evenings')->json('workshop'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function noWorkshops(): iterable
    {
        $place = ['name' => 'Shed', 'from' => 600, 'until' => 1080, 'temperatureC' => null, 'humidity' => null];
        yield 'no piece' => [['cabinet' => 0, 'places' => []], 'cabinet'];
        yield 'ends before it begins' => [['cabinet' => null, 'places' => [['until' => 540] + $place]], 'places[0].until'];
        yield 'half an air' => [['cabinet' => null, 'places' => [['humidity' => 0.5] + $place]], 'places[0]'];
        yield 'no name' => [['cabinet' => null, 'places' => [['name' => ''] + $place]], 'places[0].name'];
    }
}
