<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Rule\Paint\PaintGunClean;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\Said;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** What is in the gun while the plan is made, and when it has to come out. */
final class GunCare
{
    /** Seconds a mix is kept in the gun between two sprayings before it is rinsed. */
    public const STAYS_IN_THE_GUN = 1800;

    /** Seconds after which a gun nobody wrote down as cleaned is taken to be: few stop to press for a rinse. */
    public const CLEANED_UNSAID = 45 * 60;

    /** @var array{Product, int, string}|null paint, when it was last sprayed, and the piece */
    private ?array $dirty = null;

    /** @var array<string, int> cleanings so far by product, done and planned */
    private array $cleanings;

    public function __construct(private readonly PaintGunClean $rule, private readonly HouseRules $house, ModelState $surface, Shelf $shelf, Breakdown $breakdown, int $nowEpoch)
    {
        $this->cleanings = $surface->cleanings;
        $last = $surface->lastSprayed();
        $product = $shelf->find($last[0] ?? null);
        if ($last !== null && $product !== null && $nowEpoch - $last[1] < self::CLEANED_UNSAID) {
            $this->dirty = [$last[3] === Family::HardenedEnamel ? $product->hardened() : $product, $last[1], $breakdown->pieceAt($last[2])->id ?? ''];
        }
    }

    /** The paint is in the gun: to go on with it saves a rinse and a mix. */
    public function isLoadedFor(Step $step, int $nowEpoch): bool
    {
        return $step->operation->sprays() && $step->product !== null && $step->product->id === $this->loadedWith($nowEpoch);
    }

    /** @return string|null the paint in the gun, while to go on with it saves a rinse and a mix */
    public function loadedWith(int $nowEpoch): ?string
    {
        return $this->dirty !== null && $nowEpoch - $this->dirty[1] < self::STAYS_IN_THE_GUN ? $this->dirty[0]->id : null;
    }

    /** Whether the gun has to be cleaned before a step that is begun at a moment and takes so many minutes. */
    public function isDueBefore(Step $step, int $atEpoch, float $minutes): bool
    {
        if ($this->dirty === null) {
            return false;
        }
        $sprays = $step->operation->sprays() && self::goesThroughTheGun($step->product);
        if ($sprays && $step->product?->id !== $this->dirty[0]->id) {
            return true;
        }

        return ($sprays ? $atEpoch : $atEpoch + 60 * $minutes) - $this->dirty[1] > self::STAYS_IN_THE_GUN;
    }

    public function sprayed(Step $step, int $endEpoch): void
    {
        if ($step->operation->sprays() && $step->product !== null && self::goesThroughTheGun($step->product)) {
            $this->dirty = [$step->product, $endEpoch, $step->pieceId];
        }
    }

    /** @return PlannedStep|null the cleaning, begun at a moment; null where the gun is clean */
    public function clean(int $startEpoch, ?Product $next, ?int $nextEpoch): ?PlannedStep
    {
        if ($this->dirty === null) {
            return null;
        }
        [$product, , $pieceId] = $this->dirty;
        $this->dirty = null;
        [$operation, $why] = $this->rule->cleaning($product, $next, $nextEpoch === null ? null : $nextEpoch - $startEpoch, $this->house);
        $n = $this->cleanings[$product->id] = ($this->cleanings[$product->id] ?? 0) + 1;
        $title = $operation === Operation::Strip ? "Strip the gun of {$product->name}" : "Rinse {$product->name} out of the gun";
        $step = new Step($product->id, $operation, 'gun', $n, $n, $pieceId, [$pieceId], 0, 0, product: $product, title: $title);
        $minutes = $operation === Operation::Strip ? 20.0 : 5.0;

        return new PlannedStep($step, 0, $startEpoch, $startEpoch + (int) (60 * $minutes), $minutes, [], new Said($this->rule->id(), [$why]));
    }

    private static function goesThroughTheGun(?Product $product): bool
    {
        return $product !== null && $product->family !== Family::Aerosol;
    }
}
