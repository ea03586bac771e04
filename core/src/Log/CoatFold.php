<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\WashFigures;
use AmberStep\Core\Work\Operation;

/** Folds what is laid on an area, or sanded and washed off it. */
final readonly class CoatFold
{
    public function __construct(private Kit $kit)
    {
    }

    public function onArea(AreaState $state, Operation $operation, string $purpose, ?Product $product, Event $event): void
    {
        if ($operation === Operation::Fill) {
            $state->filledBy = $event->id;
        } elseif ($operation === Operation::Wash || ($operation === Operation::Wipe && $state->top() === null)) {
            $state->washedAt = $event->atEpoch;
            $state->washedBy = $event->id;
            $state->blownOff = $event->blownOff;
            $state->wipedDamp = $operation === Operation::Wipe;
        } elseif ($operation->sands() && $state->top() === null && $event->stepKey === null) {
            // A remedy's own flatting ends with cleaning; bare plastic sanded off plan is washed again.
            $state->soiledAt = $event->atEpoch;
        } elseif ($operation === Operation::Decal) {
            $state->lay(new Layer($operation, $purpose, null, [new Coat($event->atEpoch, CoatKind::Light, 0, $event->id, $event->stepKey)]));
        } elseif ($product !== null) {
            $this->coat($state, $operation, $purpose, $product, $event);
        }
    }

    private function coat(AreaState $state, Operation $operation, string $purpose, Product $product, Event $event): void
    {
        $kind = $event->coatKind ?? CoatKind::Light;
        $wash = $operation->isWash() ? WashFigures::of($operation === Operation::Filter, $product->family) : null;
        $film = $event->filmMicrons ?? $wash->filmMicrons ?? $kind->filmMicrons($product->family->figures()->referenceFilmMicrons);
        $coat = new Coat($event->atEpoch, $kind, $film, $event->id, $event->stepKey);
        $top = $state->top();
        if ($top !== null && $top->takes($operation, $purpose, $product)) {
            $state->replaceTop($top->with($coat));
        } else {
            $state->lay(new Layer($operation, $purpose, $product, [$coat]));
        }
    }

    /** A coat logged off plan counts for the colour of the build that uses its product. */
    public function guessPurpose(Event $event): string
    {
        $fallback = match ($event->operation) {
            Operation::Colour, Operation::Ground, Operation::InsideColour, Operation::Preshade => Fold::ANY,
            default => 'all',
        };
        if ($fallback === Fold::ANY) {
            foreach ($this->kit->colours as $colour) {
                if ($colour->product === $event->product) {
                    return $colour->id;
                }
            }
        }

        return $fallback;
    }

    /** A product that has left the shelf since: planned on as the mildest family, so that nothing is promised of it. */
    public static function unknown(?string $id): Product
    {
        return new Product($id ?? \AmberStep\Core\Document\Id::NONE, 'a paint no longer on the shelf', '', \AmberStep\Core\Material\Family::WaterAcrylic, \AmberStep\Core\Material\Role::Colour);
    }
}
