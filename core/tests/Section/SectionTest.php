<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Section;

use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Section\Cap;
use AmberStep\Core\Section\Section;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\RandomBuild;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The drawing tells the truth: what it shows is what the log and the plan say, worked out a second time here. */
final class SectionTest extends TestCase
{
    #[DataProvider('seeds')]
    public function test_layers_caps_holds_and_the_now_stair_are_those_of_the_plan(int $seed): void
    {
        [$build, $plan] = $this->worked($seed);
        $section = Section::of($plan);

        $this->layersAreInTheirOrder($plan, $section, $seed);
        $this->capsCoverWhatIsCoveredWhenItIsSprayed($build, $plan, $section, $seed);
        $this->lidsAreTheHoldsAhead($plan, $section, $seed);
        $this->theStairDividesLaidFromPlanned($plan, $section, $seed);
    }

    public function test_a_column_stands_for_each_area_by_piece_and_rows_are_shared(): void
    {
        $build = new Build(['kit' => [
            'parts' => ['hull' => 'styrene', 'float' => 'styrene'],
            'colours' => ['grey' => 'sea grey', 'green' => 'slate green'],
            'areas' => ['upper' => ['part' => 'hull', 'cm2' => 30, 'colour' => 'grey'], 'float top' => ['part' => 'float', 'cm2' => 9, 'colour' => 'grey'], 'lower' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'green']],
            'edges' => [['upper', 'lower', 120, 'hard']],
        ]]);
        $section = Section::of($build->plan());

        self::assertSame(['upper', 'lower', 'float top'], array_map(static fn ($c): string => $c->area->name, $section->columns));
        self::assertSame(['bare', 'grey primer', 'grey', 'cap grey, paper tape', 'green', 'masks off'], array_map(static fn ($r): string => $r->title, $section->rows));
        self::assertSame([1.0, 1.0, 1.0], array_map(static fn ($c): float => $c->now, $section->columns));
        self::assertCount(1, $section->caps);
        self::assertTrue($section->caps[0]->covers(4));
        self::assertFalse($section->caps[0]->covers(2));
    }

    public function test_the_stair_stands_in_the_middle_of_a_layer_that_is_half_laid(): void
    {
        $build = new Build(['now' => '2026-03-02 20:00', 'kit' => [
            'parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'],
            'areas' => ['upper' => ['part' => 'hull', 'cm2' => 30, 'colour' => 'grey']],
        ], 'house' => ['primer' => 'never'], 'log' => [['at' => '19:55', 'do' => 'colour', 'on' => ['upper'], 'for' => 'grey', 'with' => 'sea grey', 'coat' => 'mist']]]);
        $section = Section::of($build->plan());

        self::assertSame(1.5, $section->columns[0]->now);
        self::assertSame([2, 1], [$section->cell($build->id('upper'), 1)?->coats, $section->cell($build->id('upper'), 1)?->real]);
        self::assertEqualsWithDelta(4.0, $section->columns[0]->filmNowMicrons, 1e-9, 'a mist is half of 8 µm');
        self::assertEqualsWithDelta(12.0, $section->columns[0]->filmMicrons, 1e-9);
        self::assertSame(0.5, $section->lids[0]->at, 'the running flash stands above the coat it follows');
        self::assertSame('flash', $section->lids[0]->hold->kind->value);
    }

    private function layersAreInTheirOrder(Plan $plan, Section $section, int $seed): void
    {
        foreach ($section->columns as $column) {
            $shown = [];
            $rows = [];
            foreach ($section->cells as $cell) {
                if ($cell->areaId === $column->area->id && $cell->layer !== null) {
                    $shown[] = [$cell->layer->word(), $cell->coats];
                    $rows[] = $cell->row;
                }
            }
            $wanted = array_map(static fn ($l): array => [$l->word(), count($l->coats)], $plan->final->area($column->area->id)->layers);
            self::assertSame($wanted, $shown, "seed {$seed}: layers of {$column->area->name}");
            $sorted = array_unique($rows);
            sort($sorted);
            self::assertSame($sorted, $rows, "seed {$seed}: one layer a row, the oldest at the bottom");
        }
    }

    /** Plays log and plan once more, with masks kept in a way of its own. */
    private function capsCoverWhatIsCoveredWhenItIsSprayed(Build $build, Plan $plan, Section $section, int $seed): void
    {
        $masked = [];
        foreach ($this->played($build, $plan) as $event) {
            foreach ($event->kind === EventKind::MaskOn ? $event->targets : [] as $area) {
                $masked[$area][explode('+', $event->purpose)[0]] = true;
            }
            foreach ($event->kind === EventKind::MaskOff ? $event->targets : [] as $area) {
                $masked[$area] = $event->purpose === '' ? [] : array_diff_key($masked[$area] ?? [], [explode('+', $event->purpose)[0] => 1, '' => 1, 'insert' => 1]);
            }
            if ($event->kind !== EventKind::Done || $event->operation?->sprays() !== true) {
                continue;
            }
            $row = $this->rowOf($event, $section);
            foreach ($plan->context->breakdown->pieceAt($event->targets[0])->areas ?? [] as $area) {
                if ($row !== null && ! in_array($area->id, $event->targets, true)) {
                    $covered = array_filter($section->caps, static fn (Cap $c): bool => $c->areaId === $area->id && $c->covers($row)) !== [];
                    self::assertSame(($masked[$area->id] ?? []) !== [], $covered, "seed {$seed}: {$area->name} while row {$row} is sprayed");
                }
            }
        }
    }

    private function rowOf(Event $event, Section $section): ?int
    {
        foreach ($section->cells as $cell) {
            if ($cell->areaId === $event->targets[0]) {
                foreach ($cell->layer->coats ?? [] as $coat) {
                    if ($coat->eventId === $event->id) {
                        return $cell->row;
                    }
                }
            }
        }

        return null;
    }

    private function lidsAreTheHoldsAhead(Plan $plan, Section $section, int $seed): void
    {
        $known = [];
        foreach ($section->lids as $lid) {
            $known[$lid->areaId.' '.$lid->hold->fromEpoch] = $lid->hold->untilEpoch;
            self::assertContains($lid->hold, $plan->left[$lid->stepKey]->holds, "seed {$seed}");
            self::assertGreaterThan($plan->nowEpoch, $lid->hold->untilEpoch);
        }
        foreach ($plan->left as $planned) {
            foreach ($planned->holds as $hold) {
                $top = array_filter($section->cells, static fn ($c): bool => $c->areaId === $hold->target && $c->layer?->lastCoat()->atEpoch === $hold->fromEpoch);
                if ($top !== [] && $hold->rule !== 'dust' && $hold->untilEpoch > max($plan->nowEpoch, $hold->fromEpoch)) {
                    self::assertGreaterThanOrEqual($hold->untilEpoch, $known[$hold->target.' '.$hold->fromEpoch] ?? 0, "seed {$seed}: a hold without a lid");
                }
            }
        }
    }

    private function theStairDividesLaidFromPlanned(Plan $plan, Section $section, int $seed): void
    {
        foreach ($section->columns as $column) {
            foreach ($section->cells as $cell) {
                if ($cell->areaId === $column->area->id) {
                    $cell->isPlanned()
                        ? self::assertGreaterThanOrEqual($column->now, (float) $cell->row, "seed {$seed}: planned under the stair")
                        : self::assertGreaterThanOrEqual($cell->row + $cell->real / $cell->coats, $column->now, "seed {$seed}: laid above the stair");
                }
            }
            $laid = array_filter($plan->context->surface->area($column->area->id)->layers, static fn ($l): bool => true);
            self::assertSame(count($laid), count(array_filter($section->cells, static fn ($c): bool => $c->areaId === $column->area->id && $c->layer !== null && $c->real > 0)));
        }
    }

    /** @return array{Build, Plan} a random build, worked on for a while */
    private function worked(int $seed): array
    {
        $random = new RandomBuild($seed);
        $build = new Build($random->said());
        for ($i = 0, $n = $random->one([0, 6, 14, 25]); $i < $n; $i++) {
            $next = $build->plan()->byTime()[0] ?? null;
            if ($next !== null) {
                $build->now = max($build->now, $next->endEpoch);
                $build->events[] = StepEvent::of($next->step, sprintf('01E0000000%016d', $i + 1), $build->now, $build->now);
            }
        }

        return [$build, $build->plan()];
    }

    /** @return list<Event> what was done, then what is planned, in its order */
    private function played(Build $build, Plan $plan): array
    {
        $ahead = array_map(static fn ($p): Event => StepEvent::of($p->step, 'plan:'.$p->step->key, $p->endEpoch, $p->endEpoch), $plan->byTime());

        return [...$build->events, ...$ahead];
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 301; $seed <= 320; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }
}
