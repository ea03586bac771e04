<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Colour\KubelkaMunk;
use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Sheen;

/** Paints mixed by volume: what the mix looks like, and how it covers a ground (handbook 4, Colour). It predicts; the spoon decides. */
final readonly class Blend
{
    public Spectrum $thick;

    /** S of a reference coat of the mix. */
    public float $scattering;

    /** @param  non-empty-list<array{Product, float}>  $paints  with a swatch each, and parts by volume above 0 */
    public function __construct(public array $paints)
    {
        $parts = array_map(static fn (array $p): array => [$p[0]->spectrum(), $p[1], Coverage::strength($p[0]), Coverage::scattering($p[0])], $paints);
        $this->thick = KubelkaMunk::mix($parts);
        $this->scattering = array_sum(array_map(static fn (array $p): float => $p[1] * $p[3], $parts)) / array_sum(array_column($parts, 1));
    }

    /** Why it is not calculated; null where it is. */
    public function refuses(): ?string
    {
        foreach ($this->paints as [$product]) {
            if ($product->isMetallic() && count($this->paints) > 1) {
                return "{$product->name} is metallic: flakes are never mixed by calculation, spray a spoon";
            }
            if ($product->role === Role::TintedClear) {
                return "{$product->name} is a tinted clear: it never hides, and is judged coat by coat on a spoon";
            }
        }

        return null;
    }

    /** @param  float  $coats  reference coats, a mist counting half; 0 shows the ground */
    public function after(float $coats, Spectrum $ground): Spectrum
    {
        return $coats <= 0 ? $ground : KubelkaMunk::film($this->thick, $ground, $this->scattering * $coats);
    }

    /** A spoon of each of its paints was read back: the prediction rests on what was seen. */
    public function isFitted(): bool
    {
        foreach ($this->paints as [$product]) {
            if ($product->optics?->spoonEpoch === null) {
                return false;
            }
        }

        return true;
    }

    /** CIEDE2000 to a film nobody sees through. */
    public function differs(float $coats, Spectrum $ground): float
    {
        return $this->after($coats, $ground)->lab()->deltaE($this->thick->lab());
    }

    /** @return int|null light coats until the ground is hidden; null where twelve do not */
    public function coats(Spectrum $ground, float $hidden = Coverage::HIDDEN): ?int
    {
        for ($n = 1; $n <= Coverage::NEVER; $n++) {
            if ($this->differs($n, $ground) < $hidden) {
                return $n;
            }
        }

        return null;
    }

    /** As it is seen: a rougher surface scatters a little white (matt 0.03, satin 0.015, gloss nothing). */
    public static function seen(Spectrum $spectrum, ?Sheen $sheen): Spectrum
    {
        $add = match ($sheen) {
            Sheen::Matt => 0.03,
            Sheen::Satin => 0.015,
            default => 0.0,
        };

        return $add === 0.0 ? $spectrum : $spectrum->map(static fn (float $r): float => min(1.0, $r + $add));
    }
}
