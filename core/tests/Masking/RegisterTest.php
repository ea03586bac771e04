<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Masking;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problem;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Removal;
use AmberStep\Core\Lines\MaskLines;
use AmberStep\Core\Masking\Register;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Telling\Manner;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The register of masks: bought sets as typed, what has no mask, which hand, what is used up. */
final class RegisterTest extends TestCase
{
    public function test_a_bought_set_is_read_as_it_is_typed(): void
    {
        $read = array_map(static fn (array $m): string => trim("{$m['sheet']}/{$m['label']} {$m['what']} {$m['hand']->value} {$m['pair']}"), MaskLines::read("# bought in May\nsheet 4: 1-3 panes, 13 14 roundels x2, 15L 15R stripe\nSheet B2: 7"));

        self::assertSame([
            '4/1 panes none', '4/2 panes none', '4/3 panes none', '4/13 roundels none', '4/13 roundels none', '4/14 roundels none', '4/14 roundels none',
            '4/15L stripe port 15', '4/15R stripe starboard 15', 'B2/7  none',
        ], $read);
    }

    /** @return iterable<string, array{string, string}> */
    public static function unread(): iterable
    {
        yield 'no sheet' => ['1-12 panes', 'line 1: does not begin with its sheet; write it as sheet 4: 1-12 panes, 15L 15R stripe'];
        yield 'no number' => ['sheet 4: panes', 'line 1: has "panes", which has no number'];
        yield 'the wrong way round' => ['sheet 4: 12-1 panes', 'line 1: goes from 12 to 1'];
        yield 'twice' => ["sheet 4: 1-3 panes\nsheet 4: 2 roundel", 'text: has 2 of sheet 4 twice'];
        yield 'nothing' => ['  ', 'text: has no mask'];
        yield 'too many' => ['sheet 4: 1-399 panes, 400 401 rings x9', 'text: has 417 masks'];
    }

    #[DataProvider('unread')]
    public function test_what_cannot_be_read_is_said_with_its_line(string $text, string $said): void
    {
        try {
            MaskLines::read($text);
            self::fail('it was taken');
        } catch (BadDocument $e) {
            self::assertStringContainsString($said, implode("\n", array_map(static fn (Problem $p): string => $p->sentence(), $e->problems)));
        }
    }

    /** @param  list<array<string, mixed>>  $masks */
    private static function canopy(array $masks, array $log = []): Build
    {
        $panes = [];
        foreach (range(1, 8) as $n) {
            $panes["pane {$n}"] = ['part' => 'canopy', 'face' => 'pane', 'cm2' => 2];
        }

        return new Build(['kit' => ['parts' => ['canopy' => 'clear-styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['frame' => ['part' => 'canopy', 'colour' => 'grey', 'cm2' => 4], ...$panes], 'masks' => $masks], 'log' => $log]);
    }

    /** @return list<string> titles */
    private static function said(Plan $plan, string $rule): array
    {
        return array_values(array_map(static fn ($f): string => $f->title, array_filter($plan->findings, static fn ($f): bool => $f->rule === $rule && $f->stops())));
    }

    public function test_of_eight_panes_the_one_that_was_forgotten_is_a_stop(): void
    {
        $seven = array_map(static fn (int $n): array => ['label' => (string) $n, 'sheet' => '4', 'what' => 'pane', 'area' => "pane {$n}"], [1, 2, 3, 4, 5, 7, 8]);
        $build = self::canopy($seven);

        self::assertSame(['Pane 6 has no mask'], self::said($build->plan(), 'uncovered'));
        self::assertSame(['pane 6 has no mask.'], (new Register($build->kit, $build->plan()->context->surface))->says());
        self::assertSame([], self::said(self::canopy([...$seven, ['label' => '6', 'sheet' => '4', 'what' => 'pane', 'area' => 'pane 6']])->plan(), 'uncovered'));
        self::assertSame([], self::said(self::canopy([])->plan(), 'uncovered'), 'nobody counts where nothing is written down');
        $lost = $seven;
        $lost[0]['lost'] = true;
        self::assertSame(['Pane 1 has no mask', 'Pane 6 has no mask'], self::said(self::canopy($lost)->plan(), 'uncovered'));
    }

    public function test_a_pair_for_the_same_hand_is_a_stop_that_one_press_settles(): void
    {
        $build = self::canopy([['label' => '15L', 'sheet' => '4', 'what' => 'stripe', 'hand' => 'port', 'pair' => '15', 'area' => 'frame'], ['label' => '15R', 'sheet' => '4', 'what' => 'stripe', 'hand' => 'port', 'pair' => '15', 'area' => 'frame']]);
        $plan = $build->plan();
        $finding = array_values(array_filter($plan->findings, static fn ($f): bool => $f->rule === 'mask-hand'))[0];

        self::assertSame('Two masks for port in one pair', $finding->title);
        self::assertSame('15R stripe of sheet 4 is for starboard', $finding->fixes[0]->title);
        $build->kit = $build->kit->apply($finding->fixes[0]->edits);
        self::assertSame([], self::said($build->plan(), 'mask-hand'));
    }

    public function test_what_is_left_over_is_told_by_sheet(): void
    {
        $build = self::canopy([['label' => '1', 'sheet' => '4', 'what' => 'pane'], ['label' => '2', 'sheet' => '4', 'what' => 'pane'], ['label' => '13', 'sheet' => '4', 'what' => 'roundel'], ['label' => 'spiral', 'lost' => true]]);

        self::assertSame(['Left over of sheet 4, without a place: 1 and 2 (pane), 13 (roundel).', 'Lost: spiral.'], (new Register($build->kit, $build->plan()->context->surface))->says());
    }

    public function test_a_mask_is_spare_then_on_then_spent_as_the_log_has_it(): void
    {
        $masks = [['label' => '1', 'sheet' => '4', 'what' => 'pane', 'area' => 'pane 1']];
        $on = ['at' => '2026-03-02 18:00', 'do' => 'mask', 'on' => ['pane 1'], 'for' => 'panes', 'medium' => 'cut-film'];
        $state = static function (array $log) use ($masks): string {
            $build = self::canopy($masks, $log);

            return (new Register($build->kit, $build->plan()->context->surface))->state($build->kit->masks[0]);
        };

        self::assertSame('spare', $state([]));
        self::assertSame('on', $state([$on]));
        self::assertSame('spent', $state([$on, ['at' => '2026-03-02 19:00', 'do' => 'unmask', 'on' => ['pane 1'], 'for' => 'panes']]));
    }

    public function test_the_step_on_the_bench_names_the_mask_its_hand_and_where_it_begins(): void
    {
        $build = self::canopy([['label' => '3', 'sheet' => '4', 'what' => 'pane', 'area' => 'pane 3', 'hand' => 'port', 'start' => 'the front arch']]);
        $plan = $build->plan();
        $mask = array_values(array_filter($plan->left, static fn ($p): bool => $p->step->operation === Operation::Mask))[0]->step;

        self::assertContains('3 pane of sheet 4 on pane 3, port hand, begins at the front arch.', Manner::of($mask, $plan->context));
    }

    public function test_the_register_is_kept_with_the_kit_and_loses_what_it_speaks_of_with_it(): void
    {
        $build = self::canopy([['label' => '3', 'sheet' => '4', 'what' => 'pane', 'area' => 'pane 3', 'measures' => 'small=18, large=30', 'shape' => 'cone-band']]);
        $kit = Kit::fromArray(json_decode((string) json_encode($build->kit->toArray()), true));

        self::assertEquals($build->kit, $kit);
        self::assertNull($kit->apply(Removal::of($kit, 'areas', $build->id('pane 3')))->masks[0]->area);
        $this->expectException(BadDocument::class);
        $kit->apply([Edit::set('masks', $kit->masks[0]->id, 'area', '01K0000000000000000000ZZZZ')]);
    }
}
