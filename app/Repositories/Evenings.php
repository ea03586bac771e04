<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Timing\Calendar;
use App\Models\Change;
use App\Models\SessionDate;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Facades\DB;

/**
 * When the user is at the bench: the week as it usually is, and single dates that are otherwise. Each change can be taken
 * back.
 *
 * @phpstan-type Sessions list<array{from: int, until: int}>
 */
final readonly class Evenings
{
    /** Sessions of one day that can be told apart. */
    private const MOST = 4;

    public function __construct(private Settings $settings, private Ledger $ledger)
    {
    }

    /** @return array<string, Sessions> by weekday, mon to sun */
    public function week(): array
    {
        return $this->settings->calendar(new DateTimeZone('UTC'))->toArray();
    }

    /** @return array<string, Sessions> by date */
    public function dates(): array
    {
        $dates = [];
        foreach (SessionDate::query()->orderBy('date')->get()->all() as $row) {
            $dates[$row->date] = $row->sessions;
        }

        return $dates;
    }

    /**
     * Single dates as a file has them.
     *
     * @return array<string, Sessions> by date
     *
     * @throws BadDocument where one is none
     */
    public static function read(mixed $sent): array
    {
        $dates = [];
        foreach (is_array($sent) ? $sent : throw BadDocument::at('dates', 'is no list of dates', 'give sessions by date') as $date => $sessions) {
            self::day((string) $date);
            $dates[(string) $date] = self::sessions($sessions);
        }

        return $dates;
    }

    /** @param  array<string, Sessions>  $dates  in the place of all there are */
    public function replace(array $dates): void
    {
        SessionDate::query()->delete();
        foreach ($dates as $date => $sessions) {
            SessionDate::query()->create(['date' => $date, 'sessions' => $sessions]);
        }
    }

    /**
     * @param  string  $day  mon to sun
     * @param  mixed  $sessions  as they were sent
     * @return array{id: string, title: string}|null the change; null where it was so already
     *
     * Throws BadDocument where they are none
     */
    public function setDay(string $day, mixed $sessions): ?array
    {
        if (! in_array($day, Calendar::DAYS, true)) {
            throw BadDocument::at('day', 'is no weekday', 'use one of '.implode(', ', Calendar::DAYS));
        }

        return $this->write("Sessions on {$this->dayName($day)}", $day, self::sessions($sessions));
    }

    /**
     * @param  string  $date  such as 2026-03-07
     * @param  mixed  $sessions  as they were sent; none: away; null: as its weekday again
     * @return array{id: string, title: string}|null the change; null where it was so already
     *
     * Throws BadDocument where there is no such date
     */
    public function setDate(string $date, mixed $sessions): ?array
    {
        $words = self::day($date)->format('D j M');

        return $this->write(match (true) {
            $sessions === null => "{$words} as its weekday",
            $sessions === [] => "Away on {$words}",
            default => "Sessions on {$words}",
        }, $date, $sessions === null ? null : self::sessions($sessions));
    }

    /** Throws BadDocument where something later changed the same. */
    public function undo(string $changeId): Change
    {
        return $this->ledger->takeBack($changeId, function (FieldEdit $edit): void {
            $this->put($edit->id, is_array($edit->value) ? self::sessions($edit->value) : null);
        });
    }

    /**
     * @param  Sessions|null  $sessions
     * @return array{id: string, title: string}|null
     */
    private function write(string $title, string $of, ?array $sessions): ?array
    {
        return DB::transaction(function () use ($title, $of, $sessions): ?array {
            $was = $this->put($of, $sessions);

            return $was === $sessions ? null : Ledger::told($this->ledger->write(Ledger::CALENDAR, $title, [new FieldEdit($of, 'sessions', $sessions)], [new FieldEdit($of, 'sessions', $was)]));
        });
    }

    /**
     * @param  string  $of  weekday or date
     * @param  Sessions|null  $sessions
     * @return Sessions|null what they were
     */
    private function put(string $of, ?array $sessions): ?array
    {
        if (in_array($of, Calendar::DAYS, true)) {
            $week = $this->week();
            $was = $week[$of] ?? [];
            $this->settings->set('calendar', [...$week, $of => $sessions ?? []]);

            return $was;
        }
        /** @var SessionDate|null $row */
        $row = SessionDate::query()->find($of);
        $was = $row?->sessions;
        $sessions === null ? $row?->delete() : SessionDate::query()->updateOrCreate(['date' => $of], ['sessions' => $sessions]);

        return $was;
    }

    /** @return Sessions in order */
    private static function sessions(mixed $sent): array
    {
        if (! is_array($sent) || ! array_is_list($sent) || count($sent) > self::MOST) {
            throw BadDocument::at('sessions', 'is no list of at most '.self::MOST.' sessions', 'give {"from": 1140, "until": 1260} for 19:00 to 21:00');
        }
        $sessions = [];
        foreach ($sent as $i => $one) {
            $from = is_array($one) ? $one['from'] ?? null : null;
            $until = is_array($one) ? $one['until'] ?? null : null;
            if (! is_int($from) || ! is_int($until) || $from < 0 || $until > 1440 || $until <= $from) {
                throw BadDocument::at("sessions.{$i}", 'does not end after it begins', 'give minutes of the day, 0 to 1440, the end after the start');
            }
            $sessions[] = ['from' => $from, 'until' => $until];
        }
        usort($sessions, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);
        foreach ($sessions as $i => $one) {
            if ($i > 0 && $one['from'] < $sessions[$i - 1]['until']) {
                throw BadDocument::at("sessions.{$i}", 'begins before the one before has ended', 'make one of them, or part them');
            }
        }

        return $sessions;
    }

    private static function day(string $date): DateTimeImmutable
    {
        $day = DateTimeImmutable::createFromFormat('!Y-m-d', $date, new DateTimeZone('UTC'));

        return $day === false || $day->format('Y-m-d') !== $date ? throw BadDocument::at('date', 'is no date', 'write it as 2026-03-07') : $day;
    }

    private function dayName(string $day): string
    {
        return (new DateTimeImmutable("next {$day}"))->format('l').'s';
    }
}
