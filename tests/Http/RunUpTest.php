<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Answers\Chances;
use App\Build\BenchFile;
use App\Clock\BenchZone;
use App\Models\Build;
use Sabre\VObject\Reader;
use Tests\Support\AppTestCase;

/** All builds to their shows: who is late and by how much, what is in which session, and shows that can be taken back. */
final class RunUpTest extends AppTestCase
{
    /** Last number of an event that was written down. */
    private static int $written = 700;

    private static function id(string $name): string
    {
        return (string) Build::query()->where('name', 'like', "%{$name}%")->value('id');
    }

    /** @return array<string, mixed> */
    private function runUp(): array
    {
        /** @var array<string, mixed> $run */
        $run = $this->send('GET', '/api/runup')->assertOk()->json();

        return $run;
    }

    /** @return array<string, mixed> */
    private function build(string $name): array
    {
        return array_column($this->runUp()['builds'], null, 'id')[self::id($name)];
    }

    /** @return array<string, mixed> */
    private static function show(string $date, string ...$builds): array
    {
        return ['name' => 'Quay Hall', 'date' => $date, 'by' => 480, 'packing' => 60, 'travel' => 120, 'demands' => [], 'builds' => $builds];
    }

    public function test_the_demo_makes_its_show_but_for_one_and_the_frame_says_so(): void
    {
        $run = $this->runUp();
        self::assertSame(['Harbour Lights', 'Quayside Open'], array_column($run['shows'], 'name'));
        self::assertSame('2026-03-28T05:00:00Z', $run['shows'][0]['due'], 'an hour to pack and two on the way');
        $late = array_filter($run['builds'], static fn (array $b): bool => $b['daysLate'] > 0);
        self::assertSame([self::id('Type 6')], array_column($late, 'id'));
        self::assertLessThan(0, $this->build('Type 6')['spareMinutes']);
        self::assertGreaterThan(0, $this->build('Shearwater')['spareMinutes']);
        self::assertNotSame([], $this->build('Type 6')['nights']);
        $bench = fn (string $name): mixed => $this->send('GET', '/api/builds/'.self::id($name).'/bench?minutes=120')->json('show');
        self::assertSame(['Harbour Lights', '2026-03-28T05:00:00Z', 0], [$bench('Shearwater')['name'], $bench('Shearwater')['due'], $bench('Shearwater')['daysLate']]);
        self::assertGreaterThan(0, $bench('Type 6')['daysLate']);
        self::assertNull($bench('Marram'));
        self::assertSame([self::id('Type 6') => $this->build('Type 6')['daysLate']], $this->send('GET', '/api/frame')->json('late'));
        $this->send('PUT', '/api/evenings/dates/2026-03-14', ['sessions' => []])->assertOk();
        self::assertSame([], $this->send('GET', '/api/frame')->json('late'), 'of other evenings it is not known yet');
        self::assertGreaterThan(1, count(array_filter($this->runUp()['builds'], static fn (array $b): bool => $b['daysLate'] > 0)), 'a Saturday less, and another misses it');
        self::assertCount(2, $this->send('GET', '/api/frame')->json('late'));
        foreach ($run['columns'] as $column) {
            self::assertLessThanOrEqual($column['minutes'], $column['worked'], $column['date']);
        }
    }

    public function test_without_a_show_it_says_when_each_is_ready_and_taken_back_the_show_is_there_again(): void
    {
        $before = $this->send('GET', '/api/shows')->json('shows');
        $change = $this->send('PUT', '/api/shows', ['shows' => []])->assertOk()->json('change.id');
        $run = $this->runUp();
        self::assertSame([], $run['shows']);
        self::assertNull($this->build('Shearwater')['spareMinutes']);
        self::assertNotNull($this->build('Shearwater')['ready']);

        $this->send('POST', "/api/changes/{$change}/undo", [])->assertSuccessful();
        self::assertSame($before, $this->send('GET', '/api/shows')->json('shows'));
        self::assertSame(['Harbour Lights', 'Quayside Open'], array_column($this->runUp()['shows'], 'name'));
    }

    public function test_a_session_struck_or_added_is_in_the_next_answer(): void
    {
        $dates = array_column($this->runUp()['columns'], 'date');
        self::assertContains('2026-03-07', $dates);
        self::assertNotContains('2026-03-08', $dates);
        $this->send('PUT', '/api/evenings/dates/2026-03-07', ['sessions' => []])->assertOk();
        $this->send('PUT', '/api/evenings/dates/2026-03-08', ['sessions' => [['from' => 600, 'until' => 960]]])->assertOk();

        $columns = array_column($this->runUp()['columns'], null, 'date');
        self::assertArrayNotHasKey('2026-03-07', $columns);
        self::assertTrue($columns['2026-03-08']['single']);
        self::assertSame(360, $columns['2026-03-08']['minutes']);
        self::assertNotSame([], $columns['2026-03-08']['blocks']);
    }

    public function test_what_a_show_asks_for_is_planned_for_the_builds_that_are_entered(): void
    {
        $asked = fn (): bool => in_array('photograph', array_column($this->send('GET', '/api/builds/'.self::id('Torsay').'/plan')->json('stages'), 'operation'), true);
        self::assertFalse($asked());
        $this->send('PUT', '/api/shows', ['shows' => [[...self::show('2026-05-02', self::id('Torsay')), 'demands' => ['photographs']]]])->assertOk();

        self::assertTrue($asked());
    }

    public function test_what_is_no_show_is_refused_in_full_and_nothing_is_written(): void
    {
        $before = $this->send('GET', '/api/shows')->json('shows');
        $refused = fn (mixed $shows): string => (string) json_encode($this->send('PUT', '/api/shows', ['shows' => $shows])->assertStatus(422)->json('error.problems'));
        self::assertStringContainsString('write it as 2026-03-28', $refused([self::show('28.3.2026')]));
        self::assertStringContainsString('is no date', $refused([self::show('2026-02-30')]));
        self::assertStringContainsString('enter one build for two shows', $refused([self::show('2026-03-28', self::id('Torsay')), self::show('2026-05-28', self::id('Torsay'))]));
        self::assertStringContainsString('no-base', $refused([[...self::show('2026-03-28'), 'demands' => ['best']]]));
        self::assertStringContainsString('is no list of builds', $refused([[...self::show('2026-03-28'), 'builds' => 'all']]));
        self::assertStringContainsString('by', $refused([[...self::show('2026-03-28'), 'by' => 1440]]));
        self::assertStringContainsString('is further off', $refused([self::show('9999-12-31')]));
        self::assertStringContainsString('no build here', $refused([self::show('2026-03-28', self::ulid(9))]));
        self::assertStringContainsString('no-base', $refused([[...self::show('2026-03-28'), 'demands' => [['no-base']]]]));
        self::assertStringContainsString('shows.0.prize', $refused([[...self::show('2026-03-28'), 'prize' => 'first']]));
        $refused([['name' => [], 'date' => [], 'builds' => [[]]]]);
        $refused('none');
        $refused([17]);
        $this->send('PUT', '/api/shows', ['shows' => [], 'more' => 1])->assertStatus(422);

        self::assertSame($before, $this->send('GET', '/api/shows')->json('shows'));
    }

    public function test_a_copy_of_the_whole_bench_has_the_shows_in_it(): void
    {
        $file = app(BenchFile::class);
        $json = $file->toJson();
        $this->send('PUT', '/api/shows', ['shows' => []])->assertOk();
        $file->take($json, true);

        self::assertSame($json, $file->toJson());
        self::assertSame(['Harbour Lights', 'Quayside Open'], array_column($this->send('GET', '/api/shows')->json('shows'), 'name'));
        $old = json_decode($json, true);
        unset($old['shows']);
        $file->take((string) json_encode($old), true);
        self::assertSame([], $this->send('GET', '/api/shows')->json('shows'), 'a file from before has none');
    }

    public function test_the_sessions_are_read_back_by_another_reader_and_a_second_import_moves_and_does_not_double(): void
    {
        $read = fn (): array => iterator_to_array(Reader::read((string) $this->get('/api/runup.ics')->assertOk()->getContent())->select('VEVENT'), false);
        $first = $read();
        $columns = array_filter($this->runUp()['columns'], static fn (array $c): bool => $c['blocks'] !== []);
        self::assertSame(array_column($columns, 'from'), array_map(static fn ($e): string => $e->DTSTART->getDateTime()->format('Y-m-d\TH:i:s\Z'), $first));
        self::assertSame(array_column($columns, 'until'), array_map(static fn ($e): string => $e->DTEND->getDateTime()->format('Y-m-d\TH:i:s\Z'), $first));
        self::assertStringContainsString('Sea Grey on', (string) $first[0]->DESCRIPTION);
        $this->send('PUT', '/api/evenings/dates/2026-03-04', ['sessions' => [['from' => 1170, 'until' => 1290]]])->assertOk();
        $second = $read();

        $uid = static fn (array $events): array => array_map(static fn ($e): string => (string) $e->UID, $events);
        self::assertSame($uid($first)[1], $uid($second)[1], 'it is the same session');
        self::assertSame('2026-03-04T19:30:00Z', $second[1]->DTSTART->getDateTime()->format('Y-m-d\TH:i:s\Z'));
        self::assertSame(count($second), count(array_unique($uid($second))));
        self::assertGreaterThan(0, count(array_filter($second, static fn ($e): bool => $e->DTSTART->getDateTime()->getTimestamp() > strtotime('2026-03-29'))), 'over the clock change');
    }

    public function test_over_both_clock_changes_sessions_stay_at_their_time_on_the_wall_and_a_second_import_has_the_same(): void
    {
        $zone = BenchZone::zone();
        $wall = [];
        foreach (['2026-03-03T19:05:00Z' => '2026-03-29', '2026-10-05T18:05:00Z' => '2026-10-25'] as $now => $change) {
            $this->at($now);
            [$first, $second] = [(string) $this->get('/api/runup.ics')->assertOk()->getContent(), (string) $this->get('/api/runup.ics')->getContent()];
            self::assertSame(preg_grep('/^(UID|DTSTART|DTEND|SUMMARY)/', explode("\r\n", $first)), preg_grep('/^(UID|DTSTART|DTEND|SUMMARY)/', explode("\r\n", $second)));
            $sides = [];
            foreach (Reader::read($second)->select('VEVENT') as $event) {
                $from = $event->DTSTART->getDateTime()->setTimezone($zone);
                $until = $event->DTEND->getDateTime()->setTimezone($zone);
                $sides[$from->format('Y-m-d') < $change ? 'before' : 'after'] = true;
                $wall[$from->format('Hi').' '.$until->format('Hi')] = true;
            }
            self::assertCount(2, $sides, "sessions on both sides of {$change}");
        }

        self::assertEqualsCanonicalizing(['1905 2100', '1900 2100', '1000 1600'], array_keys($wall));
    }

    public function test_a_session_lies_laid_out_on_one_page_with_its_steps_in_order_and_the_clocks_they_start(): void
    {
        $column = $this->runUp()['columns'][0];
        $sheet = $this->send('GET', '/api/runup/session')->assertOk()->json();
        self::assertSame([$column['from'], $column['until']], [$sheet['from'], $sheet['until']], 'without a moment it is the first');
        self::assertSame(array_sum(array_map(static fn (array $b): int => count($b['steps']), $column['blocks'])), count(array_filter($sheet['lines'], static fn (array $l): bool => ! in_array($l['operation'], ['mix', 'rinse', 'strip'], true))));
        self::assertGreaterThan(1, count(array_unique(array_column($sheet['lines'], 'buildId'))), 'of several builds');
        self::assertSame(collect($sheet['lines'])->pluck('start')->sort()->values()->all(), array_column($sheet['lines'], 'start'));

        $things = array_column($sheet['layOut'], null, 'name');
        self::assertSame(['mixed already', null], [$things['Linnet Sea Grey']['with'], $things['Linnet Sea Grey']['ml']], 'it is in the gun');
        self::assertArrayHasKey('Basin, soap, clean water and a cloth without lint', $things);
        self::assertNotSame([], preg_grep('/^Gun with 0\.\d+ mm$/', array_keys($things)));
        self::assertNotSame([], array_filter($sheet['lines'], static fn (array $l): bool => $l['cautions'] !== []));
        self::assertSame(array_column($sheet['clocks'], 'until'), collect($sheet['clocks'])->pluck('until')->sort()->values()->all());
        self::assertNotSame([], array_filter($sheet['clocks'], static fn (array $c): bool => str_contains($c['because'], 'Sea Grey') && $c['until'] > $sheet['until']), 'it dries on through the night');

        $mixes = 0;
        foreach (array_slice($this->runUp()['columns'], 1, 6) as $one) {
            $sheet = $this->send('GET', "/api/runup/session?until={$one['until']}")->assertOk()->json();
            foreach (array_filter($sheet['layOut'], static fn (array $thing): bool => $thing['ml'] !== null) as $paint) {
                $cups = array_filter($sheet['lines'], static fn (array $l): bool => $l['operation'] === 'mix' && str_ends_with($l['title'], "ix {$paint['name']}"));
                self::assertEqualsWithDelta(array_sum(array_column($cups, 'cupMl')), $paint['ml'], 0.001, 'as much as its cups take');
                $mixes++;
            }
        }
        self::assertGreaterThan(2, $mixes);
        $later = $this->runUp()['columns'][4];
        self::assertSame($later['from'], $this->send('GET', "/api/runup/session?until={$later['until']}")->assertOk()->json('from'));
        self::assertSame($later['until'], $this->send('GET', "/api/runup/session?until={$later['until']}")->json('until'), 'kept, it is the same');
        self::assertSame($column['until'], $this->send('GET', '/api/runup/session')->json('until'));
        self::assertStringContainsString('is the end of no session', (string) $this->send('GET', '/api/runup/session?until=2026-03-03T21:17:00Z')->assertStatus(422)->json('error.problems.0.wrong'));
        $this->send('GET', '/api/runup/session?until=tonight')->assertStatus(422);
        $this->send('GET', '/api/runup/session?until[]=1')->assertStatus(422);
    }

    public function test_what_lets_a_sitting_go_last_is_told_with_it_and_what_put_it_off(): void
    {
        $run = $this->runUp();
        $held = array_filter(array_merge(...array_column($run['columns'], 'blocks')), static fn (array $b): bool => $b['opens'] !== null);
        self::assertNotSame([], $held);
        foreach ($held as $block) {
            self::assertLessThanOrEqual($block['from'], $block['opens'], $block['titles'][0]);
            self::assertNotSame('', $block['because']);
        }
        $block = $run['columns'][0]['blocks'][0];
        $revision = (int) Build::query()->whereKey($block['build'])->value('revision');
        $edits = [['op' => 'add', 'list' => 'notBefore', 'value' => ['id' => self::ulid(811), 'step' => $block['steps'][0], 'at' => $run['columns'][3]['from']]]];
        $this->send('POST', "/api/builds/{$block['build']}/changes", ['title' => 'moved', 'edits' => $edits], ['If-Match' => "\"{$revision}\""])->assertCreated();
        $moved = array_values(array_filter(array_merge(...array_column($this->runUp()['columns'], 'blocks')), static fn (array $b): bool => in_array($block['steps'][0], $b['steps'], true)))[0];

        self::assertSame([self::ulid(811)], $moved['putOffs']);
        self::assertGreaterThanOrEqual($run['columns'][3]['from'], $moved['from']);
    }

    public function test_at_a_glance_it_tells_at_once_what_the_rules_confirm(): void
    {
        $whole = $this->runUp();
        self::assertTrue($whole['settled']);
        self::assertSame($whole, $this->send('GET', '/api/runup?glance=1')->assertOk()->json(), 'what was worked out is told');
        $this->send('PUT', '/api/evenings/dates/2026-03-04', ['sessions' => []])->assertOk();
        $glance = $this->send('GET', '/api/runup?glance=1')->assertOk()->json();
        self::assertFalse($glance['settled']);
        self::assertNotContains('2026-03-04', array_column($glance['columns'], 'date'), 'the struck session is gone');

        $steps = static function (array $run): array {
            $all = array_merge(...array_map(static fn (array $b): array => array_map(static fn (string $s): string => $b['build'].' '.$s, $b['steps']), array_merge(...array_column($run['columns'], 'blocks'))));
            sort($all);

            return $all;
        };
        $settled = $this->runUp();
        self::assertSame($steps($settled), $steps($glance), 'every step once');
        $ready = array_column($settled['builds'], 'ready', 'id');
        foreach ($glance['builds'] as $build) {
            self::assertSame($ready[$build['id']] === null, $build['ready'] === null);
            self::assertEqualsWithDelta((int) strtotime((string) $ready[$build['id']]), (int) strtotime((string) $build['ready']), 3 * 86400, $build['name']);
        }
        self::assertSame(array_column($settled['builds'], 'name'), array_column($glance['builds'], 'name'));
        self::assertTrue($this->send('GET', '/api/runup?glance=1')->json('settled'));
    }

    public function test_how_far_it_is_from_the_best_possible_is_told_from_the_bound(): void
    {
        $run = $this->runUp();
        $ready = array_column($run['builds'], 'ready');
        self::assertGreaterThan(0, $run['overBestMinutes']);
        self::assertLessThan(max(array_filter($ready)), $run['soonest']);
        foreach ($run['builds'] as $build) {
            if ($build['ready'] !== null) {
                self::assertLessThanOrEqual($build['ready'], $build['soonest']);
                self::assertLessThanOrEqual($run['soonest'], $build['soonest']);
            }
        }
    }

    public function test_a_session_keeps_its_place_of_the_day_when_one_before_it_is_over(): void
    {
        $this->send('PUT', '/api/evenings/dates/2026-03-03', ['sessions' => [['from' => 1080, 'until' => 1150], ['from' => 1200, 'until' => 1320]]])->assertOk();
        $uid = function (): string {
            foreach (Reader::read((string) $this->get('/api/runup.ics')->getContent())->select('VEVENT') as $event) {
                if ($event->DTSTART->getDateTime()->format('Y-m-d H:i') === '2026-03-03 20:00') {
                    return (string) $event->UID;
                }
            }
            self::fail('there is no session at eight');
        };
        $before = $uid();
        $this->at('2026-03-03T19:30:00Z');

        self::assertSame($before, $uid());
    }

    public function test_a_build_that_is_gone_for_good_is_entered_for_nothing(): void
    {
        Build::query()->whereKey(self::id('Torsay'))->delete();

        self::assertSame([], array_column($this->send('GET', '/api/shows')->json('shows'), 'builds', 'name')['Quayside Open']);
        $this->send('PUT', '/api/shows', ['shows' => $this->send('GET', '/api/shows')->json('shows')])->assertOk()->assertJsonPath('change', null);
    }

    public function test_the_commands_write_a_show_down_and_tell_how_all_stand(): void
    {
        $this->artisan('amber:runup')->expectsOutputToContain('Dunmore Type 6 is ready')->assertSuccessful();
        $this->artisan('amber:show', ['name' => 'Quay Hall', '--date' => '2026-04-18', '--by' => '09:30', '--build' => ['Dunmore Type 6']])->expectsOutputToContain('2026-04-18 09:30  Quay Hall: Dunmore Type 6')->assertSuccessful();
        self::assertSame(0, $this->build('Type 6')['daysLate'], 'sent to another show it has time');
        $this->artisan('amber:show', ['name' => 'Quay Hall', '--remove' => true])->assertSuccessful();
        self::assertNull($this->build('Type 6')['show']);
        $this->artisan('amber:show', ['name' => 'Quay Hall', '--remove' => true])->assertExitCode(2);
        $this->artisan('amber:show', ['name' => 'Quay Hall'])->assertExitCode(2);
        $this->artisan('amber:show', ['name' => 'Quay Hall', '--date' => '2026-04-18', '--by' => 'nine'])->assertExitCode(2);
        $this->artisan('amber:show', ['name' => 'Quay Hall', '--date' => '2026-04-18', '--build' => ['Nobody']])->assertExitCode(2);
    }

    public function test_with_no_build_in_hand_it_is_empty(): void
    {
        Build::query()->update(['away' => true]);

        self::assertSame([], $this->runUp()['columns']);
        $this->get('/api/runup.ics')->assertStatus(422);
        $this->artisan('amber:runup')->expectsOutputToContain('No build is in hand.')->assertSuccessful();
    }

    public function test_what_a_lever_promises_is_what_comes_when_it_is_taken_and_two_of_them_save_the_show(): void
    {
        // Light before dark whatever it costs: so the builds stand in each other's way, and every kind of lever wins something.
        $this->send('PUT', '/api/house', ['question' => 'light-first', 'position' => 'always'])->assertOk();
        $this->runUp();
        $tried = 0;
        do {
            $asked = $this->send('GET', '/api/runup/levers')->assertOk()->json();
            self::assertGreaterThan($tried, $asked['tried'], 'each time some more');
            $tried = $asked['tried'];
        } while ($asked['left'] > 0);
        $tractor = self::id('Type 6');
        self::assertSame($tractor, $asked['build']);
        self::assertGreaterThanOrEqual(2, count(array_filter($asked['levers'], static fn (array $l): bool => $l['allDaysLate'] === 0)), 'two and more save it');
        self::assertSame($asked['levers'], collect($asked['levers'])->sortBy([['allDaysLate', 'asc'], ['wonMinutes', 'desc']])->values()->all(), 'best first');
        $kinds = [];
        foreach ($asked['levers'] as $lever) {
            $back = $this->taken($lever);
            $builds = array_column($this->runUp()['builds'], null, 'id');
            self::assertSame([$lever['ready'], $lever['daysLate'], $lever['spareMinutes']], [$builds[$tractor]['ready'], $builds[$tractor]['daysLate'], $builds[$tractor]['spareMinutes']], $lever['title']);
            self::assertSame($lever['allDaysLate'], array_sum(array_column($builds, 'daysLate')), $lever['title']);
            $back();
            $kinds[] = array_key_first(array_filter(['edits' => $lever['edits'], 'date' => $lever['date'], 'shows' => $lever['shows'], 'away' => $lever['away'], 'event' => $lever['event']]));
        }
        self::assertEqualsCanonicalizing(['edits', 'date', 'shows', 'away', 'event'], array_values(array_unique($kinds)));
    }

    public function test_the_chance_is_told_once_it_was_counted_and_of_no_other_state(): void
    {
        self::assertFalse($this->send('GET', '/api/runup/chance')->assertOk()->json('counted'));
        self::assertFalse(app(Chances::class)->count(static fn (): bool => false, 20), 'told to stop it keeps nothing');
        self::assertFalse($this->send('GET', '/api/runup/chance')->json('counted'));
        self::assertTrue(app(Chances::class)->count(static fn (): bool => true, 20));

        $chance = $this->send('GET', '/api/runup/chance')->json();
        self::assertSame([true, 20, 0], [$chance['counted'], $chance['draws'], $chance['allInTime']], 'one build is a week late');
        $cinder = array_column($chance['builds'], null, 'id')[self::id('Cinder')];
        self::assertSame(20, $cinder['inTime'], 'another has ten evenings to spare');
        self::assertLessThanOrEqual($cinder['nine'], $cinder['half']);
        $this->send('PUT', '/api/evenings/dates/2026-03-08', ['sessions' => [['from' => 600, 'until' => 960]]])->assertOk();
        self::assertFalse($this->send('GET', '/api/runup/chance')->json('counted'));
    }

    /**
     * @param  array<string, mixed>  $lever
     * @return callable(): mixed that takes it back
     */
    private function taken(array $lever): callable
    {
        if ($lever['away'] !== null) {
            $this->send('PUT', "/api/builds/{$lever['away']}/away", ['away' => true])->assertOk();

            return fn () => $this->send('PUT', "/api/builds/{$lever['away']}/away", ['away' => false])->assertOk();
        }
        if ($lever['event'] !== null) {
            $write = fn (array $event, int $n) => $this->send('POST', "/api/builds/{$lever['build']}/events", [...$event, 'id' => self::ulid($n), 'at' => '2026-03-03T19:05:00Z'])->assertCreated();
            $number = self::$written += 2;
            $write($lever['event'], $number);

            return fn () => $write(['kind' => 'take-back', 'takesBack' => self::ulid($number)], $number + 1);
        }
        if ($lever['edits'] !== null) {
            $revision = (int) Build::query()->whereKey($lever['build'])->value('revision');
            $change = $this->send('POST', "/api/builds/{$lever['build']}/changes", ['title' => $lever['title'], 'edits' => $lever['edits']], ['If-Match' => "\"{$revision}\""])->assertCreated()->json('change.id');

            return fn () => $this->send('POST', "/api/builds/{$lever['build']}/changes/{$change}/undo", [], ['If-Match' => '"'.($revision + 1).'"'])->assertCreated();
        }
        $change = $lever['date'] !== null
            ? $this->send('PUT', "/api/evenings/dates/{$lever['date']}", ['sessions' => $lever['sessions']])->assertOk()->json('change.id')
            : $this->send('PUT', '/api/shows', ['shows' => $lever['shows']])->assertOk()->json('change.id');

        return fn () => $this->send('POST', "/api/changes/{$change}/undo", [])->assertSuccessful();
    }
}
