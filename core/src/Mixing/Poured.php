<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

/**
 * What really went in against what the recipe says: by how much it is off, the smallest addition that puts it right,
 * and the batch the same total would have made. 60:40 poured as 40 and 40 wants 20 more of the first, or is rebuilt
 * as 48 and 32 (handbook 4, Parts).
 */
final readonly class Poured
{
    /** Within this share nobody sees a difference, and no cup is read better. */
    public const CLOSE = 0.03;

    /**
     * @param  non-empty-list<float>  $off  share by which each part is over (or, below 0, under) what the others ask for
     * @param  non-empty-list<float>  $add  ml of each that puts it right
     * @param  non-empty-list<float>  $rebuilt  ml of each for the same total
     */
    private function __construct(public array $off, public array $add, public array $rebuilt)
    {
    }

    /** @param  non-empty-list<float>  $ml  in the order of the recipe, 0 where it did not go in yet */
    public static function against(Recipe $recipe, array $ml): self
    {
        $shares = $recipe->shares();
        $sum = array_sum($shares);
        $total = array_sum($ml);
        $most = 0.0;
        foreach ($shares as $i => $share) {
            $most = max($most, $ml[$i] / $share);
        }

        return new self(
            array_map(static fn (float $m, float $s): float => $total <= 0 ? 0.0 : $m / ($total * $s / $sum) - 1, $ml, $shares),
            array_map(static fn (float $m, float $s): float => max(0.0, $most * $s - $m), $ml, $shares),
            array_map(static fn (float $s): float => $total * $s / $sum, $shares),
        );
    }

    /** The ratio stated is not the ratio poured. */
    public function contradicts(): bool
    {
        return max(array_map(abs(...), $this->off)) > self::CLOSE;
    }

    /** The paints stand to each other as written, and there is more thinner than that: late thinner, not a slip. */
    public function isOnlyThinner(Recipe $recipe): bool
    {
        $off = [];
        $over = false;
        foreach ($recipe->parts as $i => $part) {
            if ($part->stuff->isThinner()) {
                $over = $over || $this->off[$i] > self::CLOSE;
            } else {
                $off[] = 1 + $this->off[$i];
            }
        }

        return $over && $off !== [] && max($off) <= (1 + 2 * self::CLOSE) * min($off);
    }

    /** "Sea Grey is 12 % over what the rest asks for." */
    public function worst(Recipe $recipe): string
    {
        $sizes = array_map(abs(...), $this->off);
        $which = (int) array_search(max($sizes), $sizes, true);

        return sprintf('%s is %d %% %s what the rest asks for.', ucfirst($recipe->parts[$which]->name), round(100 * $sizes[$which]), $this->off[$which] > 0 ? 'over' : 'under');
    }

    /** ml that are added in all. */
    public function added(): float
    {
        return array_sum($this->add);
    }
}
