<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Log\UseFactor;
use AmberStep\Core\Material\Tool;
use AmberStep\Core\Material\WashFigures;

/** How much to mix for a surface, as a sum that can be read: every line with its factor and where the factor comes from (handbook 4, Amount). */
final readonly class Need
{
    /** Less than this does not flow evenly. */
    public const LEAST_IN_THE_CUP = 0.5;

    /** A mixed colour keeps a fifth for touch-ups: it is never matched again. */
    public const RESERVE = 0.2;

    private function __construct(
        public float $cm2,
        public float $coats,
        public float $microns,
        public float $solids,
        public Tool $tool,
        public float $thinnerPerPaint,
        public float $dryMl,
        public float $neatMl,
        public float $mixMl,
        public float $keptMl,
        public float $reserveMl,
        public float $totalMl,
        public UseFactor $learned,
    ) {
    }

    /**
     * neat [ml] = area [cm²] x coats x dry film per coat [µm] x 1e-4 / (solids x transfer). 196 cm², 3 coats, 9 µm:
     * 0.529 ml dry; solids 0.22 and half of it arriving: 4.81 ml neat.
     *
     * @param  float  $cm2  above 0
     * @param  float  $coats  above 0; a mist counts half
     * @param  float  $microns  dry film of one coat, µm
     * @param  float  $solids  by volume, above 0 to 1
     * @param  float  $thinnerPerPaint  0 or more
     * @param  bool  $mixed  of more than one paint
     * @param  UseFactor|null  $learned  of this gun and family, in place of what is typical
     */
    public static function of(float $cm2, float $coats, float $microns, float $solids, Tool $tool, float $thinnerPerPaint, bool $mixed, ?UseFactor $learned = null): self
    {
        $learned ??= UseFactor::of([]);
        $dry = $cm2 * $coats * $microns * 1e-4;
        $neat = $dry / ($solids * $tool->transfer()) * $learned->factor;
        $mix = $tool->isAirbrush() ? $neat * (1 + $thinnerPerPaint) : $neat;
        $reserve = $mixed ? self::RESERVE * ($mix + $tool->keeps()) : 0.0;
        $total = $mix + $tool->keeps() + $reserve;

        return new self($cm2, $coats, $microns, $solids, $tool, $thinnerPerPaint, $dry, $neat, $mix, $tool->keeps(), $reserve, $tool->isAirbrush() ? max(self::LEAST_IN_THE_CUP, $total) : $total, $learned);
    }

    /** What a wash takes: little goes onto the model, and the palette keeps as much again (handbook 9). */
    public static function wash(float $cm2, WashFigures $figures): self
    {
        $ml = $cm2 / 100 * $figures->mlPer100Cm2;

        return new self($cm2, 1, $figures->filmMicrons, 1, Tool::Brush, 0, $cm2 * $figures->filmMicrons * 1e-4, $ml, $ml, WashFigures::PALETTE, 0, $ml + WashFigures::PALETTE, UseFactor::of([]));
    }

    /**
     * ml to mix for several coats out of one cup: the gun keeps its share at each filling, not at each coat.
     *
     * @param  list<self>  $needs  of one paint
     * @param  int  $fillings  of the gun, 1 or more
     * @param  bool  $mixed  of more than one paint, and none of it kept: with its spare for touch-ups
     */
    public static function together(array $needs, int $fillings, bool $mixed): float
    {
        $ml = array_sum(array_map(static fn (self $n): float => $n->mixMl, $needs)) + $fillings * ($needs[0]->keptMl ?? 0.0);

        return max(self::LEAST_IN_THE_CUP, $ml * ($mixed ? 1 + self::RESERVE : 1));
    }

    /** ml of mix as the table alone would have it: what was used is held against this, or one lesson would be learned twice. */
    public function plainMl(): float
    {
        return self::of($this->cm2, $this->coats, $this->microns, $this->solids, $this->tool, $this->thinnerPerPaint, $this->reserveMl > 0)->totalMl;
    }

    /** The sum in one line, for a step's card. */
    public function words(): string
    {
        $learned = $this->learned->jobs === 0 ? '' : sprintf(', × %.2f as this gun takes it (%d %s)', $this->learned->factor, $this->learned->jobs, $this->learned->jobs === 1 ? 'job' : 'jobs');

        return sprintf('%g cm² × %g µm, %d %% solids, %d %% reaches the model%s: %.2f ml neat; thinned, and 0.3 ml stays in the gun', round($this->cm2, 1), round($this->coats * $this->microns, 1), round($this->solids * 100), round($this->tool->transfer() * 100), $learned, $this->neatMl);
    }

    /** @return list<array{string, float, string}> what, ml, and where its figure comes from */
    public function lines(): array
    {
        return [
            [sprintf('%g cm² × %g %s × %g µm dry', round($this->cm2, 1), round($this->coats, 2), round($this->coats, 2) === 1.0 ? 'coat' : 'coats', round($this->microns, 1)), $this->dryMl, 'area as said; film typical of the family'],
            [sprintf('%d %% solids, %d %% reaches the model', round(100 * $this->solids), round(100 * $this->tool->transfer())), $this->neatMl / $this->learned->factor, "typical of the family; {$this->tool->word()}"],
            ...($this->learned->jobs > 0 ? [[sprintf('× %.2f, as this gun really takes it', $this->learned->factor), $this->neatMl, $this->learned->jobs === 1 ? 'learned from one job' : "learned from {$this->learned->jobs} jobs"]] : []),
            ...($this->tool->isAirbrush() && $this->thinnerPerPaint > 0 ? [[sprintf('thinned, %g thinner to 1 paint', round($this->thinnerPerPaint, 2)), $this->mixMl, 'the recipe']] : []),
            ...($this->keptMl > 0 ? [[$this->tool === Tool::Brush ? 'the palette keeps' : 'cup and needle keep', $this->keptMl, 'typical']] : []),
            ...($this->reserveMl > 0 ? [['spare for touch-ups, mixed colour', $this->reserveMl, 'a fifth']] : []),
        ];
    }
}
