<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use App\Answers\Packed;
use App\Answers\RunUps;
use App\Answers\Timetables;
use App\Build\Row;
use App\Clock\BenchClock;
use App\Http\Answer;
use App\Http\Presenters\Time;
use App\Room\RoomSource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What stands on every screen: the builds in hand with their aspects, the holds that run, the room. */
final readonly class FrameController
{
    public function __construct(private Timetables $timetables, private RoomSource $rooms, private BenchClock $clock, private Row $row, private RunUps $runUps, private Answer $answer)
    {
    }

    /** With nothing new since the frame the reader has, it says so and no more: it is asked for on every screen, again and again. */
    public function show(Request $request): Response
    {
        $frame = Packed::of($this->frame());
        $response = $this->answer->kept($frame, $request);
        // Weak, since the time of day is not in it; a clock that stands still is told each time it is set.
        $response->setEtag($frame->mark().($this->clock->isFrozen() ? '-'.$this->clock->epoch() : ''), true);
        $response->isNotModified($request);

        return $response;
    }

    /** Somebody says that the clock is right as it is. */
    public function clock(Request $request): JsonResponse
    {
        if (($request->json()->all()['right'] ?? null) !== true) {
            throw BadDocument::at('right', 'is not true', 'say {"right": true} once the clock is set right');
        }
        $this->clock->accept();

        return $this->answer->json(['right' => true]);
    }

    /** @return array<string, mixed> */
    private function frame(): array
    {
        $builds = $holds = $unreadable = [];
        foreach ($this->timetables->all('frame', $unreadable) as $slice) {
            $data = $slice->data();
            $builds[] = $data['build'] ?? null;
            /** @var list<array{until: string, key: string}> $own */
            $own = $data['holds'] ?? [];
            array_push($holds, ...$own);
        }
        foreach ($this->timetables->some($this->row->putAside(), 'frame') as $slice) {
            /** @var list<array{until: string, key: string}> $own */
            $own = $slice->data()['holds'] ?? [];
            array_push($holds, ...$own);
        }
        usort($holds, static fn (array $a, array $b): int => [$a['until'], $a['key']] <=> [$b['until'], $b['key']]);

        $jumped = $this->clock->jumped();

        return [
            'builds' => $builds, 'holds' => $holds, 'room' => $this->room(), 'frozen' => $this->clock->isFrozen(), 'away' => $this->row->away(), 'late' => (object) $this->runUps->late(),
            'unreadable' => $this->row->named($unreadable), 'clockJumpedMinutes' => $jumped === 0 ? null : intdiv($jumped, 60),
        ];
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
