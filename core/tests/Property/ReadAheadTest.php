<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Property;

use AmberStep\Core\Booklet\ColourLists;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Parking;
use AmberStep\Core\Layering\HolderNeed;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Tests\Support\Invariants;
use AmberStep\Core\Tests\Support\RandomReadAhead;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The invariants over kits with a booklet, and what holds of break-downs and lists whatever the kit. */
final class ReadAheadTest extends TestCase
{
    use Invariants;

    private const SEEDS = 120;

    private const PER_CASE = 20;

    #[DataProvider('seeds')]
    public function test_the_invariants_hold_with_a_booklet(int $from): void
    {
        for ($seed = $from; $seed < $from + self::PER_CASE; $seed++) {
            $random = new RandomReadAhead($seed);
            $build = $random->build();
            for ($i = $random->one([0, 2, 6, 15]); $i > 0; $i--) {
                $plan = $build->plan();
                if ($plan->left !== []) {
                    $this->doNext($build, $plan);
                }
                if ($random->chance(25)) {
                    $random->look($build);
                }
            }
            $this->theInvariantsHold($build, $build->plan(), $random->shuffled(...), $seed);
        }
    }

    #[DataProvider('seeds')]
    public function test_a_colour_is_closed_after_its_last_coat_and_nothing_parked_is_planned(int $from): void
    {
        for ($seed = $from; $seed < $from + self::PER_CASE; $seed++) {
            $build = (new RandomReadAhead($seed))->build();
            $plan = $build->plan();
            foreach ($plan->left as $planned) {
                $closing = $plan->left["{$planned->step->counted()}/close-colour/{$planned->step->counted()}/1"] ?? null;
                if ($closing !== null && $planned->step->operation === Operation::Colour && ! $planned->step->isRemedy()) {
                    self::assertLessThanOrEqual($closing->startEpoch, $planned->endEpoch, "seed {$seed}: {$planned->step->key} after its colour is closed");
                }
            }
            $parked = (new Parking($build->kit))->why;
            $touched = array_merge(...array_map(static fn (PlannedStep $p): array => [$p->step->pieceId, ...$p->step->targets], array_values($plan->left)), ...[[]]);
            self::assertSame([], array_intersect($touched, array_keys($parked)), "seed {$seed}: something parked is planned");
        }
    }

    #[DataProvider('seeds')]
    public function test_every_painted_area_is_on_its_colours_list_once(int $from): void
    {
        for ($seed = $from; $seed < $from + self::PER_CASE; $seed++) {
            $build = (new RandomReadAhead($seed))->build();
            $plan = $build->plan();
            $kit = $plan->context->kit;
            $lists = ColourLists::of($kit, new Breakdown($kit, $plan->context->house), $plan->context->surface);
            foreach ($kit->areas as $area) {
                if ($area->intent->colour === null) {
                    continue;
                }
                $number = $kit->partsById[$area->part]->number;
                $on = array_filter($lists->byColour[$area->intent->colour] ?? [], static fn ($i): bool => $i->id === $area->id || ($i->isCallout && $number !== null && strcasecmp((string) $i->number, $number) === 0));
                self::assertNotSame([], $on, "seed {$seed}: {$area->name} is on no list");
                self::assertLessThanOrEqual(1, count(array_filter($on, static fn ($i): bool => ! $i->isCallout)), "seed {$seed}");
            }
            foreach ($kit->callouts as $callout) {
                self::assertCount($callout->colour === null ? 0 : 1, array_filter($lists->all(), static fn ($i): bool => $i->id === $callout->id), "seed {$seed}: a call-out is listed once");
            }
        }
    }

    #[DataProvider('seeds')]
    public function test_holders_in_use_at_one_time_are_counted_like_a_register_would(int $from): void
    {
        for ($seed = $from; $seed < $from + self::PER_CASE; $seed++) {
            $plan = (new RandomReadAhead($seed))->build()->plan();
            foreach (HolderNeed::all($plan->context, $plan->left) as $need) {
                self::assertSame($need->holder->forPieces(array_sum($need->pieces)), $need->atOnce, "seed {$seed}");
                self::assertSame(max(0, $need->atOnce - $need->owned), $need->short());
                foreach (array_keys($need->pieces) as $piece) {
                    self::assertTrue(HolderNeed::stillWants(array_values(array_filter($plan->left, static fn ($p): bool => $p->step->pieceId === $piece))), "seed {$seed}: nothing is held that wants no paint");
                }
            }
        }
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($from = 1; $from <= self::SEEDS; $from += self::PER_CASE) {
            yield "seeds from {$from}" => [$from];
        }
    }
}
