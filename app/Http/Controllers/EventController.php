<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Log\Event;
use App\Build\Recorder;
use App\Http\Answer;
use App\Http\Presenters\LogPresenter;
use App\Repositories\BuildRepository;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** What happened at the bench comes in here, once for each id. */
final readonly class EventController
{
    public function __construct(private BuildRepository $builds, private Recorder $recorder, private ShelfRepository $shelf, private Answer $answer)
    {
    }

    public function store(Request $request, string $build): JsonResponse
    {
        $loaded = $this->builds->find($build) ?? throw new NotFoundHttpException;
        [$event, $new] = $this->recorder->record($loaded, Event::fromArray($request->json()->all()));

        return $this->answer->json(['event' => (new LogPresenter($this->shelf->shelf()))->line($event, $loaded->kit, true)], $new ? 201 : 200);
    }
}
