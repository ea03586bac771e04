<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Section;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Section\Cap;
use AmberStep\Core\Section\Stages\Frame;
use AmberStep\Core\Section\Stages\Plate;
use AmberStep\Core\Section\Stages\Showing;
use AmberStep\Core\Section\Stages\Shown;
use AmberStep\Core\Section\Stages\Strip;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\RandomBuild;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The story of the masks, frame by frame: what is covered while what is sprayed. */
final class StripTest extends TestCase
{
    /** @return iterable<array{int}> */
    public static function seeds(): iterable
    {
        for ($from = 1; $from <= 500; $from += 50) {
            yield "seeds from {$from}" => [$from];
        }
    }

    #[DataProvider('seeds')]
    public function test_on_random_builds_every_cap_is_on_before_and_off_after_and_nothing_finished_lies_open_unsaid(int $from): void
    {
        $caps = 0;
        foreach (range($from, $from + 49) as $seed) {
            $build = new Build((new RandomBuild($seed))->said());
            $plan = $build->plan();
            $strip = new Strip($plan);
            $this->nothingIsLiftedSoftOrUnscored($plan, "seed {$seed}");
            foreach ($strip->frames as $i => $frame) {
                $this->nothingFinishedIsOpen($plan, $frame, $seed);
                foreach ($frame->on as $laid) {
                    foreach ($laid as $cap) {
                        $caps++;
                        $this->isOnBeforeAndOffAfter($plan, $strip, $frame, $cap, "seed {$seed}, frame {$i}");
                    }
                }
            }
        }
        self::assertGreaterThan(20, $caps);
    }

    private function nothingFinishedIsOpen(Plan $plan, Frame $frame, int $seed): void
    {
        foreach ($frame->colour === null ? [] : $frame->open() as $shown) {
            $said = array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === 'uncovered' && in_array($shown->area->id, $f->targets, true));
            self::assertNotSame([], $said, "seed {$seed}: {$shown->area->name} lies open while {$frame->colour->name} is sprayed, and nothing says so");
        }
    }

    private function isOnBeforeAndOffAfter(Plan $plan, Strip $strip, Frame $frame, Cap $cap, string $where): void
    {
        self::assertLessThanOrEqual($frame->fromEpoch === null ? PHP_INT_MAX : (int) $frame->untilEpoch, $cap->onEpoch, $where);
        if ($cap->offEpoch === null) {
            self::fail("{$where}: what is laid is never lifted");
        }
        self::assertGreaterThan($cap->onEpoch, $cap->offEpoch, $where);
        // While it lies nothing is laid on its area.
        foreach ($plan->final->area($cap->areaId)->layers as $layer) {
            foreach ($layer->coats as $coat) {
                self::assertFalse($coat->atEpoch > $cap->onEpoch && $coat->atEpoch < $cap->offEpoch, "{$where}: {$layer->word()} goes on under the mask");
            }
        }
        // A medium lasts its span, or the plan says that it does not.
        $stays = ($cap->offEpoch - $cap->onEpoch) / 60;
        $bare = $plan->context->kit->areasById[$cap->areaId]->isPainted() === false;
        if ($cap->medium !== Medium::HeldCard && $stays > $cap->medium->longestStayMinutes($bare) + 10) {
            self::assertNotSame([], array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === 'tape-overstays'), "{$where}: {$cap->medium->word()} stays for {$stays} min");
        }
    }

    /** Of what is sprayed while a mask lies, the last coat is touch dry when it comes off, and a liquid mask is scored after it and before. */
    private function nothingIsLiftedSoftOrUnscored(Plan $plan, string $where): int
    {
        $scored = 0;
        foreach ($plan->left as $off) {
            $step = $off->step;
            $on = $plan->left["{$step->target}/mask/{$step->purpose}/{$step->n}"] ?? null;
            if ($step->operation !== Operation::Unmask || $step->isRemedy() || $on === null) {
                continue;
            }
            $last = 0;
            foreach ($plan->left as $coat) {
                if ($coat->step->pieceId === $step->pieceId && $coat->step->isSprayed() && $coat->step->phase === $step->phase && $coat->endEpoch <= $off->startEpoch && $coat->startEpoch >= $on->endEpoch) {
                    $last = max($last, $coat->endEpoch);
                    // Handbook 2, at 20 °C: the air of these builds is no warmer than 24 °C, which halves a wait at most.
                    $dry = (float) $coat->step->product?->family->figures()->minutes(WaitKind::TouchDry);
                    self::assertGreaterThanOrEqual($dry / 2 - 1, ($off->startEpoch - $coat->endEpoch) / 60, "{$where}: {$step->key} is lifted while {$coat->step->key} is soft");
                }
            }
            if ($step->medium === Medium::LiquidMask) {
                $score = $plan->left["{$step->target}/score/{$step->purpose}/1"] ?? null;
                self::assertNotNull($score, "{$where}: {$step->key} is not scored");
                self::assertGreaterThanOrEqual($last, $score->startEpoch, $where);
                self::assertLessThanOrEqual($off->startEpoch, $score->endEpoch, $where);
                $scored++;
            }
        }

        return $scored;
    }

    public function test_liquid_mask_is_scored_between_the_last_coat_and_lifting_on_random_builds_that_have_it_everywhere(): void
    {
        $scored = 0;
        foreach (range(1, 60) as $seed) {
            $build = new Build((new RandomBuild($seed))->said());
            $scored += $this->nothingIsLiftedSoftOrUnscored($build->plan($build->kit->apply([Edit::pin(new Pin('01K0000000000000000000P001', Operation::Mask, medium: Medium::LiquidMask))])), "seed {$seed}");
        }
        self::assertGreaterThan(30, $scored);
    }

    /** @return array{Build, Plan, Strip} */
    private static function wing(): array
    {
        $build = new Build(['kit' => [
            'parts' => ['wing' => 'styrene', 'spat' => 'styrene'], 'colours' => ['white' => 'ground white', 'yellow' => 'band yellow', 'pale' => 'pale grey', 'grey' => 'sea grey', 'green' => 'slate green', 'dark' => 'interior dark'],
            'areas' => [
                'band' => ['part' => 'wing', 'cm2' => 5, 'colour' => 'yellow', 'ground' => 'white'], 'under' => ['part' => 'wing', 'cm2' => 84, 'colour' => 'pale'],
                'top a' => ['part' => 'wing', 'cm2' => 46, 'colour' => 'grey'], 'top b' => ['part' => 'wing', 'cm2' => 38, 'colour' => 'green'], 'cover' => ['part' => 'spat', 'cm2' => 6, 'colour' => 'dark'],
            ],
            'edges' => [['band', 'top a', 64], ['under', 'top a', 240], ['under', 'top b', 200], ['top a', 'top b', 260, 'soft']],
        ]]);
        $plan = $build->plan();

        return [$build, $plan, new Strip($plan)];
    }

    public function test_camouflage_over_pale_grey_with_a_band_is_told_in_four_colours_and_one_frame_for_what_comes_off(): void
    {
        [$build, , $strip] = self::wing();

        self::assertSame(['yellow', 'pale', 'grey', 'green', null], array_map(static fn (Frame $f): ?string => $f->colour?->name, $strip->frames));
        self::assertSame(['dark'], array_map(static fn ($c): string => $c->name, $strip->alone));
        $green = $strip->frames[3];
        self::assertTrue($green->inOne, 'under rolled putty all coats are one sitting');
        $told = [];
        foreach ($green->pieces[$build->id('wing')] as $shown) {
            $told[$shown->area->name] = $shown->as->value.($shown->under === null ? '' : ' '.$shown->under->value);
        }
        self::assertSame(['band' => 'capped paper-tape', 'under' => 'capped paper-tape', 'top a' => 'capped putty', 'top b' => 'sprayed'], $told);
        self::assertSame([], $strip->frames[4]->on);
        self::assertCount(3, $strip->frames[4]->off, 'the band, the underside, the putty');
        self::assertSame([Showing::Done], array_values(array_unique(array_map(static fn (Shown $s): Showing => $s->as, $strip->frames[4]->pieces[$build->id('wing')]), SORT_REGULAR)));
    }

    public function test_the_putty_comes_off_before_the_tape_of_earlier_stages(): void
    {
        [, $plan] = self::wing();
        $off = array_values(array_filter($plan->byTime(), static fn ($p): bool => $p->step->operation === Operation::Unmask));

        self::assertSame([Medium::Putty, Medium::PaperTape, Medium::PaperTape], array_map(static fn ($p): ?Medium => $p->step->medium, $off));
    }

    public function test_a_finished_area_that_nothing_covers_is_shown_open(): void
    {
        $build = new Build(['kit' => [
            'parts' => ['wing' => 'styrene'], 'colours' => ['pale' => 'pale grey', 'green' => 'slate green'],
            'areas' => ['under' => ['part' => 'wing', 'cm2' => 20, 'colour' => 'pale'], 'top' => ['part' => 'wing', 'cm2' => 30, 'colour' => 'green']], 'edges' => [['under', 'top', 90]],
            'pins' => [['operation' => 'mask', 'present' => false]],
        ]]);
        $strip = new Strip($build->plan());

        self::assertSame(['under'], array_map(static fn (Shown $s): string => $s->area->name, $strip->frames[1]->open()));
    }

    public function test_tiles_are_as_large_as_their_areas_and_touch_where_they_share_an_edge(): void
    {
        $plate = new Plate(['a' => 46.0, 'b' => 38.0, 'c' => 84.0, 'd' => 12.0], [['a', 'b', 26.0], ['a', 'c', 24.0], ['b', 'c', 20.0], ['a', 'd', 6.4]]);
        foreach (['a' => 46, 'b' => 38, 'c' => 84, 'd' => 12] as $id => $cm2) {
            self::assertEqualsWithDelta($cm2 / 180 * Plate::ASPECT, $plate->tiles[$id][2] * $plate->tiles[$id][3], 1e-6);
        }
        self::assertSame(1.0, $plate->touching);
        foreach ($plate->tiles as $id => [$x, $y, $w, $h]) {
            foreach ($plate->tiles as $other => [$ox, $oy, $ow, $oh]) {
                self::assertTrue($id === $other || $x + $w <= $ox + 1e-9 || $ox + $ow <= $x + 1e-9 || $y + $h <= $oy + 1e-9 || $oy + $oh <= $y + 1e-9, "{$id} lies over {$other}");
            }
        }
        self::assertGreaterThan(0.0, Plate::touch($plate->tiles['a'], $plate->tiles['b']));
    }

    public function test_a_small_area_is_still_seen(): void
    {
        $plate = new Plate(['wing' => 300.0, 'lamp' => 0.2], [['wing', 'lamp', 4.0]]);

        self::assertGreaterThan(0.03, $plate->tiles['lamp'][2] * $plate->tiles['lamp'][3] / Plate::ASPECT);
    }
}
