<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Masking\Order\BestOrders;
use AmberStep\Core\Masking\Order\Ordered;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Work\Operation;

/** The one order a build's colours are planned in: the cheapest over the whole model, light before dark, or the user's own (house rule light-first). */
final readonly class ColourOrder
{
    public Ordered $planned;

    /** @var array<string, int> place by what an entry is known by */
    private array $places;

    public function __construct(public ModelColours $model, HouseRules $house)
    {
        $order = match ($house->position('light-first')) {
            'by-cost' => BestOrders::planned($model->problem)->order,
            'own' => self::own($model),
            default => array_keys($model->entries),
        };
        $this->planned = Ordered::of($model->problem, $order);
        $this->places = array_flip(array_map(static fn (int $entry): string => $model->problem->entries[$entry]->id, $order));
    }

    /**
     * How the plan goes on: what was begun comes first, as it was.
     *
     * @param  ModelColours  $begun  the same colours, as they are begun
     */
    public function goesOn(ModelColours $begun): Ordered
    {
        $left = $this->planned->order;
        $order = [];
        $sprayed = 0;
        // Each in its turn, but for what has to wait for one that is begun.
        while ($left !== []) {
            $may = array_filter($left, static fn (int $i): bool => $begun->problem->mayFollow($i, $sprayed));
            $next = array_key_first($may) ?? array_key_first($left);
            $order[] = $left[$next];
            $sprayed |= 1 << $left[$next];
            unset($left[$next]);
        }

        return Ordered::of($begun->problem, $order);
    }

    /** @return list<int> entries as the user has the colours stand, inside before outside */
    public static function own(ModelColours $model): array
    {
        $order = array_keys($model->entries);
        $key = static fn (int $i): array => [! $model->entries[$i][1], $model->entries[$i][0]->position, $model->entries[$i][0]->id];
        usort($order, static fn (int $a, int $b): int => $key($a) <=> $key($b));

        return $order;
    }

    /**
     * Places on one piece. What was begun there, off plan, stays first: nobody sprays an earlier colour
     * over a finished one without capping it.
     *
     * @param  iterable<Area>  $areas  of one piece and phase
     * @return array<string, int> place by colour id, first sprayed first
     */
    public function onPiece(iterable $areas, ModelState $surface, bool $inside): array
    {
        $places = $begun = [];
        foreach ($areas as $area) {
            $colour = (string) $area->intent->colour;
            $places[$colour] = $this->places[ModelColours::key($colour, $inside)] ?? count($this->places);
            $begun[$colour] = ($begun[$colour] ?? false) || $surface->area($area->id)->count(Operation::Colour, $colour) > 0;
        }
        $order = array_keys($places);
        usort($order, static fn (int|string $a, int|string $b): int => [! $begun[$a], $places[$a]] <=> [! $begun[$b], $places[$b]]);
        sort($places);

        return array_combine(array_map(strval(...), $order), $places);
    }

    /** CIE L* of a product's swatch, 0 to 100; 50 where it has none. */
    public static function lightness(?Product $product): float
    {
        return $product?->swatch === null ? 50 : Srgb::fromHex($product->swatch)->lab()->l;
    }
}
