<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Mixing\Jar;
use AmberStep\Core\Mixing\Need;

/** A cup while the plan is made: it grows with each coat that is sprayed out of it. */
final class PlannedCup
{
    /** @var list<Need> of the coats so far */
    private array $needs = [];

    private int $fillings = 1;

    private bool $gunIsEmpty = false;

    /** @param  int  $n  which cup of its paint it is, from 1 */
    public function __construct(public readonly Jar $jar, public readonly int $n, public readonly string $pieceId, public readonly int $startEpoch, public readonly int $endEpoch)
    {
    }

    public function sprayed(Need $need): void
    {
        $this->needs[] = $need;
        $this->fillings += $this->gunIsEmpty ? 1 : 0;
        $this->gunIsEmpty = false;
    }

    /** The gun was cleaned: what stands in the pot fills it again. */
    public function gunCleaned(): void
    {
        $this->gunIsEmpty = $this->needs !== [];
    }

    /** @param  float|null  $livesMinutes  once mixed; null: no hardener in it */
    public function cup(?float $livesMinutes): Cup
    {
        $first = $this->needs[0] ?? null;

        return new Cup(Need::together($this->needs, $this->fillings, $this->jar->product->isOwnMix() && ! ($this->jar->product->levelMl > 0)), $first === null ? 0.0 : $first->thinnerPerPaint, count($this->needs), $livesMinutes);
    }
}
