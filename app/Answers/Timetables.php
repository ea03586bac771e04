<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\Problem;
use App\Clock\BenchClock;
use App\Http\Presenters\BenchPresenter;
use App\Http\Presenters\KitPresenter;
use App\Repositories\LoadedBuild;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use App\Room\RoomSource;
use DateTimeImmutable;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * What a build's readers ask is worked out once: who comes first compiles, and writes the answers of all; who comes
 * second waits for them. They hold until something they rest on changes, or until the moment the plan names.
 */
final readonly class Timetables
{
    public function __construct(private Store $store, private Marks $marks, private Problems $problems, private Slices $slices, private Together $together, private ShelfRepository $shelf, private RoomSource $rooms, private Settings $settings, private BenchClock $clock)
    {
    }

    /**
     * @throws NotFoundHttpException where there is no such build
     * @throws BadDocument where it cannot be read
     */
    public function ask(string $build, string $slice): Kept
    {
        return $this->kept($build, $this->mark($build), $slice, null);
    }

    /**
     * The bench of somebody who is there for so many minutes: from when it is first asked, until they are over.
     *
     * @throws NotFoundHttpException where there is no such build
     */
    public function bench(string $build, int $minutes): Kept
    {
        return $this->kept($build, $this->mark($build), 'bench', $minutes);
    }

    /**
     * The evening on paper: put into a calendar of its own, for it may be printed for other minutes than the bench has.
     *
     * @throws NotFoundHttpException where there is no such build
     */
    public function sheet(string $build, int $minutes): Kept
    {
        return $this->remember($build, 'sheet', function (LoadedBuild $loaded, Problem $problem) use ($minutes): array {
            $shared = $this->together->plan($loaded, $problem, $this->marks->ofBuilds(), [$problem->context->nowEpoch, $minutes]);

            return [['build' => KitPresenter::name($loaded)] + BenchPresenter::sheet($shared->plan, $minutes, $shared->before($problem->context->nowEpoch + 60 * $minutes)), min($this->dayUntil($shared->plan), $shared->plan->validUntil)];
        }, times: true, asked: (string) $minutes);
    }

    /**
     * What rests on the problem of a build, or on less, and on no time but the day.
     *
     * @param  callable(LoadedBuild, Problem): (array<string, mixed>|array{array<string, mixed>, int})  $work  the answer, and until when it holds if that is before the day ends
     * @param  bool  $times  it tells when things are done: all builds bear on it
     * @param  string  $asked  what was asked for: the last of it is kept, so that no reader makes as many files as it likes
     *
     * @throws NotFoundHttpException where there is no such build
     */
    public function remember(string $build, string $name, callable $work, bool $times = false, string $asked = ''): Kept
    {
        $mark = $this->mark($build);
        $rests = ($times ? $this->marks->withTimes($mark) : $mark).($asked === '' ? '' : ' '.$asked);
        $now = $this->clock->epoch();
        $kept = $this->store->get($build, $name);
        if ($kept === null || ! $kept->holds($rests, $now)) {
            [$loaded, $problem] = $this->problems->of($build, $mark) ?? throw new NotFoundHttpException;
            $made = $work($loaded, $problem);
            [$data, $until] = array_is_list($made) ? $made : [$made, self::midnight($problem->context->kit->zone, $now)];
            $kept = new Kept($rests, $now, $until, 0, null, Packed::of($data));
            $this->store->put($build, $name, $kept);
        }

        return $kept;
    }

    /**
     * @param  array<string, string>  $unreadable  gets what is wrong with those that cannot be read, by build: the others are answered all the same
     * @return array<string, Packed> one answer of each build, in the user's order
     */
    public function all(string $slice, array &$unreadable = []): array
    {
        $marks = $this->marks->ofBuilds();
        $slices = [];
        // Those that are missing are locked in the order of their ids, so that two readers never wait for each other.
        $byId = $marks;
        ksort($byId);
        foreach ($byId as $build => $mark) {
            try {
                $slices[$build] = $this->kept($build, $mark, $slice, null)->answer;
            } catch (BadDocument $bad) {
                $unreadable[$build] = $bad->problems[0]->sentence();
            }
        }

        $inOrder = [];
        foreach (array_intersect_key($marks, $slices) as $build => $_) {
            $inOrder[$build] = $slices[$build];
        }

        return $inOrder;
    }

    /**
     * @param  list<string>  $builds
     * @return array<string, Packed> one answer of each that can be read
     */
    public function some(array $builds, string $slice): array
    {
        $slices = [];
        foreach ($builds as $build) {
            try {
                $slices[$build] = $this->ask($build, $slice)->answer;
            } catch (BadDocument|NotFoundHttpException) {
                // It says so itself once it is taken back in hand.
            }
        }

        return $slices;
    }

    private function mark(string $build): string
    {
        return $this->marks->ofBuild($build) ?? throw new NotFoundHttpException;
    }

    private function kept(string $build, string $mark, string $slice, ?int $minutes): Kept
    {
        $kept = $this->store->slice($build, $slice);
        if ($kept !== null && $this->serves($kept, $this->restsOn($slice, $mark), $minutes)) {
            return $kept;
        }

        return $this->store->alone($build, function (callable $later) use ($build, $slice, $minutes): Kept {
            // What others wrote while one waited for them counts.
            $this->shelf->forget();
            $this->settings->forget();
            $mark = $this->mark($build);
            $kept = $this->store->slice($build, $slice);

            if ($kept !== null && $this->serves($kept, $this->restsOn($slice, $mark), $minutes)) {
                return $kept;
            }
            $last = $this->store->slice($build, 'bench');

            return $this->compile($build, $mark, $slice, $this->together->session($minutes), ($last->serial ?? 0) + 1, $later);
        });
    }

    private function serves(Kept $kept, string $mark, ?int $minutes): bool
    {
        return $kept->holds($mark, $this->clock->epoch()) && ($minutes === null || ($kept->session[1] ?? null) === $minutes);
    }

    /** What tells times rests on all builds. */
    private function restsOn(string $slice, string $mark): string
    {
        return in_array($slice, Slices::TELLS_TIMES, true) ? $this->marks->withTimes($mark) : $mark;
    }

    /**
     * What is asked now and after each press is written at once, what else the plan tells when the answer has gone out.
     *
     * @param  array{int, int}|null  $session
     * @param  callable(callable(): void): void  $later
     */
    private function compile(string $build, string $mark, string $asked, ?array $session, int $serial, callable $later): Kept
    {
        [$loaded, $problem] = $this->problems->of($build, $mark) ?? throw new NotFoundHttpException;
        $marks = $this->marks->ofBuilds();
        $shared = $this->together->plan($loaded, $problem, $marks, $session);
        $plan = $shared->plan;
        $made = function (string $slice) use ($shared, $plan, $loaded, $mark, $session, $serial): Kept {
            $until = min($this->dayUntil($plan), in_array($slice, Slices::TELLS_TIMES, true) ? $plan->validUntil : $plan->holdsUntil);

            return new Kept($this->restsOn($slice, $mark), $plan->nowEpoch, $until, $serial, $session, Packed::of($this->slices->of($slice, $plan, $loaded, $session[1] ?? null, $shared->before(...))));
        };
        $first = [];
        foreach (array_unique([...Slices::FIRST, $asked]) as $slice) {
            $first[$slice] = $made($slice);
        }
        $this->store->putTogether($build, $first);
        $later(function () use ($loaded, $problem, $mark, $marks, $shared, $build, $first, $made): void {
            $rest = [];
            foreach (array_diff(Slices::ALL, array_keys($first)) as $slice) {
                $rest[$slice] = $made($slice);
            }
            $this->store->putTogether($build, $rest, rest: true);
            $this->together->keep($loaded->id, $mark, $problem, $shared, isset($marks[$build]));
        });

        return $first[$asked];
    }

    /** Until the next reading is due, or the day ends by which instants are told. */
    private function dayUntil(Plan $plan): int
    {
        $midnight = self::midnight($plan->context->kit->zone, $plan->nowEpoch);

        return min($this->rooms->nextReading($plan->nowEpoch) ?? $midnight, $midnight);
    }

    private static function midnight(\DateTimeZone $zone, int $now): int
    {
        return (new DateTimeImmutable('@'.$now))->setTimezone($zone)->setTime(0, 0)->modify('+1 day')->getTimestamp();
    }
}
