<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Seam;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Seam\Course;
use AmberStep\Core\Seam\Leg;
use AmberStep\Core\Seam\Rounds;
use AmberStep\Core\Seam\Sanding;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Tests\Support\TypedBuild;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a place still needs, by what was done to it and what each look at it showed. */
final class CourseTest extends TestCase
{
    private const FLAW = '01T00000000000000000000900';

    /**
     * @param  array<string, mixed>  $flaw
     * @param  list<string>  $deeds
     * @param  list<string>  $left
     */
    #[DataProvider('deeds')]
    public function test_what_is_left_follows_from_what_was_done_and_seen(array $flaw, array $deeds, array $left): void
    {
        self::assertSame($left, $this->left($this->build($flaw, $deeds)));
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>, list<string>}> */
    public static function deeds(): iterable
    {
        $gap = ['kind' => 'gap', 'widthMm' => 0.2];
        yield 'found' => [$gap, [], ['fill 1', 'cut-back 1', 'check-coat 1', 'check-seam 1']];
        yield 'filled' => [$gap, ['fill'], ['cut-back 1', 'check-coat 1', 'check-seam 1']];
        yield 'cut back off plan, never filled' => [$gap, ['cut-back'], ['check-coat 1', 'check-seam 1']];
        yield 'filled again before it was looked at' => [$gap, ['fill', 'cut-back', 'fill'], ['cut-back 1', 'check-coat 1', 'check-seam 1']];
        yield 'good' => [$gap, ['fill', 'cut-back', 'is good'], []];
        yield 'good at first sight' => [$gap, ['is good'], []];
        yield 'low once more' => [$gap, ['fill', 'cut-back', 'is fill'], ['fill 2', 'cut-back 2', 'check-coat 2', 'check-seam 2']];
        yield 'low, before anything was done: asked for once' => [$gap, ['is fill'], ['fill 1', 'cut-back 1', 'check-coat 1', 'check-seam 1']];
        yield 'second round under way' => [$gap, ['fill', 'cut-back', 'is fill', 'fill'], ['cut-back 2', 'check-coat 2', 'check-seam 2']];
        yield 'second round skipped its filler' => [$gap, ['fill', 'cut-back', 'is fill', 'cut-back'], ['check-coat 2', 'check-seam 2']];
        yield 'proud' => [$gap, ['fill', 'cut-back', 'is sand'], ['cut-back 2', 'check-coat 2', 'check-seam 2']];
        yield 'a line is lost' => [$gap, ['fill', 'cut-back', 'is rescribe'], ['rescribe 1']];
        yield 'and scribed again' => [$gap, ['fill', 'cut-back', 'is rescribe', 'rescribe'], []];
        yield 'good, and then low in primer after all' => [$gap, ['fill', 'cut-back', 'is good', 'is fill'], ['fill 2', 'cut-back 2', 'check-coat 2', 'check-seam 2']];
        yield 'good, and filled once more off plan' => [$gap, ['fill', 'cut-back', 'is good', 'fill'], ['cut-back 1', 'check-coat 1', 'check-seam 1']];
        yield 'accepted' => [$gap, ['fill', 'is accept'], []];
        yield 'a ring in the primer' => [$gap, ['fill', 'cut-back', 'is good', 'is halo'], ['check-coat 2', 'check-seam 2']];
        yield 'the ring was a stain' => [$gap, ['fill', 'cut-back', 'is good', 'is halo', 'is good'], []];
        yield 'a seam where no joint is' => [['kind' => 'seam'], [], ['look 1', 'cut-back 1', 'check-coat 1', 'check-seam 1']];
        yield 'it is no detail' => [['kind' => 'seam'], ['is no-detail'], ['cut-back 1', 'check-coat 1', 'check-seam 1']];
        yield 'it is real detail' => [['kind' => 'seam'], ['is real-detail'], []];
        yield 'a stub is sanded' => [['kind' => 'gate'], [], ['cut-back 1', 'check-coat 1', 'check-seam 1']];
        yield 'a stub sanded too far is filled off plan' => [['kind' => 'gate'], ['cut-back', 'fill'], ['cut-back 1', 'check-coat 1', 'check-seam 1']];
        yield 'a sink is filled' => [['kind' => 'sink', 'depthMm' => 0.2], [], ['fill 1', 'cut-back 1', 'check-coat 1', 'check-seam 1']];
        yield 'what cannot be sanded is filled and wiped' => [[...$gap, 'access' => 'none'], [], ['fill 1', 'check-seam 1']];
        yield 'and wiped again' => [[...$gap, 'access' => 'none'], ['fill', 'is fill'], ['fill 2', 'check-seam 2']];
    }

    public function test_house_rules_change_what_is_asked_for(): void
    {
        $sink = $this->build(['kind' => 'sink', 'depthMm' => 0.2], []);
        $sink->edit([Edit::house('low-spot', 'sand-down')]);
        self::assertSame(['cut-back 1', 'check-coat 1', 'check-seam 1'], $this->left($sink));
        $sink->edit([Edit::house('seam-check', 'primer')]);
        self::assertSame(['cut-back 1'], $this->left($sink));
    }

    public function test_what_is_found_in_primer_is_cut_back_through_it_and_primed_again(): void
    {
        $steps = function (string $foundAt, array $deeds, bool $primed): array {
            $build = $this->build(['kind' => 'scratch', 'foundAt' => $foundAt], []);
            if ($primed) {
                $build->events[] = $this->event($build, 0, ['kind' => 'done', 'operation' => 'prime', 'targets' => [$build->area('hull')], 'purpose' => 'all', 'product' => $this->primer($build)]);
            }
            foreach ($deeds as $i => $verdict) {
                $build->events[] = $this->event($build, 2 + $i, ['kind' => 'verdict', 'verdict' => $verdict, 'targets' => [self::FLAW], 'purpose' => 'primer', 'note' => 'so']);
            }

            return array_values(array_map(static fn (PlannedStep $p): string => $p->step->operation->value, array_filter($build->plan()->left, static fn (PlannedStep $p): bool => $p->step->placeId === self::FLAW)));
        };

        self::assertSame(['cut-back', 'check-coat', 'check-seam', 'prime'], $steps('primer', [], true));
        self::assertSame(['cut-back', 'check-coat', 'check-seam', 'prime', 'colour'], $steps('colour', [], true));
        self::assertSame(['cut-back', 'check-coat', 'check-seam'], $steps('primer', [], false), 'nothing lies there: nothing is primed again');
        self::assertSame([], $steps('primer', ['accept'], true), 'accepted untouched, nothing is primed again');
        self::assertSame([], $steps('primer', ['good'], true), 'good at a second look');
    }

    public function test_a_joint_found_low_under_its_primer_goes_back_through_it_before_anything_else(): void
    {
        $build = new TypedBuild("left, 60, sea grey\nright, 60, sea grey\nhull seam: left + right, seam, gap 0.2, 12 long");
        $joint = $build->joint('hull seam');
        foreach ([['glued', 'glue', $joint], ['done', 'fill', $joint], ['done', 'cut-back', $joint], ['done', 'check-seam', $joint], ['done', 'wash', $build->area('left')], ['done', 'prime', $build->area('left')]] as $i => [$kind, $operation, $target]) {
            $build->events[] = $this->event($build, $i, ['kind' => $kind, 'operation' => $operation, 'targets' => $operation === 'wash' || $operation === 'prime' ? [$build->area('left'), $build->area('right')] : [$target], 'purpose' => 'all', ...($operation === 'prime' ? ['product' => $build->plan()->left === [] ? null : $this->primer($build)] : [])]);
        }
        $build->events[] = $this->event($build, 9, ['kind' => 'verdict', 'verdict' => 'sand', 'targets' => [$joint], 'purpose' => 'primer']);
        $plan = $build->plan();
        $place = array_values(array_filter($plan->left, static fn (PlannedStep $p): bool => $p->step->placeId === $joint));
        self::assertSame(["{$joint}/cut-back/all/2", "{$joint}/check-coat/all/2"], array_map(static fn (PlannedStep $p): string => $p->step->key, array_slice($place, 0, 2)));
        self::assertTrue($place[0]->step->throughPaint);
        self::assertGreaterThan($build->now, $place[0]->startEpoch, 'the primer is sand-safe first');
        $order = array_keys($plan->left);
        $next = array_values(array_filter($plan->left, static fn (PlannedStep $p): bool => $p->step->operation->value === 'colour'))[0];
        self::assertLessThan(array_search($next->step->key, $order, true), array_search($place[2]->step->key, $order, true), 'spot primed before colour');
    }

    public function test_another_round_pays_while_the_last_found_more_than_a_quarter_of_the_one_before(): void
    {
        $pays = array_map(static fn (array $found): bool => Rounds::of($found)->pays, [[], [4], [0], [8, 2], [8, 3], [8, 3, 1], [8, 0], [4, 1]]);

        self::assertSame([true, true, false, false, true, true, false, false], $pays);
        self::assertStringContainsString('found 3, the one before 8', Rounds::of([8, 3])->why);
    }

    public function test_the_log_corrects_the_minutes_by_the_mean_of_its_log_ratios(): void
    {
        $planned = function (array $took): float {
            $build = $this->build(['kind' => 'gap', 'widthMm' => 0.2, 'lengthMm' => 100], []);
            $build->edit([Edit::add('flaws', ['id' => '01T00000000000000000000901', 'kind' => 'gate', 'part' => $build->part('hull'), 'where' => 'fore', 'lengthMm' => 50])]);
            foreach ($took as $i => $minutes) {
                $build->events[] = $this->event($build, $i, ['kind' => 'done', 'operation' => 'cut-back', 'targets' => ['01T00000000000000000000901'], 'purpose' => 'all', 'minutes' => $minutes]);
            }

            return $build->plan()->left[self::FLAW.'/cut-back/all/1']->minutes;
        };

        self::assertEqualsWithDelta(20, $planned([]), 1e-9, 'two minutes a cm');
        self::assertEqualsWithDelta(30, $planned([15]), 1e-9, 'half as long again');
        self::assertEqualsWithDelta(20, $planned([20, 5]), 1e-9, 'twice and half cancel');
        self::assertEqualsWithDelta(20 * sqrt(1.5 * 3), $planned([15, 30]), 1e-9);
        self::assertEqualsWithDelta(60, $planned([600]), 1e-9, 'one slip of the clock does not ruin the plan');
    }

    public function test_what_lies_there_says_what_going_back_costs(): void
    {
        $build = $this->build(['kind' => 'gap', 'widthMm' => 0.2, 'foundAt' => 'colour'], []);
        $words = static function (TypedBuild $b): array {
            $place = Place::find(self::FLAW, $b->kit);
            self::assertNotNull($place);

            return \AmberStep\Core\Telling\Beneath::words($place, $b->plan()->context);
        };
        self::assertSame([], $words($build), 'nothing lies there');
        $primer = $this->primer($build);
        foreach ([2, 3] as $i) {
            $build->events[] = $this->event($build, $i, ['kind' => 'done', 'operation' => 'prime', 'targets' => [$build->area('hull')], 'purpose' => 'all', 'product' => $primer, 'filmMicrons' => 10]);
        }
        self::assertStringContainsString('20 µm of paint lie there, 10 at an edge', $words($build)[0]);
        self::assertMatchesRegularExpression('/hides the spot primer in \d coats/', $words($build)[1]);
        $build->edit([Edit::set('flaws', self::FLAW, 'foundAt', 'primer')]);
        self::assertStringContainsString('it is as before', $words($build)[1]);
    }

    public function test_grits_go_from_what_is_there_to_what_comes_next(): void
    {
        $grits = function (array $flaw, HouseRules $house): array {
            $place = Place::find(self::FLAW, $this->build($flaw, [])->kit);
            self::assertNotNull($place);
            $sanding = Sanding::of($place, $house);

            return [$sanding->from->label(), $sanding->to->label()];
        };
        self::assertSame([['P240', 'P600'], ['P400', 'P600'], ['P400', 'P2000'], ['P400', 'P1500']], [
            $grits(['kind' => 'gate'], new HouseRules), $grits(['kind' => 'gap'], new HouseRules), $grits(['kind' => 'scratch', 'foundAt' => 'clear'], new HouseRules), $grits(['kind' => 'gap'], new HouseRules(['primer' => 'never'])),
        ]);
    }

    /**
     * @param  array<string, mixed>  $flaw
     * @param  list<string>  $deeds
     */
    private function build(array $flaw, array $deeds): TypedBuild
    {
        $build = new TypedBuild('hull, 60, sea grey');
        $build->edit([Edit::add('flaws', ['id' => self::FLAW, 'part' => $build->part('hull'), 'where' => 'aft', ...$flaw])]);
        foreach ($deeds as $i => $deed) {
            $verdict = str_starts_with($deed, 'is ') ? substr($deed, 3) : null;
            $build->events[] = $this->event($build, $i, ['targets' => [self::FLAW], ...($verdict === null ? ['kind' => 'done', 'operation' => $deed, 'purpose' => 'all'] : ['kind' => 'verdict', 'verdict' => $verdict, 'purpose' => 'nail', 'note' => 'so']),
            ]);
        }

        return $build;
    }

    /** @param  array<string, mixed>  $says */
    private function event(TypedBuild $build, int $i, array $says): Event
    {
        return Event::fromArray(['id' => $build->newId(), 'at' => gmdate('Y-m-d\TH:i:s\Z', TypedBuild::NOW - 5000 + 300 * $i), ...$says]);
    }

    private function primer(TypedBuild $build): ?string
    {
        foreach ($build->plan()->left as $planned) {
            if ($planned->step->operation->value === 'prime') {
                return $planned->step->product?->id;
            }
        }

        return null;
    }

    /** @return list<string> */
    private function left(TypedBuild $build): array
    {
        $plan = $build->plan();
        $course = $plan->context->steps->courses[self::FLAW];
        $legs = array_values(array_filter($course->legs, static fn (Leg $l): bool => ! $course->isDone($l->operation, $l->n)));
        $words = array_map(static fn (Leg $l): string => "{$l->operation->value} {$l->n}", $legs);
        // The plan and the course agree, step by step.
        $planned = array_values(array_map(static fn (PlannedStep $p): string => "{$p->step->operation->value} {$p->step->n}", array_filter($plan->left, static fn (PlannedStep $p): bool => $p->step->placeId === self::FLAW && ! $p->step->operation->leavesLayer())));
        self::assertSame($words, $planned);
        self::assertSame($words === [], $course->isGood());

        return $words;
    }
}
