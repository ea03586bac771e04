<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Mixing\Coverage;

/** Coats a colour is planned with: a mist and as many lights as hide what lies under it (handbook 4, Colour). */
final class Hiding
{
    /** More than this is not planned: rule ground-shows says what would be better. */
    public const MOST = 8;

    /** A mist is half a coat. */
    private const MIST = 0.5;

    /** Plastic nobody named the colour of. */
    public const UNKNOWN_PLASTIC = '#9B9B98';

    /** @var array<string, int|null> */
    private array $coats = [];

    /** @var array<string, Spectrum> */
    private array $grounds = [];

    /** @var array<string, Coverage> */
    private array $coverage = [];

    public function __construct(private readonly HouseRules $house)
    {
    }

    /** CIEDE2000 under which a ground counts as hidden (house rule). */
    public static function threshold(HouseRules $house): float
    {
        return match ($house->position('hidden')) {
            'close' => 1.0,
            'weathered' => 3.0,
            default => Coverage::HIDDEN,
        };
    }

    /**
     * @param  string|null  $ground  swatch of what lies under it; null: plastic nobody named
     * @return int a mist and lights together: 2 at least, MOST at most
     */
    public function coats(Product $colour, ?string $ground): int
    {
        return $colour->role !== Role::Colour || $colour->swatch === null ? $colour->coats() : min(self::MOST, $this->needed($colour, $ground) ?? self::MOST);
    }

    /** @return int|null a mist and lights that hide it; null where twelve do not */
    public function needed(Product $colour, ?string $ground): ?int
    {
        $ground ??= self::UNKNOWN_PLASTIC;
        $key = $colour->id.$ground;
        if (! array_key_exists($key, $this->coats)) {
            $this->coats[$key] = null;
            $under = $this->grounds[$ground] ??= Spectrum::of($ground);
            $coverage = $this->coverage[$colour->id] ??= new Coverage($colour);
            for ($n = 2; $n <= Coverage::NEVER; $n++) {
                if ($coverage->differs($n - 1 + self::MIST, $under) < self::threshold($this->house)) {
                    $this->coats[$key] = $n;
                    break;
                }
            }
        }

        return $this->coats[$key];
    }
}
