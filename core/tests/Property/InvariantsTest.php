<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Property;

use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\StepEvent;
use AmberStep\Core\Tests\Rule\MistakesTest;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\RandomBuild;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What holds for every build: the invariants of the plan, over seeded random kits and logs. */
final class InvariantsTest extends TestCase
{
    private const SEEDS = 500;

    private const PER_CASE = 25;

    #[DataProvider('seeds')]
    public function test_the_invariants_hold(int $from): void
    {
        for ($seed = $from; $seed < $from + self::PER_CASE; $seed++) {
            $random = new RandomBuild($seed);
            $build = new Build($random->said());
            $this->work($build, $random, $random->one([0, 3, 8, 20]));
            $plan = $build->plan();

            self::assertSame(self::told($plan), self::told($build->plan()), "seed {$seed}: compile is not deterministic");
            $this->orderOfArrivalDoesNotMatter($build, $random, $plan, $seed);
            $this->doingWhatBenchProposesMovesNothingElse($build, $plan, $seed);
            $this->takingBackIsAsIfItNeverWas($build, $plan, $seed);
            $this->fixesWork($build, $plan, $seed);
        }
    }

    #[DataProvider('few')]
    public function test_a_build_worked_to_its_end_has_nothing_left(int $seed): void
    {
        $random = new RandomBuild($seed);
        $build = new Build($random->said());
        $wanted = array_column($build->plan()->stops(), 'key');
        for ($i = 0; $i < 400; $i++) {
            $plan = $build->plan();
            if ($plan->left === []) {
                break;
            }
            $this->doNext($build, $plan);
        }

        self::assertSame([], array_keys($build->plan()->left), "seed {$seed}");
        $new = array_filter($build->plan()->stops(), static fn ($f): bool => ! in_array($f->key, $wanted, true));
        self::assertSame([], array_map(static fn ($f) => $f->title, $new), "seed {$seed}: stops at the end");
    }

    /** Works on plan, and now and then off it. */
    private function work(Build $build, RandomBuild $random, int $steps): void
    {
        for ($i = 0; $i < $steps; $i++) {
            $plan = $build->plan();
            if ($plan->left === []) {
                return;
            }
            if ($random->chance(8)) {
                $painted = array_filter($build->kit->areas, static fn ($a): bool => $plan->context->surface->area($a->id)->layers !== []);
                $names = static fn (array $areas): array => array_values(array_map(static fn ($a): string => $a->name, $areas));
                $build->record(['at' => $build->now, ...$random->offPlan($names($build->kit->areas), $names($painted))]);
                $build->now += 60;
            } else {
                $this->doNext($build, $plan);
            }
        }
    }

    private function doNext(Build $build, Plan $plan): void
    {
        $next = $plan->byTime()[0];
        $build->now = max($build->now, $next->endEpoch);
        $build->events[] = StepEvent::of($next->step, sprintf('01E0000000%016d', count($build->events) + 1), $build->now, $build->now);
    }

    private function orderOfArrivalDoesNotMatter(Build $build, RandomBuild $random, Plan $plan, int $seed): void
    {
        $events = $build->events;
        $build->events = $random->shuffled($events);
        self::assertSame(self::told($plan), self::told($build->plan()), "seed {$seed}: the order of arrival matters");
        $build->events = $events;
    }

    private function doingWhatBenchProposesMovesNothingElse(Build $build, Plan $plan, int $seed): void
    {
        $now = $plan->now();
        if ($now === null) {
            return;
        }
        $build->events[] = StepEvent::of($now->step, '01F00000000000000000000001', $build->now, $build->now);
        $after = $build->plan();
        array_pop($build->events);
        $expected = array_values(array_diff(array_keys($plan->left), [$now->step->key]));
        self::assertSame($expected, array_keys($after->left), "seed {$seed}: doing {$now->step->key} moved the rest");
    }

    private function takingBackIsAsIfItNeverWas(Build $build, Plan $plan, int $seed): void
    {
        $now = $plan->now();
        if ($now === null) {
            return;
        }
        $events = $build->events;
        $build->events[] = StepEvent::of($now->step, '01F00000000000000000000002', $build->now, $build->now);
        $build->events[] = new Event('01F00000000000000000000003', EventKind::TakeBack, $build->now, $build->now, takesBack: '01F00000000000000000000002');
        self::assertSame(self::told($plan), self::told($build->plan()), "seed {$seed}: taking back leaves a trace");
        $build->events = $events;
    }

    private function fixesWork(Build $build, Plan $plan, int $seed): void
    {
        foreach (array_slice($plan->findings, 0, 4) as $finding) {
            foreach ($finding->fixes as $fix) {
                $after = $build->plan($build->kit->apply($fix->edits));
                $where = "seed {$seed}: {$finding->rule} ({$finding->title}) after \"{$fix->title}\"";
                self::assertNotContains($finding->key, array_column($after->findings, 'key'), "{$where}: still there");
                self::assertSame([], MistakesTest::newStops($plan, $after), "{$where}: new stops");
            }
        }
    }

    /** @return list<mixed> all a plan says */
    private static function told(Plan $plan): array
    {
        return [
            array_map(static fn ($p): array => [$p->startEpoch, $p->endEpoch, $p->waitsOn, $p->step->targets], $plan->left),
            array_map(static fn ($f): array => [$f->key, $f->severity->value, $f->title, $f->facts, array_map(static fn ($x) => $x->title, $f->fixes)], $plan->findings),
            array_map(static fn ($a): array => [$a->kind->value, $a->step, $a->untilEpoch], $plan->pieces),
            array_map(static fn ($h): array => [$h->key, $h->untilEpoch, $h->label], $plan->holds),
        ];
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed += self::PER_CASE) {
            yield "seeds from {$seed}" => [$seed];
        }
    }

    /** @return iterable<string, array{int}> */
    public static function few(): iterable
    {
        for ($seed = 1001; $seed <= 1020; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }
}
