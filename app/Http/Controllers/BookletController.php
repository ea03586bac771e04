<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Booklet\BookletReader;
use AmberStep\Core\Booklet\BringIn;
use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problem;
use AmberStep\Core\Kit\KitDiff;
use AmberStep\Core\Kit\Parking;
use AmberStep\Core\Lines\Reading;
use AmberStep\Core\Log\Log;
use App\Answers\Timetables;
use App\Build\Changer;
use App\Clock\BenchClock;
use App\Http\Answer;
use App\Http\LinesBody;
use App\Http\Presenters\BookletPresenter;
use App\Http\Presenters\ReadingPresenter;
use App\Repositories\BuildRepository;
use App\Repositories\LoadedBuild;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The booklet as it is called out, the lists of its colours, and the break-down. */
final readonly class BookletController
{
    use LoadsBuilds;

    public function __construct(private BuildRepository $builds, private ShelfRepository $shelf, private Changer $changer, private BenchClock $clock, private Settings $settings, private Answer $answer, private Timetables $timetables)
    {
    }

    public function show(Request $request, string $build): Response
    {
        return $this->answer->kept($this->timetables->ask($build, 'booklet'), $request);
    }

    /** What lines would be read as, with the totals as they would be: nothing changes. */
    public function read(Request $request, string $build): JsonResponse
    {
        $loaded = $this->load($build);
        $reading = $this->reading($request, $loaded);

        return $this->answer->json([
            ...ReadingPresenter::of($reading, KitDiff::edits($loaded->kit, $reading->kit), null),
            'tally' => BookletPresenter::tally($reading->kit, $this->shelf->shelf(), $this->settings->house(), Log::replay($loaded->events(), $reading->kit, $this->shelf->shelf(), $this->clock->epoch())),
        ]);
    }

    public function take(Request $request, string $build): JsonResponse
    {
        $loaded = $this->load($build);
        $reading = $this->reading($request, $loaded);
        if (($request->json()->all()['whole'] ?? false) === true && $reading->unread() !== []) {
            throw new BadDocument(array_map(static fn ($l): Problem => new Problem("line {$l->number}", $l->problems[0]->wrong, $l->problems[0]->right), array_slice($reading->unread(), 0, 50)));
        }
        $left = implode("\n", array_map(static fn ($l): string => $l->text, $reading->unread()));
        $edits = KitDiff::edits($loaded->kit, $reading->kit);
        if ($edits === []) {
            return $this->answer->json(['change' => null, 'revision' => $loaded->revision, 'left' => $left]);
        }
        $lines = $reading->understood();
        $change = $this->changer->apply($build, Answer::revision($request), $lines === 1 ? '1 line of the booklet' : "{$lines} lines of the booklet", $edits);

        return $this->answer->json(['change' => $change->toArray(), 'revision' => $change->revision, 'left' => $left], 201);
    }

    /** Makes parts and areas of all that is called out and on no piece yet. */
    public function bringIn(Request $request, string $build): JsonResponse
    {
        $loaded = $this->load($build);
        $lost = BookletPresenter::lost(Parking::active($loaded->kit));
        $edits = BringIn::edits($loaded->kit, $lost, self::newId(...));
        if ($edits === []) {
            return $this->answer->json(['change' => null, 'revision' => $loaded->revision, 'left' => '']);
        }
        $change = $this->changer->apply($build, Answer::revision($request), count($lost) === 1 ? '1 call-out brought into the kit' : count($lost).' call-outs brought into the kit', $edits);

        return $this->answer->json(['change' => $change->toArray(), 'revision' => $change->revision, 'left' => ''], 201);
    }

    public function lists(Request $request, string $build): Response
    {
        return $this->answer->kept($this->timetables->ask($build, 'lists'), $request);
    }

    public function breakdown(Request $request, string $build): Response
    {
        return $this->answer->kept($this->timetables->ask($build, 'breakdown'), $request);
    }

    private function reading(Request $request, LoadedBuild $loaded): Reading
    {
        [$text, $whole] = LinesBody::of($request);

        return BookletReader::read($text, $loaded->kit, $this->shelf->shelf(), self::newId(...), $whole);
    }
}
