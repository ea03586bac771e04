<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Colour\KubelkaMunk;
use AmberStep\Core\Colour\Lab;
use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Colour\ToneStep;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;

/** A colour and tones round it, for mosaics, faded panels and pre-shade: what each is mixed from, what all take together, and which nobody tells apart (handbook 4, Uses). */
final readonly class ToneSet
{
    /**
     * @param  list<array{string, list<array{Product, int}>, Spectrum, float}>  $tones  name, paints with parts, its look, CIEDE2000 to the colour
     * @param  list<array{int, int, float}>  $alike  places of two tones, and a CIEDE2000 nobody sees
     * @param  list<string>  $missing  tones no paint of the shelf gives
     */
    private function __construct(public array $tones, public array $alike, public array $missing)
    {
    }

    /** @param  list<ToneStep>  $steps  besides the colour itself */
    public static function of(Product $colour, Shelf $shelf, array $steps): self
    {
        $plain = KubelkaMunk::mix([Tones::part($colour, 1)]);
        $tones = [[$colour->name.' as it is', [[$colour, 1]], $plain, 0.0]];
        $missing = [];
        foreach ($steps as $step) {
            $tone = Tones::towards($colour, $shelf, $step->isLighter(), $step->range());
            if ($tone === null) {
                $missing[] = $step->word();

                continue;
            }
            [$other, $parts, $differs] = $tone;
            $tones[] = [$step->word(), [[$colour, $parts], [$other, 1]], KubelkaMunk::mix([Tones::part($colour, $parts), Tones::part($other, 1)]), $differs];
        }

        return new self($tones, self::alike($tones), $missing);
    }

    /**
     * ml of each paint over all tones.
     *
     * @param  float  $mlEach  of paint for each tone
     * @return list<array{Product, float}>
     */
    public function totals(float $mlEach): array
    {
        $totals = [];
        foreach ($this->tones as [, $paints]) {
            $sum = array_sum(array_column($paints, 1));
            foreach ($paints as [$product, $parts]) {
                $totals[$product->id] ??= [$product, 0.0];
                $totals[$product->id][1] += $mlEach * $parts / $sum;
            }
        }

        return array_values($totals);
    }

    /**
     * @param  list<array{string, list<array{Product, int}>, Spectrum, float}>  $tones
     * @return list<array{int, int, float}>
     */
    private static function alike(array $tones): array
    {
        $alike = [];
        $labs = array_map(static fn (array $t): Lab => $t[2]->lab(), $tones);
        foreach ($labs as $i => $one) {
            for ($j = $i + 1; $j < count($labs); $j++) {
                $differs = $one->deltaE($labs[$j]);
                if ($differs < ToneStep::SUBTLE[0]) {
                    $alike[] = [$i, $j, $differs];
                }
            }
        }

        return $alike;
    }
}
