<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Rule;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Rule\Finish\BurnThrough;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Tests\Support\TypedBuild;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What goes wrong on a surface is caught, each with a way out that settles it, or an answer. */
final class SurfaceRulesTest extends TestCase
{
    private const FLAW = '01T00000000000000000000900';

    private const FEATURE = '01T00000000000000000000910';

    public function test_a_seam_where_no_joint_is_asks_whether_it_is_real_detail_before_it_is_sanded(): void
    {
        $build = $this->hull(['kind' => 'seam']);
        $finding = $this->one($build, 'real-detail');
        self::assertStringContainsString('no joint of hull runs there', mb_strtolower($finding->sentence));
        $plan = array_values($build->plan()->left);
        $places = array_values(array_filter($plan, static fn (PlannedStep $p): bool => $p->step->placeId === self::FLAW));
        self::assertSame([Operation::Look, Operation::CutBack], [$places[0]->step->operation, $places[1]->step->operation]);

        $detail = clone $build;
        $this->verdict($detail, 'real-detail');
        self::assertSame([[], true], [$detail->says('real-detail'), $detail->plan()->context->steps->courses[self::FLAW]->isGood()]);
        $this->verdict($build, 'no-detail');
        self::assertSame([[], false], [$build->says('real-detail'), $build->plan()->context->steps->courses[self::FLAW]->isGood()]);
        foreach (['It belongs there', 'It is a step'] as $way) {
            $this->settles($this->hull(['kind' => 'seam']), 'real-detail', $way);
        }
        $pane = new TypedBuild("hull, 60, sea grey\nglass / pane, 4, pane\nrim: hull + glass, clear glue");
        $pane->edit([Edit::add('flaws', ['id' => self::FLAW, 'kind' => 'seam', 'part' => $pane->part('glass')])]);
        self::assertStringContainsString('clear plastic', $this->one($pane, 'real-detail')->sentence);
    }

    public function test_superglue_past_its_window_is_filed_and_not_sanded(): void
    {
        $build = $this->hull(['kind' => 'gap', 'widthMm' => 0.4, 'filler' => 'superglue-powder']);
        $this->done($build, 'fill', self::FLAW, 240);
        self::assertSame([], $build->says('filler-set'), 'four minutes: now or never');
        $build->now += 120;
        self::assertStringContainsString('harder than the plastic', $this->one($build, 'filler-set')->sentence);
        $this->settles($build, 'filler-set', 'File', stays: true);
        self::assertContains(Operation::Look, array_map(static fn (PlannedStep $p): Operation => $p->step->operation, array_values($build->plan()->left)));
        $this->done($build, 'cut-back', self::FLAW, 0);
        self::assertSame([], $build->says('filler-set'));
    }

    public function test_water_putty_under_paint_without_a_seal_is_caught(): void
    {
        $sealed = $this->hull(['kind' => 'gap', 'widthMm' => 0.4, 'filler' => 'water-putty']);
        self::assertSame([], $sealed->says('porous-filler-sealed'), 'primer seals it');
        foreach (['A sealing coat first', 'Solvent putty'] as $way) {
            $bare = $this->hull(['kind' => 'gap', 'widthMm' => 0.4, 'filler' => 'water-putty']);
            $bare->edit([Edit::house('primer', 'never')]);
            $this->settles($bare, 'porous-filler-sealed', $way);
        }
        $joint = new TypedBuild("left, 60, sea grey\nright, 60, sea grey\nleft + right, seam, gap 0.4, fill water putty");
        $joint->edit([Edit::house('primer', 'never')]);
        $this->settles($joint, 'porous-filler-sealed', 'Solvent putty');
        $other = $this->hull(['kind' => 'gap', 'widthMm' => 0.4, 'filler' => 'solvent-putty']);
        $other->edit([Edit::house('primer', 'never')]);
        self::assertSame([], $other->says('porous-filler-sealed'));
    }

    public function test_primer_over_an_unticked_rivet_row_is_a_stop(): void
    {
        $build = $this->hull(['kind' => 'gate']);
        $build->edit([Edit::add('features', ['id' => self::FEATURE, 'kind' => 'rivets', 'part' => $build->part('hull'), 'where' => 'aft'])]);
        $left = $build->plan()->left;
        $row = $left[self::FEATURE.'/rescribe/feature/1'] ?? null;
        self::assertNotNull($row);
        self::assertSame('Put back the rivet row aft', \AmberStep\Core\Telling\Words::title($row->step, $build->plan()->context));
        $order = array_keys($left);
        self::assertGreaterThan(array_search(self::FLAW.'/cut-back/all/1', $order, true), array_search($row->step->key, $order, true), 'sanding would take it off again');
        self::assertSame([], $build->says('features-done'));

        $this->primed($build);
        self::assertSame('stop', $this->one($build, 'features-done')->severity->value);
        $ticked = clone $build;
        $this->done($ticked, 'rescribe', self::FEATURE, 0, 'feature');
        self::assertSame([[], null], [$ticked->says('features-done'), $ticked->plan()->left[$row->step->key] ?? null]);
        $this->settles(clone $build, 'features-done', 'It is not on the subject');
        $this->settles($build, 'features-done', 'Scribe', stays: true);
    }

    public function test_a_ring_in_the_primer_is_judged_before_more_paint(): void
    {
        $build = $this->hull(['kind' => 'gap', 'widthMm' => 0.2]);
        $this->done($build, 'fill', self::FLAW, 90000);
        $this->done($build, 'cut-back', self::FLAW, 4000);
        $this->verdict($build, 'good');
        $this->primed($build);
        self::assertSame([], $build->says('halo'));
        $this->verdict($build, 'halo');
        self::assertSame(['01T00000000000000000000900/check-coat/all/2'], $this->one($build, 'halo')->steps);
        $order = array_keys($build->plan()->left);
        $colour = array_values(array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->operation === Operation::Colour))[0]->step->key;
        self::assertLessThan(array_search($colour, $order, true), array_search(self::FLAW.'/check-seam/all/2', $order, true));
        $this->verdict($build, 'good');
        self::assertSame([], $build->says('halo'));
        self::assertSame([], array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->placeId === self::FLAW), 'a stain: nothing was opened, nothing is primed');
    }

    public function test_a_place_under_paint_that_was_never_good_is_gone_back_to(): void
    {
        $build = $this->hull(['kind' => 'gap', 'widthMm' => 0.2]);
        $this->done($build, 'fill', self::FLAW, 4000);
        $this->primed($build);
        $finding = $this->one($build, 'seam-before-paint');
        self::assertStringContainsString('left at: cut back', $finding->sentence);
        $this->settles($build, 'seam-before-paint', 'Go back to it');
        $cut = $build->plan()->left[self::FLAW.'/cut-back/all/1'] ?? null;
        self::assertTrue($cut?->step->throughPaint);

        $joint = new TypedBuild("left, 60, sea grey\nright, 60, sea grey\nhull seam: left + right, seam, gap 0.2");
        foreach (['glued' => 'glue', 'done' => 'fill'] as $kind => $operation) {
            $joint->events[] = $this->event($joint, 40000, ['kind' => $kind, 'operation' => $operation, 'targets' => [$joint->joint('hull seam')], 'purpose' => 'all']);
        }
        $this->primed($joint, ['left', 'right']);
        $this->settles($joint, 'seam-before-paint', 'Go back to it');
        self::assertSame('gap at hull seam', $joint->kit->flaws[0]->name($joint->kit));
    }

    /** @param  list<string>  $ways */
    #[DataProvider('clears')]
    public function test_polishing_through_thin_clear_is_caught_edges_first(int $coats, bool $caught, array $ways): void
    {
        $build = new TypedBuild('bonnet, 80, sea grey, gloss, polish');
        $gloss = array_values(array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->operation->isVarnish()))[0]->step;
        $build->edit([Edit::add('pins', ['id' => $build->newId(), 'operation' => $gloss->operation->value, 'target' => $gloss->pieceId, 'purpose' => $gloss->purpose, 'product' => $gloss->product?->id, 'coats' => $coats])]);
        $found = $build->says('burn-through');
        self::assertSame([$caught, $ways], [$found !== [], array_map(static fn (Fix $f): string => $f->title, $found[0]->fixes ?? [])]);
        foreach ($ways as $way) {
            $other = clone $build;
            $this->settles($other, 'burn-through', $way);
        }
    }

    /** @return iterable<string, array{int, bool, list<string>}> */
    public static function clears(): iterable
    {
        yield 'as planned by itself' => [6, false, []];
        yield 'a coat short' => [3, true, ['More clear first', 'Tape the edges and creases first']];
        yield 'far too thin' => [2, true, ['More clear first']];
        self::assertSame([13.0, 25.0], [BurnThrough::inField(28), BurnThrough::inField(40)]);
    }

    /** @param  array<string, mixed>  $flaw */
    private function hull(array $flaw): TypedBuild
    {
        $build = new TypedBuild('hull, 60, sea grey');
        $build->edit([Edit::add('flaws', ['id' => self::FLAW, 'part' => $build->part('hull'), 'where' => 'aft', ...$flaw])]);

        return $build;
    }

    private function one(TypedBuild $build, string $rule): Finding
    {
        $said = $build->says($rule);
        self::assertCount(1, $said, $rule);

        return $said[0];
    }

    /** The way out is taken, and the finding is gone; where it $stays it is answered by a step in the plan. */
    private function settles(TypedBuild $build, string $rule, string $way, bool $stays = false): void
    {
        $finding = $this->one($build, $rule);
        $stops = count($build->plan()->stops());
        $build->fix($finding, $way);
        self::assertSame([], array_map(static fn (Finding $f): string => $f->title, $build->says($rule)), $way);
        self::assertLessThanOrEqual($stops, count($build->plan()->stops()), 'no new stop');
        if ($stays) {
            self::assertNotSame([], $build->kit->inserted);
        }
    }

    private function verdict(TypedBuild $build, string $verdict): void
    {
        $build->events[] = $this->event($build, 60, ['kind' => 'verdict', 'verdict' => $verdict, 'targets' => [self::FLAW], 'purpose' => 'primer']);
    }

    private function done(TypedBuild $build, string $operation, string $target, int $secondsAgo, string $purpose = 'all'): void
    {
        $build->events[] = $this->event($build, $secondsAgo, ['kind' => 'done', 'operation' => $operation, 'targets' => [$target], 'purpose' => $purpose]);
    }

    /** @param  list<string>  $areas */
    private function primed(TypedBuild $build, array $areas = ['hull']): void
    {
        $prime = array_values(array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->operation === Operation::Prime))[0]->step;
        $build->events[] = $this->event($build, 3000, ['kind' => 'done', 'operation' => 'prime', 'targets' => array_map($build->area(...), $areas), 'purpose' => 'all', 'product' => $prime->product?->id]);
    }

    /** @param  array<string, mixed>  $says */
    private function event(TypedBuild $build, int $secondsAgo, array $says): Event
    {
        $at = gmdate('Y-m-d\TH:i:s\Z', $build->now - $secondsAgo);

        return Event::fromArray(['id' => $build->newId(), 'at' => $at, 'recorded' => $at, ...$says]);
    }
}
