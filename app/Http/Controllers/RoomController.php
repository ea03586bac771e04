<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Drying\Conditions;
use App\Clock\BenchClock;
use App\Http\Answer;
use App\Room\RoomSource;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Readings of the room: typed, or from the simulated hygrometer. */
final readonly class RoomController
{
    public function __construct(private RoomSource $rooms, private BenchClock $clock, private Answer $answer)
    {
    }

    public function reading(Request $request): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $air = new Conditions($in->number('temperatureC', -30, 60), $in->number('humidity', 0.01, 1));
        $in->refuseTheRest();
        $problems->throwIfAny();
        $this->rooms->record($this->clock->epoch(), $air);

        return $this->answer->json(['source' => $this->rooms->source()], 201);
    }

    public function source(Request $request): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $source = $in->text('source', 20);
        if (! in_array($source, [RoomSource::SIMULATED, RoomSource::TYPED], true)) {
            $problems->add('source', 'is not known', 'give simulated or typed');
        }
        $in->refuseTheRest();
        $problems->throwIfAny();
        $this->rooms->useSource($source);

        return $this->answer->json(['source' => $source]);
    }
}
