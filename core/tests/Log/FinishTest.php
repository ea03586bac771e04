<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Log;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Layering\Grounds;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\Fault;
use AmberStep\Core\Log\Finish;
use AmberStep\Core\Log\Log;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Tests\Support\Build;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a finish sheet is made of: coats from the bottom up, faults, what was taken as it is; and what a colour is laid on. */
final class FinishTest extends TestCase
{
    /** @param  list<array<string, mixed>>  $log */
    private static function build(array $log = []): Build
    {
        return new Build(['zone' => 'Europe/Lisbon', 'kit' => ['parts' => ['body' => ['substrate' => 'styrene', 'mouldedColour' => '#112233'], 'lid' => 'styrene'], 'joints' => ['rim' => ['parts' => ['lid', 'body'], 'kind' => 'seam', 'closed' => 'before', 'glue' => 'thin-cement', 'gapMm' => 0.2, 'lengthCm' => 5]], 'colours' => ['grey' => 'sea grey', 'white' => 'ground white'], 'areas' => ['side' => ['part' => 'body', 'cm2' => 40, 'colour' => 'grey'], 'top' => ['part' => 'lid', 'cm2' => 20, 'colour' => 'grey', 'ground' => 'white']]], 'log' => $log]);
    }

    private static function finish(Build $build): Finish
    {
        return Finish::of($build->kit, $build->shelf, $build->events, Log::replay($build->events, $build->kit, $build->shelf, $build->now), $build->now);
    }

    public function test_a_build_with_nothing_done_has_an_empty_sheet(): void
    {
        $sheet = self::finish(self::build());

        self::assertSame([[], [], [], [], [], 0, null, null], [$sheet->coats, $sheet->good, $sheet->fillers, $sheet->faults, $sheet->accepted, $sheet->evenings, $sheet->firstEpoch, $sheet->lastEpoch]);
    }

    public function test_coats_come_in_the_order_they_were_laid_with_fewest_and_most(): void
    {
        $coat = static fn (string $at, string $do, array $on, string $with, string $for = 'all'): array => ['at' => $at, 'do' => $do, 'on' => $on, 'with' => $with, 'for' => $for, 'coat' => 'light'];
        $build = self::build([
            $coat('2026-02-20 23:30', 'prime', ['side', 'top'], 'grey primer'),
            $coat('2026-02-21 00:15', 'ground', ['top'], 'ground white', 'white'),
            $coat('2026-02-22 19:00', 'colour', ['side', 'top'], 'sea grey', 'grey'),
            $coat('2026-02-22 19:30', 'colour', ['side'], 'sea grey', 'grey'),
            ['at' => '2026-02-22 20:00', 'do' => 'reading', 'temperatureC' => 20, 'humidity' => 0.5],
            ['at' => '2026-02-25 20:00', 'do' => 'note', 'note' => 'thinking'],
        ]);
        $sheet = self::finish($build);

        self::assertSame([['prime', 'grey primer', ['side', 'top'], 1, 1], ['ground', 'ground white', ['top'], 1, 1], ['colour', 'sea grey', ['side', 'top'], 1, 2]], array_map(static fn (array $c): array => [$c[0]->value, $c[2]?->name, $c[3], $c[4], $c[5]], $sheet->coats));
        self::assertSame(3, $sheet->evenings, 'days in the user\'s zone; a reading and a note are no work');
        self::assertSame([$build->at('2026-02-20 23:30'), $build->at('2026-02-22 19:30')], [$sheet->firstEpoch, $sheet->lastEpoch]);
    }

    public function test_faults_places_and_what_was_taken_as_it_is_are_told_by_their_last_word(): void
    {
        $said = static fn (string $at, string $verdict, ?string $note = null): array => ['at' => $at, 'do' => 'verdict', 'verdict' => $verdict, 'on' => ['rim'], ...($note === null ? [] : ['note' => $note])];
        $build = self::build([
            ['at' => '2026-02-20 19:00', 'do' => 'fill', 'on' => ['rim'], 'for' => 'all', 'filler' => 'solvent-putty'],
            $said('2026-02-21 19:00', 'accept', 'The rim is turned away.'),
            ['at' => '2026-02-22 19:00', 'do' => 'fault', 'fault' => 'run', 'on' => ['side'], 'with' => 'sea grey'],
        ]);
        $sheet = self::finish($build);
        self::assertSame([['what' => 'Rim', 'reason' => 'The rim is turned away.']], $sheet->accepted);
        self::assertSame([Fault::Run, 'sea grey', ['solvent-putty'], []], [$sheet->faults[0][1], $sheet->faults[0][3]?->name, array_column($sheet->fillers, 'value'), $sheet->good]);

        $build->record($said('2026-02-23 19:00', 'good'));
        self::assertSame([[], ['rim']], [self::finish($build)->accepted, self::finish($build)->good], 'judged again it is good');
        $build->record(['at' => '2026-02-24 19:00', 'do' => 'take-back', 'back' => 3]);
        self::assertSame([], self::finish($build)->faults, 'taken back it never was');

        $build->edit([Edit::add('accepted', ['id' => Id::from('a'), 'finding' => 'film-budget:'.$build->id('side').','.$build->id('gone'), 'facts' => 'x', 'reason' => 'It is a tanker.'])]);
        self::assertSame([['what' => 'Film budget on side', 'reason' => 'It is a tanker.']], self::finish($build)->accepted, 'what is gone is not named');
    }

    public function test_a_colour_is_laid_on_its_ground_its_primer_or_the_plastic(): void
    {
        $build = self::build();
        $grounds = static function (Plan $plan): array {
            $painted = array_filter($plan->context->kit->areas, static fn (Area $a): bool => $a->intent->colour === $plan->context->kit->colours[0]->id && $a->isPainted());

            return array_column(array_map(static fn (Area $a): array => Grounds::ofArea($a, $plan->final, $plan->context->kit), $painted), 1, 0);
        };
        self::assertSame(['grey primer' => '#9B9B9B', 'ground white' => '#F5F5F0'], $grounds($build->plan()));
        $bare = $build->kit->apply([Edit::add('pins', ['id' => Id::from('p'), 'operation' => 'prime', 'present' => false])]);
        self::assertSame(['the plastic' => '#112233', 'ground white' => '#F5F5F0'], $grounds($build->plan($bare)));
    }

    /** @return iterable<string, array{mixed, bool}> */
    public static function pours(): iterable
    {
        yield 'none' => [null, true];
        yield 'some' => [[1, 0.5, 0], true];
        yield 'words' => [['much'], false];
        yield 'below zero' => [[-1], false];
        yield 'too many' => [array_fill(0, 9, 1), false];
        yield 'no list' => [3, false];
    }

    #[DataProvider('pours')]
    public function test_what_was_poured_is_a_short_list_of_numbers(mixed $poured, bool $read): void
    {
        $event = ['id' => Id::from('e'), 'kind' => 'mixed', 'at' => '2026-03-02T19:00:00Z', 'product' => Id::from('p'), 'poured' => $poured];
        try {
            $made = Event::fromArray($event);
            self::assertTrue($read);
            self::assertSame(array_map(floatval(...), (array) $poured), $made->poured);
            self::assertEquals($made, Event::fromArray($made->toArray()));
        } catch (BadDocument $e) {
            self::assertFalse($read, $e->problems[0]->wrong);
            self::assertSame(['poured', 'is no list of numbers'], [$e->problems[0]->path, $e->problems[0]->wrong]);
        }
    }
}
