<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Plan\Plan;
use App\Repositories\LoadedBuild;

/** What a build's plan would be with another kit: in the same one time as its bench, so that what is promised is what comes. */
final readonly class Previews
{
    public function __construct(private Together $together, private Problems $problems, private Marks $marks)
    {
    }

    /** @param  bool  $anew  with a kit that is not kept: the plan is made anew, as it will be then */
    public function plan(LoadedBuild $build, bool $anew = false): Plan
    {
        return $this->together->plan($build, $this->problems->whole($build), $this->marks->ofBuilds(), $this->together->session(null), $anew)->plan;
    }
}
