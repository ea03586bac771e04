<?php

declare(strict_types=1);

namespace App\Calendar;

use DateTimeImmutable;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/**
 * The holds that run, as iCalendar: each is a quarter of an hour at the moment it ends, with a reminder. The
 * UID is made of the hold's key, so that a second import moves an entry and adds none.
 */
final class HoldCalendar
{
    /** Minutes before a chance closes that one is reminded of it. */
    private const CLOSING_REMINDER = 30;

    /** @param  array<string, array<string, mixed>>  $slices  what the frame shows of each build, by its id */
    public static function of(array $slices): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Amber Step//Holds//EN', 'METHOD' => 'PUBLISH', 'X-WR-CALNAME' => 'Amber Step, holds', 'REFRESH-INTERVAL;VALUE=DURATION' => 'PT15M']);
        foreach ($slices as $buildId => $slice) {
            /** @var list<array{key: string, label: string, from: string, until: string, forbids: string, words: string, closing: bool}> $holds */
            $holds = $slice['holds'] ?? [];
            $name = is_array($slice['build'] ?? null) && is_string($slice['build']['name'] ?? null) ? $slice['build']['name'] : '';
            foreach ($holds as $hold) {
                self::add($calendar, (string) $buildId, $name, $hold);
            }
        }

        return $calendar->serialize();
    }

    /** @param  array{key: string, label: string, from: string, until: string, forbids: string, words: string, closing: bool}  $hold */
    private static function add(VCalendar $calendar, string $buildId, string $name, array $hold): void
    {
        [$from, $until] = [new DateTimeImmutable($hold['from']), new DateTimeImmutable($hold['until'])];
        /** @var VEvent $event */
        $event = $calendar->createComponent('VEVENT', [
            'UID' => substr(hash('sha256', $buildId.'/'.$hold['key']), 0, 32).'@amber-step',
            // When the hold began, not when it was written: the same hold gives the same bytes.
            'DTSTAMP' => $from,
            'DTSTART' => $hold['closing'] ? $until->modify('-15 minutes') : $until,
            'DTEND' => $hold['closing'] ? $until : $until->modify('+15 minutes'),
            'SUMMARY' => "{$name}: {$hold['label']}",
            'DESCRIPTION' => ($hold['closing'] ? 'Do it before then. ' : "Until then no {$hold['forbids']}. ").$hold['words'],
            'TRANSP' => 'TRANSPARENT',
            'CATEGORIES' => $hold['closing'] ? 'closing' : 'hold',
        ]);
        $calendar->add($event);
        $event->add('VALARM', ['ACTION' => 'DISPLAY', 'DESCRIPTION' => $hold['label'], 'TRIGGER' => $hold['closing'] ? '-PT'.self::CLOSING_REMINDER.'M' : 'PT0M']);
    }
}
