<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Joint;
use App\Build\BuildFile;
use App\Build\Changer;
use App\Build\Planner;
use App\Build\Porter;
use App\Http\Answer;
use App\Http\AnswerCache;
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
    public function __construct(private BuildRepository $builds, private Planner $planner, private Answer $answer, private AnswerCache $cache)
    {
    }

    public function bench(Request $request, string $build): JsonResponse
    {
        $minutes = Answer::whole($request, 'minutes', 90, 5, 720);

        return $this->answer->json($this->cache->remember("bench/{$build}/{$minutes}", function () use ($build, $minutes): array {
            $loaded = $this->load($build);

            return ['build' => $this->name($loaded), ...BenchPresenter::bench($this->planner->plan($loaded, $minutes), $minutes)];
        }));
    }

    public function plan(string $build, Changer $changer): JsonResponse
    {
        return $this->answer->json($this->cache->remember("plan/{$build}", function () use ($build, $changer): array {
            $loaded = $this->load($build);
            $undoable = $changer->undoable($loaded->id);

            return [
                'build' => $this->name($loaded),
                ...PlanPresenter::plan($this->planner->plan($loaded)),
                'undoable' => $undoable === null ? null : ['id' => $undoable->id, 'title' => $undoable->title],
            ];
        }));
    }

    public function log(Request $request, string $build, ShelfRepository $shelf): JsonResponse
    {
        $from = Answer::whole($request, 'from', 0, 0, 1_000_000);

        return $this->answer->json($this->cache->remember("log/{$build}/{$from}", function () use ($build, $from, $shelf): array {
            $loaded = $this->load($build);

            return ['build' => $this->name($loaded), ...(new LogPresenter($shelf->shelf()))->page($loaded, $from)];
        }));
    }

    public function kit(string $build, ShelfRepository $shelf): JsonResponse
    {
        $loaded = $this->load($build);

        return $this->answer->json([
            'build' => $this->name($loaded),
            'areas' => array_map(static fn (Area $a): array => ['id' => $a->id, 'name' => $a->name], $loaded->kit->areas),
            'joints' => array_map(static fn (Joint $j): array => ['id' => $j->id, 'name' => $j->name], $loaded->kit->joints),
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
