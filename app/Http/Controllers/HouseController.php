<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Kit\HouseBook;
use App\Answers\Timetables;
use App\Http\Answer;
use App\Http\Presenters\HousePresenter;
use App\Repositories\House;
use App\Repositories\LoadedBuild;
use App\Repositories\Settings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The house rules: the user's own, and what a build does otherwise. */
final readonly class HouseController
{
    public function __construct(private Timetables $timetables, private Settings $settings, private Answer $answer)
    {
    }

    public function show(Request $request, string $build): Response
    {
        return $this->answer->kept($this->timetables->remember($build, 'house', fn (LoadedBuild $loaded): array => HousePresenter::of($loaded, $this->settings->house())), $request);
    }

    public function store(Request $request, House $house): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $question = $in->text('question', 40);
        $position = $in->optionalText('position', 40);
        $in->refuseTheRest();
        $problems->throwIfAny();
        $known = HouseBook::positions($question);
        if ($known === [] || ($position !== null && ! in_array($position, $known, true))) {
            throw BadDocument::at($known === [] ? 'question' : 'position', 'is not known', $known === [] ? 'use one of '.implode(', ', array_keys(HouseBook::questions())) : 'use one of '.implode(', ', $known));
        }
        $house->say($question, $position);

        return $this->answer->json(['question' => $question, 'position' => $position]);
    }
}
