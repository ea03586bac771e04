<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Plan\Sequencer;
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
}
