<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use App\Build\BenchFile;
use App\Build\Porter;
use App\Http\Answer;
use App\Http\Presenters\CopyPresenter;
use App\Keeping\Cause;
use App\Keeping\Copies;
use App\Keeping\Place;
use App\Keeping\Restore;
use App\Keeping\Soundness;
use App\Photos\Parcel;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Copies of the whole bench, and the whole bench in one file. */
final readonly class CopyController
{
    public function __construct(private Copies $copies, private Place $place, private Soundness $soundness, private Answer $answer)
    {
    }

    public function index(): JsonResponse
    {
        return $this->answer->json(['damaged' => $this->soundness->isDamaged(), 'folder' => $this->place->copies(), 'chosen' => $this->place->chosen(), 'copies' => array_map(CopyPresenter::of(...), $this->copies->all())]);
    }

    /** What would change, were it brought back. */
    public function show(string $copy, Restore $restore): JsonResponse
    {
        $found = $this->copies->named($copy);

        return $this->answer->json(['copy' => CopyPresenter::of($found), 'changes' => $restore->compare($found)]);
    }

    public function store(): JsonResponse
    {
        $copy = $this->copies->take(Cause::Asked);

        return $this->answer->json(['copy' => $copy === null ? null : CopyPresenter::of($copy)], 201);
    }

    public function folder(Request $request): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $folder = $in->optionalText('folder', 1000);
        $in->refuseTheRest();
        $problems->throwIfAny();
        $this->place->choose($folder === '' ? null : $folder);

        return $this->index();
    }

    public function restore(string $copy, Restore $restore): JsonResponse
    {
        return $this->answer->json(['restored' => $copy, 'kept' => $restore->bringBack($this->copies->named($copy))], 201);
    }

    public function bench(BenchFile $bench, Parcel $parcel): Response
    {
        return new Response($parcel->packed(Parcel::BENCH, $bench->toJson(), $bench->photographs()), 200, ['Content-Type' => 'application/zip', 'Content-Disposition' => 'attachment; filename="amber-step-bench.zip"']);
    }

    public function takeBench(Request $request, BenchFile $bench, Parcel $parcel): JsonResponse
    {
        $body = (string) $request->getContent();
        $parcel->take($body, Parcel::BENCH, static function (string $json, array $names) use ($bench, $request): void {
            $bench->take(strtr($json, $names), $request->query('mode') === Porter::REPLACE);
        });

        return $this->answer->json(['taken' => true], 201);
    }
}
