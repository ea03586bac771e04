<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Tests\Rule\MistakesTest;
use AmberStep\Core\Work\HoldKind;

/** What holds for the plan of every build, however it was written down. */
trait Invariants
{
    /** @param  callable(list<mixed>): list<mixed>  $shuffled */
    private function theInvariantsHold(Build|TypedBuild $build, Plan $plan, callable $shuffled, int $seed): void
    {
        self::assertSame(self::told($plan), self::told($build->plan()), "seed {$seed}: compile is not deterministic");
        $this->orderOfArrivalDoesNotMatter($build, $shuffled, $plan, $seed);
        $this->doingWhatBenchProposesMovesNothingElse($build, $plan, $seed);
        $this->takingBackIsAsIfItNeverWas($build, $plan, $seed);
        $this->fixesWork($build, $plan, $seed);
        $this->holdsSayWhereTheyComeFrom($build, $plan, $seed);
    }

    /** So many steps of a plan, one after the other, as it has them; fewer where fewer are left. */
    private function doNext(Build|TypedBuild $build, Plan $plan, int $steps = 1): void
    {
        foreach (array_slice($plan->byTime(), 0, $steps) as $next) {
            $build->now = max($build->now, $next->endEpoch);
            $build->events[] = StepEvent::of($next->step, sprintf('01E0000000%016d', count($build->events) + 1), $build->now, $build->now);
        }
    }

    private function orderOfArrivalDoesNotMatter(Build|TypedBuild $build, callable $shuffled, Plan $plan, int $seed): void
    {
        $events = $build->events;
        $build->events = $shuffled($events);
        self::assertSame(self::told($plan), self::told($build->plan()), "seed {$seed}: the order of arrival matters");
        $build->events = $events;
    }

    private function doingWhatBenchProposesMovesNothingElse(Build|TypedBuild $build, Plan $plan, int $seed): void
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

    private function takingBackIsAsIfItNeverWas(Build|TypedBuild $build, Plan $plan, int $seed): void
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

    private function fixesWork(Build|TypedBuild $build, Plan $plan, int $seed): void
    {
        // Two of them each time, others with other seeds: over all seeds every rule's come up.
        $turn = $plan->findings === [] ? 0 : $seed % count($plan->findings);
        foreach (array_slice([...array_slice($plan->findings, $turn), ...array_slice($plan->findings, 0, $turn)], 0, 2) as $finding) {
            foreach ($finding->fixes as $fix) {
                $after = $build->plan($build->kit->apply($fix->edits));
                $where = "seed {$seed}: {$finding->rule} ({$finding->title}) after \"{$fix->title}\"";
                self::assertNotContains($finding->key, array_column($after->findings, 'key'), "{$where}: still there");
                self::assertSame([], MistakesTest::newStops($plan, $after), "{$where}: new stops");
            }
        }
    }

    private function holdsSayWhereTheyComeFrom(Build|TypedBuild $build, Plan $plan, int $seed): void
    {
        $logged = array_fill_keys(array_column($build->events, 'id'), true);
        foreach ($plan->left as $planned) {
            foreach ($planned->holds as $hold) {
                $began = (string) $hold->began();
                self::assertTrue($hold->kind === HoldKind::NotBefore || isset($logged[$began]) || isset($plan->left[substr($began, 5)]), "seed {$seed}: {$hold->key()} comes from \"{$began}\"");
            }
        }
    }

    /** @return list<mixed> all a plan says */
    private static function told(Plan $plan): array
    {
        return [
            array_map(static fn ($p): array => [$p->startEpoch, $p->endEpoch, $p->waitsOn(), $p->step->targets], $plan->left),
            array_map(static fn ($f): array => [$f->key, $f->severity->value, $f->title, $f->facts, array_map(static fn ($x) => $x->title, $f->fixes)], $plan->findings),
            array_map(static fn ($a): array => [$a->kind->value, $a->step, $a->untilEpoch], $plan->pieces),
            array_map(static fn ($h): array => [$h->key, $h->untilEpoch, $h->label], $plan->holds),
        ];
    }
}
