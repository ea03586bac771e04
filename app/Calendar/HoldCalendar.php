<?php

declare(strict_types=1);

namespace App\Calendar;

use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\RunningHold;
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

    /** @param  array<string, Plan>  $plans  by build */
    public static function of(array $plans): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Amber Step//Holds//EN', 'METHOD' => 'PUBLISH', 'X-WR-CALNAME' => 'Amber Step, holds', 'REFRESH-INTERVAL;VALUE=DURATION' => 'PT15M']);
        foreach ($plans as $buildId => $plan) {
            foreach ($plan->holds as $hold) {
                self::add($calendar, $buildId, $plan, $hold);
            }
        }

        return $calendar->serialize();
    }

    private static function add(VCalendar $calendar, string $buildId, Plan $plan, RunningHold $hold): void
    {
        $utc = static fn (int $epoch): DateTimeImmutable => new DateTimeImmutable('@'.$epoch);
        /** @var VEvent $event */
        $event = $calendar->createComponent('VEVENT', [
            'UID' => substr(hash('sha256', $buildId.'/'.$hold->key), 0, 32).'@amber-step',
            // When the hold began, not when it was written: the same hold gives the same bytes.
            'DTSTAMP' => $utc($hold->fromEpoch),
            'DTSTART' => $hold->closing ? $utc($hold->untilEpoch - 900) : $utc($hold->untilEpoch),
            'DTEND' => $hold->closing ? $utc($hold->untilEpoch) : $utc($hold->untilEpoch + 900),
            'SUMMARY' => "{$plan->context->kit->name}: {$hold->label}",
            'DESCRIPTION' => ($hold->closing ? 'Do it before then. ' : "Until then no {$hold->forbids}. ").$hold->words,
            'TRANSP' => 'TRANSPARENT',
            'CATEGORIES' => $hold->closing ? 'closing' : 'hold',
        ]);
        $calendar->add($event);
        $event->add('VALARM', ['ACTION' => 'DISPLAY', 'DESCRIPTION' => $hold->label, 'TRIGGER' => $hold->closing ? '-PT'.self::CLOSING_REMINDER.'M' : 'PT0M']);
    }
}
