<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\Minutes;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Rule\Paint\PaintGunClean;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Step\Said;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Timing\InGuns;
use AmberStep\Core\Work\Operation;

/** What is in the gun as the plan begins, and the cleanings of it as steps (rule paint-gun-clean). */
final class GunCare
{
    /** @var array<string, int> cleanings so far by product, done and planned */
    private array $cleanings;

    public function __construct(private readonly Context $context)
    {
        $this->cleanings = $context->surface->cleanings;
    }

    /** @return list<array{Product, int, string}> paints that were sprayed of late and not cleaned out of a gun, when, and the piece; the last first */
    public static function begun(Context $context): array
    {
        $begun = [];
        foreach ($context->surface->sprayed() as [$id, $at, $area, $family]) {
            $product = $context->shelf->find($id);
            if ($product !== null && $context->nowEpoch - $at < InGuns::CLEANED_UNSAID) {
                $begun[] = [$family === Family::HardenedEnamel ? $product->hardened() : $product, $at, $context->breakdown->pieceAt($area)->id ?? ''];
            }
        }

        return $begun;
    }

    /** A cleaning as it was timed, with the paint that is sprayed next, if any is, and when. */
    public function step(Product $product, string $pieceId, int $startEpoch, int $endEpoch, ?Product $next, ?int $nextEpoch): PlannedStep
    {
        $rule = new PaintGunClean;
        [$operation, $why] = $rule->cleaning($product, $next, $nextEpoch === null ? null : $nextEpoch - $startEpoch, $this->context->house);
        $n = $this->cleanings[$product->id] = ($this->cleanings[$product->id] ?? 0) + 1;
        $title = $operation === Operation::Strip ? "Strip the gun of {$product->name}" : "Rinse {$product->name} out of the gun";
        $step = new Step($product->id, $operation, 'gun', $n, $n, $pieceId, [$pieceId], 0, 0, product: $product, title: $title);

        return new PlannedStep($step, 0, $startEpoch, $endEpoch, ($endEpoch - $startEpoch) / 60, [], new Said($rule->id(), [$why]));
    }

    public static function minutes(Operation $operation): int
    {
        return $operation === Operation::Strip ? Minutes::STRIP : Minutes::RINSE;
    }
}
