<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Surface;

use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Plan\Operation;
use AmberStep\Core\Surface\SeamStrip;
use AmberStep\Core\Tests\Support\TypedBuild;
use PHPUnit\Framework\TestCase;

/** A seam from found to good, as the strip shows it. */
final class SeamStripTest extends TestCase
{
    private TypedBuild $build;

    protected function setUp(): void
    {
        $this->build = new TypedBuild("left, 60, sea grey\nright, 60, sea grey\nhull seam: left + right, seam, gap 0.2, 12 long\nfin, 9, sea grey\nfin + left, before paint");
    }

    public function test_a_line_that_belongs_there_has_no_strip(): void
    {
        self::assertSame(['hull seam'], array_map(static fn (SeamStrip $s): string => $s->joint->name, SeamStrip::all($this->build->plan())));
    }

    public function test_it_goes_from_stage_to_stage_with_what_holds_it(): void
    {
        self::assertSame([false, false, false, false], $this->done());
        $this->do(EventKind::Glued, Operation::Glue);
        self::assertSame([true, false, false, false], $this->done());
        $this->do(EventKind::Done, Operation::Fill, ['filler' => 'solvent-putty']);
        self::assertSame([true, true, false, false], $this->done());
        $strip = $this->strip();
        self::assertSame(Operation::CutBack, $strip->next?->step->operation);
        self::assertGreaterThan(TypedBuild::NOW, $strip->hold?->untilEpoch, 'the putty over 0.15 mm wants twelve hours');

        $this->do(EventKind::Done, Operation::CutBack);
        $this->do(EventKind::Done, Operation::CheckSeam);
        self::assertTrue($this->strip()->isGood());
        self::assertNull($this->strip()->hold);
    }

    public function test_its_advice_looks_at_the_gap_and_what_the_kit_says_of_it(): void
    {
        self::assertSame(Filler::SolventPutty, $this->strip()->advice->filler);
        $wiped = new TypedBuild("left, 60, sea grey\nright, 60, sea grey\nhull seam: left + right, seam, gap 0.2, fill clear glue");
        self::assertSame(Filler::ClearGlue, SeamStrip::all($wiped->plan())[0]->advice->filler);
        $wide = new TypedBuild("left, 60, sea grey\nright, 60, sea grey\nhull seam: left + right, seam, gap 1.2");
        self::assertSame([1.0], SeamStrip::all($wide->plan())[0]->advice->shim?->card);
    }

    /** @param  array<string, mixed>  $more */
    private function do(EventKind $kind, Operation $operation, array $more = []): void
    {
        $this->build->happened($kind, $this->build->joint('hull seam'), $operation, 'all', $more);
    }

    private function strip(): SeamStrip
    {
        return SeamStrip::all($this->build->plan())[0];
    }

    /** @return list<bool> */
    private function done(): array
    {
        return array_map(static fn (array $s): bool => $s[1], $this->strip()->stages);
    }
}
