<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

/** An area worked out from the size of a model, with the sum it came of (handbook 4, Amount). Lengths in mm on the model. */
final readonly class Sum
{
    /** Round bodies end in a nose and a tail. */
    private const TAPERS = 0.8;

    private function __construct(public float $cm2, public string $words)
    {
    }

    /** One face of both halves of a wing: half span by mean chord, twice. */
    public static function wing(float $halfSpan, float $meanChord): self
    {
        return new self(2 * $halfSpan * $meanChord / 100, sprintf('wing face: 2 × half span %.0f × mean chord %.0f mm', $halfSpan, $meanChord));
    }

    public static function tube(float $diameter, float $length, bool $tapers = false): self
    {
        return new self(M_PI * $diameter * $length / 100 * ($tapers ? self::TAPERS : 1), sprintf('tube: π × %.0f × %.0f mm%s', $diameter, $length, $tapers ? ' × 0.8, as it tapers' : ''));
    }

    public static function hull(float $length, float $beam, float $depth): self
    {
        return new self($length * ($beam + 2 * $depth) * 0.8 / 100, sprintf('hull: length %.0f × (beam %.0f + 2 × depth %.0f mm) × 0.8', $length, $beam, $depth));
    }

    /** A closed body with windows and arches: a car, a cabin, a turret. */
    public static function body(float $length, float $width, float $height): self
    {
        return new self(($length * $width + 2 * $height * ($length + $width)) * 0.7 / 100, sprintf('body: (%.0f × %.0f + 2 × %.0f × (%.0f + %.0f) mm) × 0.7', $length, $width, $height, $length, $width));
    }

    /** A flat thing, one face. */
    public static function plate(float $length, float $width): self
    {
        return new self($length * $width / 100, sprintf('plate: %.0f × %.0f mm', $length, $width));
    }

    public static function ball(float $diameter): self
    {
        return new self(M_PI * $diameter ** 2 / 100, sprintf('ball: π × %.0f² mm', $diameter));
    }

    /** So many alike. */
    public function times(int $n): self
    {
        return $n === 1 ? $this : new self($this->cm2 * $n, "{$n} × ({$this->words})");
    }

    public function share(float $part, string $why = ''): self
    {
        return new self($this->cm2 * $part, "{$this->words}, of which ".round(100 * $part).' %'.($why === '' ? '' : " {$why}"));
    }

    /** As it stands in a line: never nothing, in what a person would write. */
    public function typed(): string
    {
        $cm2 = max(0.2, $this->cm2);

        return ($cm2 < 10 ? rtrim(rtrim(number_format($cm2, 1, '.', ''), '0'), '.') : (string) round($cm2)).' cm²';
    }
}
