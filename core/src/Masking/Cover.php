<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Step\Step;

/** What lies on the field behind the edge of a mask (house rule cover). */
final class Cover
{
    /** What covers the field behind the edge of a mask; null where its own medium does, or nothing lies on it. */
    public static function with(Step $step, HouseRules $house): ?Medium
    {
        $tape = in_array($step->medium, [Medium::PaperTape, Medium::VinylTape], true);

        return $tape && $house->says('cover', 'rubber-cement') && $step->purpose !== MaskFor::BARE ? Medium::RubberCement : null;
    }
}
