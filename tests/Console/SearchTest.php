<?php

declare(strict_types=1);

namespace Tests\Console;

use AmberStep\Core\Plan\Plans;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Timing\Hints as Found;
use AmberStep\Core\Timing\Joined;
use AmberStep\Core\Timing\Tasks;
use AmberStep\Core\Work\Operation;
use App\Answers\AllBuilds;
use App\Answers\Marks;
use App\Answers\Neighbours;
use App\Clock\BenchZone;
use App\Models\Build;
use App\Models\Hint;
use App\Models\Show;
use App\Repositories\Hints;
use App\Repositories\Settings;
use App\Repositories\Workshop;
use App\Search\Rounds;
use App\Search\Searcher;
use Tests\Support\AppTestCase;
use Tests\Support\LeastLoads;

/** The search in its own process: what it keeps, when it keeps nothing, and what the one timetable saves at the guns. */
final class SearchTest extends AppTestCase
{
    /** @return array{gun: float, spraying: float, hands: float} minutes over all builds; of those at the guns the hands have to spray, each step told in whole ones */
    private static function atTheGuns(Plans $plans): array
    {
        $minutes = ['gun' => 0.0, 'spraying' => 0.0, 'hands' => 0.0];
        foreach ($plans->byBuild as $plan) {
            foreach ($plan->atTheBench() as $planned) {
                $gun = in_array($planned->step->operation, [Operation::Rinse, Operation::Strip, Operation::Mix], true);
                $minutes[$gun ? 'gun' : 'spraying'] += $gun || $planned->step->isSprayed() ? $planned->minutes : 0;
                $minutes['hands'] += $gun || ! $planned->step->isSprayed() ? 0 : ($planned->endEpoch - $planned->startEpoch) / 60;
            }
        }

        return $minutes;
    }

    public function test_in_one_time_the_guns_are_rinsed_and_mixed_for_far_less_than_when_each_build_was_planned_alone(): void
    {
        $alone = json_decode((string) file_get_contents(__DIR__.'/../baseline/each-build-alone.json'), true)['builds'];
        $was = array_sum(array_map(static fn (array $b): float => $b['rinsing'] + $b['stripping'] + $b['mixing'], $alone));
        $is = self::atTheGuns(app(AllBuilds::class)->all(new Found));

        self::assertLessThanOrEqual(0.6 * $was, $is['gun'], "{$is['gun']} min, where it was {$was}");
        self::assertEqualsWithDelta(array_sum(array_column($alone, 'spraying')), $is['spraying'], 1, 'no coat is left out');
    }

    public function test_what_is_found_is_kept_for_its_state_and_no_other_and_found_once(): void
    {
        $searcher = app(Searcher::class);
        $state = $searcher->state();
        self::assertFalse($searcher->isSearched($state));
        self::assertNull($searcher->search($state, static fn (): bool => false), 'told to stop it keeps nothing');
        self::assertNull($searcher->search('another state', static fn (): bool => true), 'of a state that has moved on nothing is kept');
        self::assertSame(0, Hint::query()->count());

        self::assertStringContainsString('min at the guns', (string) $searcher->search($state, static fn (): bool => true));
        self::assertFalse($searcher->isSearched($state), 'it goes on while it finds something better');
        $found = app(Hints::class)->now();
        $at = Hint::query()->value('at');
        $with = self::atTheGuns(app(AllBuilds::class)->all())['gun'];
        self::assertGreaterThanOrEqual($this->leastAtTheGuns(), $with, 'no plan is below what waits for what');
        self::assertLessThanOrEqual(self::atTheGuns(app(AllBuilds::class)->all(new Found))['gun'], $with);
        self::assertNotSame([], $this->missed(app(AllBuilds::class)->all(new Found)), 'before it one was');
        self::assertSame([], $this->missed(app(AllBuilds::class)->all()), 'no show is missed for a rinse saved');

        Hint::query()->delete();
        $searcher->search($state, static fn (): bool => true);
        self::assertEquals($found, app(Hints::class)->now(), 'searched twice it finds the same');

        $gun = self::atTheGuns(app(AllBuilds::class)->all())['gun'];
        $said = $searcher->search($state, static fn (): bool => true);
        self::assertFalse($searcher->isSearched($state), 'where no better way is found, better orders are looked for');
        self::assertSame($said === 'nothing better', Hint::query()->value('at') === $at, 'what rests on it stands where nothing was found');
        self::assertSame([], $this->missed(app(AllBuilds::class)->all()));
        self::assertLessThan($gun, self::atTheGuns(app(AllBuilds::class)->all())['gun'], 'with no show missed what is saved is minutes at the guns');
    }

    public function test_with_what_it_found_a_quarter_of_the_minutes_at_the_guns_at_most_is_rinsing_and_mixing(): void
    {
        $found = (array) json_decode((string) file_get_contents(__DIR__.'/../baseline/what-was-found.json'), true);
        $tasks = array_merge(...array_map(static fn (array $one): array => $one['neighbour']->tasks->keys, array_values(app(Neighbours::class)->of(app(Marks::class)->ofBuilds(), ''))));
        self::assertEqualsCanonicalizing($tasks, $found['order'], 'it was found for what there is to do');
        Hint::query()->create(['id' => Hint::ONLY, 'state' => app(Searcher::class)->state(), 'hints' => $found, 'at' => 1]);

        $is = self::atTheGuns(app(AllBuilds::class)->all());

        self::assertLessThanOrEqual(0.25, $is['gun'] / ($is['gun'] + $is['hands']), "{$is['gun']} beside {$is['hands']} min");
        self::assertGreaterThanOrEqual($this->leastAtTheGuns(), $is['gun']);
        self::assertSame([], $this->missed(app(AllBuilds::class)->all()));
        self::assertTrue(app(Searcher::class)->isSearched(app(Searcher::class)->state()));
    }

    public function test_ways_are_looked_for_and_then_orders_until_two_rounds_find_nothing(): void
    {
        $rounds = Rounds::none();
        $seeds = $kinds = [];
        foreach ([true, true, false, true, false, true, false, false] as $better) {
            self::assertFalse($rounds->done);
            $seeds[] = $rounds->seed();
            $kinds[] = $rounds->looksForOrders() ? 'order' : 'way';
            $rounds = $rounds->next($better, false);
        }

        self::assertTrue($rounds->done);
        self::assertSame(['way', 'way', 'way', 'order', 'order', 'order', 'order', 'order'], $kinds);
        self::assertSame($seeds, array_unique($seeds), 'each has its own seed');
        self::assertTrue(Rounds::none()->next(false, true)->next(false, false)->looksForOrders());
        self::assertFalse(Rounds::none()->next(false, true)->looksForOrders(), 'while a show is missed ways are looked for again');
    }

    public function test_while_a_show_is_missed_it_is_looked_for_again_though_not_for_ever(): void
    {
        Build::query()->where('name', '!=', 'Alvero Cinder 1600')->update(['away' => true]);
        Show::query()->update(['date' => '2026-03-04']);
        $searcher = app(Searcher::class);
        $state = $searcher->state();
        $rounds = 0;
        $said = [];
        while (! $searcher->isSearched($state) && $rounds < 20) {
            $said[] = $searcher->search($state, static fn (): bool => true);
            $rounds++;
        }

        self::assertSame(8, $rounds, 'few tasks: with ways their order is looked for');
        self::assertContains('nothing better', array_slice($said, 0, 7), 'which is no reason to stop');
    }

    private function leastAtTheGuns(): float
    {
        $tasks = array_map(static fn (array $one): Tasks => $one['neighbour']->tasks, app(Neighbours::class)->of(app(Marks::class)->ofBuilds(), ''));

        return (new LeastLoads(Joined::of(array_values($tasks)), app(Settings::class)->calendar(BenchZone::zone())->longest()))->minutes();
    }

    /** @return list<string> builds that are not ready for their shows */
    private function missed(Plans $plans): array
    {
        $missed = [];
        foreach (app(Workshop::class)->bench()->due as $build => $due) {
            $ready = max(array_map(static fn (PlannedStep $p): int => $p->endEpoch, $plans->byBuild[$build]->left));
            $missed = $ready > $due ? [...$missed, $build] : $missed;
        }

        return $missed;
    }

    public function test_hands_are_at_one_thing_at_a_time_whatever_the_build(): void
    {
        $end = 0;
        $lines = [];
        foreach (app(AllBuilds::class)->all()->byBuild as $plan) {
            array_push($lines, ...$plan->atTheBench());
        }
        usort($lines, static fn (PlannedStep $a, PlannedStep $b): int => $a->startEpoch <=> $b->startEpoch);
        foreach ($lines as $planned) {
            self::assertGreaterThanOrEqual($end, $planned->startEpoch, $planned->step->key);
            $end = $planned->endEpoch;
        }
        self::assertGreaterThan(500, count($lines));
    }

    public function test_all_builds_are_told_line_by_line_with_what_holds_each(): void
    {
        $this->artisan('amber:plan', ['--all' => true])->expectsOutputToContain('Dunmore Type 6')->assertSuccessful();
        $this->artisan('amber:plan', ['--all' => true, 'file' => 'x.json'])->assertExitCode(2);
        $this->artisan('amber:plan')->assertExitCode(2);
    }
}
