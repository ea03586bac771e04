<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Plan;

use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Layering\ColourOrder;
use AmberStep\Core\Layering\ModelColours;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Telling\Manner;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which areas are capped, with what, from when to when; and the order of the colours that decides it. */
final class MasksTest extends TestCase
{
    /**
     * @param  array<string, string>  $colours  paint by area
     * @param  list<array<int, mixed>>  $edges
     * @param  array<string, mixed>  $more
     */
    private static function build(array $colours, array $edges = [], array $more = []): Build
    {
        $areas = [];
        foreach ($colours as $area => $paint) {
            $areas[$area] = ['part' => 'hull', 'cm2' => 30, 'colour' => $paint];
        }

        return new Build(array_replace_recursive(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => array_combine(array_values($colours), array_values($colours)), 'areas' => $areas, 'edges' => $edges]], $more));
    }

    /** @return array<string, list<string>> areas capped by mask, in order */
    private static function caps(Build $build, Plan $plan): array
    {
        $caps = [];
        foreach ($plan->left as $planned) {
            if ($planned->step->operation === Operation::Mask) {
                $caps[implode('+', array_map($build->names->name(...), $planned->step->targets))] = $planned->step->medium?->value;
            }
        }

        return $caps;
    }

    private static function find(Plan $plan, Operation $operation, string $purpose = ''): ?Step
    {
        foreach ($plan->left as $planned) {
            if ($planned->step->operation === $operation && ($purpose === '' || $planned->step->purpose === $purpose)) {
                return $planned->step;
            }
        }

        return null;
    }

    public function test_each_colour_but_the_last_is_capped_once(): void
    {
        $build = self::build(['low' => 'pale grey', 'mid' => 'sea grey', 'up' => 'slate green'], [['low', 'mid', 100], ['mid', 'up', 100]]);

        self::assertSame(['low' => 'paper-tape', 'mid' => 'paper-tape'], self::caps($build, $build->plan()));
    }

    public function test_one_colour_wants_no_cap(): void
    {
        $build = self::build(['low' => 'sea grey', 'up' => 'sea grey'], [['low', 'up', 100]]);

        self::assertSame([], self::caps($build, $build->plan()));
    }

    /** @param  list<array<int, mixed>>  $edges */
    #[DataProvider('edges')]
    public function test_the_edges_choose_the_medium(array $edges, string $house, string $medium): void
    {
        $build = self::build(['low' => 'pale grey', 'up' => 'slate green'], $edges, ['house' => ['camouflage' => $house]]);

        self::assertSame(['low' => $medium], self::caps($build, $build->plan()));
    }

    /** @return iterable<string, array{list<array<int, mixed>>, string, string}> */
    public static function edges(): iterable
    {
        yield 'hard and flat' => [[['low', 'up', 100, 'hard']], 'held-off', 'paper-tape'];
        yield 'hard and bent' => [[['low', 'up', 100, 'hard', 'bent']], 'held-off', 'paper-tape'];
        yield 'hard round a compound curve' => [[['low', 'up', 100, 'hard', 'compound']], 'held-off', 'vinyl-tape'];
        yield 'hard and fiddly' => [[['low', 'up', 100, 'hard', 'fiddly']], 'held-off', 'vinyl-tape'];
        yield 'soft, held off' => [[['low', 'up', 100, 'soft']], 'held-off', 'putty'];
        yield 'soft, freehand' => [[['low', 'up', 100, 'soft']], 'freehand', 'held-card'];
        yield 'soft, taped hard' => [[['low', 'up', 100, 'soft']], 'taped', 'paper-tape'];
        yield 'no edge at all' => [[], 'held-off', 'paper-tape'];
    }

    public function test_a_pin_changes_the_medium_and_can_leave_the_mask_out(): void
    {
        $build = self::build(['low' => 'pale grey', 'up' => 'slate green'], [['low', 'up', 100]], ['kit' => ['pins' => [['operation' => 'mask', 'target' => 'low', 'medium' => 'vinyl-tape']]]]);
        self::assertSame(['low' => 'vinyl-tape'], self::caps($build, $build->plan()));

        $build->edit([Edit::set('pins', $build->id('pins 0'), 'present', false)]);
        self::assertSame([], self::caps($build, $build->plan()));
    }

    public function test_what_stays_bare_is_covered_from_the_first_coat_to_the_last(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'aluminium'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey', 'sheen' => 'matt'], 'polished lip' => ['part' => 'hull', 'cm2' => 3]]]]);
        $plan = $build->plan();
        $keys = array_keys($plan->left);
        $place = static fn (?Step $step): int => (int) array_search($step?->key, $keys, true);

        self::assertSame(['polished lip' => 'paper-tape'], self::caps($build, $plan));
        self::assertLessThan($place(self::find($plan, Operation::Prime)), $place(self::find($plan, Operation::Mask)));
        self::assertGreaterThan($place(self::find($plan, Operation::Final)), $place(self::find($plan, Operation::Unmask)));
    }

    public function test_areas_shut_in_by_a_joint_are_masked_among_themselves_before_it_closes(): void
    {
        $build = new Build(['kit' => ['parts' => ['port' => 'styrene', 'starboard' => 'styrene'], 'joints' => ['halves' => ['parts' => ['port', 'starboard'], 'kind' => 'seam', 'closed' => 'before', 'blocks' => ['floor', 'walls']]], 'colours' => ['dark' => 'interior dark', 'sand' => 'alcohol sand', 'grey' => 'sea grey'], 'areas' => ['floor' => ['part' => 'port', 'colour' => 'dark', 'face' => 'inside'], 'walls' => ['part' => 'port', 'colour' => 'sand', 'face' => 'inside'], 'side' => ['part' => 'port', 'colour' => 'grey']]]]);
        $plan = $build->plan();
        $glue = self::find($plan, Operation::Glue);
        $off = self::find($plan, Operation::Unmask);

        self::assertSame(['walls' => 'paper-tape'], self::caps($build, $plan));
        self::assertLessThan(array_search($glue?->key, array_keys($plan->left), true), array_search($off?->key, array_keys($plan->left), true));
    }

    public function test_a_mask_that_was_never_on_is_no_longer_wanted_once_all_is_sprayed(): void
    {
        $coat = static fn (string $area, string $paint, string $at): array => ['at' => $at, 'do' => 'colour', 'on' => [$area], 'for' => $paint, 'with' => $paint];
        $build = self::build(['low' => 'pale grey', 'up' => 'slate green'], [['low', 'up', 100]], ['log' => [$coat('low', 'pale grey', '10:00'), $coat('low', 'pale grey', '10:30'), $coat('low', 'pale grey', '10:45'), $coat('up', 'slate green', '11:00'), $coat('up', 'slate green', '11:30')]]);

        self::assertSame([], array_keys($build->plan()->left));
    }

    public function test_the_colour_that_was_begun_off_plan_stays_first_on_its_piece(): void
    {
        $build = self::build(['low' => 'pale grey', 'up' => 'slate green'], [['low', 'up', 100]], ['log' => [['at' => '2026-02-25 10:00', 'do' => 'colour', 'on' => ['up'], 'for' => 'slate green', 'with' => 'slate green']]]);

        self::assertSame(['up' => 'paper-tape'], self::caps($build, $build->plan()));
    }

    public function test_the_cheapest_order_is_planned_always_light_first_or_the_own(): void
    {
        $kit = static fn (string $rule): array => ['house' => ['light-first' => $rule], 'kit' => ['parts' => ['hull' => 'styrene', 'spat' => 'styrene'], 'colours' => ['green' => 'slate green', 'bronze' => 'lacquer bronze', 'pale' => 'pale grey'], 'areas' => ['low' => ['part' => 'hull', 'colour' => 'pale', 'cm2' => 40], 'up' => ['part' => 'hull', 'colour' => 'green', 'cm2' => 40], 'cover' => ['part' => 'spat', 'colour' => 'bronze']], 'edges' => [['low', 'up', 200]]]];

        // Green first would cost the pale grey coats; where bronze goes makes no odds, and metallics then go first.
        self::assertSame(['bronze', 'pale', 'green'], self::order($kit('by-cost')));
        self::assertSame(['pale', 'bronze', 'green'], self::order($kit('always')));
        self::assertSame(['green', 'bronze', 'pale'], self::order($kit('own')));
    }

    public function test_an_evening_is_priced_as_the_house_has_it(): void
    {
        foreach (['30' => 30.0, '0' => 0.0, '240' => 240.0] as $says => $minutes) {
            $build = self::build(['low' => 'pale grey', 'up' => 'slate green'], [['low', 'up', 100]]);
            $model = new ModelColours($build->kit, new HouseRules(['evening' => (string) $says]), $build->shelf, new Breakdown($build->kit, new HouseRules), new ModelState);
            self::assertSame($minutes, $model->problem->evening);
        }
    }

    public function test_what_is_capped_is_counted_with_its_corners(): void
    {
        $plan = self::build(['low' => 'pale grey', 'band' => 'pale grey', 'up' => 'slate green', 'tip' => 'slate green'], [['low', 'up', 100], ['band', 'up', 40], ['band', 'tip', 40]])->plan();
        $told = '';
        foreach ($plan->left as $planned) {
            $told .= $planned->step->operation === Operation::Mask ? implode(' ', Manner::of($planned->step, $plan->context)) : '';
        }

        self::assertStringContainsString('Count before you spray: 2 areas, 2 corners where tape meets tape.', $told);
    }

    /**
     * @param  array<string, mixed>  $build
     * @return list<string>
     */
    private static function order(array $build): array
    {
        $build = new Build($build);
        $model = new ModelColours($build->kit, $build->kit->house, $build->shelf, new Breakdown($build->kit, $build->kit->house), new ModelState);

        return array_map(static fn (int $e): string => $model->entries[$e][0]->name, (new ColourOrder($model, $build->kit->house))->planned->order);
    }

    public function test_tape_on_paint_is_tried_on_a_tab_and_putty_is_not(): void
    {
        foreach (['hard' => true, 'soft' => false] as $edge => $tab) {
            $build = self::build(['low' => 'pale grey', 'up' => 'slate green'], [['low', 'up', 100, $edge]]);
            $plan = $build->plan();
            foreach ($plan->byTime() as $planned) {
                $told = implode(' ', Manner::of($planned->step, $plan->context));
                match ($planned->step->operation) {
                    Operation::Mask => self::assertSame($tab, str_contains($told, 'small tab'), "{$edge}: {$told}"),
                    Operation::Unmask => self::assertSame($tab, str_contains($told, 'The tab first'), "{$edge}: {$told}"),
                    default => null,
                };
            }
        }
    }

    #[DataProvider('swatches')]
    public function test_lightness_of_a_swatch(string $paint, float $lightness): void
    {
        $build = self::build(['low' => $paint]);

        self::assertEqualsWithDelta($lightness, ColourOrder::lightness($build->shelf->find($build->id($paint))), 0.1);
    }

    /** @return iterable<array{string, float}> L* by CIE 1976 from sRGB, worked out apart with the seven-figure matrix */
    public static function swatches(): iterable
    {
        yield ['band yellow', 80.8];
        yield ['lacquer red', 41.2];
        yield ['ground white', 96.4];
        yield ['interior dark', 19.1];
    }

    public function test_minutes_of_a_mask_are_its_edge_and_its_field(): void
    {
        $build = self::build(['low' => 'pale grey', 'up' => 'slate green'], [['low', 'up', 200, 'hard', 'bent']]);
        foreach ($build->plan()->left as $planned) {
            if ($planned->step->operation === Operation::Mask) {
                // 20 cm of bent edge at 0.4, and 30 cm² of field at 0.05.
                self::assertEqualsWithDelta(20 * 0.4 + 30 * 0.05, $planned->minutes, 1e-6);
                self::assertSame(Medium::PaperTape, $planned->step->medium);
            }
        }
    }
}
