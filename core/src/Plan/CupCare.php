<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Drying\Room;
use AmberStep\Core\Layering\BuildSteps;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Mixing\Batch;
use AmberStep\Core\Mixing\Jar;
use AmberStep\Core\Mixing\PotLife;
use AmberStep\Core\Rule\Paint\BottleMixed;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\Said;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Telling\Words;
use AmberStep\Core\Work\Operation;

/**
 * Which paints stand mixed while the plan is made, and when another cup is due: stirred, thinned and poured before
 * the first coat out of it (rule bottle-mixed), for all coats that follow that evening.
 */
final class CupCare
{
    /** Seconds a thinned mix is kept under a lid: an evening. */
    private const KEEPS = 4 * 3600;

    /** @var array<string, int> when what stands mixed was mixed, by product */
    private array $mixed = [];

    /** @var array<string, int|null> seconds that the one in the log lives, where it was written down, by product */
    private array $keeps = [];

    /** @var array<string, int> when its jar was last stirred, by product */
    private array $stirred = [];

    /** @var array<string, int> cups so far, by product */
    private array $count = [];

    /** @var list<PlannedCup> */
    private array $planned = [];

    public function __construct(private readonly Context $context, private readonly Room $room)
    {
        foreach ($context->surface->mixes as $mix) {
            $this->mixed[$mix->product] = $this->stirred[$mix->product] = $mix->atEpoch;
            $this->count[$mix->product] = ($this->count[$mix->product] ?? 0) + 1;
            $this->keeps[$mix->product] = $mix->potLifeMinutes > 0 ? (int) (60 * $mix->potLifeMinutes) : null;
        }
        foreach ($context->surface->areas() as $state) {
            foreach ($state->layers as $layer) {
                if ($layer->product !== null && $layer->operation->sprays()) {
                    $this->known($layer->product, $layer->lastCoat()->atEpoch);
                }
            }
        }
    }

    /** What was sprayed was mixed, and its jar stirred, though nobody wrote it down: unless it came out of a cup that is known. */
    private function known(Product $product, int $atEpoch): void
    {
        $this->stirred[$product->id] = max($this->stirred[$product->id] ?? 0, $atEpoch);
        $mixed = $this->mixed[$product->id] ?? null;
        if ($mixed === null || $atEpoch - $mixed > $this->keepsSeconds($product, $mixed)) {
            $this->mixed[$product->id] = $atEpoch;
            $this->keeps[$product->id] = null;
        }
    }

    /** A cup as it was timed: the coat it is mixed for follows at once. */
    public function mix(Product $product, string $pieceId, int $startEpoch, int $endEpoch): PlannedCup
    {
        $n = $this->count[$product->id] = ($this->count[$product->id] ?? 0) + 1;
        $cup = new PlannedCup(new Jar($product, $this->stirred[$product->id] ?? null), $n, $pieceId, $startEpoch, $endEpoch);
        $this->stirred[$product->id] = $endEpoch;

        return $this->planned[] = $cup;
    }

    /** @return int|null when what stands mixed of a paint was mixed; null: nothing stands */
    public function mixedAt(Product $product): ?int
    {
        return $this->mixed[$product->id] ?? null;
    }

    /** @return int seconds that one may stand from when it was mixed */
    public function stands(Product $product): int
    {
        return (int) $this->keepsSeconds($product, $this->mixed[$product->id] ?? $this->context->nowEpoch);
    }

    /** @return int seconds one that is planned may stand; what sets, from when it was last sprayed out of: one mix is planned for a session, and where it dies before its end rule pot-life says so */
    public function plannedKeeps(Product $product): int
    {
        $lives = $this->lives($product, $this->context->nowEpoch);

        return $lives === null ? self::KEEPS : (int) (60 * $lives);
    }

    public function sets(Product $product): bool
    {
        return $this->lives($product, $this->context->nowEpoch) !== null;
    }

    /** @return list<PlannedStep> when each cup is mixed, in order */
    public function steps(): array
    {
        return array_map(function (PlannedCup $p): PlannedStep {
            $product = $p->jar->product;
            $cup = $p->cup($this->lives($product, $p->endEpoch));
            $step = new Step($product->id, Operation::Mix, 'gun', $p->n, $p->n, $p->pieceId, [$p->pieceId], 0, 0, product: $product, title: BottleMixed::title($p->jar, $p->startEpoch), cup: $cup);
            $said = [BottleMixed::why($p->jar, $cup->ml, $p->startEpoch, $this->context->kit->zone), ...($p->first() === null ? [] : [Words::title($p->first(), $this->context).' on '.$this->context->pieceName($p->pieceId).', is what comes out of it next.'])];

            return new PlannedStep($step, 0, $p->startEpoch, $p->endEpoch, Batch::MINUTES, [], new Said('bottle-mixed', $said));
        }, $this->planned);
    }

    /**
     * When what was mixed is not used any more, or a jar has stood too long: nothing that is planned is asked.
     *
     * @return iterable<int> epoch seconds
     */
    public static function runsOut(Context $context): iterable
    {
        foreach ($context->surface->mixes as $mix) {
            yield $mix->atEpoch + (int) (60 * $mix->potLifeMinutes);
            yield $mix->atEpoch + BuildSteps::CUP_IS_SET;
        }
        $cups = new self($context, $context->room);
        foreach ($cups->mixed as $id => $atEpoch) {
            $product = $context->shelf->find((string) $id);
            if ($product !== null) {
                yield $atEpoch + (int) $cups->keepsSeconds($product, $atEpoch) + 1;
            }
        }
        foreach ($cups->stirred as $atEpoch) {
            yield $atEpoch + Jar::SINKS_AFTER_SECONDS + 1;
        }
    }

    private function keepsSeconds(Product $product, int $mixedEpoch): float
    {
        $written = $this->keeps[$product->id] ?? null;
        if ($written !== null) {
            return $written;
        }
        $lives = $this->lives($product, $mixedEpoch);

        return $lives === null ? self::KEEPS : 60 * $lives;
    }

    /** @return float|null minutes it lives once mixed; null: no hardener in it */
    private function lives(Product $product, int $atEpoch): ?float
    {
        return in_array($product->family, [Family::TwoPart, Family::HardenedEnamel], true) ? PotLife::at(PotLife::usual($product->family), $this->room->at($atEpoch)->temperatureC) : null;
    }
}
