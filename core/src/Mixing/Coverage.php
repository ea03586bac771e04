<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Colour\KubelkaMunk;
use AmberStep\Core\Colour\Lab;
use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;

/** How a paint covers what lies under it: coat by coat, and when nobody sees the ground any more (handbook 4, Colour). */
final readonly class Coverage
{
    /** Beyond this many light coats: never, say so. */
    public const NEVER = 12;

    /** CIEDE2000 to the thick film under which a ground counts as hidden. */
    public const HIDDEN = 1.5;

    private Spectrum $paint;

    private Lab $thick;

    private float $scattering;

    public function __construct(private Product $product)
    {
        $this->paint = $product->spectrum();
        $this->thick = $this->paint->map(static fn (float $r): float => KubelkaMunk::thick(KubelkaMunk::ks($r)))->lab();
        $this->scattering = self::scattering($product);
    }

    /** S of a reference coat: as a spoon or its recipe has it; else white, cream and pale tints scatter most; the rest by how well it covers. */
    public static function scattering(Product $product): float
    {
        if ($product->optics !== null) {
            return $product->optics->scatters;
        }
        $lab = $product->swatch === null ? null : Srgb::fromHex($product->swatch)->lab();

        return $lab !== null && $lab->l >= 85 && $lab->chroma() < 30 ? 1.4 : $product->opacity->scattering();
    }

    /** How much it does in a mix against its share; 1 until a spoon fits it. */
    public static function strength(Product $product): float
    {
        return $product->optics->strength ?? 1.0;
    }

    /**
     * What the surface shows after a film of so many reference coats; a mist is half of one.
     *
     * @param  float  $film  in reference coats, 0 or more
     */
    public function after(float $film, Spectrum $ground): Spectrum
    {
        if ($film <= 0) {
            return $ground;
        }
        if ($this->product->role === Role::TintedClear) {
            return $this->tint($film, $ground);
        }

        return KubelkaMunk::film($this->paint, $ground, $this->scattering * $film);
    }

    /** CIEDE2000 between that film and one nobody sees through. */
    public function differs(float $film, Spectrum $ground): float
    {
        return $this->after($film, $ground)->lab()->deltaE($this->thick);
    }

    /**
     * Light coats until the ground is hidden.
     *
     * @param  float  $hidden  CIEDE2000
     * @return int|null null where twelve do not hide it; a metallic hides after two, a tinted clear never
     */
    public function coats(Spectrum $ground, float $hidden = self::HIDDEN): ?int
    {
        if ($this->product->isMetallic()) {
            return 2;
        }
        for ($n = 1; $n <= self::NEVER && $this->product->role !== Role::TintedClear; $n++) {
            if ($this->differs($n, $ground) < $hidden) {
                return $n;
            }
        }

        return null;
    }

    /** Tinted clear: R = Rg exp(-2 a n), a from its swatch, taken as 3 coats over white 0.85. */
    private function tint(float $film, Spectrum $ground): Spectrum
    {
        return new Spectrum(array_map(static function (float $swatch, float $g) use ($film): float {
            $a = max(0.0, -log(max(Spectrum::LEAST, min(0.85, $swatch)) / 0.85) / 6);

            return $g * exp(-2 * $a * $film);
        }, $this->paint->r, $ground->r));
    }
}
