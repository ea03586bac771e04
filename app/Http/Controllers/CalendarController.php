<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Build\Planner;
use App\Calendar\HoldCalendar;
use App\Repositories\BuildRepository;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The holds that run, as a calendar to subscribe to or to keep. */
final readonly class CalendarController
{
    use LoadsBuilds;

    public function __construct(private BuildRepository $builds, private Planner $planner)
    {
    }

    public function all(Request $request): Response
    {
        $plans = [];
        foreach ($this->builds->all() as $build) {
            $plans[$build->id] = $this->planner->plan($build);
        }

        return self::calendar(HoldCalendar::of($plans), 'amber-step-holds.ics', $request);
    }

    public function one(Request $request, string $build): Response
    {
        $loaded = $this->load($build);

        return self::calendar(HoldCalendar::of([$build => $this->planner->plan($loaded)]), 'holds.ics', $request);
    }

    private static function calendar(string $text, string $name, Request $request): Response
    {
        $kept = $request->query('download') !== null ? ['Content-Disposition' => "attachment; filename=\"{$name}\""] : [];

        return new Response($text, 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Cache-Control' => 'no-cache', ...$kept]);
    }
}
