<?php

declare(strict_types=1);

namespace App\Build;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Plan\Plan;
use App\Clock\BenchClock;
use App\Repositories\ExperienceRepository;
use App\Repositories\LoadedBuild;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use App\Room\RoomSource;

/** Compiles the plan of a loaded build with all that bears on it. */
final readonly class Planner
{
    public function __construct(private ShelfRepository $shelf, private ExperienceRepository $experience, private RoomSource $rooms, private Settings $settings, private BenchClock $clock)
    {
    }

    /** The user's house rules, with the build's own on top. */
    public function house(LoadedBuild $build): HouseRules
    {
        return $this->settings->house()->with($build->kit->house);
    }

    /** @param  int|null  $minutes the user is at the bench for so long from now; null: by the calendar alone */
    public function plan(LoadedBuild $build, ?int $minutes = null): Plan
    {
        $now = $this->clock->epoch();
        $calendar = $this->settings->calendar($build->kit->zone);

        return Plan::compile($build->kit, $this->settings->house(), $this->shelf->shelf(), $build->events(), $this->rooms->room($now), $minutes === null ? $calendar : $calendar->atBench($now, $minutes), $now, $this->experience->all());
    }
}
