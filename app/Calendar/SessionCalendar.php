<?php

declare(strict_types=1);

namespace App\Calendar;

use AmberStep\Core\RunUp\Block;
use AmberStep\Core\RunUp\Column;
use AmberStep\Core\RunUp\RunUp;
use AmberStep\Core\Timing\Calendar;
use DateTimeImmutable;
use DateTimeZone;
use Sabre\VObject\Component\VCalendar;

/**
 * The sessions in which something is planned, as iCalendar, with what is in them. The UID is made of the date and which session
 * of that day it is: brought in again, a session that was made longer or moved is moved, and none is there twice.
 */
final class SessionCalendar
{
    public static function of(RunUp $run, Calendar $sessions, int $now, DateTimeZone $zone): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Amber Step//Sessions//EN', 'METHOD' => 'PUBLISH', 'X-WR-CALNAME' => 'Amber Step, sessions']);
        $names = [];
        foreach ($run->runs as $one) {
            $names[$one->build] = $one->name;
        }
        foreach ($run->columns as $column) {
            $day = self::at($column->fromEpoch)->setTimezone($zone)->setTime(0, 0);
            // Counted from the morning: those that are over keep their place.
            $session = $day->format('Y-m-d').' '.count($sessions->between($day->getTimestamp(), $column->untilEpoch));
            if ($column->blocks !== []) {
                $calendar->add($calendar->createComponent('VEVENT', [
                    'UID' => substr(hash('sha256', "session {$session}"), 0, 32).'@amber-step',
                    'DTSTAMP' => self::at($now),
                    'DTSTART' => self::at($column->fromEpoch),
                    'DTEND' => self::at($column->untilEpoch),
                    'SUMMARY' => 'At the bench: '.self::builds($column, $names),
                    'DESCRIPTION' => implode("\n", array_map(static fn (Block $b): string => self::line($b, $names), $column->blocks)),
                    'CATEGORIES' => 'session',
                ]));
            }
        }

        return $calendar->serialize();
    }

    /** @param  array<string, string>  $names */
    private static function builds(Column $column, array $names): string
    {
        return implode(', ', array_values(array_unique(array_map(static fn (Block $b): string => $names[$b->build] ?? '', $column->blocks))));
    }

    /** @param  array<string, string>  $names */
    private static function line(Block $block, array $names): string
    {
        $what = $block->paint === null ? implode('; ', $block->titles) : $block->paint->name.' on '.implode(', ', $block->pieces);

        return sprintf('%s: %s (%d min)', $names[$block->build] ?? '', $what, round($block->minutes));
    }

    /** In UTC: a clock change moves sessions on the wall, not moments. */
    private static function at(int $epoch): DateTimeImmutable
    {
        return new DateTimeImmutable('@'.$epoch, new DateTimeZone('UTC'));
    }
}
