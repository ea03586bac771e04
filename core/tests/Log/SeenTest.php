<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Log;

use AmberStep\Core\Log\Fault;
use AmberStep\Core\Log\Seen;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\TestCase;

/** A remedy goes back on the level the fault was seen on, and ends in the finish that was there (handbook 2, Faults). */
final class SeenTest extends TestCase
{
    private const LOG = [
        ['at' => '2026-02-20 18:00', 'do' => 'prime', 'on' => ['side'], 'with' => 'grey primer'],
        ['at' => '2026-02-22 18:00', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey'],
        ['at' => '2026-02-24 18:00', 'do' => 'gloss', 'on' => ['side'], 'with' => 'gloss varnish'],
        ['at' => '2026-02-28 18:00', 'do' => 'final', 'on' => ['side'], 'with' => 'matt varnish'],
    ];

    /** @return array{Build, Seen} after so many of the coats, seen on one of them */
    private static function seen(int $coats, ?string $on = null): array
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey']]], 'log' => array_slice(self::LOG, 0, $coats)]);

        return [$build, Seen::at($build->plan()->context->surface->area($build->id('side')), $on === null ? null : $build->id($on))];
    }

    public function test_the_top_is_meant_where_nobody_says_which(): void
    {
        self::assertSame([null, Operation::Prime, Operation::Colour, Operation::Gloss, Operation::Final], array_map(static fn (int $n): ?Operation => self::seen($n)[1]->on, range(0, 4)));
        self::assertSame(Operation::Prime, self::seen(4, 'grey primer')[1]->on);
    }

    public function test_what_is_cut_goes_on_again_and_the_last_sheen_is_its_own(): void
    {
        [$build, $seen] = self::seen(4, 'sea grey');
        self::assertSame(Operation::Colour, $seen->again());
        self::assertSame([$build->id('grey primer'), $build->id('sea grey'), $build->id('matt varnish'), null], array_map($seen->product(...), [Operation::Prime, Operation::Colour, Operation::Final, Operation::Barrier]));
        self::assertFalse($seen->isGlossy, 'the matt lies over the gloss');
        [$build, $seen] = self::seen(3);
        self::assertSame([Operation::Gloss, $build->id('gloss varnish')], [$seen->again(), $seen->product(Operation::Final)]);
        self::assertSame(Operation::Prime, self::seen(1)[1]->again());
        self::assertEquals($seen, Seen::fromRow(json_decode((string) json_encode($seen->row()), true)));
    }

    public function test_dust_in_primer_gets_primer_and_in_the_finish_the_finish(): void
    {
        $operations = static fn (Seen $seen): array => array_map(static fn (array $step): Operation => $step[0], Fault::Dust->remedy($seen));

        self::assertContains(Operation::Prime, $operations(self::seen(1)[1]));
        self::assertNotContains(Operation::Colour, $operations(self::seen(1)[1]));
        self::assertContains(Operation::Colour, $operations(self::seen(2)[1]));
        self::assertNotContains(Operation::Final, $operations(self::seen(2)[1]), 'no finish was there yet');
        self::assertContains(Operation::Final, $operations(self::seen(4, 'sea grey')[1]), 'the finish goes on again');
    }
}
