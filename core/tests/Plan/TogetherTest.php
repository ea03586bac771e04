<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Plan\HandlingQueue;
use AmberStep\Core\Plan\Sequencer;
use AmberStep\Core\Plan\Sleepers;
use AmberStep\Core\Step\Constraint;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Step\Together;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Strength;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class TogetherTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 200; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_said_together_it_is_the_order_it_would_be_pair_by_pair(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $steps = $ready = $begin = $single = [];
        for ($piece = 0; $piece < 5; $piece++) {
            foreach (['prime' => Operation::Prime, 'colour' => Operation::Colour] as $name => $operation) {
                $step = new Step("p{$piece}", $operation, 'all', 1, 1, "p{$piece}", ["p{$piece}"], $random->getInt(1, 9), $piece);
                $steps[$step->key] = $step;
                if ($name === 'prime' && $random->getInt(0, 3) > 0) {
                    $ready[$step->key] = [$step->pieceId, "p{$piece} too."];
                } elseif ($name === 'colour' && $random->getInt(0, 3) > 0) {
                    $begin[$step->key] = $step->pieceId;
                }
            }
        }
        $keys = array_keys($steps);
        for ($i = 0; $i < $random->getInt(0, 9); $i++) {
            [$a, $b] = [$keys[$random->getInt(0, 9)], $keys[$random->getInt(0, 9)]];
            $single[] = new Constraint($a, $b, [Strength::Must, Strength::FragileLast, Strength::SameColour][$random->getInt(0, 2)], "r{$i}", "{$a} first.");
        }
        $together = new Together('grey', $ready, $begin, Strength::SameColour, 'same-colour-together');
        $pairs = [];
        foreach ($begin as $key => $piece) {
            foreach ($ready as $first => [$on, $sentence]) {
                if ($on !== $piece) {
                    $pairs[] = new Constraint($first, $key, Strength::SameColour, 'same-colour-together', $sentence);
                }
            }
        }
        $said = new Sequencer($steps, [...$single, $together]);
        $paired = new Sequencer($steps, [...$pairs, ...$single]);

        self::assertSame($paired->order(), $said->order());
        self::assertEquals($paired->circles, $said->circles);
        foreach ($keys as $key) {
            self::assertEquals($paired->waitsOn($key), $said->waitsOn($key));
        }
    }

    public function test_only_the_first_joint_of_a_piece_is_looked_at(): void
    {
        $queue = new HandlingQueue;

        self::assertNull($queue->enter(5, 'hull'), 'it stands alone');
        self::assertSame(9, $queue->enter(9, 'hull'));
        self::assertSame(5, $queue->enter(2, 'hull'), 'what comes earlier in the plan is looked at first');
        self::assertNull($queue->enter(7, 'deck'));
        self::assertSame([2, 7], $queue->firsts());
        self::assertNull($queue->leave(9), 'it was not first');
        self::assertSame(5, $queue->leave(2));
        self::assertNull($queue->leave(5), 'nobody is left');
        self::assertNull($queue->leave(5));
        self::assertNull($queue->leave(7));
    }

    public function test_those_awake_are_looked_at_in_order_and_the_others_when_they_wake(): void
    {
        $sleepers = new Sleepers;
        foreach ([8 => 0, 3 => 0, 5 => 600, 6 => 60] as $place => $until) {
            $sleepers->add($place, $place);
            $sleepers->sleep($place, $until, 0);
        }
        $sleepers->begin(0);

        self::assertSame([3, null], [$sleepers->look(7), $sleepers->look(7)], 'the other takes longer than there is time');
        self::assertTrue($sleepers->isAnyLeft());
        self::assertSame([8, null], [$sleepers->look(8), $sleepers->look(8)]);
        self::assertFalse($sleepers->isAnyLeft());
        self::assertSame(60, $sleepers->nextAlarm());
        $sleepers->sleep(6, 900, 0);
        self::assertSame(600, $sleepers->nextAlarm(), 'set anew, its first alarm is passed over');
        $sleepers->drop(3);
        $sleepers->begin(700);
        self::assertSame([5, 8, null], [$sleepers->look(9), $sleepers->look(9), $sleepers->look(9)]);
        self::assertSame([8 => 'a'], $sleepers->among([8 => 'a', 6 => 'b']));
        self::assertSame([true, false], [$sleepers->isAwake(5), $sleepers->isAwake(6)]);
    }
}
