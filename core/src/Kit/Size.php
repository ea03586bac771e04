<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** A size letter, an estimate of an area in cm² (handbook 4, Amount). */
enum Size: string
{
    case XS = 'XS';
    case S = 'S';
    case M = 'M';
    case L = 'L';
    case XL = 'XL';

    /** cm² one count stands for: a medium part has 25 and counts two. */
    public const CM2_PER_COUNT = 12.5;

    /** As people count call-outs on paper (handbook 4, Tally). */
    public function weight(): int
    {
        return match ($this) {
            self::XS, self::S => 1,
            self::M => 2,
            self::L => 3,
            self::XL => 5,
        };
    }

    /** The letter a measured area is nearest to, by ratio. */
    public static function nearest(float $cm2): self
    {
        $best = self::XS;
        foreach (self::cases() as $size) {
            if (abs(log(max(0.01, $cm2) / $size->cm2())) < abs(log(max(0.01, $cm2) / $best->cm2()))) {
                $best = $size;
            }
        }

        return $best;
    }

    public function cm2(): float
    {
        return match ($this) {
            self::XS => 1,
            self::S => 5,
            self::M => 25,
            self::L => 80,
            self::XL => 250,
        };
    }
}
