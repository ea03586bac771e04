<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use Tests\Support\AppTestCase;

/** What the screens are told, in words and figures with their units. */
final class PresentedTest extends AppTestCase
{
    public function test_a_spray_step_is_told_with_its_whole_set_up(): void
    {
        $step = $this->bench()['current'];

        self::assertSame(['Port float: port float top', 1, 2, 'mist', 'Coat is on'], [$step['where'], $step['n'], $step['of'], $step['coat'], $step['button']]);
        self::assertSame(['1 : 0.65', 1.4, 0.35], [$step['setUp']['ratio'], $step['setUp']['pressureBar'], $step['setUp']['nozzleMm']]);
        self::assertEquals([8, 12], $step['setUp']['distanceCm']);
        self::assertSame('own thinner, water below half of it', $step['setUp']['thinner']);
        self::assertStringContainsString('24 cm² × 4 µm', $step['setUp']['cupWhy']);
        self::assertSame([[], ['Extraction on, fitted organic-vapour and particle respirator; nobody else and no animals in the room.']], [$step['cautions'], $step['cautionsAgain']], 'said with the coat five minutes ago');
    }

    public function test_it_says_why_now_and_what_to_leave_alone(): void
    {
        $step = $this->bench()['current'];

        self::assertSame('Linnet Sea Grey is in the gun since 19:00: going on with it saves a rinse.', $step['why'][0]);
        self::assertSame('Leave the mask on port float keel.', $step['dontTouch'][0]);
        self::assertStringStartsWith('Hull and wing until 19:', $step['dontTouch'][1]);
    }

    public function test_the_layers_of_the_place_are_told_oldest_first_with_what_is_to_come(): void
    {
        $stack = $this->bench()['current']['layers'];

        self::assertSame(['port float top', 'styrene'], [$stack['area'], $stack['base']]);
        self::assertSame([['prime', false], ['colour', true], ['gloss', true], ['pin wash', true], ['final coat', true]], array_map(static fn (array $l): array => [$l['label'], $l['planned']], $stack['layers']));
        self::assertSame(['colour'], array_column(array_filter($stack['layers'], static fn (array $l): bool => $l['current']), 'label'));
    }

    public function test_a_layer_begun_is_told_in_two_parts(): void
    {
        $event = [...$this->bench()['current']['event'], 'id' => self::ulid(1), 'at' => self::NOW];
        $this->send('POST', "/api/builds/{$this->buildId()}/events", $event)->assertCreated();
        $this->at('2026-03-03T19:40:00Z');
        foreach ($this->plan()['stages'][0]['steps'] as $step) {
            self::assertNotSame('', $step['title']);
        }
        $bench = $this->bench();
        self::assertContains('Spray sea grey, second light coat', array_column($bench['follows'], 'title'));
    }

    public function test_the_template_of_an_event_records_the_step_as_it_is(): void
    {
        $step = $this->bench()['current'];

        self::assertSame(['done', 'colour', 'mist', $step['key']], [$step['event']['kind'], $step['event']['operation'], $step['event']['coatKind'], $step['event']['stepKey']]);
        self::assertSame($step['faultTargets'], $step['event']['targets']);
        self::assertArrayNotHasKey('id', $step['event']);
        self::assertArrayNotHasKey('at', $step['event']);
    }

    public function test_what_follows_fits_the_minutes_and_says_what_is_idle(): void
    {
        foreach ([10, 45, 90, 240] as $minutes) {
            $bench = $this->bench($minutes);
            $until = strtotime(self::NOW) + 60 * $minutes;
            foreach ($bench['follows'] as $step) {
                self::assertLessThan($until, strtotime($step['start']));
            }
            $busy = array_sum(array_column($bench['follows'], 'minutes'));
            self::assertEqualsWithDelta(max(0, $minutes - $busy), $bench['idleMinutes'], 1);
        }
        self::assertSame(5, $this->bench(1)['minutes'], 'minutes are kept in range');
    }

    public function test_stages_come_in_the_order_they_can_be_begun_and_fold_their_coats(): void
    {
        $plan = $this->plan();
        $starts = array_column($plan['stages'], 'start');
        $sorted = $starts;
        sort($sorted);
        $grey = array_values(array_filter($plan['stages'], static fn (array $s): bool => $s['title'] === 'Spray sea grey'));

        self::assertSame($sorted, $starts);
        self::assertCount(1, $grey);
        self::assertGreaterThan(count(array_unique(array_column($grey[0]['steps'], 'piece'))), count($grey[0]['steps']));
        self::assertSame($plan['stepsLeft'], array_sum(array_map(static fn (array $s): int => count($s['steps']), $plan['stages'])));
    }

    public function test_pieces_have_one_aspect_each_and_shut_ones_say_what_they_wait_for(): void
    {
        $pieces = array_column($this->plan()['pieces'], 'aspect', 'name');

        self::assertSame('hold', $pieces['Hull and wing']['kind']);
        self::assertSame('open', $pieces['Port float']['kind']);
        self::assertSame('shut', $pieces['Aerials']['kind']);
        self::assertSame('Attach tyres to trolley with superglue', $pieces['Aerials']['because']);
    }

    public function test_the_log_says_what_with_what_and_on_what(): void
    {
        $lines = $this->send('GET', "/api/builds/{$this->buildId()}/log")->json('events');

        self::assertSame(['Colour', 'upper hull in grey, wing top in grey and tailplane', 'Linnet Sea Grey', 'mist'], [$lines[0]['title'], $lines[0]['on'], $lines[0]['with'], $lines[0]['coat']]);
        self::assertSame('Joint closed, clear glue', $lines[1]['title']);
        self::assertSame('Frames line up.', $lines[1]['note']);
        self::assertSame('Mask on, paper tape', $lines[2]['title']);
    }

    public function test_a_set_back_time_is_shown_with_when_it_was_written_down(): void
    {
        $event = [...$this->bench()['current']['event'], 'id' => self::ulid(1), 'at' => '2026-03-03T18:40:00Z'];
        $this->send('POST', "/api/builds/{$this->buildId()}/events", $event)->assertCreated();
        $line = array_values(array_filter($this->send('GET', "/api/builds/{$this->buildId()}/log")->json('events'), static fn (array $l): bool => $l['id'] === self::ulid(1)))[0];

        self::assertSame(['2026-03-03T18:40:00Z', self::NOW, true], [$line['at'], $line['recorded'], $line['onPlan']]);
    }

    public function test_a_finished_build_says_done_and_one_step_taken_back_is_offered_again(): void
    {
        $id = (string) Build::query()->where('name', 'Marram')->value('id');
        $bench = fn (): array => $this->send('GET', "/api/builds/{$id}/bench?minutes=720")->assertOk()->json();
        self::assertSame([true, null, []], [$bench()['finished'], $bench()['current'], $this->planOf($id)['stages']]);

        $last = array_values(array_filter($this->send('GET', "/api/builds/{$id}/log")->json('events'), static fn (array $e): bool => $e['onPlan']))[0];
        $this->send('POST', "/api/builds/{$id}/events", ['id' => self::ulid(1), 'kind' => 'take-back', 'at' => self::NOW, 'takesBack' => $last['id']])->assertCreated();
        self::assertFalse($bench()['finished']);
        $step = $bench()['current'];
        $this->send('POST', "/api/builds/{$id}/events", [...$step['event'], 'id' => self::ulid(2), 'at' => self::NOW])->assertCreated();
        self::assertTrue($bench()['finished']);
    }
}
