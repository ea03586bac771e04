<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Plans;
use AmberStep\Core\Timing\Hints as Found;
use AmberStep\Core\Timing\Promise;
use App\Clock\BenchClock;
use App\Clock\BenchZone;
use App\Repositories\BuildRepository;
use App\Repositories\Hints;
use App\Repositories\Settings;
use App\Repositories\Workshop;

/** All builds in hand in one timetable, every rule of each asked. */
final readonly class AllBuilds
{
    public function __construct(private BuildRepository $builds, private Problems $problems, private Promises $promises, private Settings $settings, private Workshop $workshop, private Hints $hints, private BenchClock $clock)
    {
    }

    /**
     * @param  Found|null  $hints  null: what the search found last, and what the hands were told
     * @return Plans by build, in the user's order
     *
     * @throws BadDocument where there is no build in hand
     */
    public function all(?Found $hints = null): Plans
    {
        // What cannot be read is said here, and not left out.
        $this->builds->all();

        return $this->allOrNone($hints) ?? throw BadDocument::at('--all', 'finds no build in hand', 'bring one in, or take one back in hand');
    }

    /**
     * @param  Found|null  $hints  as above
     * @return Plans|null of those that can be read; null where there is none in hand
     */
    public function allOrNone(?Found $hints = null): ?Plans
    {
        $now = $this->clock->epoch();
        $problems = [];
        foreach ($this->builds->readable() as $build) {
            $problems[$build->id] = $this->problems->whole($build);
        }
        if ($problems === []) {
            return null;
        }

        $calendar = $this->settings->calendar(BenchZone::zone());
        $found = $hints ?? $this->hints->now();

        return Compiler::ofTheTrade()->plans($problems, $calendar, $now, $this->workshop->bench(), $found, $hints === null ? $this->promises->now($found, $calendar) : new Promise);
    }
}
