<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Property;

use AmberStep\Core\Colour\KubelkaMunk;
use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Material\KeptRecipe;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Mixing\Coverage;
use AmberStep\Core\Mixing\Jar;
use AmberStep\Core\Mixing\OwnMix;
use AmberStep\Core\Mixing\Poured;
use AmberStep\Core\Mixing\Recipe;
use AmberStep\Core\Mixing\RecipeLine;
use AmberStep\Core\Tests\Support\Names;
use AmberStep\Core\Tests\Support\Paints;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whatever is mixed: a line is read as it was written, the paint looks like what is in it, and no volume is lost. */
final class RecipePropertyTest extends TestCase
{
    private const SEEDS = 60;

    private Shelf $shelf;

    protected function setUp(): void
    {
        $this->shelf = Paints::shelf(new Names);
    }

    public function test_a_recipe_written_as_a_line_reads_back_as_itself_in_any_order(): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            [$kept, $pieces] = $this->recipe($random);
            $turned = (new RecipeLine($this->shelf))->read(implode(' + ', $random->shuffleArray($pieces)));
            $by = static function (KeptRecipe $r): array {
                $parts = array_combine(array_map(static fn (Part $p): string => $p->name, $r->parts), array_map(static fn (Part $p): array => [$p->amount, $p->base->value, $p->stuff->value], $r->parts));
                ksort($parts);

                return $parts;
            };

            self::assertSame($by($kept), $by($turned), "seed {$seed}");
            self::assertTrue($kept->isVerified(), "seed {$seed}");
            self::assertEquals($kept, $this->stored($kept, $seed), "seed {$seed}: kept and fetched it is the same");
        }
    }

    public function test_the_paint_it_makes_looks_like_what_is_in_it(): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            [$kept] = $this->recipe(new Randomizer(new Mt19937($seed)));
            $product = OwnMix::of($kept, '01K00000000000000000000999', 'mix', $this->shelf, null);
            // By the formula, without what the recipe remembers.
            $parts = [];
            foreach ($kept->parts as $i => $part) {
                $paint = $this->shelf->find($kept->products[$i]);
                if ($paint !== null) {
                    $parts[] = [$paint->spectrum(), $part->amount, 1.0, Coverage::scattering($paint)];
                }
            }
            $look = KubelkaMunk::mix($parts === [] ? throw new \LogicException('a recipe has a paint') : $parts);

            self::assertLessThan(1.0, Spectrum::of((string) $product->swatch)->lab()->deltaE($look->lab()), "seed {$seed}: a swatch is rounded to whole steps");
            $scatters = array_map(static fn (array $p): float => $p[3], $parts);
            self::assertTrue($product->optics === null || ($product->optics->scatters >= min($scatters) - 1e-3 && $product->optics->scatters <= max($scatters) + 1e-3), "seed {$seed}: between what is in it");
        }
    }

    public function test_volumes_add_up_and_a_jar_never_promises_more_than_it_holds(): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            [$kept] = $this->recipe($random);
            $total = $random->getInt(50, 6000) / 100;
            $batch = Recipe::kept($kept)->total($total);
            self::assertEqualsWithDelta($total, array_sum($batch->ml), 0.001, "seed {$seed}");
            self::assertFalse(Poured::against(Recipe::kept($kept), $batch->ml)->contradicts(), "seed {$seed}: poured as it says");
            $level = $random->getInt(0, 4000) / 100;
            $jobs = (new Jar($this->shelf->products[0]->with(['levelMl' => $level])))->jobs($batch->ml[0]);
            self::assertTrue($jobs !== null && $jobs * $batch->ml[0] <= $level + 1e-6 && ($jobs + 1) * $batch->ml[0] > $level - 1e-6, "seed {$seed}: whole jobs");
        }
    }

    /** @return array{KeptRecipe, list<string>} one to three paints of a family, with thinner and retarder, and its pieces as typed */
    private function recipe(Randomizer $random): array
    {
        $paints = array_values(array_filter($this->shelf->products, static fn (Product $p): bool => $p->role === Role::Colour && $p->family->value === 'water-acrylic'));
        $pieces = [];
        foreach (array_slice($random->shuffleArray($paints), 0, $random->getInt(1, 3)) as $paint) {
            $pieces[] = TypedNumber::text($random->getInt(1, 40) / 4).' '.$paint->name;
        }
        $pieces[] = TypedNumber::text($random->getInt(1, 12) / 2).' thinner';
        if ($random->getInt(0, 1) === 1) {
            $pieces[] = $random->getInt(1, 20).' % retarder';
        }

        return [(new RecipeLine($this->shelf))->read(implode(' + ', $pieces)), $pieces];
    }

    private function stored(KeptRecipe $kept, int $seed): ?KeptRecipe
    {
        return Product::fromArray((array) json_decode((string) json_encode(OwnMix::of($kept, '01K00000000000000000000999', "mix {$seed}", $this->shelf, 1.0)->toArray()), true))->mix;
    }
}
