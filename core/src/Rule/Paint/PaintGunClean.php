<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Rule\Rule;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Work\Operation;

/**
 * What is in the gun comes out before another paint goes in, and before it sets (handbook 2, Cleaning). It
 * orders no step of the model: the scheduler asks it when a colour ends.
 */
#[Says(
    'What is in the gun comes out before another paint goes in, and before it sets.',
    speaks: [],
    rests: 'What is in the gun, and 6 h without spraying as the end of an evening',
)]
final class PaintGunClean implements Rule
{
    /** Seconds without spraying that end the evening. */
    private const EVENING_OVER = 6 * 3600;

    public function id(): string
    {
        return 'paint-gun-clean';
    }

    /**
     * How the gun is cleaned of one paint, and why.
     *
     * @param  Product|null  $next  what is sprayed next, if anything is
     * @param  int|null  $restSeconds  until it is sprayed
     * @return array{Operation, string}
     */
    public function cleaning(Product $last, ?Product $next, ?int $restSeconds, HouseRules $house): array
    {
        $evening = $next === null || $restSeconds === null || $restSeconds > self::EVENING_OVER;

        return match (true) {
            $last->isMetallic() => [Operation::Strip, 'Flakes stay in needle and nozzle: the gun is stripped after a metallic.'],
            $evening && $house->says('gun', 'strip-evening') => [Operation::Strip, 'By your house rule the gun is stripped every evening.'],
            $last->family === Family::HardenedEnamel => [Operation::Rinse, 'Hardened enamel sets in the gun: it comes out before its pot life ends.'],
            $last->family === Family::TwoPart => [Operation::Rinse, 'Two-part paint sets in the gun: it comes out before its pot life ends.'],
            $evening => [Operation::Rinse, 'Nothing more is sprayed this evening: paint that dries in the gun comes back as specks.'],
            $next->id === $last->id => [Operation::Rinse, 'The next coat is too far off: paint that stands in the gun dries at the tip.'],
            $last->liquid() !== $next->liquid() => [Operation::Rinse, sprintf('Rinse with %s, then with %s: %s', $last->family->figures()->thinner, $next->family->figures()->thinner, $last->family->figures()->driesBy->value === 'water' ? 'water acrylic gels where it meets a stronger thinner.' : 'what is left of one curdles the other.')],
            default => [Operation::Rinse, "{$next->name} comes next: what is left of {$last->name} would tint it."],
        };
    }
}
