<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use App\Answers\Packed;
use App\Answers\RunUps;
use App\Answers\Timetables;
use App\Build\Row;
use App\Calendar\HoldCalendar;
use App\Calendar\SessionCalendar;
use App\Clock\BenchClock;
use App\Clock\BenchZone;
use App\Repositories\Settings;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The holds that run, as a calendar to subscribe to or to keep. */
final readonly class CalendarController
{
    public function __construct(private Timetables $timetables, private Row $row, private RunUps $runUps, private Settings $settings, private BenchClock $clock)
    {
    }

    public function all(Request $request): Response
    {
        return self::calendar(HoldCalendar::of(array_map(static fn (Packed $slice): array => $slice->data(), [...$this->timetables->all('frame'), ...$this->timetables->some($this->row->putAside(), 'frame')])), 'amber-step-holds.ics', $request);
    }

    public function one(Request $request, string $build): Response
    {
        return self::calendar(HoldCalendar::of([$build => $this->timetables->ask($build, 'frame')->answer->data()]), 'holds.ics', $request);
    }

    /** The sessions to come, with what is in them. */
    public function sessions(Request $request): Response
    {
        $run = $this->runUps->read()[0] ?? throw BadDocument::at('', 'has no build in hand', 'begin a build, or take one back in hand');

        return self::calendar(SessionCalendar::of($run, $this->settings->calendar(BenchZone::zone()), $this->clock->epoch(), BenchZone::zone()), 'amber-step-sessions.ics', $request);
    }

    private static function calendar(string $text, string $name, Request $request): Response
    {
        $kept = $request->query('download') !== null ? ['Content-Disposition' => "attachment; filename=\"{$name}\""] : [];

        return new Response($text, 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Cache-Control' => 'no-cache', ...$kept]);
    }
}
