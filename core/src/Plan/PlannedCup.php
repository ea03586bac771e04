<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Mixing\Jar;
use AmberStep\Core\Mixing\Need;
use AmberStep\Core\Step\Cup;
use AmberStep\Core\Step\Step;

/** A cup while the plan is made: it grows with each coat that is sprayed out of it. */
final class PlannedCup
{
    /** @var list<Need> of the coats so far */
    private array $needs = [];

    /** @var array<string, float> cm² of each surface, by its areas */
    private array $surfaces = [];

    private ?Step $first = null;

    private int $fillings = 1;

    private bool $gunIsEmpty = false;

    /** @param  int  $n  which cup of its paint it is, from 1 */
    public function __construct(public readonly Jar $jar, public readonly int $n, public readonly string $pieceId, public readonly int $startEpoch, public readonly int $endEpoch)
    {
    }

    /** @param  Step|null  $step  null: a coat of a build that is not looked into */
    public function sprayed(?Step $step, Need $need, string $surface): void
    {
        $this->first ??= $step;
        $this->needs[] = $need;
        $this->surfaces[$surface] = $need->cm2;
        $this->fillings += $this->gunIsEmpty ? 1 : 0;
        $this->gunIsEmpty = false;
    }

    /** The gun was cleaned: what stands in the pot fills it again. */
    public function gunCleaned(): void
    {
        $this->gunIsEmpty = $this->needs !== [];
    }

    /** The coat it is mixed for. */
    public function first(): ?Step
    {
        return $this->first;
    }

    /** With its spare for touch-ups where a mix of one's own is mixed anew. */
    private function ml(): float
    {
        $ml = Need::together($this->needs, $this->fillings, false);

        return $this->jar->isEnough($ml) ? $ml : Need::together($this->needs, $this->fillings, true);
    }

    /** @param  float|null  $livesMinutes  once mixed; null: no hardener in it */
    public function cup(?float $livesMinutes): Cup
    {
        $first = $this->needs[0] ?? throw new \LogicException('a cup is mixed for a coat');
        $cm2 = array_sum($this->surfaces);
        $laid = array_sum(array_map(static fn (Need $n): float => $n->cm2 * $n->microns, $this->needs));
        $thick = $cm2 > 0 ? $laid / $cm2 / $this->jar->product->family->figures()->referenceFilmMicrons : 0.0;

        return new Cup($this->ml(), $first->thinnerPerPaint, count($this->needs), $cm2, $thick, $first->tool, $livesMinutes);
    }
}
