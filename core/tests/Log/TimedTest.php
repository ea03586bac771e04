<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Log;

use AmberStep\Core\Log\Heard;
use AmberStep\Core\Log\Timed;
use AmberStep\Core\Log\Verdict;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\HoldKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Any wait can be tried: glue, filler and water teach as paint does. */
final class TimedTest extends TestCase
{
    private const KIT = ['parts' => ['bow' => 'styrene', 'stern' => 'styrene'], 'joints' => ['root' => ['parts' => ['bow', 'stern'], 'kind' => 'seam', 'closed' => 'before', 'glue' => 'thin-cement', 'gapMm' => 0.2, 'lengthCm' => 8, 'filler' => 'solvent-putty']], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'bow', 'colour' => 'grey']]];

    /**
     * @param  list<array<string, mixed>>  $log
     * @param  float  $age  of the verdict in typical waits
     */
    #[DataProvider('waits')]
    public function test_a_verdict_is_heard_of_what_ran_there(array $log, string $on, HoldKind $kind, string $subject, float $age): void
    {
        $build = new Build(['kit' => self::KIT, 'log' => [...$log, ['at' => '2026-03-02 18:00', 'do' => 'verdict', 'on' => [$on], 'verdict' => 'soft', 'wait' => $kind->value]]]);
        $heard = Heard::in($build->events, $build->shelf, $build->kit);

        self::assertCount(1, $heard);
        self::assertSame([$subject, $kind->value, Verdict::Soft], [$heard[0]->product, $heard[0]->wait, $heard[0]->verdict]);
        self::assertEqualsWithDelta($age, $heard[0]->age, 1e-9);
    }

    /** @return iterable<string, array{list<array<string, mixed>>, string, HoldKind, string, float}> */
    public static function waits(): iterable
    {
        $glued = ['at' => '2026-03-01 18:00', 'do' => 'glue', 'on' => ['root']];
        yield 'glue after 24 of 24 h' => [[$glued], 'root', HoldKind::Full, 'glue:thin-cement', 1.0];
        yield 'glue after 5 of 10 min' => [[['at' => '2026-03-02 17:55'] + $glued], 'root', HoldKind::Handle, 'glue:thin-cement', 0.5];
        yield 'a bathed piece after 12 of 24 h' => [[['at' => '2026-03-02 06:00', 'do' => 'wash', 'on' => ['side']]], 'side', HoldKind::Dry, 'water', 0.5];
    }

    public function test_filler_waits_by_the_width_of_its_gap_and_nothing_is_heard_where_nothing_runs(): void
    {
        $build = new Build(['kit' => self::KIT, 'log' => [['at' => '2026-02-28 18:00', 'do' => 'glue', 'on' => ['root']], ['at' => '2026-03-02 06:00', 'do' => 'fill', 'on' => ['root']]]]);
        $state = $build->plan()->context->surface;
        $timed = Timed::on($build->id('root'), HoldKind::Ready, $state, $build->kit);
        $filler = $state->joint($build->id('root'))->filler;

        self::assertNotNull($timed);
        self::assertNotNull($filler);
        self::assertSame(["filler:{$filler->value}", (float) $filler->readyMinutes(0.2)], [$timed->subject, $timed->typicalMinutes]);
        self::assertNull(Timed::on($build->id('side'), HoldKind::Dry, $state, $build->kit), 'never washed');
        self::assertNull(Timed::on($build->id('side'), HoldKind::TapeSafe, $state, $build->kit), 'never painted');
        self::assertNull(Timed::on($build->id('root'), HoldKind::Dry, $state, $build->kit), 'no water at a joint');
    }
}
