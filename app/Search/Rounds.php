<?php

declare(strict_types=1);

namespace App\Search;

use App\Models\Hint;

/**
 * Rounds a state was searched for: first ways of deciding, until one finds nothing better, then orders, until some in a row
 * find nothing. While a show is missed, ways are looked for as often as may be.
 */
final readonly class Rounds
{
    /** Rounds of either at most. */
    private const MOST = 12;

    /** The same while a show is missed. */
    private const FOR_A_SHOW = 8;

    /** Rounds in a row that find no better order, after which none is looked for. */
    private const IDLE = 2;

    /** Seed of the first round; each has its own, so that the same state is searched the same way. */
    private const SEED = 7;

    private function __construct(private int $ways, private int $orders, private int $idle, private bool $waysDone, public bool $done)
    {
    }

    public static function none(): self
    {
        return new self(0, 0, 0, false, false);
    }

    public static function all(): self
    {
        return new self(0, 0, 0, true, true);
    }

    public static function of(?Hint $row, string $state): self
    {
        if ($row?->state !== $state) {
            return self::none();
        }
        $of = $row->hints['rounds'] ?? null;

        return $of === null ? self::all() : new self($of['ways'], $of['orders'], $of['idle'], $of['waysDone'], $of['done']);
    }

    public function looksForOrders(): bool
    {
        return $this->waysDone;
    }

    public function seed(): int
    {
        return self::SEED + $this->ways + $this->orders;
    }

    /**
     * @param  bool  $better  what was found
     * @param  bool  $isLate  before that a show is missed
     * @param  bool  $isShort  there is so little to do that its order is looked for with the ways
     */
    public function next(bool $better, bool $isLate, bool $isShort = false): self
    {
        if (! $this->waysDone) {
            $ways = $this->ways + 1;
            $done = $better ? $ways >= self::MOST : ! $isLate || $ways >= self::FOR_A_SHOW;

            return new self($ways, 0, 0, $done, $done && $isShort);
        }
        $orders = $this->orders + 1;
        $idle = $better ? 0 : $this->idle + 1;

        return new self($this->ways, $orders, $idle, true, $idle >= self::IDLE || $orders >= self::MOST);
    }

    /** @return array{ways: int, orders: int, idle: int, waysDone: bool, done: bool} */
    public function kept(): array
    {
        return ['ways' => $this->ways, 'orders' => $this->orders, 'idle' => $this->idle, 'waysDone' => $this->waysDone, 'done' => $this->done];
    }
}
