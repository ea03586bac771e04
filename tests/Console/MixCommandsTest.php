<?php

declare(strict_types=1);

namespace Tests\Console;

use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\AppTestCase;

/** Mixing and colour on the command line, against the check values of handbook 4. */
final class MixCommandsTest extends AppTestCase
{
    public function test_a_ratio_in_whole_drops_and_what_puts_a_cup_right(): void
    {
        [$code, $even] = $this->said('amber:mix', ['ratio' => '3:2', '--drops' => '50']);
        self::assertSame([0, [30, 20], 0], [$code, array_column($even['parts'], 'drops'), $even['dropError']]);
        [, $odd] = $this->said('amber:mix', ['ratio' => '1:1,2', '--drops' => '23']);
        self::assertSame([[11, 13], 0.0083], [array_column($odd['parts'], 'drops'), $odd['dropError']]);
        [$code, $poured] = $this->said('amber:mix', ['ratio' => '60:40', '--total' => '80', '--poured' => '40:40']);
        self::assertSame([1, [20, 0], [48, 32]], [$code, $poured['poured']['add'], $poured['poured']['rebuilt']]);
        [, $additive] = $this->said('amber:mix', ['ratio' => '1:t1', '--total' => '4.4', '--additive' => '10']);
        self::assertSame([2, 2, 0.4], array_column($additive['parts'], 'ml'), '4.0 ml and 10 % make 0.4 ml');
    }

    public function test_a_recipe_in_words_is_read_with_the_shelf_and_asks_what_can_be_read_two_ways(): void
    {
        [$code, $read] = $this->said('amber:mix', ['ratio' => '3 sea grey + 1 ground white + 5 % retarder', '--total' => '4,2']);
        self::assertSame([0, ['Linnet Sea Grey', 'Linnet Ground White', 'retarder'], []], [$code, array_column($read['parts'], 'name'), $read['asks']]);
        self::assertEqualsWithDelta([3, 1, 0.2], array_column($read['parts'], 'ml'), 1e-3);
        [$code, $asks] = $this->said('amber:mix', ['ratio' => '1 sea grey + 75 % thinner']);
        self::assertSame([1, 1], [$code, count($asks['asks'])]);
        self::assertStringContainsString('can be read two ways', $asks['asks'][0]);
        [$code, $poured] = $this->said('amber:mix', ['ratio' => '3 sea grey + 2 ground white', '--poured' => '3:3']);
        self::assertSame([1, [1.5, 0]], [$code, $poured['poured']['add']]);
        self::assertSame(2, Artisan::call('amber:mix', ['ratio' => '3 pints foam']));
    }

    public function test_the_amount_of_the_handbook(): void
    {
        [$code, $need] = $this->said('amber:amount', ['--area' => '196', '--coats' => '3', '--film' => '9', '--solids' => '22', '--mixed' => true]);

        self::assertSame(0, $code);
        self::assertEqualsWithDelta([0.529, 4.81], [$need['dryMl'], $need['neatMl']], 0.005);
        self::assertEqualsWithDelta(0.2 * ($need['mixMl'] + 0.3), $need['reserveMl'], 1e-4);
        self::assertEqualsWithDelta($need['totalMl'], $need['mixMl'] + $need['keptMl'] + $need['reserveMl'], 1e-3);
    }

    public function test_colours_are_mixed_laid_matched_and_compared(): void
    {
        [, $green] = $this->said('amber:colour', ['what' => 'mix', 'colours' => ['#0078BE', '#FFD700']]);
        self::assertEqualsWithDelta([54.2, 153], [$green['l'], $green['hue']], 2);
        [, $olive] = $this->said('amber:colour', ['what' => 'mix', 'colours' => ['#1E4696', '#F0C41Ex3']]);
        self::assertEqualsWithDelta([46.3, 146], [$olive['l'], $olive['hue']], 2);
        [, $same] = $this->said('amber:colour', ['what' => 'mix', 'colours' => ['#7C96A3x4']]);
        self::assertSame('#7C96A3', $same['hex'], 'one paint is itself');
        [, $over] = $this->said('amber:colour', ['what' => 'over', 'colours' => ['#7C96A3'], '--ground' => '#232325']);
        self::assertSame([2, 6], [$over['hiddenAt'], count($over['coats'])]);
        [, $match] = $this->said('amber:colour', ['what' => 'match', 'colours' => ['#F5F5F0', '#232325'], '--wanted' => '#9B9B9B']);
        self::assertCount(5, $match['ratios']);
        [, $mixed] = $this->said('amber:colour', ['what' => 'mix', 'colours' => ['#7C96A3x9', '#F5F5F0x4', '#BE1E23x1', '#F0C41Ex2']]);
        [, $four] = $this->said('amber:colour', ['what' => 'match', 'colours' => ['#7C96A3', '#F5F5F0', '#BE1E23', '#F0C41E'], '--wanted' => $mixed['hex']]);
        self::assertLessThan(0.4, $four['ratios'][0]['differs'], 'four jars, to ten parts');
        [, $delta] = $this->said('amber:colour', ['what' => 'delta', 'colours' => ['#7C96A3', '#7C96A3']]);
        self::assertSame(0, $delta['differs']);
        Artisan::call('amber:colour', ['what' => 'over', 'colours' => ['#7C96A3']]);
        self::assertStringContainsString('the spoon decides', Artisan::output());
    }

    /** @param  array<string, mixed>  $arguments */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused(string $command, array $arguments): void
    {
        self::assertSame(2, Artisan::call($command, $arguments));
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function nonsense(): iterable
    {
        yield 'of what to what' => ['amber:mix', ['ratio' => '3']];
        yield 'one to nothing' => ['amber:mix', ['ratio' => '1:0']];
        yield 'words' => ['amber:mix', ['ratio' => 'a:b']];
        yield 'a million' => ['amber:mix', ['ratio' => '1:1', '--total' => '1000000']];
        yield 'poured of another ratio' => ['amber:mix', ['ratio' => '1:1', '--poured' => '1:1:1']];
        yield 'no area' => ['amber:amount', []];
        yield 'less than nothing' => ['amber:amount', ['--area' => '-3']];
        yield 'two readings' => ['amber:amount', ['--area' => '1,250']];
        yield 'no family' => ['amber:amount', ['--area' => '5', '--family' => 'gravy']];
        yield 'no tool' => ['amber:amount', ['--area' => '5', '--tool' => 'spoon']];
        yield 'no colour' => ['amber:colour', ['what' => 'mix', 'colours' => ['grey']]];
        yield 'no such work' => ['amber:colour', ['what' => 'eat', 'colours' => ['#7C96A3']]];
        yield 'one jar' => ['amber:colour', ['what' => 'match', 'colours' => ['#7C96A3'], '--wanted' => '#7C96A3']];
        yield 'nothing wanted' => ['amber:colour', ['what' => 'match', 'colours' => ['#7C96A3', '#FFFFFF']]];
        yield 'three to compare' => ['amber:colour', ['what' => 'delta', 'colours' => ['#7C96A3', '#FFFFFF', '#000000']]];
        yield 'no opacity' => ['amber:colour', ['what' => 'mix', 'colours' => ['#7C96A3'], '--opacity' => 'thick']];
    }

    /**
     * @param  array<string, mixed>  $arguments
     * @return array{int, array<string, mixed>}
     */
    private function said(string $command, array $arguments): array
    {
        $code = Artisan::call($command, [...$arguments, '--json' => true]);

        return [$code, (array) json_decode(Artisan::output(), true)];
    }
}
