<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Seam;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Section\Strip;
use AmberStep\Core\Tests\Support\TypedBuild;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\TestCase;

/** A place from found to good, as its strip shows it. */
final class StripTest extends TestCase
{
    private TypedBuild $build;

    protected function setUp(): void
    {
        $this->build = new TypedBuild("left, 60, sea grey\nright, 60, sea grey\nhull seam: left + right, seam, gap 0.2, 12 long\nfin, 9, sea grey\nfin + left, before paint");
    }

    public function test_a_line_that_belongs_there_has_no_strip(): void
    {
        self::assertSame(['hull seam'], array_map(static fn (Strip $s): string => $s->place->name, Strip::all($this->build->plan())));
    }

    public function test_it_goes_from_stage_to_stage_with_what_holds_it(): void
    {
        self::assertSame([], $this->done());
        $this->do(EventKind::Glued, Operation::Glue);
        self::assertSame(['glued'], $this->done());
        self::assertNull($this->strip()->tooEarly($this->build->plan()), 'filler goes on young glue');
        $this->do(EventKind::Done, Operation::Fill, ['filler' => 'solvent-putty']);
        self::assertSame(['glued', 'filled'], $this->done(), 'not set: over 0.15 mm it wants twelve hours');
        $strip = $this->strip();
        self::assertSame(Operation::CutBack, $strip->next?->step->operation);
        self::assertStringContainsString('sinks for days', (string) $strip->tooEarly($this->build->plan()), 'the cement holds it longest');

        $this->build->now += 2 * 86400;
        self::assertSame(['glued', 'filled', 'set'], $this->done());
        self::assertNull($this->strip()->hold);
        $this->do(EventKind::Done, Operation::CutBack);
        $this->do(EventKind::Done, Operation::CheckSeam);
        self::assertTrue($this->strip()->isGood());
        self::assertSame(['glued', 'filled', 'set', 'cut back', 'checked', 'good'], $this->done());
    }

    public function test_sanded_too_early_each_filler_says_what_comes_of_it(): void
    {
        foreach (Filler::cases() as $filler) {
            self::assertMatchesRegularExpression('/\A[A-Z].{20,120}\.\z/', $filler->tooEarly());
        }
        $this->build->edit([Edit::add('flaws', ['id' => '01T00000000000000000000900', 'kind' => 'sink', 'part' => $this->build->part('fin'), 'where' => 'aft', 'widthMm' => 0.2])]);
        $this->build->happened(EventKind::Done, '01T00000000000000000000900', Operation::Fill, 'all');
        self::assertStringContainsString('drags out', (string) Strip::all($this->build->plan())[1]->tooEarly($this->build->plan()));
    }

    public function test_superglue_closes_and_a_place_that_is_wiped_is_not_cut(): void
    {
        $this->build->edit([
            Edit::add('flaws', ['id' => '01T00000000000000000000901', 'position' => 0, 'kind' => 'gap', 'part' => $this->build->part('fin'), 'where' => 'aft', 'widthMm' => 0.4, 'filler' => 'superglue-powder']),
            Edit::add('flaws', ['id' => '01T00000000000000000000902', 'position' => 1, 'kind' => 'gap', 'part' => $this->build->part('fin'), 'where' => 'root', 'widthMm' => 0.1, 'access' => 'none']),
        ]);
        $this->build->events[] = \AmberStep\Core\Log\Event::fromArray(['id' => $this->build->newId(), 'kind' => 'done', 'at' => gmdate('Y-m-d\TH:i:s\Z', TypedBuild::NOW - 180), 'targets' => ['01T00000000000000000000901'], 'operation' => 'fill', 'purpose' => 'all']);
        [, $superglue, $wiped] = Strip::all($this->build->plan());

        self::assertNull($superglue->hold, 'open from two minutes');
        self::assertSame(TypedBuild::NOW + 120, $superglue->closing?->fromEpoch, 'shut at five');
        self::assertSame([Filler::ClearGlue, ['found', 'filled', 'set', 'checked', 'good']], [$wiped->place->filler(), array_column($wiped->stages, 0)]);
        self::assertNull($wiped->closing);
    }

    public function test_its_advice_looks_at_the_gap_and_what_the_kit_says_of_it(): void
    {
        $advised = static fn (string $says): Filler => Strip::all((new TypedBuild("left, 60, sea grey\nright, 60, sea grey\nhull seam: left + right, seam, {$says}"))->plan())[0]->place->filler();

        self::assertSame([Filler::SolventPutty, Filler::ClearGlue, Filler::Shim, Filler::ClearGlue, Filler::Superglue], array_map($advised, ['gap 0.2', 'gap 0.2, fill clear glue', 'gap 1.2', 'gap 0.2, cannot be sanded', 'gap 0.2, lines cross it']));
    }

    /** @param  array<string, mixed>  $more */
    private function do(EventKind $kind, Operation $operation, array $more = []): void
    {
        $this->build->happened($kind, $this->build->joint('hull seam'), $operation, 'all', $more);
    }

    private function strip(): Strip
    {
        return Strip::all($this->build->plan())[0];
    }

    /** @return list<string> */
    private function done(): array
    {
        return array_values(array_column(array_filter($this->strip()->stages, static fn (array $s): bool => $s[1]), 0));
    }
}
