<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Kit;

use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Plan\Operation;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\PlannedStep;
use AmberStep\Core\Plan\Words;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Tests\Support\Build;
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
        yield 'odd paint' => ['odd-paint', 'Check root: brush a dark colour on, look, sand it off'];
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
        yield 'water acrylic by the table' => ['pale grey', 'table', 24];
        yield 'water acrylic after a few hours' => ['pale grey', 'few-hours', 4];
        yield 'water acrylic, a week is for enamel' => ['pale grey', 'week', 24];
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
