<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Event;
use Tests\Support\AppTestCase;

final class BenchTest extends AppTestCase
{
    public function test_the_demo_has_something_to_do_and_two_holds_running(): void
    {
        $bench = $this->bench();
        $frame = $this->send('GET', '/api/frame')->assertOk()->json();

        self::assertSame('Spray sea grey, first mist coat', $bench['current']['title']);
        self::assertSame(0, $bench['stops']);
        self::assertSame(['window', 'flash', 'ready', 'handle', 'cured', 'cured', 'cured'], array_column($frame['holds'], 'kind'), 'superglue closing on the tractor, the hull in flash, putty and the canopy joint setting, the clear of the coupé curing');
        self::assertSame('open', $frame['builds'][0]['aspect']['kind']);
        self::assertGreaterThanOrEqual(18, count($this->send('GET', "/api/builds/{$this->buildId()}/kit")->json('areas')));
    }

    public function test_at_any_hour_there_is_something_to_do_and_two_holds_run(): void
    {
        foreach (['03:10', '09:30', '14:00', '22:45'] as $hour) {
            $this->at("2026-03-03 {$hour}");
            $this->artisan('amber:demo', ['--again' => true])->assertSuccessful();
            self::assertNotNull($this->bench()['current'], $hour);
            self::assertGreaterThanOrEqual(2, count($this->send('GET', '/api/frame')->json('holds')), $hour);
            self::assertSame(0, $this->bench()['stops'], $hour);
        }
    }

    public function test_a_press_is_recorded_once_and_moves_nothing_else(): void
    {
        $before = $this->plan();
        $event = [...$this->bench()['current']['event'], 'id' => self::ulid(1), 'at' => self::NOW];
        $first = $this->send('POST', "/api/builds/{$this->buildId()}/events", $event)->assertCreated();
        $again = $this->send('POST', "/api/builds/{$this->buildId()}/events", $event)->assertOk();

        self::assertSame($first->json('event'), $again->json('event'));
        self::assertSame($this->send('GET', '/api/frame')->json('room.temperatureC'), $first->json('event.air.temperatureC'), 'it says in which air it was done');
        self::assertSame(1, Event::query()->where('id', self::ulid(1))->count());
        self::assertSame($before['stepsLeft'] - 1, $this->plan()['stepsLeft']);
    }

    public function test_the_same_step_recorded_from_elsewhere_is_a_conflict_that_shows_what_is_there(): void
    {
        $event = [...$this->bench()['current']['event'], 'at' => self::NOW];
        $this->send('POST', "/api/builds/{$this->buildId()}/events", [...$event, 'id' => self::ulid(1)])->assertCreated();
        $this->send('POST', "/api/builds/{$this->buildId()}/events", [...$event, 'id' => self::ulid(2)])
            ->assertConflict()->assertJsonPath('error.there.event.id', self::ulid(1));
    }

    public function test_taking_back_gives_the_step_back(): void
    {
        $bench = $this->bench();
        $this->send('POST', "/api/builds/{$this->buildId()}/events", [...$bench['current']['event'], 'id' => self::ulid(1), 'at' => self::NOW])->assertCreated();
        self::assertNotSame($bench['current']['key'], $this->bench()['current']['key']);
        $this->send('POST', "/api/builds/{$this->buildId()}/events", ['id' => self::ulid(2), 'kind' => 'take-back', 'at' => self::NOW, 'takesBack' => self::ulid(1)])->assertCreated();

        self::assertSame($bench['current'], $this->bench()['current']);
        self::assertFalse($this->send('GET', "/api/builds/{$this->buildId()}/log")->json('events.0.standing'));
    }

    public function test_a_fault_puts_its_remedy_and_its_hold_into_the_plan(): void
    {
        $current = $this->bench()['current'];
        $this->send('POST', "/api/builds/{$this->buildId()}/events", [...$current['event'], 'id' => self::ulid(1), 'at' => self::NOW])->assertCreated();
        $this->send('POST', "/api/builds/{$this->buildId()}/events", ['id' => self::ulid(2), 'kind' => 'fault', 'at' => self::NOW, 'fault' => 'run', 'targets' => $current['faultTargets']])->assertCreated();
        $stages = $this->plan()['stages'];

        self::assertContains('Flat the run: P1000', array_map(static fn (array $s): string => explode(',', $s['title'])[0], $stages));
        self::assertContains('sand-safe', array_column($this->plan()['holds'], 'kind'));
    }

    public function test_what_lies_in_the_future_or_names_what_is_not_there_is_refused_with_a_reason(): void
    {
        $event = $this->bench()['current']['event'];
        $this->send('POST', "/api/builds/{$this->buildId()}/events", [...$event, 'id' => self::ulid(1), 'at' => '2026-03-03T20:05:00Z'])
            ->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'at');
        $this->send('POST', "/api/builds/{$this->buildId()}/events", [...$event, 'id' => self::ulid(1), 'at' => self::NOW, 'targets' => [self::ulid(9)]])
            ->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'targets[0]');
        self::assertFalse(Event::query()->where('id', self::ulid(1))->exists());
    }

    public function test_the_hold_ends_by_the_clock(): void
    {
        $until = $this->bench()['holds'][0]['until'];
        $this->at($until);

        self::assertNotContains($until, array_column($this->bench()['holds'], 'until'));
    }

    public function test_a_typed_reading_replaces_the_simulated_ones(): void
    {
        $this->send('POST', '/api/readings', ['temperatureC' => 9.5, 'humidity' => 0.5])->assertCreated();
        $room = $this->send('GET', '/api/frame')->json('room');

        self::assertSame(['typed', 9.5], [$room['source'], $room['temperatureC']]);
        self::assertStringContainsString('under the 15 °C', $room['trouble']);
        $this->send('PUT', '/api/room/source', ['source' => 'simulated'])->assertOk();
        self::assertSame('simulated', $this->send('GET', '/api/frame')->json('room.source'));
    }

    public function test_the_log_comes_by_the_hundred(): void
    {
        for ($i = 1; $i <= 130; $i++) {
            $this->send('POST', "/api/builds/{$this->buildId()}/events", ['id' => self::ulid($i), 'kind' => 'note', 'at' => self::NOW, 'note' => "Note {$i}"])->assertCreated();
        }
        $first = $this->send('GET', "/api/builds/{$this->buildId()}/log")->json();
        $second = $this->send('GET', "/api/builds/{$this->buildId()}/log?from=100")->json();

        self::assertSame([100, 100], [count($first['events']), $first['next']]);
        self::assertCount($first['total'] - 100, $second['events']);
        self::assertNull($second['next']);
    }

    public function test_what_stayed_soft_on_one_build_is_waited_for_longer_on_another(): void
    {
        $copy = $this->send('POST', "/api/builds/{$this->buildId()}/copy", ['name' => 'Second Shearwater', 'scale' => 72])->assertCreated()->json('build.id');
        $area = $this->plan()['section']['columns'];
        $upper = array_column($area, 'areaId', 'name')['upper hull in grey'];
        $grey = $this->bench()['current']['event']['product'];
        $on = array_column($this->planOf($copy)['section']['columns'], 'areaId', 'name')['upper hull in grey'];
        $this->send('POST', "/api/builds/{$copy}/events", ['id' => self::ulid(1), 'kind' => 'done', 'operation' => 'colour', 'targets' => [$on], 'product' => $grey, 'at' => '2026-03-02T19:00:00Z'])->assertCreated();
        $tape = fn (): string => implode(' ', array_column(array_filter($this->plan()['section']['lids'], static fn (array $l): bool => $l['forbids'] === 'tape' && $area[$l['column']]['areaId'] === $upper), 'words'));
        $before = $tape();

        $this->send('POST', "/api/builds/{$copy}/events", ['id' => self::ulid(2), 'kind' => 'verdict', 'verdict' => 'soft', 'wait' => 'tape-safe', 'targets' => [$on], 'at' => '2026-03-03T19:00:00Z'])->assertCreated();
        self::assertStringNotContainsString('learned', $before);
        self::assertStringContainsString('learned × 1.2', $tape(), 'a day old it was soft there: 1.25 days here');
    }
}
