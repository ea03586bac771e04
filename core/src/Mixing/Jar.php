<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Document\Instant;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Material\Product;
use DateTimeZone;

/** A jar of the shelf: what is in it, for how many whole jobs, and whether what sank was stirred (handbook 4, Jars). */
final readonly class Jar
{
    /** Pigment that stood this long has sunk: it is stirred again. */
    public const SINKS_AFTER_SECONDS = 12 * 3600;

    /** @param  int|null  $usedEpoch  when the log last has it in a cup: stirred then */
    public function __construct(public Product $product, private ?int $usedEpoch = null)
    {
    }

    /** @return int|null null where nobody knows */
    private function stirredEpoch(): ?int
    {
        return $this->usedEpoch === null ? $this->product->stirredEpoch : max($this->usedEpoch, $this->product->stirredEpoch ?? 0);
    }

    /**
     * ml by how high it stands.
     *
     * @param  float  $share  of the jar's height, 0 to 1
     * @return float|null null where nobody knows the jar's size
     */
    public function atHeight(float $share): ?float
    {
        return $this->product->sizeMl === null ? null : $share * $this->product->sizeMl;
    }

    /**
     * Whole jobs that are left in it.
     *
     * @param  float  $neatMl  of this paint for one job, above 0
     */
    public function jobs(float $neatMl): ?int
    {
        return $this->product->levelMl === null ? null : (int) floor($this->product->levelMl / $neatMl + 1e-9);
    }

    /** Nothing of it is mixed anew for so many ml: it is a paint as it is sold, or enough is kept of a mix of one's own, thinner and all. */
    public function isEnough(float $ml): bool
    {
        return ! $this->product->isOwnMix() || ($this->product->levelMl ?? 0.0) >= $ml;
    }

    public function isLastThird(): bool
    {
        return $this->product->levelMl !== null && $this->product->sizeMl !== null && $this->product->levelMl < $this->product->sizeMl / 3;
    }

    public function wantsStirring(int $nowEpoch): bool
    {
        $stirred = $this->stirredEpoch();

        return $stirred === null || $nowEpoch - $stirred > self::SINKS_AFTER_SECONDS;
    }

    /** "Stir it to the bottom: it stood since Tue 3 Mar 19:05." */
    public function stirring(int $nowEpoch, DateTimeZone $zone): ?string
    {
        if (! $this->wantsStirring($nowEpoch)) {
            return null;
        }
        $stirred = $this->stirredEpoch();

        return 'Stir the jar to the bottom first'.($stirred === null ? '.' : ': it stood since '.Instant::wall($stirred, $nowEpoch, $zone).'.');
    }

    /**
     * What may go back into a jar, and what never (handbook 5, thinned paint left over).
     *
     * @param  bool  $hardened  hardener or a two-part paint is in it
     */
    public static function leftover(bool $hardened, bool $thinned, bool $ownMix, HouseRules $house): string
    {
        return match (true) {
            $hardened => 'None of it goes back: it hardens open and small, never in a capped jar.',
            $ownMix && ! $thinned => 'What is left goes into a jar of its own with the recipe on it, never back into the jars it came from.',
            $ownMix => 'What is left is kept thinned in a jar of its own, with recipe and date on it: the thinned mix never goes into the jars it came from.',
            ! $thinned => 'What is left unthinned and clean goes back into its jar.',
            $house->says('leftover', 'jar') => 'What is left goes back if it is clean; write on the jar how thin it is.',
            default => 'What is left goes in the bin, not down a drain: thinned paint spoils the jar.',
        };
    }
}
