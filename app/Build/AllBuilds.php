<?php

declare(strict_types=1);

namespace App\Build;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Plans;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\Timing\Hints as Found;
use App\Clock\BenchClock;
use App\Clock\BenchZone;
use App\Repositories\BuildRepository;
use App\Repositories\ExperienceRepository;
use App\Repositories\Hints;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use App\Repositories\Workshop;
use App\Room\RoomSource;

/** All builds in hand in one timetable, every rule of each asked. */
final readonly class AllBuilds
{
    public function __construct(private BuildRepository $builds, private ShelfRepository $shelf, private ExperienceRepository $experience, private RoomSource $rooms, private Settings $settings, private Workshop $workshop, private Hints $hints, private BenchClock $clock)
    {
    }

    /**
     * @param  Found|null  $hints  null: what the search found last
     * @return Plans by build, in the user's order
     *
     * @throws BadDocument where there is no build in hand
     */
    public function all(?Found $hints = null): Plans
    {
        $now = $this->clock->epoch();
        $rules = Compiler::ofTheTrade();
        $problems = [];
        foreach ($this->builds->all() as $build) {
            $problems[$build->id] = Problem::of($build->kit, $this->settings->house()->with($build->kit->house), $this->shelf->shelf(), $build->events(), $this->rooms->room($now), $now, $this->experience->all(), $rules->rules);
        }
        if ($problems === []) {
            throw BadDocument::at('--all', 'finds no build in hand', 'bring one in, or take one back in hand');
        }

        return $rules->plans($problems, $this->settings->calendar(BenchZone::zone()), $now, $this->workshop->bench(), $hints ?? $this->hints->now());
    }
}
