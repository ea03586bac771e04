<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Property;

use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Log\Experience;
use AmberStep\Core\Log\Log;
use AmberStep\Core\Log\StateDocument;
use AmberStep\Core\Log\Verdict;
use AmberStep\Core\Plan\Checkpoint;
use AmberStep\Core\Plan\Replay;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Step\Breach;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\RandomBuild;
use AmberStep\Core\Work\HoldKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A log folded from a checkpoint is the log folded from its beginning, whatever comes in between. */
final class CheckpointTest extends TestCase
{
    private const LOGS = 500;

    private const PER_CASE = 50;

    private const EVERY = 8;

    #[DataProvider('logs')]
    public function test_it_equals_a_full_replay(int $from): void
    {
        $used = 0;
        for ($seed = $from; $seed < $from + self::PER_CASE; $seed++) {
            $used += $this->grow($seed);
        }
        self::assertGreaterThan(self::PER_CASE, $used, 'checkpoints were folded from, again and again');
    }

    public function test_what_comes_before_its_end_or_takes_back_what_it_rests_on_voids_it(): void
    {
        $build = new Build((new RandomBuild(1))->said());
        $events = self::worked($build, new RandomBuild(2), 30);
        $checkpoint = self::replay($build, $events, null, self::EVERY)->checkpoints()[1];
        $covered = array_values(array_filter($events, $checkpoint->covers(...)));
        $find = static fn (string $id): ?Event => array_combine(array_column($events, 'id'), $events)[$id] ?? null;
        $last = $events[count($events) - 1];
        $back = static fn (string $id): Event => new Event('01F00000000000000000000009', EventKind::TakeBack, $last->atEpoch + 60, $last->atEpoch + 60, takesBack: $id);
        $note = static fn (int $at): Event => new Event('01F00000000000000000000008', EventKind::Note, $at, $last->atEpoch + 60, note: 'late');

        self::assertCount(2 * self::EVERY, array_filter(Log::standing($events), $checkpoint->covers(...)));
        self::assertTrue($checkpoint->holds([], $find));
        self::assertTrue($checkpoint->holds([$note($last->atEpoch + 60), $back($last->id)], $find), 'at the end it may be taken back');
        self::assertFalse($checkpoint->holds([$note($checkpoint->atEpoch - 60)], $find), 'set back to before its end');
        self::assertFalse($checkpoint->holds([$back($covered[3]->id)], $find), 'takes back what it rests on');
        self::assertFalse($checkpoint->holds([$back('01F00000000000000000000007')], $find), 'takes back what nobody knows');
    }

    /** Writes a log event by event, some set back, some taken back, and folds it both ways each time. */
    private function grow(int $seed): int
    {
        $random = new RandomBuild($seed);
        $build = new Build($random->said());
        $coming = self::worked($build, $random, 40);
        /** @var list<array{Checkpoint, int}> $kept with how many events there were then */
        $kept = [];
        $events = [];
        $used = 0;
        while ($coming !== []) {
            array_push($events, ...array_splice($coming, 0, $random->one([1, 2, 3, 9])));
            $byId = array_combine(array_column($events, 'id'), $events);
            $holding = array_values(array_filter($kept, static fn (array $k): bool => $k[0]->holds(array_slice($events, $k[1]), static fn (string $id): ?Event => $byId[$id] ?? null)));
            [$from] = $holding[count($holding) - 1] ?? [null, 0];
            $used += $from === null ? 0 : 1;
            // Read back from what a file would hold.
            $read = $from === null ? null : Checkpoint::fromArray(unserialize(serialize($from->toArray()), ['allowed_classes' => false]));
            $tail = $read === null ? $events : array_values(array_filter($events, static fn (Event $e): bool => ! $read->covers($e)));
            $short = self::replay($build, $tail, $read, self::EVERY);
            $whole = self::replay($build, $events, null, 0);
            self::assertSame(StateDocument::write($whole->state), StateDocument::write($short->state), "seed {$seed}, ".count($events).' events');
            self::assertEquals(array_map(static fn (Breach $b): array => $b->toArray(), $whole->breaches()), array_map(static fn (Breach $b): array => $b->toArray(), $short->breaches()), "seed {$seed}");
            $kept = [...$holding, ...array_map(static fn (Checkpoint $c): array => [$c, count($events)], $short->checkpoints())];
        }

        return $used;
    }

    /** @return list<Event> in the order they come in: mostly as they happened, some set back, some taken back */
    private static function worked(Build $build, RandomBuild $random, int $count): array
    {
        $steps = array_values($build->plan()->left);
        $names = array_values(array_map(static fn ($a): string => $a->name, $build->kit->areas));
        $at = $build->now - 30 * 86400;
        $events = [];
        for ($i = 0; $i < $count; $i++) {
            $id = sprintf('01E0000000%016d', $i + 1);
            $at += $random->one([60, 600, 7200, 86400]);
            $happened = $random->chance(12) ? $at - $random->one([300, 40000, 400000]) : $at;
            $step = $steps[$i % max(1, count($steps))]->step ?? null;
            $events[] = match (true) {
                $i > 2 && $random->chance(8) => new Event($id, EventKind::TakeBack, $at, $at, takesBack: $events[$random->one([0, $i - 1, intdiv($i, 2)])]->id),
                $random->chance(6) => new Event($id, EventKind::Verdict, $happened, $at, [$build->kit->areas[0]->id], verdict: $random->one([Verdict::Soft, Verdict::Fine]), wait: HoldKind::TapeSafe),
                $step === null || $random->chance(15) => self::offPlan($build, $random, $names, $id, $happened, $at),
                default => StepEvent::of($step, $id, $happened, $at),
            };
        }

        return $events;
    }

    /** @param  non-empty-list<string>  $names */
    private static function offPlan(Build $build, RandomBuild $random, array $names, string $id, int $happened, int $recorded): Event
    {
        $event = $build->record(['at' => $happened, ...$random->offPlan($names, [])]);
        array_pop($build->events);

        return Event::fromArray([...$event->toArray(), 'id' => $id, 'recorded' => gmdate('Y-m-d\TH:i:s\Z', $recorded)]);
    }

    /** @param  list<Event>  $events */
    private static function replay(Build $build, array $events, ?Checkpoint $from, int $every): Replay
    {
        static $rules;
        $rules ??= RuleBook::ofTheTrade();
        $plan = $build->kit;

        return new Replay($events, $plan, new HouseRules, $build->shelf, new Breakdown($plan, new HouseRules), new WorkClock(\AmberStep\Core\Drying\Room::reference($build->now)), $rules, $build->now + 400 * 86400, new Experience, $from, $every);
    }

    /** @return iterable<string, array{int}> */
    public static function logs(): iterable
    {
        for ($from = 1; $from <= self::LOGS; $from += self::PER_CASE) {
            yield "logs from {$from}" => [$from];
        }
    }
}
