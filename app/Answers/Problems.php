<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Kit\ShowRule;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Plan\Checkpoint;
use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\Timing\Show;
use App\Clock\BenchClock;
use App\Repositories\BuildRepository;
use App\Repositories\EventRepository;
use App\Repositories\ExperienceRepository;
use App\Repositories\LoadedBuild;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use App\Repositories\Shows;
use App\Room\RoomSource;

/** The problem of a build, from the last checkpoint of its log that holds. */
final readonly class Problems
{
    public function __construct(
        private Checkpoints $checkpoints,
        private BuildRepository $builds,
        private EventRepository $events,
        private ShelfRepository $shelf,
        private ExperienceRepository $experience,
        private RoomSource $rooms,
        private Settings $settings,
        private Shows $shows,
        private BenchClock $clock,
    ) {
    }

    /**
     * @param  string  $mark  of the build
     * @return array{LoadedBuild, Problem}|null null where there is no such build
     */
    public function of(string $build, string $mark): ?array
    {
        $loaded = $this->builds->find($build);
        if ($loaded === null) {
            return null;
        }
        $number = $this->events->last($build);
        $fold = static fn (): string => Marks::ofFold($mark, $loaded->kit);
        [$from, $events] = $this->checkpoints->from($build, $fold);
        $every = Checkpoints::every(count($events));
        $problem = $this->posed($loaded, $events, $from, $every);
        if ($every > 0) {
            $this->checkpoints->keep($build, $fold(), $problem->checkpoints, $number);
        }

        return [$loaded, $problem];
    }

    /**
     * From its whole log: of a kit that is not kept, or of all builds at once.
     *
     * @param  Show|null  $show  it is to be made for; null: the one it is entered for
     */
    public function whole(LoadedBuild $build, ?Show $show = null): Problem
    {
        return $this->posed($build, $build->events(), null, 0, $show);
    }

    /** @param  list<Event>  $events  after the checkpoint */
    private function posed(LoadedBuild $build, array $events, ?Checkpoint $from, int $every, ?Show $show = null): Problem
    {
        $now = $this->clock->epoch();
        $show ??= $this->shows->of($build->id, $build->kit->zone);

        return Problem::of($show === null ? $build->kit : ShowRule::askedOf($build->kit, $show->demands), $this->settings->house()->with($build->kit->house), $this->shelf->shelf(), $events, $this->rooms->room($now), $now, $this->experience->all(), Compiler::ofTheTrade()->rules, $from, $every);
    }
}
