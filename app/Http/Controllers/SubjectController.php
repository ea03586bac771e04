<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Subject\Begun;
use AmberStep\Core\Subject\Kind;
use AmberStep\Core\Subject\Proposal;
use App\Build\Porter;
use App\Clock\BenchZone;
use App\Http\Answer;
use App\Http\Presenters\KitPresenter;
use App\Http\Presenters\SubjectPresenter;
use App\Repositories\BuildRepository;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A build begun from what it is of, its scale, its size and how it shall look. */
final readonly class SubjectController
{
    use LoadsBuilds;

    public function __construct(private BuildRepository $builds, private ShelfRepository $shelf, private Answer $answer)
    {
    }

    public function index(): JsonResponse
    {
        return $this->answer->json(['subjects' => SubjectPresenter::kinds()]);
    }

    /** What would be proposed: nothing is kept. */
    public function propose(Request $request): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $proposal = $this->proposal($in, $problems, $this->shelf->shelf());

        return $this->answer->json(SubjectPresenter::proposal($proposal));
    }

    /** The build as it is proposed, and the paints it wants that are not on the shelf: both or neither. */
    public function begin(Request $request, Porter $porter): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $name = $in->text('name', 120);
        $family = $in->oneOf('family', Family::class, Family::WaterAcrylic);
        $proposal = $this->proposal($in, $problems, $this->shelf->shelf());
        $newId = static fn (): string => strtoupper((string) Str::ulid());
        $paints = $proposal->paints($family, $newId);
        $id = DB::transaction(function () use ($proposal, $paints, $name, $porter, $newId): string {
            if ($paints !== []) {
                $this->shelf->put($paints);
            }
            $blank = Kit::fromArray(['name' => $name, 'subject' => ucfirst($proposal->kind->word()), 'scale' => $proposal->scale, 'zone' => BenchZone::name(), 'parts' => []]);

            return $porter->add(Begun::kit($proposal, $blank, $this->shelf->shelf(), $newId));
        });

        return $this->answer->json(['build' => KitPresenter::name($this->load($id))], 201);
    }

    /** @throws BadDocument */
    private function proposal(Reader $in, Problems $problems, Shelf $shelf): Proposal
    {
        $kind = $in->oneOf('subject', Kind::class, Kind::Propeller);
        $scale = $in->number('scale', 1, 10000);
        $length = $in->number('length', 0.1, 100000);
        $width = $in->optionalNumber('width', 0.1, 100000);
        $looks = $in->optionalText('looks', 1000) ?? '';
        $in->refuseTheRest();
        $problems->throwIfAny();

        return new Proposal($kind, $scale, $length, $width, $looks, $shelf);
    }
}
