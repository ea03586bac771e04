<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Build\Planner;
use App\Clock\BenchClock;
use App\Http\Answer;
use App\Http\AnswerCache;
use App\Http\Presenters\PlanPresenter;
use App\Http\Presenters\Time;
use App\Repositories\BuildRepository;
use App\Room\RoomSource;
use Illuminate\Http\Response;

/** What stands on every screen: the builds in hand with their aspects, the holds that run, the room. */
final readonly class FrameController
{
    public function __construct(private BuildRepository $builds, private Planner $planner, private RoomSource $rooms, private BenchClock $clock, private Answer $answer, private AnswerCache $cache)
    {
    }

    public function show(): Response
    {
        return $this->answer->kept($this->cache->remember('frame', $this->frame(...)));
    }

    /** @return array<string, mixed> */
    private function frame(): array
    {
        $builds = $holds = [];
        foreach ($this->builds->all() as $build) {
            $plan = $this->planner->plan($build);
            $builds[] = ['id' => $build->id, 'name' => $build->kit->name, 'scale' => $build->kit->scale, 'subject' => $build->kit->subject, 'revision' => $build->revision, 'zone' => $build->kit->zone->getName(), 'aspect' => PlanPresenter::aspect($plan->aspect()), 'stops' => count($plan->stops())];
            foreach ($plan->holds as $hold) {
                $holds[] = ['buildId' => $build->id, ...PlanPresenter::hold($hold)];
            }
        }
        usort($holds, static fn (array $a, array $b): int => [$a['until'], $a['key']] <=> [$b['until'], $b['key']]);

        return ['builds' => $builds, 'holds' => $holds, 'room' => $this->room(), 'frozen' => $this->clock->isFrozen()];
    }

    /** @return array<string, mixed> */
    private function room(): array
    {
        $now = $this->clock->epoch();
        $room = $this->rooms->room($now);
        $air = $room->now();
        $last = $room->readings[count($room->readings) - 1] ?? null;

        return [
            'temperatureC' => round($air->temperatureC, 1), 'humidity' => round($air->humidity, 2), 'dewPointC' => round($air->dewPointC(), 1),
            'source' => $this->rooms->source(), 'at' => Time::utc($last?->atEpoch), 'trouble' => $room->limits->trouble($air, false), 'troubleForGloss' => $room->limits->trouble($air, true),
        ];
    }
}
