<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Log;

use AmberStep\Core\Log\Experience;
use AmberStep\Core\Log\Heard;
use AmberStep\Core\Log\Verdict;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\TestCase;

/** A paint that stayed soft on one build is waited for longer on the next. */
final class HeardTest extends TestCase
{
    private const KIT = ['parts' => ['hull' => 'styrene'], 'colours' => ['pale' => 'pale grey', 'green' => 'slate green'], 'areas' => ['lower' => ['part' => 'hull', 'colour' => 'pale'], 'upper' => ['part' => 'hull', 'colour' => 'green']], 'edges' => [['lower', 'upper', 100, 'hard']]];

    /** @param  list<array<string, mixed>>  $more */
    private static function build(array $more = []): Build
    {
        return new Build(['kit' => self::KIT, 'log' => [['at' => '2026-03-01 19:00', 'do' => 'colour', 'on' => ['lower'], 'for' => 'pale', 'with' => 'pale grey', 'coat' => 'mist'], ['at' => '2026-03-01 19:30', 'do' => 'colour', 'on' => ['lower'], 'for' => 'pale', 'with' => 'pale grey'], ...$more]]);
    }

    private static function soft(string $at = '2026-03-02 19:30'): array
    {
        return ['at' => $at, 'do' => 'verdict', 'on' => ['lower'], 'verdict' => 'soft', 'wait' => 'tape-safe'];
    }

    /** @return float what the wait before the tape is multiplied by */
    private static function learned(Plan $plan): float
    {
        foreach ($plan->left as $planned) {
            foreach ($planned->step->operation === Operation::Mask ? $planned->holds : [] as $hold) {
                if ($hold->wait !== null && $hold->kind->value === 'tape-safe') {
                    return $hold->wait->learnedFactor;
                }
            }
        }
        self::fail('no tape waits');
    }

    public function test_the_age_it_was_soft_at_is_told_in_typical_waits(): void
    {
        $build = self::build([self::soft()]);
        $heard = Heard::in($build->events, $build->shelf);

        self::assertCount(1, $heard);
        self::assertSame([$build->id('pale grey'), 'tape-safe', Verdict::Soft], [$heard[0]->product, $heard[0]->wait, $heard[0]->verdict]);
        self::assertEqualsWithDelta(1.0, $heard[0]->age, 1e-9, 'a day after the last coat, and 24 h is typical');
        self::assertSame([], Heard::in(self::build([self::soft(), ['at' => '2026-03-02 19:40', 'do' => 'take-back', 'back' => 3]])->events, $build->shelf), 'taken back, it was never said');
    }

    public function test_another_build_waits_longer_for_it_and_its_own_verdict_counts_once(): void
    {
        $other = self::build([self::soft()]);
        $heard = Heard::in($other->events, $other->shelf);
        $build = self::build();
        self::assertSame(1.0, self::learned($build->plan()));

        $elsewhere = array_map(static fn (Heard $h): Heard => new Heard('01F00000000000000000000009', $h->atEpoch, $h->product, $h->wait, $h->verdict, $h->age), $heard);
        $build->experience = new Experience(heard: $elsewhere);
        self::assertEqualsWithDelta(1.25, self::learned($build->plan()), 1e-9);

        $other->experience = new Experience(heard: $heard);
        self::assertEqualsWithDelta(1.25, self::learned($other->plan()), 1e-9);
        $build->experience = new Experience(heard: array_map(static fn (Heard $h): Heard => new Heard($h->eventId, $build->now + 60, $h->product, $h->wait, $h->verdict, $h->age), $elsewhere));
        self::assertSame(1.0, self::learned($build->plan()), 'what is found later teaches nothing yet');
    }
}
