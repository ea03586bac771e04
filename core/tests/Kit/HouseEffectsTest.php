<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Kit;

use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Telling\Manner;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What each position on a house question does to a plan, exactly. */
final class HouseEffectsTest extends TestCase
{
    private const HULL = ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'grey']]];

    public function test_a_primer_put_on_wet_waits_longer_and_is_thicker(): void
    {
        $dry = $this->plan(self::HULL);
        $wet = $this->plan(self::HULL, ['primer-coat' => 'wet']);

        self::assertSame([CoatKind::Light, CoatKind::Light], $this->kinds($dry, Operation::Prime));
        self::assertSame([CoatKind::Light, CoatKind::Wet], $this->kinds($wet, Operation::Prime));
        self::assertGreaterThan($dry->final->area($this->id('side'))->layers[0]->filmMicrons(), $wet->final->area($this->id('side'))->layers[0]->filmMicrons());
    }

    public function test_thinner_paint_is_a_coat_more_at_the_lower_pressure_and_the_higher_ratio(): void
    {
        $label = $this->first($this->plan(self::HULL), Operation::Colour);
        $thin = $this->plan(self::HULL, ['thinning' => 'thinner']);
        $thinned = $this->first($thin, Operation::Colour);
        [$usual, $set] = [SetUp::of($label->step, $thin->context->kit), SetUp::of($thinned->step, $thin->context->kit)];

        self::assertSame([2, 3], [$label->step->of, $thinned->step->of]);
        self::assertSame(['1 : 0.65', '1 : 1'], [$usual?->ratio, $set?->ratio], 'handbook 2: 0.3 to 1, middle and upper');
        self::assertEqualsWithDelta(1.35, $usual?->pressureBar, 1e-9);
        self::assertEqualsWithDelta(1.0, $set?->pressureBar, 1e-9);
        self::assertCount(2, $this->steps($this->plan(['colours' => ['red' => 'lacquer red'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'red']]] + self::HULL, ['thinning' => 'thinner']), Operation::Ground, Operation::Prime), 'lacquer is thinned as ever');
    }

    public function test_on_the_sprue_a_single_moulding_needs_no_holder_and_its_gates_are_touched_up_after_the_colour(): void
    {
        $plan = $this->plan(self::HULL, ['sprue' => 'on']);

        self::assertSame([], $this->steps($plan, Operation::Mount));
        $touch = $this->first($plan, Operation::TouchUp);
        self::assertSame('Cut it off the sprue, touch up the gates', Words::title($touch->step, $plan->context));
        self::assertGreaterThanOrEqual($this->last($plan, Operation::Colour)->endEpoch, $touch->startEpoch);
    }

    public function test_what_is_glued_before_paint_is_off_the_sprue_whatever_the_rule(): void
    {
        $kit = ['parts' => ['hull' => 'styrene', 'fin' => 'styrene'], 'joints' => ['root' => ['parts' => ['hull', 'fin'], 'closed' => 'before']]] + self::HULL;

        self::assertCount(1, $this->steps($this->plan($kit, ['sprue' => 'on']), Operation::Mount));
    }

    public function test_a_touched_up_gate_lies_under_the_clear_coats(): void
    {
        $kit = ['areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'grey', 'decals' => true, 'sheen' => 'matt']]] + self::HULL;
        $plan = $this->plan($kit, ['sprue' => 'on']);

        self::assertLessThanOrEqual($this->first($plan, Operation::Gloss)->startEpoch, $this->first($plan, Operation::TouchUp)->endEpoch);
    }

    /** @param  list<Operation>  $steps */
    #[DataProvider('etch')]
    public function test_bare_metal_is_keyed_as_the_rule_says(string $position, array $steps, string $primer): void
    {
        $plan = $this->plan(['parts' => ['hull' => 'brass']] + self::HULL, ['etch' => $position]);
        $made = array_values(array_unique(array_map(static fn (PlannedStep $p): Operation => $p->step->operation, array_filter($plan->left, static fn (PlannedStep $p): bool => in_array($p->step->operation, [Operation::Abrade, Operation::Wash, Operation::Prime], true))), SORT_REGULAR));

        self::assertSame($steps, $made);
        self::assertSame($primer, $this->first($plan, Operation::Prime)->step->product?->name);
        self::assertSame([], $plan->stops());
    }

    /** @return iterable<string, array{string, list<Operation>, string}> */
    public static function etch(): iterable
    {
        yield 'lacquer primer' => ['lacquer-primer', [Operation::Wash, Operation::Prime], 'lacquer primer'];
        yield 'abrade' => ['abrade', [Operation::Abrade, Operation::Wash, Operation::Prime], 'grey primer'];
        yield 'both' => ['both', [Operation::Abrade, Operation::Wash, Operation::Prime], 'lacquer primer'];
    }

    #[DataProvider('seamChecks')]
    public function test_a_seam_is_checked_as_the_rule_says(string $position, ?string $title): void
    {
        $kit = ['parts' => ['hull' => 'styrene', 'fin' => 'styrene'], 'joints' => ['root' => ['parts' => ['hull', 'fin'], 'kind' => 'seam', 'closed' => 'before', 'gapMm' => 0.2, 'lengthCm' => 5]]] + self::HULL;
        $plan = $this->plan($kit, ['seam-check' => $position]);
        $checks = $this->steps($plan, Operation::CheckSeam);

        self::assertSame($title, $checks === [] ? null : Words::title($checks[0]->step, $plan->context));
        self::assertNotSame([], $this->steps($plan, Operation::CutBack), 'it is cut back whichever way it is checked');
    }

    /** @return iterable<string, array{string, string|null}> */
    public static function seamChecks(): iterable
    {
        yield 'odd paint' => ['odd-paint', 'Sand the check coat off root: what stays dark is low'];
        yield 'primer' => ['primer', null];
        yield 'pen and light' => ['pen-light', 'Check root: pen line and raking light'];
    }

    #[DataProvider('tape')]
    public function test_tape_goes_on_when_the_rule_says(string $paint, string $position, float $hours): void
    {
        $build = new Build(['now' => '2026-03-02 20:00', 'house' => ['tape-after' => $position, 'primer' => 'never'], 'kit' => [
            'parts' => ['hull' => 'styrene'], 'colours' => ['first' => $paint, 'green' => 'slate green'],
            'areas' => ['a' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'first'], 'b' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'green']], 'edges' => [['a', 'b', 100, 'hard']],
        ], 'log' => [['at' => '19:00', 'do' => 'colour', 'on' => ['a'], 'for' => 'first', 'with' => $paint, 'coat' => 'mist'], ['at' => '19:40', 'do' => 'colour', 'on' => ['a'], 'for' => 'first', 'with' => $paint]]]);
        $holds = array_filter($this->first($build->plan(), Operation::Mask)->holds, static fn ($h): bool => $h->rule === 'tape-safe');
        $until = max(array_map(static fn ($h): int => $h->untilEpoch, $holds));

        self::assertEqualsWithDelta($hours, ($until - $build->at('19:40')) / 3600, 0.02);
    }

    /** @return iterable<string, array{string, string, float}> paint, position, hours at 20 °C and 50 % */
    public static function tape(): iterable
    {
        yield 'water acrylic by the table' => ['sea grey', 'table', 24];
        yield 'water acrylic after a few hours' => ['sea grey', 'few-hours', 4];
        yield 'water acrylic, a week is for enamel' => ['sea grey', 'week', 24];
        yield 'enamel by the table' => ['enamel brown', 'table', 48];
        yield 'enamel after a week' => ['enamel brown', 'week', 168];
        yield 'enamel does not dry by leaving: a few hours are not for it' => ['enamel brown', 'few-hours', 48];
        yield 'lacquer by the table' => ['lacquer red', 'table', 6];
        yield 'lacquer after a few hours' => ['lacquer red', 'few-hours', 4];
    }

    #[DataProvider('cabinets')]
    public function test_a_cabinet_nobody_set_is_as_warm_as_the_rule_and_the_plastic_allow(string $position, string $substrate, ?float $celsius): void
    {
        $plan = $this->plan(['parts' => ['hull' => $substrate], 'inserted' => [['operation' => 'cabinet', 'targets' => ['side'], 'title' => 'Into the cabinet']]] + self::HULL, ['cabinet' => $position]);
        $steps = $this->steps($plan, Operation::Cabinet);

        self::assertSame($celsius, $steps === [] ? null : $steps[0]->step->inserted?->cabinetC);
        self::assertSame([], $plan->stops(), 'never above what it takes');
    }

    /** @return iterable<string, array{string, string, float|null}> */
    public static function cabinets(): iterable
    {
        yield 'styrene at 45' => ['45', 'styrene', 45.0];
        yield 'styrene at 40' => ['40', 'styrene', 40.0];
        yield 'resin takes 40 at most' => ['45', 'resin', 40.0];
        yield 'vinyl takes 35' => ['40', 'soft-vinyl', 35.0];
        yield 'no cabinet' => ['none', 'styrene', null];
    }

    public function test_metal_under_clear_and_polish_gets_clear_enough_to_cut(): void
    {
        $plan = $this->plan(['colours' => ['bronze' => 'lacquer bronze'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'bronze', 'sheen' => 'gloss', 'polish' => true]], 'pins' => [['operation' => 'final', 'product' => 'two-part clear']]] + self::HULL);
        $clear = $plan->final->area($this->id('side'))->layers;

        self::assertGreaterThanOrEqual(40.0, $clear[count($clear) - 1]->filmMicrons(), 'handbook 4, Film: at least 40 µm');
    }

    public function test_hardener_shortens_the_waits_of_coats_that_had_it_and_of_no_others(): void
    {
        $kit = ['parts' => ['hull' => 'styrene'], 'colours' => ['brown' => 'enamel brown', 'green' => 'slate green'], 'areas' => ['a' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'brown'], 'b' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'green']], 'edges' => [['a', 'b', 100, 'hard']]];
        $hours = function (array $house, array $coat) use ($kit): float {
            $build = new Build(['now' => '2026-03-02 20:00', 'house' => ['primer' => 'never', ...$house], 'kit' => $kit, 'log' => [['at' => '19:00', 'do' => 'colour', 'on' => ['a'], 'for' => 'brown', 'with' => 'enamel brown', 'coat' => 'mist', ...$coat], ['at' => '19:40', 'do' => 'colour', 'on' => ['a'], 'for' => 'brown', 'with' => 'enamel brown', ...$coat]]]);
            $holds = array_filter($this->first($build->plan(), Operation::Mask)->holds, static fn ($h): bool => $h->rule === 'tape-safe');

            return (max(array_map(static fn ($h): int => $h->untilEpoch, $holds)) - $build->at('19:40')) / 3600;
        };

        self::assertEqualsWithDelta(48, $hours([], []), 0.02, 'handbook 2: enamel');
        self::assertEqualsWithDelta(24, $hours(['hardener' => 'yes'], ['hardened' => true]), 0.02, 'hardened enamel');
        self::assertEqualsWithDelta(48, $hours(['hardener' => 'yes'], []), 0.02, 'a rule changed today hardens nothing that was sprayed before');
        $step = $this->first($this->plan(['colours' => ['grey' => 'enamel brown']] + self::HULL, ['hardener' => 'yes']), Operation::Colour)->step;
        self::assertTrue(StepEvent::of($step, '', 0, 0)->hardened);
    }

    /** @param  array<string, string>  $house */
    #[DataProvider('dryings')]
    public function test_paint_dries_where_the_rule_says(array $house, ?float $celsius, float $lastHours): void
    {
        $kit = ['colours' => ['grey' => 'sea grey', 'green' => 'slate green'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'grey'], 'top' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'green']], 'edges' => [['side', 'top', 100, 'hard']]] + self::HULL;
        $plan = $this->plan($kit, ['inspection' => 'none', ...$house]);
        $cabinets = $this->steps($plan, Operation::Cabinet);
        $first = $this->steps($plan, Operation::Colour)[1];
        $wait = max(array_map(static fn ($h): int => $h->rule === 'tape-safe' && $h->because !== '' ? $h->untilEpoch : 0, $this->first($plan, Operation::Mask)->holds)) - $first->endEpoch;

        self::assertSame($celsius, $cabinets === [] ? null : $cabinets[0]->step->cabinetC);
        self::assertEqualsWithDelta($lastHours, $wait / 3600, 1.5);
        self::assertSame([], $plan->stops());
    }

    /** Water acrylic is tape-safe after 24 h at 20 °C and 50 %; at 45 °C its air has 12 % RH: a factor of 0.18 x 0.57. */
    public static function dryings(): iterable
    {
        yield 'in the room' => [[], null, 24];
        yield 'in the cabinet as soon as it may' => [['drying' => 'cabinet'], 45.0, 4];
        yield 'after a night in a box, which is the next evening' => [['drying' => 'box-then-cabinet'], 45.0, 24];
        yield 'in a warm place' => [['drying' => 'warm-place'], 28.0, 11.5];
        yield 'not without a cabinet' => [['drying' => 'cabinet', 'cabinet' => 'none'], null, 24];
    }

    public function test_what_is_taken_up_again_is_out_of_the_cabinet_and_so_is_what_went_in_with_it(): void
    {
        $build = new Build(['now' => '2026-03-02 20:00', 'kit' => ['areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'grey'], 'keel' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'grey']]] + self::HULL, 'log' => [
            ['at' => '12:00', 'do' => 'into-cabinet', 'on' => ['side', 'keel'], 'cabinetC' => 45], ['at' => '15:00', 'do' => 'mask', 'on' => ['side'], 'medium' => 'paper-tape'],
        ]]);
        $surface = $build->plan()->context->surface;

        foreach (['side', 'keel'] as $area) {
            self::assertSame($build->at('15:00'), $surface->area($build->id($area))->stays[0]->untilEpoch);
        }
    }

    public function test_a_ground_is_hidden_as_the_rule_says(): void
    {
        $kit = ['colours' => ['yellow' => 'band yellow'], 'areas' => ['band' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'yellow']]] + self::HULL;
        $coats = fn (string $position): int => count($this->steps($this->plan($kit, ['hidden' => $position]), Operation::Colour));

        self::assertSame([8, 5], [$coats('usual'), $coats('weathered')]);
        self::assertSame(8, $coats('close'), 'more than eight are not planned');
        $close = $this->plan($kit, ['hidden' => 'close']);
        $shows = array_values(array_filter($close->findings, static fn ($f): bool => $f->rule === 'ground-shows'));
        self::assertSame('The ground shows through band yellow', $shows[0]->title);
        self::assertMatchesRegularExpression('/ΔE00 1\.\d on band; \d+ coats would hide it\. This predicts; a spoon decides\./', $shows[0]->sentence);
    }

    public function test_a_large_piece_in_one_colour_gets_tones_or_not(): void
    {
        $manner = function (string $position, float $cm2): string {
            $plan = $this->plan(['areas' => ['side' => ['part' => 'hull', 'cm2' => $cm2, 'colour' => 'grey']]] + self::HULL, ['tones' => $position]);

            return implode(' ', Manner::of($this->last($plan, Operation::Colour)->step, $plan->context));
        };

        self::assertMatchesRegularExpression('/This coat in tones: lighter on what faces up, \d+ : 1 with [a-z ]+ \(ΔE00 [12]\.\d\); darker below/', $manner('varied', 300));
        self::assertStringContainsString('One tone throughout', $manner('uniform', 300));
        self::assertStringNotContainsString('tone', $manner('varied', 90), 'a small piece has one');
    }

    public function test_paint_is_estimated_by_area_or_by_counting(): void
    {
        $ml = function (string $position): float {
            $plan = $this->plan(['areas' => ['side' => ['part' => 'hull', 'cm2' => 100, 'colour' => 'grey']]] + self::HULL, ['estimate' => $position]);

            return SetUp::of($this->last($plan, Operation::Colour)->step, $plan->context->kit, $plan->context->house)->need->neatMl ?? 0.0;
        };

        // 100 cm² is nearest to L, which counts three: 37.5 cm².
        self::assertEqualsWithDelta(0.375, $ml('count') / $ml('area'), 1e-9);
    }

    public function test_a_piece_with_masked_panes_never_goes_into_the_warm(): void
    {
        $kit = ['parts' => ['hull' => 'styrene', 'glass' => 'clear-styrene'], 'joints' => ['sill' => ['parts' => ['glass', 'hull']]], 'areas' => ['pane' => ['part' => 'glass', 'cm2' => 4], 'side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'grey', 'decals' => true]]] + self::HULL;

        self::assertSame([], $this->steps($this->plan($kit, ['drying' => 'cabinet']), Operation::Cabinet));
    }

    /** @param  array<string, string>  $house */
    #[DataProvider('covers')]
    public function test_the_field_behind_an_edge_is_covered_as_the_rule_says(array $house, string $medium, float $minutes): void
    {
        $kit = ['colours' => ['grey' => 'sea grey', 'green' => 'slate green'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'grey'], 'top' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'green']], 'edges' => [['side', 'top', 100, 'hard', 'bent']]] + self::HULL;
        $mask = $this->first($this->plan($kit, $house), Operation::Mask);

        self::assertSame($medium, $mask->step->medium?->value);
        self::assertEqualsWithDelta($minutes, $mask->minutes, 1e-9);
    }

    /** 10 cm of bent edge and 40 cm² of field. */
    public static function covers(): iterable
    {
        yield 'paper and tape' => [[], 'paper-tape', 10 * 0.4 + 40 * 0.05];
        yield 'film all over' => [['cover' => 'film'], 'cut-film', 10 * 0.3];
        yield 'rubber cement' => [['cover' => 'rubber-cement'], 'paper-tape', 10 * 0.4 + 40 * 0.05];
    }

    public function test_rubber_cement_behind_the_edge_is_off_within_a_day_and_tried_on_lacquer(): void
    {
        $kit = ['colours' => ['grey' => 'interior dark', 'red' => 'lacquer red'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'red'], 'top' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'grey']], 'edges' => [['side', 'top', 100, 'hard']]] + self::HULL;
        $said = Build::findings($this->plan($kit, ['cover' => 'rubber-cement']));

        self::assertContains('think mask-reacts', $said);
        self::assertNotContains('think mask-reacts', Build::findings($this->plan($kit)));
    }

    public function test_a_liquid_mask_is_brushed_or_sprayed_in_its_minutes(): void
    {
        $kit = ['colours' => ['grey' => 'sea grey', 'green' => 'slate green'], 'areas' => ['side' => ['part' => 'hull', 'cm2' => 200, 'colour' => 'grey'], 'top' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'green']], 'edges' => [['side', 'top', 100, 'hard']], 'pins' => [['operation' => 'mask', 'medium' => 'liquid-mask']]] + self::HULL;

        self::assertEqualsWithDelta(10 * 0.5 + 200 * 0.05, $this->first($this->plan($kit, ['light-first' => 'always']), Operation::Mask)->minutes, 1e-9);
        self::assertEqualsWithDelta(10 * 0.2 + 1 + 5, $this->first($this->plan($kit, ['light-first' => 'always', 'liquid-mask' => 'spray']), Operation::Mask)->minutes, 1e-9, 'scoring, one pass, a rinse');
    }

    public function test_painted_insignia_take_the_place_of_decals_or_join_them(): void
    {
        $kit = ['areas' => ['side' => ['part' => 'hull', 'cm2' => 40, 'colour' => 'grey', 'decals' => true]]] + self::HULL;
        $made = fn (string $position): array => array_values(array_unique(array_map(static fn (PlannedStep $p): string => $p->step->operation->value, $this->steps($this->plan($kit, ['insignia' => $position]), Operation::Insignia, Operation::Gloss, Operation::Decal))));

        self::assertSame(['gloss', 'decal'], $made('decals'));
        self::assertSame(['insignia'], $made('masks'));
        self::assertSame(['insignia', 'gloss', 'decal'], $made('mixed'));
        $paint = $this->first($this->plan($kit, ['insignia' => 'masks']), Operation::Insignia);
        self::assertContains('tape-safe', array_map(static fn ($h): string => $h->rule, $paint->holds), 'their masks go on the colour');
    }

    public function test_a_low_spot_is_filled_and_left_to_set_or_sanded_down_to(): void
    {
        $said = ['now' => '2026-03-07 12:00', 'kit' => self::HULL, 'log' => [['at' => '2026-03-01 10:00', 'do' => 'prime', 'on' => ['side'], 'with' => 'grey primer'], ['at' => '2026-03-01 11:00', 'do' => 'prime', 'on' => ['side'], 'with' => 'grey primer'], ['at' => '11:00', 'do' => 'inspect', 'on' => ['side'], 'for' => 'prime', 'found' => 2]]];
        $filled = (new Build($said))->plan(minutes: null);
        $sanded = (new Build(['house' => ['low-spot' => 'sand-down']] + $said))->plan(minutes: null);

        self::assertEqualsWithDelta(120, ($this->first($filled, Operation::Flat)->startEpoch - $this->first($filled, Operation::Fill)->endEpoch) / 60, 1, 'putty to 0.15 mm: 2 h at 20 °C');
        self::assertSame([], $this->steps($sanded, Operation::Fill));
        self::assertSame('Sand down to the level of the 2 found in round 1, spot prime', $this->first($sanded, Operation::Flat)->step->title);
    }

    public function test_wet_sanding_throws_no_dust_on_tacky_paint(): void
    {
        $said = ['now' => '2026-03-07 12:00', 'kit' => ['parts' => ['hull' => 'styrene', 'fin' => 'styrene', 'tail' => 'styrene'], 'joints' => ['root' => ['parts' => ['fin', 'tail'], 'kind' => 'seam', 'closed' => 'before', 'lengthCm' => 5]]] + self::HULL, 'log' => [['at' => '2026-03-01 10:00', 'do' => 'glue', 'on' => ['root']], ['at' => '11:59', 'do' => 'colour', 'on' => ['side'], 'for' => 'grey', 'with' => 'sea grey']]];
        $rules = fn (array $house): array => array_map(static fn ($h): string => $h->rule, $this->first((new Build(['house' => $house] + $said))->plan(), Operation::CutBack)->holds);

        self::assertContains('dust', $rules([]));
        self::assertContains('dust', $rules(['sanding' => 'dry']));
        self::assertNotContains('dust', $rules(['sanding' => 'wet']));
    }

    /** @param  array<string, string>  $house */
    #[DataProvider('manners')]
    public function test_the_step_says_how_it_is_done(array $house, Operation $operation, string $sentence): void
    {
        $build = new Build(['house' => ['primer' => 'never', ...$house], 'kit' => self::HULL]);
        $plan = $build->plan();
        $step = match (true) {
            $operation === Operation::Mix => $plan->cups[0]->step,
            $operation->cleansTheGun() => $plan->cleaning[0]->step,
            default => $this->first($plan, $operation)->step,
        };

        self::assertContains($sentence, Manner::of($step, $plan->context));
    }

    /**
     * 40 cm² in a mist of 4 µm and a light coat of 8, solids 0.3, half of it arrives: 0.107 and 0.213 ml neat. At
     * 1 : 0.65 that is 0.53 ml, and 0.3 stays in the gun: 0.85 to what can be measured; the mist alone would be the least a cup takes, 0.5 ml.
     */
    public static function manners(): iterable
    {
        yield 'thinner first' => [[], Operation::Mix, 'Into the cup, for 2 coats: 0.33 ml thinner, then 0.52 ml paint.'];
        yield 'paint first' => [['pouring' => 'paint-first'], Operation::Mix, 'Into the cup, for 2 coats: 0.52 ml paint, then 0.33 ml thinner.'];
        yield 'one coat of it' => [[], Operation::Colour, 'Of the mix: 0.20 ml thinner and 0.30 ml paint.'];
        yield 'lid off' => [[], Operation::Colour, 'Lid off: watch the level.'];
        yield 'lid on' => [['lid' => 'on'], Operation::Colour, 'Lid on: look at the level before each pass.'];
        yield 'the rest in the bin' => [[], Operation::Rinse, 'What is left goes in the bin, not down a drain.'];
        yield 'the rest in its jar' => [['leftover' => 'jar'], Operation::Rinse, 'What is left goes back to its jar if it is clean; write on it how thin it is.'];
        yield 'back-flushed' => [[], Operation::Rinse, 'Back-flush once at 0.5 bar: cup under a quarter full, lid and nozzle cap on, a folded cloth over the tip, eyes covered.'];
        yield 'not back-flushed' => [['back-flush' => 'no'], Operation::Rinse, 'No back-flush: thinner forward until it comes clear.'];
    }

    public function test_hardened_paint_never_goes_back_to_a_jar(): void
    {
        $plan = $this->plan(['colours' => ['grey' => 'enamel brown']] + self::HULL, ['hardener' => 'yes', 'leftover' => 'jar', 'primer' => 'never']);

        self::assertStringContainsString('never back in a jar', implode(' ', Manner::of($plan->cleaning[0]->step, $plan->context)));
        self::assertStringContainsString('before its pot life ends', $plan->cleaning[0]->reasons()[0]->sentence);
    }

    /**
     * @param  array<string, mixed>  $kit
     * @param  array<string, string>  $house
     */
    private function plan(array $kit, array $house = []): Plan
    {
        return (new Build(['kit' => $kit, 'house' => $house]))->plan();
    }

    private function id(string $name): string
    {
        return (new Build(['kit' => self::HULL]))->id($name);
    }

    /** @return list<PlannedStep> */
    private function steps(Plan $plan, Operation ...$operations): array
    {
        return array_values(array_filter($plan->left, static fn (PlannedStep $p): bool => in_array($p->step->operation, $operations, true)));
    }

    private function first(Plan $plan, Operation $operation): PlannedStep
    {
        return $this->steps($plan, $operation)[0] ?? self::fail("no {$operation->value}");
    }

    private function last(Plan $plan, Operation $operation): PlannedStep
    {
        $steps = $this->steps($plan, $operation);

        return $steps[count($steps) - 1] ?? self::fail("no {$operation->value}");
    }

    /** @return list<CoatKind|null> */
    private function kinds(Plan $plan, Operation $operation): array
    {
        return array_map(static fn (PlannedStep $p): ?CoatKind => $p->step->coatKind, $this->steps($plan, $operation));
    }
}
