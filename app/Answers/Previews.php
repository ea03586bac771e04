<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\Problem;
use App\Clock\BenchClock;
use App\Repositories\ExperienceRepository;
use App\Repositories\LoadedBuild;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use App\Room\RoomSource;

/** What a build's plan would be with another kit: in the same one time as its bench, so that what is promised is what comes. */
final readonly class Previews
{
    public function __construct(private Together $together, private Marks $marks, private ShelfRepository $shelf, private ExperienceRepository $experience, private RoomSource $rooms, private Settings $settings, private BenchClock $clock)
    {
    }

    /** @param  bool  $anew  with a kit that is not kept: the plan is made anew, as it will be then */
    public function plan(LoadedBuild $build, bool $anew = false): Plan
    {
        $now = $this->clock->epoch();
        $problem = Problem::of($build->kit, $this->settings->house()->with($build->kit->house), $this->shelf->shelf(), $build->events(), $this->rooms->room($now), $now, $this->experience->all(), Compiler::ofTheTrade()->rules);

        return $this->together->plan($build, $problem, $this->marks->ofBuilds(), $this->together->session(null), $anew)->plan;
    }
}
