<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Mixing\Jar;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Severity;
use DateTimeZone;

/**
 * Pigment sinks while a jar stands: stirred to the bottom before the first coat out of it, or the colour is another. It
 * orders no step of the model: the scheduler asks it when a cup is due. The last third of a bottle gets a note.
 */
#[Says(
    'Pigment sinks while a jar stands: stirred to the bottom before the first coat out of it, or the colour is another.',
    speaks: [Severity::Note],
    rests: 'Handbook 2, Hands-on minutes: 5 min to mix; the last third of a bottle stirred twice',
)]
final class BottleMixed implements Judges
{
    private const LAST = 1 / 3;

    public function id(): string
    {
        return 'bottle-mixed';
    }

    public static function title(Jar $jar, int $atEpoch): string
    {
        return ($jar->wantsStirring($atEpoch) ? 'Stir and mix ' : 'Mix ').$jar->product->name;
    }

    /**
     * Why the cup is due.
     *
     * @param  float  $ml  that is mixed
     */
    public static function why(Jar $jar, float $ml, int $atEpoch, DateTimeZone $zone): string
    {
        if (! $jar->isEnough($ml)) {
            return "{$jar->product->name} is mixed from {$jar->product->mix?->says()}: each of those jars is stirred to the bottom first.";
        }

        return $jar->stirring($atEpoch, $zone) ?? "{$jar->product->name} was stirred today; the cup is all there is to mix.";
    }

    public function judge(Outlook $outlook): iterable
    {
        $steps = $names = [];
        foreach ($outlook->left as $planned) {
            $product = $planned->step->product;
            if ($product !== null && $planned->step->isSprayed() && $product->levelMl !== null && $product->sizeMl !== null && $product->levelMl > 0 && $product->levelMl < self::LAST * $product->sizeMl) {
                $steps[$product->id] ??= $planned->step->key;
                $names[$product->id] = $product;
            }
        }
        foreach ($names as $id => $product) {
            yield new Finding($this->id(), Severity::Note, "Last third of {$product->name}", sprintf('%g of %g ml are left, and what is left is what sank: stir to the bottom, strain it, and spray a spoon against the colour that is on.', $product->levelMl, $product->sizeMl), [(string) $id], [$steps[$id]]);
        }
    }
}
