<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\RunUp;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\KitDocument;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Log\Verdict;
use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\RunUp\ByPlans;
use AmberStep\Core\RunUp\Candidate;
use AmberStep\Core\RunUp\Lever;
use AmberStep\Core\RunUp\Levers;
use AmberStep\Core\RunUp\RunUp;
use AmberStep\Core\Tests\Support\SetOfBuilds;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Hints;
use AmberStep\Core\Timing\Show;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What would save a show: what is promised of it is what comes, planned afresh from what is written down. */
final class LeversTest extends TestCase
{
    private const SETS = 100;

    /** Builds of a set, so that all of them can be planned for each lever; of every third set. */
    private const MOST = 2;

    private const EVERY = 3;

    private const PARTS = 5;

    /** @var array<string, int> how often each kind was taken */
    private static array $kinds = [];

    /** @return iterable<string, array{int}> */
    public static function parts(): iterable
    {
        foreach (range(0, self::PARTS - 1) as $part) {
            yield 'part '.($part + 1) => [$part];
        }
    }

    #[DataProvider('parts')]
    public function test_what_a_lever_promises_is_what_comes_of_it(int $part): void
    {
        $taken = 0;
        for ($seed = 1, $sets = 0; $sets < self::SETS / self::PARTS; $seed++) {
            $set = self::set(1000 * $part + $seed);
            if (count($set->builds) > ($sets % self::EVERY === 0 ? self::MOST : 1)) {
                continue;
            }
            $sets++;
            [$levers, $shows] = self::levers($set);
            $priced = $levers->priced([self::later($set)]);
            $before = $levers->run ?? throw new \LogicException('one is late');
            foreach ($priced as $i => $lever) {
                self::assertSame($before->build, $lever->candidate->build);
                self::assertTrue($lever->allDaysLate < $before->daysLate() || $lever->wonSeconds >= 1800, 'nothing is told that helps nobody');
                self::assertLessThanOrEqual([$priced[$i + 1]->allDaysLate ?? PHP_INT_MAX, -($priced[$i + 1]->wonSeconds ?? PHP_INT_MIN)], [$lever->allDaysLate, -$lever->wonSeconds], 'best first');
                if ($i > 2 && isset(self::$kinds[self::kind($lever->candidate)])) {
                    continue;
                }
                $then = self::taken($set, $lever->candidate, $shows);
                $run = array_column($then->runs, null, 'build')[$before->build];
                self::assertSame([$run->readyEpoch, $run->daysLate(), $run->spareSeconds, array_sum(array_map(static fn ($r): int => $r->daysLate(), $then->runs))], [$lever->then->readyEpoch, $lever->then->daysLate(), $lever->then->spareSeconds, $lever->allDaysLate], "part {$part}, set {$seed}: {$lever->candidate->title}");
                self::$kinds[self::kind($lever->candidate)] = 1 + (self::$kinds[self::kind($lever->candidate)] ?? 0);
                $taken++;
            }
        }
        self::assertGreaterThan(self::SETS / self::PARTS, $taken);
    }

    public function test_a_flaw_taken_as_it_is_and_a_put_off_taken_back_are_offered_while_they_cost_time(): void
    {
        $offered = [];
        for ($seed = 1; $seed < 60 && count($offered) < 2; $seed++) {
            $set = self::set($seed);
            foreach (count($set->builds) > self::MOST ? [] : self::levers($set)[0]->priced([]) as $lever) {
                $offered += in_array(self::kind($lever->candidate), ['put-off', 'flaw'], true) ? [self::kind($lever->candidate) => $lever] : [];
            }
        }

        self::assertSame('Take the gap on the back as it is', $offered['flaw']->candidate->title);
        self::assertStringStartsWith('Not put off: ', $offered['put-off']->candidate->title);
        self::assertGreaterThan(10 * 7200, $offered['put-off']->wonSeconds, 'two months were lost by it');
    }

    /** Of each two, one has a flaw to fill, and of each three one a last step that is put off. */
    private static function set(int $seed): SetOfBuilds
    {
        $set = new SetOfBuilds($seed);
        $build = $set->builds['b0'];
        if ($seed % 2 === 0) {
            $build->edit([Edit::add('flaws', ['id' => '01F00000000000000000000002', 'position' => 0, 'kind' => 'gap', 'part' => $build->kit->parts[0]->id, 'where' => 'on the back', 'widthMm' => 0.8, 'depthMm' => 0.8, 'lengthMm' => 20, 'access' => 'open', 'filler' => 'solvent-putty'])]);
        }
        $last = $seed % 3 === 0 && count($set->builds) <= self::MOST ? array_key_last($build->plan()->left) : null;
        if ($last !== null) {
            $build->edit([Edit::add('notBefore', ['id' => '01F00000000000000000000001', 'step' => $last, 'at' => gmdate('Y-m-d\TH:i:s\Z', $set->now + 60 * 86400), 'exactly' => false])]);
        }

        return $set;
    }

    private static function kind(Candidate $candidate): string
    {
        return match (true) {
            $candidate->accepts !== null => 'flaw',
            $candidate->date !== null => 'session',
            $candidate->show !== null => 'show',
            $candidate->away !== null => 'away',
            default => ['notBefore' => 'put-off', 'areas' => 'wish'][$candidate->edits[0]->list] ?? 'house',
        };
    }

    /** @return array{Levers, array<string, Show>} with the first build two days late for its show */
    private static function levers(SetOfBuilds $set): array
    {
        $plans = $set->plans();
        $build = (string) array_key_first($plans->byBuild);
        $due = (int) ($plans->byBuild[$build]->finishEpoch() ?? $set->now) - 2 * 86400;
        $shows = [$build => self::show('s', $due)];
        $run = ByPlans::of($plans, $shows, $set->calendar, $set->now);

        return [new Levers(Compiler::ofTheTrade(), $plans, $set->problems(), $shows, $run->runs, static fn (Candidate $c): Problem => self::posed($set, $c, $set->builds[$c->build]->kit->apply($c->edits)), $set->calendar, $set->bench, new Hints, $set->now), $shows];
    }

    private static function show(string $id, int $due): Show
    {
        return Show::on($id, $id === 's' ? 'Harbour Lights' : 'Quayside Open', gmdate('Y-m-d', $due), intdiv($due % 86400, 60), 0, 0, [], new DateTimeZone('UTC'));
    }

    private static function later(SetOfBuilds $set): Show
    {
        return self::show('q', $set->now + 90 * 86400);
    }

    private static function posed(SetOfBuilds $set, Candidate $candidate, Kit $kit): Problem
    {
        $build = $set->builds[$candidate->build];
        $events = $candidate->accepts === null ? $build->events : [...$build->events, new Event('01G00000000000000000000001', EventKind::Verdict, $set->now, $set->now, [$candidate->accepts], verdict: Verdict::Accept, note: 'nobody sees it')];

        return Problem::of($kit, (new HouseRules)->with($kit->house), $build->shelf, $events, $set->builds['b0']->roomAt($set->now), $set->now, $build->experience, Compiler::ofTheTrade()->rules);
    }

    /**
     * Taken: written down, read again, and everything planned from that.
     *
     * @param  array<string, Show>  $shows
     */
    private static function taken(SetOfBuilds $set, Candidate $candidate, array $shows): RunUp
    {
        $again = self::set($set->seed);
        $kit = $again->builds[$candidate->build]->kit;
        foreach ($candidate->edits as $edit) {
            $kit = $kit->apply(Edit::listFrom([json_decode((string) json_encode($edit->toArray()), true)]));
        }
        $problems = $again->problems();
        $problems[$candidate->build] = self::posed($again, $candidate, KitDocument::read(json_decode((string) json_encode(KitDocument::write($kit)), true)));
        unset($problems[(string) $candidate->away]);
        $shows = $candidate->show === null ? $shows : [...$shows, $candidate->build => self::later($again)];
        $calendar = $candidate->date === null ? $again->calendar : new Calendar($again->calendar->sessions, $again->calendar->zone, dates: [$candidate->date => $candidate->sessions]);
        $bench = new Bench($again->bench->guns, $again->bench->cabinet, $again->bench->places, array_map(static fn (Show $s): int => $s->dueEpoch, $shows));

        return ByPlans::of(Compiler::ofTheTrade()->plans($problems, $calendar, $again->now, $bench), $shows, $calendar, $again->now);
    }
}
