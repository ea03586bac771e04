<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Log\Verdict;
use App\Clock\BenchClock;
use App\Models\Entry;
use App\Models\Event;
use App\Models\Gun;
use App\Models\Hint;
use App\Models\Product;
use App\Models\Reading;
use App\Models\SessionDate;
use App\Models\Setting;
use App\Models\Show;
use Illuminate\Support\Facades\DB;

/** What kept answers rest on, in short: when a mark is another, so is what was worked out from it. */
final readonly class Marks
{
    /** What of a kit its log is folded and judged by. */
    private const FOLDED = ['parts', 'joints', 'areas', 'edges', 'colours', 'house', 'notBefore', 'options', 'showRules', 'outages', 'flaws', 'features'];

    /** Settings that bear on when something is done, and on nothing else. */
    private const EVENINGS = ['calendar', 'workshop'];

    /** @return array<string, string> by build, in the user's order */
    public function ofBuilds(): array
    {
        $common = $this->common();
        $marks = [];
        foreach (DB::select("select id, revision || '.' || coalesce((select max(number) from events where build_id = builds.id), '') as rest from builds where binned is null and away = 0 order by position, id") as $row) {
            $marks[(string) $row->id] = "{$row->rest}.{$common}";
        }

        return $marks;
    }

    /**
     * What bears on when anything is done: all builds in their order, and what the search found for them.
     *
     * @param  array<string, string>  $marks  of the builds, in the user's order
     */
    private static function ofTimes(array $marks): string
    {
        return hash('xxh64', (string) json_encode([$marks, Hint::query()->whereKey(Hint::ONLY)->value('at')]));
    }

    /** A mark with all that bears on times. */
    public function withTimes(string $mark): string
    {
        return $mark.'/'.self::ofTimes($this->ofBuilds());
    }

    /** Of what is planned, but not of what was done: which builds are in hand, how often their kits were changed, which flaws are taken as they are, the week and the guns. */
    public function ofKits(): string
    {
        return hash('xxh64', (string) json_encode([DB::select('select id, revision from builds where binned is null and away = 0 order by position, id'), self::accepted(), self::atTheBench()]));
    }

    /** The same by what the kits say: changed back, it is as it was. */
    public function ofWhatKitsSay(): string
    {
        return hash('xxh64', (string) json_encode([DB::select('select id, kit from builds where binned is null and away = 0 order by position, id'), self::accepted(), self::atTheBench()]));
    }

    /** @return list<string> events by which a place is taken as it is: nobody works on it any more, as if its kit were another */
    private static function accepted(): array
    {
        $said = Event::query()->where('kind', EventKind::Verdict->value)->where('body->verdict', Verdict::Accept->value)->orderBy('id')->pluck('id')->all();
        /** @var list<Event> $takenBack */
        $takenBack = $said === [] ? [] : Event::query()->where('kind', EventKind::TakeBack->value)->whereIn('body->takesBack', $said)->get()->all();
        $back = array_map(static fn (Event $e): mixed => $e->body['takesBack'] ?? null, $takenBack);

        return array_values(array_filter(array_diff($said, $back), is_string(...)));
    }

    private static function atTheBench(): string
    {
        return self::ofWork().self::ofEvenings();
    }

    /** What is set that bears on what is to be done. */
    private static function ofWork(): string
    {
        return Setting::query()->whereNotIn('name', [BenchClock::TESTING, ...self::EVENINGS])->orderBy('name')->get(['name', 'value'])->toJson()
            .Show::query()->orderBy('id')->get()->toJson().Entry::query()->orderBy('build_id')->get()->toJson();
    }

    /** What is set that bears on when it is done alone. */
    private static function ofEvenings(): string
    {
        return Setting::query()->whereIn('name', self::EVENINGS)->orderBy('name')->get(['name', 'value'])->toJson()
            .SessionDate::query()->orderBy('date')->get()->toJson().Gun::query()->orderBy('position')->get()->toJson();
    }

    /** Of a mark, what bears on what is to be done on its build: not on when. */
    public static function ofTasks(string $mark): string
    {
        return implode('.', array_slice(explode('.', $mark), 0, 3));
    }

    /** @return string|null null where there is no such build */
    public function ofBuild(string $id): ?string
    {
        $rest = DB::scalar("select revision || '.' || coalesce((select max(number) from events where build_id = builds.id), '') from builds where binned is null and id = ?", [$id]);

        return is_string($rest) ? "{$rest}.{$this->common()}" : null;
    }

    /** Of all that bears on how a log is folded and judged: of the kit what events are about, not how the plan is steered. */
    public static function ofFold(string $mark, Kit $kit): string
    {
        $about = array_intersect_key($kit->toArray(), array_flip(self::FOLDED));

        return hash('xxh64', (string) json_encode($about)).'.'.(explode('.', $mark)[2] ?? '');
    }

    /** What bears on all builds: shelf, house rules, sessions, room, what was learned, the code itself. */
    private function common(): string
    {
        return hash('xxh64', implode('|', [
            self::ofWork(),
            Product::query()->count(), Product::query()->max('position'),
            Reading::query()->max('id'),
            self::experience(),
            self::code(),
        ])).'.'.hash('xxh64', self::ofEvenings());
    }

    /** Verdicts on waits, and what guns took, of any build; and what was taken back of these. */
    private static function experience(): string
    {
        $told = Event::query()->where(static fn ($q) => $q->where(static fn ($v) => $v->where('kind', EventKind::Verdict->value)->whereNotNull('body->wait'))->orWhere(static fn ($m) => $m->where('kind', EventKind::Mixed->value)->whereNotNull('body->usedMl')));
        $ids = $told->orderBy('number')->pluck('id')->all();
        $back = $ids === [] ? 0 : Event::query()->where('kind', EventKind::TakeBack->value)->whereIn('body->takesBack', $ids)->max('number');

        return count($ids).'.'.($ids[count($ids) - 1] ?? '').'.'.$back;
    }

    /** Changes with the code: bin/up writes it down when it starts the server. */
    private static function code(): string
    {
        return (string) @file_get_contents(base_path('var/code.mark'));
    }
}
