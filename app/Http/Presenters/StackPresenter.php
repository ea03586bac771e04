<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Log\Layer;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\Step;

/** The layers of the place a step works on, oldest first: what lies there and what is to come. */
final class StackPresenter
{
    /** @return array{area: string, base: string, layers: list<array<string, mixed>>}|null */
    public static function of(Step $step, Plan $plan): ?array
    {
        $kit = $plan->context->kit;
        $area = $kit->areasById[$step->targets[0] ?? ''] ?? null;
        if ($area === null) {
            return null;
        }
        $part = $kit->partsById[$area->part];
        $rows = [];
        foreach ($plan->final->area($area->id)->layers as $layer) {
            $real = count(array_filter($layer->coats, static fn ($c): bool => ! str_starts_with($c->eventId, 'plan:')));
            if ($layer->isDecal() || $real === 0 || $real === count($layer->coats)) {
                $rows[] = self::row($layer, count($layer->coats), $real === 0, $step);
            } else {
                $rows[] = self::row($layer, $real, false, $step);
                $rows[] = self::row($layer, count($layer->coats) - $real, true, $step);
            }
        }

        return ['area' => $area->name, 'base' => $part->substrate->word(), 'layers' => $rows];
    }

    /** @return array<string, mixed> */
    private static function row(Layer $layer, int $coats, bool $planned, Step $step): array
    {
        return [
            'label' => $layer->operation->word(),
            'product' => $layer->word(),
            'swatch' => $layer->product?->swatch,
            'coats' => $coats,
            'planned' => $planned,
            'current' => $planned && $layer->operation === $step->operation && $layer->purpose === $step->counted(),
        ];
    }
}
