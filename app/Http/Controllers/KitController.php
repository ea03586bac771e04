<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problem;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\KitDiff;
use AmberStep\Core\Kit\Removal;
use AmberStep\Core\Lines\Cell;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Lines\Reading;
use App\Answers\Previews;
use App\Answers\Timetables;
use App\Build\Applied;
use App\Build\Changer;
use App\Build\Porter;
use App\Clock\BenchZone;
use App\Http\Answer;
use App\Http\LinesBody;
use App\Http\Presenters\KitPresenter;
use App\Http\Presenters\ReadingPresenter;
use App\Repositories\BuildRepository;
use App\Repositories\LoadedBuild;
use App\Repositories\ShelfRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The kit as it is typed in: whole lines, single cells, and what is taken out. */
final readonly class KitController
{
    use LoadsBuilds;

    public function __construct(private BuildRepository $builds, private ShelfRepository $shelf, private Changer $changer, private Answer $answer)
    {
    }

    public function show(Request $request, string $build, Timetables $timetables): Response
    {
        return $this->answer->kept($timetables->remember($build, 'kit', fn (LoadedBuild $loaded): array => KitPresenter::kit($loaded, $this->shelf->shelf(), $this->changer->undoable($build))), $request);
    }

    /** A build from nothing but a name and a scale. */
    public function blank(Request $request, Porter $porter): JsonResponse
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $name = $in->text('name', 120);
        $subject = $in->optionalText('subject', 200) ?? '';
        $scale = $in->number('scale', 1, 10000);
        $in->refuseTheRest();
        $problems->throwIfAny();
        $id = $porter->add(Kit::fromArray(['name' => $name, 'subject' => $subject, 'scale' => $scale, 'zone' => BenchZone::name(), 'parts' => []]));

        return $this->answer->json(['build' => KitPresenter::name($this->load($id))], 201);
    }

    /** The same kit as a build of its own, with nothing done on it. */
    public function copy(string $build, Porter $porter): JsonResponse
    {
        return $this->answer->json(['build' => KitPresenter::name($this->load($porter->kitCopy($this->load($build))))], 201);
    }

    /** What lines would be read as, while they are typed: nothing changes. */
    public function read(Request $request, string $build, Previews $previews): JsonResponse
    {
        $loaded = $this->load($build);
        $reading = $this->reading($request, $loaded->kit);
        $edits = KitDiff::edits($loaded->kit, $reading->kit);
        // Read at every key, planned when the hands rest: a plan costs more than all the rest.
        $wanted = ($request->json()->all()['plan'] ?? false) === true;
        $plan = $edits === [] || ! $wanted ? null : $previews->plan($loaded->with($reading->kit), anew: true);

        return $this->answer->json(ReadingPresenter::of($reading, $edits, $plan));
    }

    public function take(Request $request, string $build): JsonResponse
    {
        $loaded = $this->load($build);
        $reading = $this->reading($request, $loaded->kit);
        if (($request->json()->all()['whole'] ?? false) === true) {
            self::refuseGaps($reading);
        }
        $left = implode("\n", array_map(static fn ($l): string => $l->text, $reading->unread()));
        $edits = KitDiff::edits($loaded->kit, $reading->kit);
        if ($edits === []) {
            return $this->answer->json(['change' => null, 'revision' => $loaded->revision, 'left' => $left], 200);
        }
        $lines = $reading->understood();

        return $this->changed($this->changer->apply($build, Answer::revision($request), $lines === 1 ? '1 line typed in' : "{$lines} lines typed in", $edits), $left);
    }

    public function cell(Request $request, string $build): JsonResponse
    {
        $loaded = $this->load($build);
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        [$list, $id, $field] = [$in->text('list', 40), $in->id('id'), $in->text('field', 40)];
        $text = $in->optionalText('text', 400) ?? '';
        $in->refuseTheRest();
        $problems->throwIfAny();
        $edits = Cell::edits($loaded->kit, $this->shelf->shelf(), $list, $id, $field, $text, self::newId(...));
        if ($edits === []) {
            return $this->answer->json(['change' => null, 'revision' => $loaded->revision, 'left' => ''], 200);
        }

        return $this->changed($this->changer->apply($build, Answer::revision($request), KitPresenter::cellTitle($loaded->kit, $list, $id, $field, $text), $edits));
    }

    public function remove(Request $request, string $build): JsonResponse
    {
        $loaded = $this->load($build);
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        [$list, $id] = [$in->text('list', 40), $in->id('id')];
        $in->refuseTheRest();
        $problems->throwIfAny();
        $edits = in_array($list, Kit::LISTS, true) ? Removal::of($loaded->kit, $list, $id) : [];
        if ($edits === []) {
            // Nothing of that id: said as the edit itself would say it.
            $edits = [Edit::remove($list, $id)];
        }

        return $this->changed($this->changer->apply($build, Answer::revision($request), 'Take out '.KitPresenter::nameIn($loaded->kit, $list, $id), $edits));
    }

    private function reading(Request $request, Kit $kit): Reading
    {
        [$text, $whole] = LinesBody::of($request);

        return LineReader::read($text, $kit, $this->shelf->shelf(), self::newId(...), $whole);
    }

    /**
     * Of the whole kit no line may be left out: what it stands for would be gone.
     *
     * @throws BadDocument naming each line that was not read
     */
    private static function refuseGaps(Reading $reading): void
    {
        $problems = array_map(static fn ($l): Problem => new Problem("line {$l->number}", $l->problems[0]->wrong, $l->problems[0]->right), $reading->unread());
        if ($problems !== []) {
            throw new BadDocument(array_slice($problems, 0, 50));
        }
    }

    private function changed(Applied $change, string $left = ''): JsonResponse
    {
        return $this->answer->json(['change' => $change->toArray(), 'revision' => $change->revision, 'left' => $left], 201);
    }
}
