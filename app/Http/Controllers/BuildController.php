<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Log\Finish;
use App\Build\BuildFile;
use App\Build\Changer;
use App\Build\Planner;
use App\Build\Porter;
use App\Clock\BenchClock;
use App\Http\Answer;
use App\Http\AnswerCache;
use App\Http\Presenters\BenchPresenter;
use App\Http\Presenters\FindPresenter;
use App\Http\Presenters\FinishPresenter;
use App\Http\Presenters\KitPresenter;
use App\Http\Presenters\LogPresenter;
use App\Http\Presenters\PlanPresenter;
use App\Photos\Parcel;
use App\Repositories\BuildRepository;
use App\Repositories\LoadedBuild;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** One build: its bench, its plan, its log, its file. */
final readonly class BuildController
{
    use LoadsBuilds;

    public function __construct(private BuildRepository $builds, private Planner $planner, private Answer $answer, private AnswerCache $cache, private BenchClock $clock)
    {
    }

    public function bench(Request $request, string $build): Response
    {
        $minutes = Answer::whole($request, 'minutes', 90, 5, 720);

        return $this->answer->kept($this->cache->remember("bench/{$build}/{$minutes}", function () use ($build, $minutes): array {
            $loaded = $this->load($build);

            return ['build' => KitPresenter::name($loaded), ...BenchPresenter::bench($this->planner->plan($loaded, $minutes), $minutes)];
        }));
    }

    public function sheet(Request $request, string $build): Response
    {
        $minutes = Answer::whole($request, 'minutes', 120, 5, 720);

        return $this->answer->kept($this->cache->remember("sheet/{$build}/{$minutes}", function () use ($build, $minutes): array {
            $loaded = $this->load($build);

            return ['build' => KitPresenter::name($loaded), ...BenchPresenter::sheet($this->planner->plan($loaded, $minutes), $minutes)];
        }));
    }

    public function plan(string $build, Changer $changer): Response
    {
        return $this->answer->kept($this->cache->remember("plan/{$build}", function () use ($build, $changer): array {
            $loaded = $this->load($build);
            $undoable = $changer->undoable($loaded->id);

            return [
                'build' => KitPresenter::name($loaded),
                ...PlanPresenter::plan($this->planner->plan($loaded)),
                'undoable' => $undoable?->toArray(),
            ];
        }));
    }

    public function log(Request $request, string $build, ShelfRepository $shelf): Response
    {
        $from = Answer::whole($request, 'from', 0, 0, 1_000_000);

        return $this->answer->kept($this->cache->remember("log/{$build}/{$from}", function () use ($build, $from, $shelf): array {
            $loaded = $this->load($build);

            return ['build' => KitPresenter::name($loaded), ...(new LogPresenter($shelf->shelf()))->page($loaded, $from, $this->clock->epoch())];
        }));
    }

    /** What can be looked for by its name, all of it: narrowed while one types, without asking again. */
    public function find(string $build): Response
    {
        return $this->answer->kept($this->cache->remember("find/{$build}", function () use ($build): array {
            $loaded = $this->load($build);

            return ['build' => KitPresenter::name($loaded), 'things' => FindPresenter::things($this->planner->plan($loaded))];
        }));
    }

    public function finish(string $build, ShelfRepository $shelf): Response
    {
        return $this->answer->kept($this->cache->remember("finish/{$build}", function () use ($build, $shelf): array {
            $loaded = $this->load($build);
            $plan = $this->planner->plan($loaded);

            return ['build' => KitPresenter::name($loaded), ...FinishPresenter::sheet(Finish::of($loaded->kit, $shelf->shelf(), $loaded->events, $plan->nowEpoch), $plan)];
        }));
    }

    public function import(Request $request, Porter $porter, Parcel $parcel): JsonResponse
    {
        $mode = $request->query('mode');
        $body = (string) $request->getContent();
        $file = BuildFile::parse(str_starts_with($body, 'PK') ? $parcel->unpack($body) : $body);
        $id = $porter->import($file, in_array($mode, [Porter::REPLACE, Porter::COPY], true) ? $mode : null);

        return $this->answer->json(['build' => KitPresenter::name($this->load($id))], 201);
    }

    public function export(string $build, Porter $porter): Response
    {
        $loaded = $this->load($build);

        return new Response($porter->export($loaded)->toJson(), 200, ['Content-Type' => 'application/json; charset=utf-8', 'Content-Disposition' => 'attachment; filename="'.self::fileName($loaded).'.amber.json"']);
    }

    /** With its photographs. */
    public function parcel(string $build, Porter $porter, Parcel $parcel): Response
    {
        $loaded = $this->load($build);

        return new Response($parcel->pack($porter->export($loaded)->toJson(), $loaded->kit), 200, ['Content-Type' => 'application/zip', 'Content-Disposition' => 'attachment; filename="'.self::fileName($loaded).'.amber.zip"']);
    }

    private static function fileName(LoadedBuild $build): string
    {
        return strtolower(trim((string) preg_replace('/[^A-Za-z0-9]+/', '-', $build->kit->name), '-'));
    }
}
