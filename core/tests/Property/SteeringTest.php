<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Property;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\HouseBook;
use AmberStep\Core\Kit\KitDiff;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Section\Section;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Tests\Support\RandomBuild;
use AmberStep\Core\Work\Operation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A plan steered at random, by pins, orders, times and house rules, is still a plan; and taken back it is the one before. */
final class SteeringTest extends TestCase
{
    #[DataProvider('seeds')]
    public function test_what_is_steered_is_planned_drawn_and_taken_back(int $seed): void
    {
        $random = new RandomBuild($seed);
        $build = new Build($random->said());
        $kit = $build->kit;
        $before = $build->plan();
        $edits = $this->steer($random, $before, $seed);
        [$steered, $inverse] = $kit->applyWithInverse($edits);
        $plan = $build->plan($steered);

        self::assertSame(array_keys($plan->left), array_keys($build->plan($steered)->left), "seed {$seed}: steered twice, planned twice otherwise");
        self::assertCount(count($steered->areas), Section::of($plan)->columns, "seed {$seed}");
        $this->ordersAreKeptOrStopped($plan, $seed);
        $this->timesAreKept($plan, $seed);
        $this->pinsAreKept($plan, $seed);
        self::assertSame([], KitDiff::edits($kit, $steered->apply($inverse)), "seed {$seed}: not taken back");
        self::assertSame(array_keys($before->left), array_keys($build->plan($steered->apply($inverse))->left), "seed {$seed}: another plan than before");
    }

    #[DataProvider('seeds')]
    public function test_an_order_or_a_time_the_plan_has_already_is_no_stop_and_loses_no_work(int $seed): void
    {
        $random = new RandomBuild($seed);
        $build = new Build($random->said());
        $before = $build->plan();
        $two = array_slice($random->shuffled($before->byTime()), 0, 2);
        usort($two, static fn (PlannedStep $a, PlannedStep $b): int => [$a->startEpoch, $a->place] <=> [$b->startEpoch, $b->place]);
        $edits = [Edit::add('notBefore', ['id' => $build->id('a time'), 'step' => $two[0]->step->key, 'at' => gmdate('Y-m-d\TH:i:s\Z', $two[0]->startEpoch)])];
        if (isset($two[1])) {
            $edits[] = Edit::add('orders', ['id' => $build->id('an order'), 'first' => $two[0]->step->key, 'then' => $two[1]->step->key]);
        }
        $build->edit($edits);
        $after = $build->plan();

        self::assertEqualsCanonicalizing(array_keys($before->left), array_keys($after->left), "seed {$seed}");
        self::assertSame(count($before->stops()), count($after->stops()), "seed {$seed}: what is so already can be asked for");
    }

    /** @return list<Edit> */
    private function steer(RandomBuild $random, Plan $plan, int $seed): array
    {
        $id = static fn (int $n): string => sprintf('01S%07d%016d', $seed, $n);
        $keys = array_map(strval(...), array_keys(array_filter($plan->left, static fn (PlannedStep $p): bool => ! $p->step->isRemedy())));
        $piece = $random->one(array_map(static fn ($p): string => $p->id, $plan->context->breakdown->pieces));
        $question = $random->one(array_values(HouseBook::questions()));
        $edits = [
            Edit::add('pins', ['id' => $id(1), 'operation' => $random->one([Operation::Colour, Operation::Prime, Operation::Final])->value, 'target' => $piece, 'coats' => $random->one([1, 3, 6])]),
            Edit::add('pins', ['id' => $id(2), 'operation' => Operation::Mask->value, 'medium' => $random->one(Medium::cases())->value]),
            Edit::add('pins', ['id' => $id(3), 'operation' => $random->one([Operation::Colour, Operation::Gloss])->value, 'coatKind' => $random->one(CoatKind::cases())->value]),
            Edit::house($question->id, $random->one($question->positions)->id),
        ];
        if (count($keys) > 1) {
            [$first, $then] = [$random->one($keys), $random->one($keys)];
            $edits[] = Edit::add('orders', ['id' => $id(4), 'first' => $first, 'then' => $then]);
            $edits[] = Edit::add('notBefore', ['id' => $id(5), 'step' => $random->one($keys), 'at' => gmdate('Y-m-d\TH:i:s\Z', $plan->nowEpoch + 86400 * $random->one([1, 3, 9]))]);
        }

        return $edits;
    }

    private function ordersAreKeptOrStopped(Plan $plan, int $seed): void
    {
        foreach ($plan->context->kit->orders as $order) {
            $first = $plan->left[$order->first] ?? null;
            $then = $plan->left[$order->then] ?? null;
            if ($first !== null && $then !== null && $first !== $then && $first->startEpoch > $then->startEpoch) {
                self::assertNotSame([], array_filter($plan->stops(), static fn ($f): bool => ! $f->acceptable), "seed {$seed}: an order is broken in silence");
            }
        }
    }

    private function timesAreKept(Plan $plan, int $seed): void
    {
        foreach ($plan->context->kit->notBefore as $pin) {
            if (isset($plan->left[$pin->step])) {
                self::assertGreaterThanOrEqual($pin->atEpoch, $plan->left[$pin->step]->startEpoch, "seed {$seed}: begun too soon");
            }
        }
    }

    private function pinsAreKept(Plan $plan, int $seed): void
    {
        foreach ($plan->context->kit->pins as $pin) {
            foreach ($pin->coats === null || $pin->target === null ? [] : $plan->left as $planned) {
                if ($planned->step->operation === $pin->operation && $planned->step->pieceId === $pin->target && ! $planned->step->isRemedy()) {
                    self::assertSame($pin->coats, $planned->step->of, "seed {$seed}: {$planned->step->key}");
                }
            }
        }
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 701; $seed <= 740; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }
}
