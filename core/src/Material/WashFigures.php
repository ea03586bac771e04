<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/**
 * A wash or filter is wiped, drawn or left in recesses, and is no coat: its own amounts, minutes and clocks (handbook 9).
 * Times in minutes at 20 °C and 50 % RH, at the figure they are planned with.
 */
final readonly class WashFigures
{
    private const HOUR = 60;

    /** What the palette keeps of it, ml. */
    public const PALETTE = 0.3;

    /**
     * @param  float  $mlPer100Cm2  that goes onto the model
     * @param  float  $minutesPerCm2  at the bench, with wiping
     * @param  float  $filmMicrons  dry, over the whole area: a tenth of it for what lies in recesses
     * @param  int  $opens  from when it can be wiped or drawn
     * @param  int|null  $closes  when it begins to stay; null: it is drawn down at once
     * @param  int  $shut  when it does not move any more, and can be touched
     * @param  int  $varnish  when a varnish may go over it
     */
    private function __construct(public float $mlPer100Cm2, public float $minutesPerCm2, public float $filmMicrons, public int $opens, public ?int $closes, public int $shut, public int $varnish)
    {
    }

    /** @param  bool  $filter  drawn over the whole surface; else into recesses, and wiped off the rest */
    public static function of(bool $filter, Family $family): self
    {
        $h = self::HOUR;
        $oil = $family === Family::ArtistOil;
        $water = $family->below() === Below::WaterAcrylic;

        return match (true) {
            $filter => new self(0.4, 0.03, 1, 0, null, $water ? 8 : 24 * $h, $water ? 2 * $h : ($oil ? 72 : 24) * $h),
            $water => new self(0.2, 0.08, 0.1, 0, 3, 8, 2 * $h),
            $oil => new self(0.1, 0.08, 0.1, 15, 6 * $h, 24 * $h, 72 * $h),
            default => new self(0.1, 0.08, 0.1, 10, 40, 24 * $h, 48 * $h),
        };
    }

    public function minutes(WaitKind $kind): int
    {
        return $kind === WaitKind::TouchDry ? $this->shut : $this->varnish;
    }

    /** cm² of the panel in hand: laid and wiped in half of the time it can be wiped. Null where nothing hurries. */
    public function panelCm2(): ?int
    {
        return $this->closes === null ? null : (int) max(10, floor(($this->closes - $this->opens) / 2 / $this->minutesPerCm2 / 10) * 10);
    }
}
