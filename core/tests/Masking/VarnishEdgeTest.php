<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Masking;

use AmberStep\Core\Layering\Minutes;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Section\Stages\Frame;
use AmberStep\Core\Section\Stages\Showing;
use AmberStep\Core\Section\Stages\Shown;
use AmberStep\Core\Section\Stages\Strip;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;
use PHPUnit\Framework\TestCase;

/** Two sheens that meet on one piece (rule varnish-edge). */
final class VarnishEdgeTest extends TestCase
{
    /** @param  array<string, array<string, mixed>>  $areas */
    private static function plan(array $areas, array $edges = [['shell', 'trim', 120]]): Plan
    {
        return (new Build(['kit' => [
            'parts' => ['body' => 'styrene'], 'colours' => ['grey' => 'sea grey', 'green' => 'slate green', 'dark' => 'interior dark'],
            'areas' => array_map(static fn (array $a): array => ['part' => 'body', 'colour' => 'grey', ...$a], $areas), 'edges' => $edges,
        ]]))->plan();
    }

    /** @return list<string> titles of the last masks and final coats, as they are done */
    private static function last(Plan $plan): array
    {
        $seen = static fn (PlannedStep $p): bool => $p->step->operation === Operation::Final || in_array($p->step->purpose, ['gloss', 'satin', 'matt', 'as-it-is'], true);

        return array_map(static fn (PlannedStep $p): string => Words::title($p->step, $plan->context), array_values(array_filter($plan->byTime(), $seen)));
    }

    public function test_the_glossier_is_sprayed_first_and_capped_until_the_other_is_on(): void
    {
        $plan = self::plan(['shell' => ['cm2' => 40, 'sheen' => 'gloss'], 'trim' => ['cm2' => 12, 'sheen' => 'matt']]);

        self::assertSame(['Spray gloss, first light coat', 'Spray gloss, second wet coat', 'Cap shell with paper tape', 'Spray matt, first light coat', 'Spray matt, second light coat', 'Take the paper tape off shell'], self::last($plan));
    }

    public function test_sheens_that_do_not_meet_want_no_mask(): void
    {
        self::assertNotContains('Cap shell with paper tape', self::last(self::plan(['shell' => ['cm2' => 40, 'sheen' => 'gloss'], 'trim' => ['cm2' => 12, 'sheen' => 'matt']], [])));
        self::assertNotContains('Cap shell with paper tape', self::last(self::plan(['shell' => ['cm2' => 40, 'sheen' => 'gloss'], 'trim' => ['cm2' => 12, 'sheen' => 'matt']], [['shell', 'trim', 120, 'soft']])));
    }

    public function test_what_is_no_larger_than_two_square_centimetres_is_brushed_when_the_other_is_on(): void
    {
        $plan = self::plan(['shell' => ['cm2' => 40, 'sheen' => 'matt'], 'trim' => ['cm2' => 2, 'sheen' => 'gloss']]);

        self::assertSame(['Spray matt, first light coat', 'Spray matt, second light coat', 'Brush gloss varnish on trim'], self::last($plan));
        foreach ($plan->left as $planned) {
            if ($planned->step->operation === Operation::Final && ! $planned->step->isSprayed()) {
                self::assertLessThan(5, Minutes::of($planned->step, $plan->context->kit), 'no gun is loaded for it');
            }
        }
        self::assertContains('Cap trim with paper tape', self::last(self::plan(['shell' => ['cm2' => 40, 'sheen' => 'matt'], 'trim' => ['cm2' => 2.1, 'sheen' => 'gloss']])));
    }

    public function test_three_sheens_are_capped_one_after_the_other(): void
    {
        $titles = self::last(self::plan(['shell' => ['cm2' => 40, 'colour' => 'dark', 'sheen' => 'satin'], 'trim' => ['cm2' => 12, 'sheen' => 'matt'], 'lamp' => ['cm2' => 9, 'sheen' => 'gloss']], [['shell', 'trim', 120], ['shell', 'lamp', 50]]));
        $at = array_flip($titles);

        self::assertLessThan($at['Cap lamp with paper tape'], $at['Spray gloss, second wet coat']);
        self::assertLessThan($at['Spray satin, first light coat'], $at['Cap lamp with paper tape']);
        self::assertLessThan($at['Cap shell with paper tape'], $at['Spray satin, second light coat']);
        self::assertLessThan($at['Spray matt, first light coat'], $at['Cap shell with paper tape']);
        self::assertSame(['Take the paper tape off shell', 'Take the paper tape off lamp'], array_slice($titles, -2), 'newest first');
    }

    public function test_a_paint_that_shines_as_it_is_wanted_is_capped_and_one_nobody_asked_about_is_not(): void
    {
        self::assertContains('Cap trim with paper tape', self::last(self::plan(['shell' => ['cm2' => 40, 'sheen' => 'gloss'], 'trim' => ['cm2' => 12, 'colour' => 'dark', 'sheen' => 'matt']], [['shell', 'trim', 120]])));
        self::assertNotContains('Cap trim with paper tape', self::last(self::plan(['shell' => ['cm2' => 40, 'sheen' => 'gloss'], 'trim' => ['cm2' => 12, 'colour' => 'green']], [['shell', 'trim', 120]])));
    }

    public function test_a_varnish_is_a_frame_of_the_story(): void
    {
        $plan = self::plan(['shell' => ['cm2' => 40, 'sheen' => 'gloss'], 'trim' => ['cm2' => 12, 'colour' => 'dark', 'sheen' => 'satin']]);
        $frames = (new Strip($plan))->frames;

        self::assertSame(['gloss varnish', 'satin varnish', null], array_map(static fn (Frame $f): ?string => $f->colour?->name, array_slice($frames, -3)));
        $satin = $frames[count($frames) - 2];
        self::assertSame([], $satin->open());
        self::assertSame([Showing::Capped, Showing::Sprayed], array_map(static fn (Shown $s): Showing => $s->as, array_values($satin->pieces)[0]));
        self::assertCount(1, $satin->on);
    }

    public function test_left_open_it_is_shown_so(): void
    {
        $plan = (new Build(['kit' => [
            'parts' => ['body' => 'styrene'], 'colours' => ['grey' => 'sea grey', 'dark' => 'interior dark'],
            'areas' => ['shell' => ['part' => 'body', 'cm2' => 40, 'colour' => 'grey', 'sheen' => 'gloss'], 'trim' => ['part' => 'body', 'cm2' => 12, 'colour' => 'dark', 'sheen' => 'satin'], 'lamp' => ['part' => 'body', 'cm2' => 9, 'colour' => 'grey', 'sheen' => 'matt']],
            'edges' => [['shell', 'trim', 120], ['trim', 'lamp', 40]], 'pins' => [['operation' => 'mask', 'purpose' => 'gloss', 'present' => false]],
        ]]))->plan();
        $open = [];
        foreach ((new Strip($plan))->frames as $frame) {
            foreach ($frame->open() as $shown) {
                $open[] = "{$shown->area->name} under {$frame->colour?->name}";
            }
        }

        self::assertSame(['shell under satin varnish'], $open);
        self::assertNotSame([], array_filter($plan->findings, static fn (Finding $f): bool => $f->rule === 'varnish-edge' && $f->severity === Severity::Stop));
    }
}
