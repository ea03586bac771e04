<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Kit\Edit;
use App\Answers\Previews;
use App\Build\Applied;
use App\Build\Changer;
use App\Http\Answer;
use App\Http\Presenters\PreviewPresenter;
use App\Repositories\BuildRepository;
use App\Repositories\LoadedBuild;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Fixes and other edits: previewed, applied, undone. */
final readonly class ChangeController
{
    public function __construct(private BuildRepository $builds, private Previews $previews, private Changer $changer, private Answer $answer)
    {
    }

    public function preview(Request $request, string $build): JsonResponse
    {
        $loaded = $this->load($build);
        $edits = Edit::listFrom($request->json()->all()['edits'] ?? null);

        return $this->answer->json(['preview' => PreviewPresenter::of($this->previews->plan($loaded), $this->previews->plan($loaded->with($loaded->kit->apply($edits)), anew: true))]);
    }

    public function store(Request $request, string $build): JsonResponse
    {
        $loaded = $this->load($build);
        $body = $request->json()->all();
        $title = is_string($body['title'] ?? null) && trim($body['title']) !== '' ? $body['title'] : 'An edit';

        return $this->changed($this->changer->apply($loaded->id, Answer::revision($request), $title, Edit::listFrom($body['edits'] ?? null)));
    }

    public function undo(Request $request, string $build, string $change): JsonResponse
    {
        return $this->changed($this->changer->undo($this->load($build)->id, Answer::revision($request), $change));
    }

    private function changed(Applied $change): JsonResponse
    {
        return $this->answer->json(['change' => $change->toArray(), 'revision' => $change->revision], 201);
    }

    private function load(string $id): LoadedBuild
    {
        return $this->builds->find($id) ?? throw new NotFoundHttpException;
    }
}
