<?php

declare(strict_types=1);

namespace Tests\Http;

use Sabre\VObject\Reader;
use Tests\Support\AppTestCase;

/** Holds as iCalendar, read back by a reader of our own and by the library's. */
final class CalendarTest extends AppTestCase
{
    public function test_each_hold_is_an_entry_at_the_moment_it_ends(): void
    {
        $holds = $this->send('GET', '/api/frame')->json('holds');
        $entries = self::entries($this->ics('/api/holds.ics'));

        self::assertCount(count($holds), $entries);
        self::assertEqualsCanonicalizing(array_map(static fn (array $h): string => gmdate('Ymd\\THis\\Z', (int) strtotime($h['until']) - ($h['closing'] ? 900 : 0)), $holds), array_column($entries, 'DTSTART'));
        self::assertStringContainsString('Hull and wing\\, colour from 19:14', implode(' ', array_column($entries, 'SUMMARY')));
        self::assertCount(3, self::entries($this->ics('/api/builds/01KAR5M0G8ZT4QW7J2XNC9VD31/holds.ics')));
    }

    public function test_the_calendar_keeps_to_the_standard(): void
    {
        $text = $this->ics('/api/holds.ics');
        foreach (explode("\r\n", rtrim($text, "\r\n")) as $line) {
            self::assertLessThanOrEqual(75, strlen($line), 'long lines are folded');
        }
        $calendar = Reader::read($text);

        self::assertSame([], array_map(static fn (array $p): string => $p['message'], array_filter($calendar->validate(), static fn (array $p): bool => $p['level'] > 1)));
        self::assertCount(7, $calendar->select('VEVENT'));
        self::assertCount(1, $calendar->select('VEVENT')[0]->select('VALARM'));
    }

    public function test_brought_in_twice_it_moves_what_changed_and_doubles_nothing(): void
    {
        $kept = self::entries($this->ics('/api/holds.ics'));
        $before = $kept;
        self::assertSame($this->ics('/api/holds.ics'), $this->ics('/api/holds.ics'), 'the same holds give the same bytes');

        // A later coat: the hull's flash begins anew, the rest stays as it is.
        $this->at('2026-03-03T19:20:00Z');
        $step = array_values(array_filter($this->send('GET', "/api/builds/{$this->buildId()}/plan")->json('stages'), static fn (array $s): bool => $s['operation'] === 'colour'))[0]['steps'];
        $hull = array_values(array_filter($step, static fn (array $s): bool => $s['piece'] === 'Hull and wing'))[0];
        $event = $this->send('GET', "/api/builds/{$this->buildId()}/sheet?minutes=120")->json('steps');
        $template = array_values(array_filter($event, static fn (array $s): bool => $s['key'] === $hull['key']))[0]['event'];
        $this->send('POST', "/api/builds/{$this->buildId()}/events", [...$template, 'id' => self::ulid(1), 'at' => '2026-03-03T19:20:00Z'])->assertCreated();
        $kept = [...$kept, ...self::entries($this->ics('/api/holds.ics'))];

        self::assertLessThanOrEqual(count($before) + 1, count($kept), 'entries of one UID are one entry');
        $moved = array_filter($kept, static fn (array $e, string $uid): bool => isset($before[$uid]) && $before[$uid]['DTSTART'] !== $e['DTSTART'], ARRAY_FILTER_USE_BOTH);
        self::assertLessThanOrEqual(2, count($moved));
        foreach (array_intersect_key($kept, $before) as $uid => $entry) {
            self::assertSame(explode(': ', $before[$uid]['SUMMARY'])[0], explode(': ', $entry['SUMMARY'])[0]);
        }
    }

    public function test_it_can_be_kept_as_a_file(): void
    {
        self::assertStringContainsString('attachment', (string) $this->get('/api/holds.ics?download=1')->headers->get('Content-Disposition'));
        $this->get('/api/builds/'.self::ulid(3).'/holds.ics')->assertNotFound();
    }

    private function ics(string $path): string
    {
        $answer = $this->get($path)->assertOk();
        self::assertStringStartsWith('text/calendar', (string) $answer->headers->get('Content-Type'));

        return (string) $answer->getContent();
    }

    /** @return array<string, array<string, string>> the entries by UID, read line by line as RFC 5545 folds them */
    private static function entries(string $text): array
    {
        $lines = explode("\r\n", str_replace(["\r\n ", "\r\n\t"], '', $text));
        $entries = [];
        $entry = null;
        $alarm = false;
        foreach ($lines as $line) {
            [$name, $value] = [...explode(':', $line, 2), ''];
            $name = explode(';', $name)[0];
            $alarm = $line === 'BEGIN:VALARM' || ($alarm && $line !== 'END:VALARM');
            if ($line === 'BEGIN:VEVENT') {
                $entry = [];
            } elseif ($line === 'END:VEVENT' && $entry !== null) {
                self::assertArrayNotHasKey($entry['UID'], $entries, 'a UID stands once');
                $entries[$entry['UID']] = $entry;
                $entry = null;
            } elseif ($entry !== null && ! $alarm) {
                $entry[$name] = $value;
            }
        }

        return $entries;
    }
}
