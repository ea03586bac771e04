<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Layering\Grounds;
use AmberStep\Core\Plan\Plan;

/** What a colour of the build is laid on, area by area, for the look of it. */
final class GroundPresenter
{
    /** @return array<string, string> swatch by name: all that a colour of the build is laid on */
    public static function ofColour(string $colourId, Plan $plan): array
    {
        $found = [];
        foreach ($plan->context->kit->areas as $area) {
            if ($area->intent->colour === $colourId && $area->isPainted()) {
                [$name, $hex] = Grounds::ofArea($area, $plan->final, $plan->context->kit);
                $found[$name] ??= $hex;
            }
        }

        return $found;
    }
}
