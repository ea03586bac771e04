<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Log\Finish;
use AmberStep\Core\Plan\Problem;
use App\Answers\Timetables;
use App\Build\BuildFile;
use App\Build\Porter;
use App\Clock\BenchClock;
use App\Http\Answer;
use App\Http\Presenters\FinishPresenter;
use App\Http\Presenters\KitPresenter;
use App\Http\Presenters\LogPresenter;
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

    public function __construct(private BuildRepository $builds, private Answer $answer, private Timetables $timetables, private BenchClock $clock)
    {
    }

    public function bench(Request $request, string $build): Response
    {
        return $this->answer->kept($this->timetables->bench($build, Answer::whole($request, 'minutes', 90, 5, 720)), $request);
    }

    public function sheet(Request $request, string $build): Response
    {
        return $this->answer->kept($this->timetables->sheet($build, Answer::whole($request, 'minutes', 120, 5, 720)), $request);
    }

    public function plan(Request $request, string $build): Response
    {
        return $this->answer->kept($this->timetables->ask($build, 'plan'), $request);
    }

    public function log(Request $request, string $build, ShelfRepository $shelf): Response
    {
        $from = Answer::whole($request, 'from', 0, 0, 1_000_000);

        return $this->answer->kept($this->timetables->remember($build, $from === 0 ? 'log' : 'log-page', fn (LoadedBuild $loaded): array => ['build' => KitPresenter::name($loaded), ...(new LogPresenter($shelf->shelf()))->page($loaded, $from, $this->clock->epoch())], asked: (string) $from), $request);
    }

    /** What can be looked for by its name, all of it: narrowed while one types, without asking again. */
    public function find(Request $request, string $build): Response
    {
        return $this->answer->kept($this->timetables->ask($build, 'find'), $request);
    }

    public function finish(Request $request, string $build): Response
    {
        return $this->answer->kept($this->timetables->remember($build, 'finish', static function (LoadedBuild $loaded, Problem $problem): array {
            $context = $problem->context;

            return ['build' => KitPresenter::name($loaded), ...FinishPresenter::sheet(Finish::of($loaded->kit, $context->shelf, $loaded->events(), $context->surface, $context->nowEpoch), $loaded->kit, count($problem->left))];
        }), $request);
    }

    public function import(Request $request, Porter $porter, Parcel $parcel): JsonResponse
    {
        $mode = $request->query('mode');
        $body = (string) $request->getContent();
        $id = $parcel->take($body, Parcel::BUILD, static fn (string $json, array $names): string => $porter->import(BuildFile::parse($json)->renamed($names), in_array($mode, [Porter::REPLACE, Porter::COPY], true) ? $mode : null, anyway: $request->query('changed') === Porter::ANYWAY));

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
        $name = strtolower(trim((string) preg_replace('/[^A-Za-z0-9]+/', '-', $build->kit->name), '-'));

        return $name === '' ? strtolower(substr($build->id, -8)) : $name;
    }
}
