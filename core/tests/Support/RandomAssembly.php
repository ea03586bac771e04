<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Kits with things inside things: hulls of halves or with lids, tubs, seats, wheels, masts, panes; in names, from a seed. */
final class RandomAssembly
{
    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return array<string, mixed> */
    public function kit(): array
    {
        $parts = ['hull' => ['substrate' => 'styrene']];
        $areas = ['hull skin' => ['part' => 'hull', 'cm2' => $this->random->getInt(60, 200), 'colour' => $this->colour()]];
        $joints = [];
        for ($i = 1; $i <= $this->random->getInt(1, 2); $i++) {
            $lid = "lid {$i}";
            $parts[$lid] = ['substrate' => 'styrene'];
            $areas["{$lid} skin"] = ['part' => $lid, 'cm2' => 30, 'colour' => $this->colour()];
            $joints["{$lid} edge"] = ['parts' => $this->either('hull', $lid), 'closed' => $this->one(['before', 'after', 'undecided', 'undecided']), 'kind' => $this->one(['line', 'seam']), 'glue' => $this->one(['thin-cement', 'slow-cement', 'superglue']), 'gapMm' => 0.1, 'lengthCm' => 6];
            if ($joints["{$lid} edge"]['kind'] === 'seam' && $joints["{$lid} edge"]['closed'] === 'after') {
                $joints["{$lid} edge"]['kind'] = 'line';
            }
        }
        if ($this->chance(60)) {
            $areas['walls'] = ['part' => 'hull', 'cm2' => 20, 'face' => 'inside', 'colour' => 'dark'];
        }
        $this->contents($parts, $areas, $joints);
        for ($i = 1; $i <= $this->random->getInt(0, 2); $i++) {
            $parts["wheel {$i}"] = ['substrate' => 'styrene'];
            $areas["wheel {$i} disc"] = ['part' => "wheel {$i}", 'cm2' => $this->one([1, 2, 9, 16]), 'colour' => 'black'];
            $joints["axle {$i}"] = ['parts' => $this->either('hull', "wheel {$i}"), 'closed' => 'after', 'glue' => $this->one(['thin-cement', 'superglue', 'epoxy']), 'carriesLoad' => $this->chance(30)];
        }
        if ($this->chance(50)) {
            $parts['hood'] = ['substrate' => 'clear-styrene'];
            $areas['hood frame'] = ['part' => 'hood', 'cm2' => 4, 'colour' => 'grey'];
            $areas['hood pane'] = ['part' => 'hood', 'cm2' => 6, 'face' => 'pane'];
            $joints['hood foot'] = ['parts' => $this->either('hull', 'hood'), 'closed' => $this->one(['before', 'after']), 'glue' => 'clear-glue'];
        }

        return ['parts' => $parts, 'joints' => $joints, 'areas' => $areas, 'colours' => ['grey' => 'sea grey', 'green' => 'slate green', 'dark' => 'interior dark', 'red' => 'lacquer red', 'black' => 'interior dark']];
    }

    /**
     * What lies in the hull, and in that.
     *
     * @param  array<string, mixed>  $parts
     * @param  array<string, mixed>  $areas
     * @param  array<string, mixed>  $joints
     */
    private function contents(array &$parts, array &$areas, array &$joints): void
    {
        $shells = ['hull'];
        for ($i = 1; $i <= $this->random->getInt(1, 4); $i++) {
            $shell = $this->one($shells);
            $name = "thing {$i}";
            $parts[$name] = ['substrate' => 'styrene', 'inside' => $shell];
            $areas["{$name} faces"] = ['part' => $name, 'cm2' => $this->one([2, 4, 20]), 'colour' => $this->one(['dark', 'green'])];
            if ($this->chance(85)) {
                $joints["{$name} foot"] = ['parts' => $this->either($shell, $name), 'closed' => 'undecided', 'glue' => $this->one(['thin-cement', 'superglue', 'clear-glue'])];
            }
            $shells[] = $name;
        }
    }

    /** @return array{string, string} */
    private function either(string $a, string $b): array
    {
        return $this->chance(50) ? [$a, $b] : [$b, $a];
    }

    private function colour(): string
    {
        return $this->one(['grey', 'green', 'red']);
    }

    private function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }
}
