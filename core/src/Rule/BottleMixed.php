<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Plan\Outlook;

/** The last third of a bottle is the pigment that sank while it stood: stirred to the bottom, or the colour is another. */
final class BottleMixed implements Judges
{
    private const LAST = 1 / 3;

    public function id(): string
    {
        return 'bottle-mixed';
    }

    public function judge(Outlook $outlook): iterable
    {
        $steps = $names = [];
        foreach ($outlook->left as $planned) {
            $product = $planned->step->product;
            if ($product !== null && $planned->step->operation->sprays() && $product->levelMl !== null && $product->sizeMl !== null && $product->levelMl > 0 && $product->levelMl < self::LAST * $product->sizeMl) {
                $steps[$product->id] ??= $planned->step->key;
                $names[$product->id] = $product;
            }
        }
        foreach ($names as $id => $product) {
            yield new Finding($this->id(), Severity::Note, "Last third of {$product->name}", sprintf('%g of %g ml are left, and what is left is what sank: stir to the bottom, strain it, and spray a spoon against the colour that is on.', $product->levelMl, $product->sizeMl), [(string) $id], [$steps[$id]]);
        }
    }
}
