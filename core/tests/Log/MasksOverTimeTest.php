<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Log;

use AmberStep\Core\Log\AreaState;
use AmberStep\Core\Log\Log;
use AmberStep\Core\Log\MaskStay;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Masks that lie on an area, and those that lay there and came off. */
final class MasksOverTimeTest extends TestCase
{
    /**
     * @param  list<array<string, mixed>>  $log
     * @param  list<string>  $on  media that lie there at the end
     * @param  list<array{string, string, string}>  $past  medium, from and until
     */
    #[DataProvider('logs')]
    public function test_a_log_tells_which_masks_lay_when(array $log, array $on, array $past): void
    {
        $build = $this->build($log);
        $state = $this->state($build);

        self::assertSame($on, array_values(array_map(static fn ($m): string => $m->medium->value, $state->masks)));
        self::assertSame($past, array_map(static fn (MaskStay $s): array => [$s->mask->medium->value, gmdate('H:i', $s->mask->atEpoch), gmdate('H:i', $s->offEpoch)], $state->masksPast));
    }

    /** @return iterable<string, array{list<array<string, mixed>>, list<string>, list<array{string, string, string}>}> */
    public static function logs(): iterable
    {
        $on = static fn (string $at, string $medium = 'paper-tape', string $for = 'grey'): array => ['at' => $at, 'do' => 'mask', 'on' => ['side'], 'for' => $for, 'medium' => $medium];
        $off = static fn (string $at, ?string $for = 'grey'): array => array_filter(['at' => $at, 'do' => 'unmask', 'on' => ['side'], 'for' => $for], static fn ($v): bool => $v !== null);
        yield 'on and still on' => [[$on('18:00')], ['paper-tape'], []];
        yield 'on and off' => [[$on('18:00'), $off('19:00')], [], [['paper-tape', '18:00', '19:00']]];
        yield 'off that was never on' => [[$off('19:00')], [], []];
        yield 'retaped without being taken off' => [[$on('18:00'), $on('18:30', 'vinyl-tape')], ['vinyl-tape'], [['paper-tape', '18:00', '18:30']]];
        yield 'twice on and off' => [[$on('17:00'), $off('17:30'), $on('18:00', 'cut-film'), $off('18:30')], [], [['paper-tape', '17:00', '17:30'], ['cut-film', '18:00', '18:30']]];
        yield 'everything off at once, for nothing named' => [[$on('18:00'), $off('19:00', null)], [], [['paper-tape', '18:00', '19:00']]];
    }

    public function test_taking_the_record_back_brings_the_mask_back(): void
    {
        $build = $this->build([['at' => '18:00', 'do' => 'mask', 'on' => ['side'], 'for' => 'grey', 'medium' => 'paper-tape'], ['at' => '19:00', 'do' => 'unmask', 'on' => ['side'], 'for' => 'grey'], ['at' => '19:10', 'do' => 'take-back', 'back' => 2]]);
        self::assertTrue($this->state($build)->isMasked());
        self::assertSame([], $this->state($build)->masksPast);
    }

    public function test_the_planned_surface_knows_the_masks_to_come_and_the_real_one_does_not(): void
    {
        $build = new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['pale' => 'pale grey', 'green' => 'slate green'], 'areas' => ['a' => ['part' => 'hull', 'colour' => 'pale'], 'b' => ['part' => 'hull', 'colour' => 'green']], 'edges' => [['a', 'b', 90, 'hard']]]]);
        $plan = $build->plan();

        self::assertCount(1, $plan->final->area($build->id('a'))->masksPast);
        self::assertSame([], $plan->context->surface->area($build->id('a'))->masksPast);
        $stay = $plan->final->area($build->id('a'))->masksPast[0];
        self::assertStringContainsString('/mask/', (string) $stay->mask->stepKey);
        self::assertStringContainsString('/unmask/', (string) $stay->offKey);
        self::assertGreaterThan($stay->mask->atEpoch, $stay->offEpoch);
    }

    public function test_a_copy_of_a_surface_keeps_its_own_masks(): void
    {
        $build = $this->build([['at' => '18:00', 'do' => 'mask', 'on' => ['side'], 'for' => 'grey', 'medium' => 'paper-tape']]);
        $surface = Log::replay($build->events, $build->kit, $build->shelf, $build->now);
        $copy = clone $surface;
        $copy->area($build->id('side'))->bare($build->id('colour grey'), $build->now, null);

        self::assertTrue($surface->area($build->id('side'))->isMasked());
        self::assertFalse($copy->area($build->id('side'))->isMasked());
        self::assertCount(1, $copy->area($build->id('side'))->masksPast);
    }

    /** @param  list<array<string, mixed>>  $log */
    private function build(array $log): Build
    {
        return new Build(['kit' => ['parts' => ['hull' => 'styrene'], 'colours' => ['grey' => 'sea grey'], 'areas' => ['side' => ['part' => 'hull', 'colour' => 'grey']]], 'log' => $log]);
    }

    private function state(Build $build): AreaState
    {
        return Log::replay($build->events, $build->kit, $build->shelf, $build->now)->area($build->id('side'));
    }
}
