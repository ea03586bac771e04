<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Build\BuildFile;
use App\Build\Changer;
use App\Build\Planner;
use App\Build\Porter;
use App\Http\Answer;
use App\Http\Presenters\BenchPresenter;
use App\Http\Presenters\LogPresenter;
use App\Http\Presenters\PlanPresenter;
use App\Repositories\BuildRepository;
use App\Repositories\LoadedBuild;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** One build: its bench, its plan, its log, its file. */
final readonly class BuildController
{
    public function __construct(private BuildRepository $builds, private Planner $planner, private Answer $answer) {}

    public function bench(Request $request, string $build): JsonResponse
    {
        $loaded = $this->load($build);
        $minutes = Answer::whole($request, 'minutes', 90, 5, 720);

        return $this->answer->json(['build' => $this->name($loaded), ...BenchPresenter::bench($this->planner->plan($loaded, $minutes), $minutes)]);
    }

    public function plan(string $build, Changer $changer): JsonResponse
    {
        $loaded = $this->load($build);
        $undoable = $changer->undoable($loaded->id);

        return $this->answer->json([
            'build' => $this->name($loaded),
            ...PlanPresenter::plan($this->planner->plan($loaded)),
            'undoable' => $undoable === null ? null : ['id' => $undoable->id, 'title' => $undoable->title],
        ]);
    }

    public function log(Request $request, string $build, ShelfRepository $shelf): JsonResponse
    {
        $loaded = $this->load($build);

        return $this->answer->json(['build' => $this->name($loaded), ...(new LogPresenter($shelf->shelf()))->page($loaded, Answer::whole($request, 'from', 0, 0, 1_000_000))]);
    }

    public function kit(string $build, ShelfRepository $shelf): JsonResponse
    {
        $loaded = $this->load($build);
        $named = static fn (array $things): array => array_map(static fn (object $t): array => ['id' => $t->id, 'name' => $t->name], $things);

        return $this->answer->json([
            'build' => $this->name($loaded),
            'areas' => $named($loaded->kit->areas),
            'joints' => $named($loaded->kit->joints),
            'colours' => array_map(static fn ($c): array => ['id' => $c->id, 'name' => $c->name, 'product' => $c->product], $loaded->kit->colours),
            'products' => array_map(static fn ($p): array => ['id' => $p->id, 'name' => $p->name, 'range' => $p->range, 'family' => $p->family->value, 'role' => $p->role->value, 'swatch' => $p->swatch], $shelf->shelf()->products),
        ]);
    }

    public function import(Request $request, Porter $porter): JsonResponse
    {
        $mode = $request->query('mode');
        $file = BuildFile::parse((string) $request->getContent());
        $id = $porter->import($file, in_array($mode, [Porter::REPLACE, Porter::COPY], true) ? $mode : null);

        return $this->answer->json(['build' => $this->name($this->load($id))], 201);
    }

    public function export(string $build, Porter $porter): Response
    {
        $loaded = $this->load($build);
        $name = preg_replace('/[^A-Za-z0-9]+/', '-', $loaded->kit->name);

        return new Response($porter->export($loaded)->toJson(), 200, ['Content-Type' => 'application/json; charset=utf-8', 'Content-Disposition' => 'attachment; filename="'.strtolower(trim((string) $name, '-')).'.amber.json"']);
    }

    private function load(string $id): LoadedBuild
    {
        return $this->builds->find($id) ?? throw new NotFoundHttpException;
    }

    /** @return array<string, mixed> */
    private function name(LoadedBuild $build): array
    {
        return ['id' => $build->id, 'name' => $build->kit->name, 'scale' => $build->kit->scale, 'subject' => $build->kit->subject, 'revision' => $build->revision, 'zone' => $build->kit->zone->getName()];
    }
}
