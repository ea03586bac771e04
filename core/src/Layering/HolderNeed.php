<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Kit\Holder;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Work\Operation;

/** How many holders of one kind are in use at the same time, when most are, against those owned. */
final readonly class HolderNeed
{
    /**
     * @param  int  $atOnce  holders in use together, at the worst moment
     * @param  array<string, int>  $pieces  held then, and how many of each, by piece id
     * @param  array<string, string>  $names  by piece id
     */
    private function __construct(public Holder $holder, public int $atOnce, public int $owned, public array $pieces, private array $names)
    {
    }

    /**
     * @param  array<string, PlannedStep>  $left
     * @return list<self> kinds that are used at all
     */
    public static function all(Context $context, array $left): array
    {
        $stays = self::stays($context, $left);
        $needs = [];
        foreach (Holder::cases() as $holder) {
            $mine = array_filter($stays, static fn (array $s): bool => $s[0] === $holder);
            if ($mine !== []) {
                $needs[] = self::worst($holder, $mine, $context);
            }
        }

        return $needs;
    }

    public function short(): int
    {
        return max(0, $this->atOnce - $this->owned);
    }

    /** @return list<string> "boats (4)" */
    public function shortNames(): array
    {
        $words = [];
        foreach ($this->pieces as $id => $count) {
            $words[] = $this->names[$id].($count > 1 ? " ({$count})" : '');
        }

        return count($words) > 5 ? [...array_slice($words, 0, 4), (count($words) - 4).' more pieces'] : $words;
    }

    /**
     * Whether a piece still has paint or varnish to come.
     *
     * @param  list<PlannedStep>  $left  of the piece
     */
    public static function stillWants(array $left): bool
    {
        foreach ($left as $planned) {
            if ($planned->step->isSprayed()) {
                return true;
            }
        }

        return false;
    }

    /**
     * From when to when each piece is on its holder: from being mounted to its last coat.
     *
     * @param  array<string, PlannedStep>  $left
     * @return array<string, array{Holder, int, int, int}> holder, pieces, from, until; by piece id
     */
    private static function stays(Context $context, array $left): array
    {
        $from = $until = [];
        foreach ($left as $planned) {
            $id = $planned->step->pieceId;
            if ($planned->step->operation === Operation::Mount) {
                $from[$id] = $planned->startEpoch;
            } elseif ($planned->step->isSprayed() && $planned->step->phase === '') {
                $until[$id] = max($until[$id] ?? 0, $planned->endEpoch);
            }
        }
        $stays = [];
        foreach ($until as $id => $end) {
            $piece = $context->breakdown->byId[$id] ?? null;
            $holding = $piece === null ? null : Holding::of($piece, $context);
            // What stays on its sprue has its holder.
            $mounted = $context->steps->find("{$id}/mount/all/1") !== null;
            if ($holding?->holder !== null && $mounted) {
                $stays[$id] = [$holding->holder, $holding->pieces, $from[$id] ?? $context->nowEpoch, $end];
            }
        }

        return $stays;
    }

    /** @param  non-empty-array<string, array{Holder, int, int, int}>  $stays */
    private static function worst(Holder $holder, array $stays, Context $context): self
    {
        $most = [0, []];
        foreach ($stays as [, , $moment]) {
            $then = array_map(static fn (array $s): int => $s[1], array_filter($stays, static fn (array $s): bool => $s[2] <= $moment && $moment < $s[3]));
            $count = $holder->forPieces(array_sum($then));
            if ($count > $most[0]) {
                $most = [$count, $then];
            }
        }

        return new self($holder, $most[0], $context->kit->owned($holder), $most[1], array_map(static fn (string $id): string => $context->breakdown->byId[$id]->name, array_combine(array_keys($most[1]), array_keys($most[1]))));
    }
}
