<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Rule;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What rules do beyond speaking or being silent: when holds end, what is ordered, what a finding says. */
final class FinePointsTest extends TestCase
{
    /** @param  array<string, mixed>  $more */
    private static function body(string $paint, array $more = [], array $area = []): Build
    {
        return new Build(array_replace_recursive(['kit' => ['parts' => ['body' => 'styrene'], 'colours' => ['c' => $paint], 'areas' => ['side' => ['part' => 'body', 'cm2' => 40, 'colour' => 'c', ...$area]]]], $more));
    }

    private static function coat(string $at, string $paint, string $coat = 'light'): array
    {
        return ['at' => $at, 'do' => 'colour', 'on' => ['side'], 'for' => 'c', 'with' => $paint, 'coat' => $coat];
    }

    /** @return list<Hold> */
    private static function holds(Plan $plan, Operation $operation, HoldKind $kind): array
    {
        foreach ($plan->left as $planned) {
            if ($planned->step->operation === $operation) {
                return array_values(array_filter($planned->holds, static fn (Hold $h): bool => $h->kind === $kind));
            }
        }

        return [];
    }

    /** @return list<PlannedStep> */
    private static function steps(Plan $plan, Operation $operation): array
    {
        return array_values(array_filter($plan->left, static fn (PlannedStep $p): bool => $p->step->operation === $operation));
    }

    /** @return list<Finding> */
    private static function said(Plan $plan, string $rule): array
    {
        return array_values(array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === $rule));
    }

    public function test_the_enamel_window_shrinks_with_heat_and_does_not_grow_with_cold(): void
    {
        $closes = static function (int $celsius): int {
            $build = self::body('enamel brown', ['room' => [$celsius, 50], 'log' => [self::coat('19:00', 'enamel brown', 'mist')]]);

            return (self::holds($build->plan(), Operation::Colour, HoldKind::Window)[0]->fromEpoch - $build->at('19:00')) / 60;
        };

        self::assertSame([120, 60, 120], [$closes(20), $closes(30), $closes(16)]);
    }

    public function test_a_spot_is_primed_with_the_primer_that_lies_there_and_coloured_with_its_paint(): void
    {
        $build = self::body('sea grey', ['log' => [['at' => '2026-02-20 19:00', 'do' => 'prime', 'on' => ['side'], 'for' => 'all', 'with' => 'lacquer primer'], self::coat('2026-02-21 19:00', 'sea grey'), ['at' => '2026-02-22 19:00', 'do' => 'fault', 'fault' => 'lifted', 'on' => ['side'], 'with' => 'sea grey']]]);
        $remedy = static fn (Build $build): array => array_values(array_filter(array_map(static fn (PlannedStep $p): ?string => $p->step->isRemedy() && $p->step->operation->leavesLayer() ? $p->step->operation->value.': '.$p->step->product?->name : null, array_values($build->plan()->left))));
        self::assertSame(['prime: lacquer primer', 'colour: sea grey'], $remedy($build));

        $bare = self::body('sea grey', ['log' => [self::coat('2026-02-21 19:00', 'sea grey'), ['at' => '2026-02-22 19:00', 'do' => 'fault', 'fault' => 'crazing', 'on' => ['side'], 'with' => 'sea grey']]]);
        self::assertSame(['barrier: gloss varnish', 'colour: sea grey'], $remedy($bare), 'what shuts it off is no colour');
    }

    #[DataProvider('primerSchools')]
    public function test_what_will_not_hold_gets_its_primer_whatever_the_house_rule_says(string $school, bool $leftOut): void
    {
        $build = self::body('enamel brown', ['house' => ['primer' => $school], 'kit' => ['parts' => ['body' => 'soft-vinyl'], 'pins' => $leftOut ? [['operation' => 'prime', 'present' => false]] : []]]);
        $found = self::said($build->plan(), 'soft-vinyl');
        if ($school === 'always' && ! $leftOut) {
            self::assertSame([], $found, 'the primer is there');

            return;
        }
        self::assertSame([Severity::Stop, 'Put water acrylic under it'], [$found[0]->severity, $found[0]->fixes[0]->title]);
        foreach ($found[0]->fixes as $fix) {
            $after = $build->plan($build->kit->apply($fix->edits));
            self::assertSame([], self::said($after, 'soft-vinyl'), $fix->title);
        }
    }

    /** @return iterable<string, array{string, bool}> */
    public static function primerSchools(): iterable
    {
        foreach (['always', 'where-needed', 'never'] as $school) {
            yield "{$school}, as it is" => [$school, false];
            yield "{$school}, left out" => [$school, true];
        }
    }

    public function test_lacquer_over_enamel_of_ninety_days_takes_mists_only(): void
    {
        $kit = ['kit' => ['parts' => ['body' => 'styrene'], 'colours' => ['c' => 'lacquer red', 'g' => 'enamel brown'], 'areas' => ['side' => ['part' => 'body', 'ground' => 'g', 'colour' => 'c']]]];
        $log = static fn (string $day): array => [['at' => "{$day} 12:00", 'do' => 'ground', 'on' => ['side'], 'for' => 'g', 'with' => 'enamel brown'], ['at' => "{$day} 13:00", 'do' => 'ground', 'on' => ['side'], 'for' => 'g', 'with' => 'enamel brown']];
        $young = self::said((new Build([...$kit, 'log' => $log('2026-02-20')]))->plan(), 'solvent-attack')[0];
        $old = self::said((new Build([...$kit, 'log' => $log('2025-11-20')]))->plan(), 'solvent-attack')[0];

        self::assertSame([Severity::Stop, Severity::Think], [$young->severity, $old->severity]);
        self::assertStringContainsString('wrinkles', $young->title);
        self::assertSame('Mist coats only', $old->fixes[0]->title);
    }

    public function test_a_wait_fix_moves_the_step_behind_its_ninety_days(): void
    {
        $build = new Build(['kit' => ['parts' => ['body' => 'styrene'], 'colours' => ['c' => 'lacquer red', 'g' => 'enamel brown'], 'areas' => ['side' => ['part' => 'body', 'ground' => 'g', 'colour' => 'c']]], 'log' => [['at' => '2026-02-23 18:00', 'do' => 'ground', 'on' => ['side'], 'for' => 'g', 'with' => 'enamel brown'], ['at' => '2026-02-23 19:00', 'do' => 'ground', 'on' => ['side'], 'for' => 'g', 'with' => 'enamel brown']]]);
        $fix = self::said($build->plan(), 'solvent-attack')[0]->fixes[1];
        $after = $build->plan($build->kit->apply($fix->edits));

        self::assertGreaterThanOrEqual($build->at('2026-05-24 19:00'), self::steps($after, Operation::Colour)[0]->startEpoch);
        self::assertSame('mist', self::steps($after, Operation::Colour)[1]->step->coatKind?->value);
    }

    #[DataProvider('cabinets')]
    public function test_into_the_cabinet_no_sooner_than_the_family_says(string $paint, int $touchMinutes, int $hoursMore): void
    {
        $build = self::body($paint, ['now' => '2026-03-02 19:05', 'log' => [self::coat('19:00', $paint)], 'kit' => ['pins' => [['operation' => 'colour', 'coats' => 1]], 'inserted' => [['operation' => 'cabinet', 'targets' => ['side'], 'title' => 'Into the cabinet', 'cabinetC' => 45]]]]);
        $holds = self::holds($build->plan(), Operation::Cabinet, HoldKind::Touch);

        self::assertSame($build->at('19:00') + 60 * $touchMinutes + 3600 * $hoursMore, max(array_map(static fn (Hold $h): int => $h->untilEpoch, $holds)));
    }

    /** @return iterable<array{string, int, int}> */
    public static function cabinets(): iterable
    {
        yield ['lacquer red', 5, 1];
        yield ['alcohol sand', 10, 1];
        yield ['enamel brown', 360, 6];
    }

    public function test_a_banded_part_lowers_what_the_cabinet_may_be(): void
    {
        $build = self::body('sea grey', ['kit' => ['parts' => ['body' => ['substrate' => 'styrene', 'stressed' => true]]], 'log' => [['at' => '19:00', 'do' => 'into-cabinet', 'on' => ['side'], 'cabinetC' => 40]]]);
        $finding = self::said($build->plan(), 'heat-limit')[0];

        self::assertStringContainsString('35 °C at most', $finding->sentence);
        self::assertFalse($finding->acceptable);
    }

    public function test_alcohol_acrylic_blushes_near_the_dew_point(): void
    {
        $damp = self::body('alcohol sand', ['room' => [20, 82], 'log' => [self::coat('19:00', 'alcohol sand')]]);
        $dry = self::body('alcohol sand', ['room' => [20, 50], 'log' => [self::coat('19:00', 'alcohol sand')]]);

        self::assertStringContainsString('blushes', self::said($damp->plan(), 'room')[0]->sentence);
        self::assertSame([], self::said($dry->plan(), 'room'));
    }

    public function test_the_decals_wait_for_the_gloss_and_what_covers_them_for_a_day(): void
    {
        $build = self::body('lacquer red', ['log' => [self::coat('18:00', 'lacquer red'), self::coat('18:20', 'lacquer red')]], ['decals' => true, 'sheen' => 'matt']);
        $plan = $build->plan();
        self::assertSame($build->at('18:20') + 6 * 3600, self::holds($plan, Operation::Decal, HoldKind::TapeSafe)[0]->untilEpoch);
        $decal = self::steps($plan, Operation::Decal)[0];

        self::assertGreaterThanOrEqual($decal->endEpoch + 86400, self::steps($plan, Operation::Final)[0]->startEpoch);
    }

    public function test_the_sheen_of_the_paint_decides_whether_gloss_is_wanted(): void
    {
        self::assertSame([], self::steps(self::body('lacquer red', [], ['decals' => true])->plan(), Operation::Gloss));
        self::assertCount(2, self::steps(self::body('sea grey', [], ['decals' => true])->plan(), Operation::Gloss));
    }

    public function test_house_rules_decide_primer_and_rounds(): void
    {
        $plan = static fn (array $house): Plan => self::body('sea grey', ['house' => $house])->plan();

        self::assertCount(2, self::steps($plan([]), Operation::Prime));
        self::assertCount(0, self::steps($plan(['primer' => 'never']), Operation::Prime));
        self::assertCount(0, self::steps($plan(['primer' => 'where-needed']), Operation::Prime));
        self::assertCount(2, self::steps(self::body('band yellow', ['house' => ['primer' => 'where-needed']])->plan(), Operation::Prime));
        self::assertCount(1, self::steps($plan([]), Operation::Inspect));
        self::assertCount(0, self::steps($plan(['inspection' => 'none']), Operation::Inspect));
    }

    public function test_red_plastic_takes_four_coats_of_primer(): void
    {
        $plan = self::body('sea grey', ['kit' => ['parts' => ['body' => ['substrate' => 'styrene', 'mouldedColour' => '#B01A20']]]])->plan();

        self::assertCount(4, self::steps($plan, Operation::Prime));
    }

    #[DataProvider('washes')]
    public function test_the_wash_follows_the_house_rule(string $position, string $paint): void
    {
        $plan = self::body('sea grey', ['house' => ['wash' => $position]], ['wash' => 'pin'])->plan();

        self::assertSame($paint, self::steps($plan, Operation::PinWash)[0]->step->product?->name);
    }

    /** @return iterable<array{string, string}> */
    public static function washes(): iterable
    {
        yield ['oil', 'oil umber'];
        yield ['enamel', 'enamel wash'];
        yield ['acrylic', 'acrylic wash'];
    }

    public function test_faces_painted_without_plugs_are_scraped_before_they_are_glued(): void
    {
        $build = new Build(['kit' => ['parts' => ['body' => 'styrene', 'float' => 'styrene'], 'joints' => ['strut' => ['parts' => ['body', 'float'], 'closed' => 'after', 'glue' => 'thin-cement']], 'colours' => ['c' => 'sea grey'], 'areas' => ['side' => ['part' => 'body', 'colour' => 'c']]], 'log' => [self::coat('18:00', 'sea grey')]]);
        $scrape = self::steps($build->plan(), Operation::Scrape)[0];
        $attach = self::steps($build->plan(), Operation::Attach)[0];

        self::assertContains($scrape->step->key, $attach->waitsOn());
    }

    public function test_an_accepted_finding_lapses_when_its_facts_change(): void
    {
        $build = self::body('sea grey', ['kit' => ['pins' => [['operation' => 'gloss', 'present' => false]]]], ['decals' => true, 'sheen' => 'matt']);
        $finding = self::said($build->plan(), 'gloss-before-decal')[0];
        $build->edit([Edit::add('accepted', ['id' => Id::from('yes'), 'finding' => $finding->key, 'facts' => $finding->facts, 'reason' => 'Trimmed close'])]);
        self::assertSame('Trimmed close', self::said($build->plan(), 'gloss-before-decal')[0]->accepted);

        $build->edit([Edit::set('colours', $build->id('colour c'), 'product', $build->id('ground white'))]);
        self::assertNull(self::said($build->plan(), 'gloss-before-decal')[0]->accepted);
    }

    public function test_an_order_that_contradicts_the_trade_is_told_as_a_chain_and_cannot_be_accepted(): void
    {
        $build = self::body('sea grey', ['kit' => ['orders' => [['first' => 'body/colour/c/1', 'then' => 'body/prime/all/1']]]]);
        $finding = array_values(array_filter($build->plan()->findings, static fn (Finding $f): bool => $f->severity === Severity::Stop))[0];

        self::assertStringContainsString('You want it first.', $finding->sentence);
        self::assertFalse($finding->acceptable);
        self::assertSame('Take your order back', $finding->fixes[0]->title);
    }

    public function test_your_not_before_is_kept(): void
    {
        $build = self::body('sea grey', ['kit' => ['notBefore' => [['step' => 'body/colour/c/1', 'at' => '2026-03-20 19:30']]]]);

        self::assertSame((int) strtotime('2026-03-20 19:30'), self::steps($build->plan(), Operation::Colour)[0]->startEpoch);
    }

    public function test_a_colour_that_must_match_but_is_kept_apart_is_a_thing_to_think_about(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'styrene', 'float' => 'styrene'], 'colours' => ['c' => ['product' => 'sea grey', 'mustMatch' => true]], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'c'], 'keel' => ['part' => 'float', 'colour' => 'c']], 'notBefore' => [['step' => 'float/colour/c/1', 'at' => '2026-03-20 19:30']]]]);
        $finding = self::said($build->plan(), 'same-colour-together')[0];

        self::assertSame(Severity::Think, $finding->severity);
        self::assertStringContainsString('days later', $finding->sentence);
    }

    public function test_rules_have_ids_of_their_own_and_their_order_changes_nothing(): void
    {
        $rules = RuleBook::ofTheTrade()->rules;
        $ids = array_map(static fn ($r): string => $r->id(), $rules);
        self::assertSame($ids, array_unique($ids));

        $build = self::body('enamel brown', [], ['decals' => true, 'wash' => 'pin', 'sheen' => 'matt']);
        $compile = static fn (RuleBook $book): Plan => (new Compiler($book))->plan(Problem::of($build->kit, $build->kit->house, $build->shelf, [], \AmberStep\Core\Drying\Room::reference($build->now), $build->now, $build->experience, $book), \AmberStep\Core\Timing\Calendar::usual($build->zone));
        $one = $compile(new RuleBook($rules));
        $other = $compile(new RuleBook(array_reverse($rules)));

        $told = static fn (Plan $plan): array => array_map(static fn (PlannedStep $p): array => [$p->startEpoch, $p->endEpoch, array_column($p->reasons(), 'sentence')], $plan->left);
        self::assertSame($told($one), $told($other), 'order, times and reasons');
        self::assertSame(array_column($one->findings, 'key'), array_column($other->findings, 'key'));
    }

    public function test_a_stay_is_never_said_as_short_as_what_it_overstays(): void
    {
        $stays = static function (string $on, string $medium): array {
            $build = new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['pale' => 'pale grey', 'green' => 'slate green'], 'areas' => ['lower' => ['part' => 'hull', 'colour' => 'pale'], 'upper' => ['part' => 'hull', 'colour' => 'green']], 'edges' => [['lower', 'upper', 100, 'soft']]],
                'log' => [...array_map(static fn (string $at): array => ['at' => "2026-02-20 {$at}", 'do' => 'colour', 'on' => ['lower'], 'for' => 'pale', 'with' => 'pale grey'], ['19:00', '19:30']), ['at' => $on, 'do' => 'mask', 'on' => ['lower'], 'for' => 'green', 'medium' => $medium], ...array_map(static fn (string $at): array => ['at' => "2026-03-02 {$at}", 'do' => 'colour', 'on' => ['upper'], 'for' => 'green', 'with' => 'slate green'], ['19:10', '19:25'])]]);

            return array_map(static fn (Finding $f): array => [$f->title, explode(': ', $f->sentence)[1]], self::said($build->plan(), 'tape-overstays'));
        };

        self::assertSame([['Rolled putty stays on for 25 h', 'its oil goes into what is under it.']], $stays('2026-03-01 20:00', 'putty'));
        self::assertSame([], $stays('2026-03-02 18:00', 'putty'));
        self::assertSame([['Vinyl tape stays on for 4 d', 'its glue creeps and marks what is under it.']], $stays('2026-02-27 19:15', 'vinyl-tape'));
    }

    public function test_what_is_laid_too_early_is_laid_just_before_its_coat_and_what_makes_a_soft_edge_never_is(): void
    {
        foreach (['soft', 'hard'] as $edge) {
            $build = new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['pale' => 'pale grey', 'green' => 'slate green'], 'areas' => ['lower' => ['part' => 'hull', 'colour' => 'pale'], 'upper' => ['part' => 'hull', 'colour' => 'green']], 'edges' => [['lower', 'upper', 100, $edge]], 'pins' => [['operation' => 'mask', 'medium' => $edge === 'hard' ? 'vinyl-tape' : 'putty']], 'notBefore' => [['step' => 'hull/colour/green/1', 'at' => '2026-03-09T19:30:00Z']]],
                'log' => array_map(static fn (string $at): array => ['at' => "2026-02-20 {$at}", 'do' => 'colour', 'on' => ['lower'], 'for' => 'pale', 'with' => 'pale grey'], ['19:00', '19:30'])]);
            $after = $build->plan();
            if ($edge === 'hard') {
                $finding = self::said($after, 'tape-overstays')[0] ?? self::fail('silent');
                self::assertSame(['Lay it just before the coat', 'Cut film instead'], array_map(static fn ($f): string => $f->title, $finding->fixes));
                $after = $build->plan($build->kit->apply($finding->fixes[0]->edits));
            }

            self::assertSame([], self::said($after, 'tape-overstays'), 'it does not stay too long any more');
            self::assertSame('2026-03-09', gmdate('Y-m-d', self::steps($after, Operation::Mask)[0]->startEpoch));
        }
    }

    public function test_a_plug_does_not_go_into_the_bath(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'styrene', 'turret' => 'styrene'], 'joints' => ['ring' => ['parts' => ['hull', 'turret'], 'closed' => 'after', 'glue' => 'thin-cement']], 'colours' => ['c' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'c'], 'roof' => ['part' => 'turret', 'colour' => 'c']]]]);
        $plugs = self::steps($build->plan(minutes: null), Operation::MaskFaces);

        self::assertCount(2, $plugs);
        foreach ($plugs as $plug) {
            self::assertContains('Plugs do not go into the bath.', array_map(static fn ($reason): string => $reason->sentence, $plug->reasons()));
        }
    }
}
