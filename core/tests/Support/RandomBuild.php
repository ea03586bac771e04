<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Kits and logs drawn from a seed: sound shapes, and now and then something a modeller should not have done. */
final class RandomBuild
{
    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function chance(int $percent): bool
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

    /** @return list<mixed> */
    public function shuffled(array $list): array
    {
        return $this->random->shuffleArray($list);
    }

    /** @return array<string, mixed> what Build reads */
    public function said(): array
    {
        $parts = ['hull' => 'styrene'];
        $joints = [];
        $areas = [];
        $colours = ['grey' => 'sea grey', 'green' => 'slate green', 'pale' => 'pale grey', 'brown' => $this->one(['enamel brown', 'alcohol sand', 'lacquer red', 'lacquer bronze', 'haze']), 'dark' => 'interior dark', 'white' => 'ground white'];
        if ($this->chance(30)) {
            $colours['grey'] = ['product' => 'sea grey', 'mustMatch' => true];
        }
        foreach (['float', 'wing', 'canopy', 'grille', 'aerial', 'tyre'] as $name) {
            if ($this->chance(45)) {
                $parts[$name] = match ($name) {
                    'canopy' => 'clear-styrene',
                    'grille' => $this->one(['brass', 'aluminium', 'resin']),
                    'aerial' => ['substrate' => 'styrene', 'fragile' => true],
                    'tyre' => $this->one(['soft-vinyl', 'styrene']),
                    default => 'styrene',
                };
                $joints[$name.' joint'] = ['parts' => ['hull', $name], 'kind' => $name === 'wing' && $this->chance(60) ? 'seam' : 'line', 'glue' => $name === 'canopy' ? 'clear-glue' : $this->one(['thin-cement', 'superglue', 'epoxy']), 'gapMm' => $this->one([0, 0.1, 0.4]), 'lengthCm' => 4];
            }
        }
        foreach ($parts as $part => $_) {
            for ($i = 1, $n = $this->random->getInt(1, 3); $i <= $n; $i++) {
                $areas["{$part} {$i}"] = $this->area($part, array_keys($colours));
            }
            if ($part === 'canopy') {
                $areas['pane'] = ['part' => 'canopy', 'face' => 'pane'];
            }
        }
        if (isset($joints['wing joint']) && $this->chance(50)) {
            $areas['inside'] = ['part' => 'hull', 'colour' => 'dark', 'face' => 'inside'];
            $joints['wing joint']['blocks'] = ['inside'];
        }

        return [
            'shelf' => ['haze' => ['water-acrylic', 'colour', '#9DB0B9', ['sheen' => 'satin', 'mix' => ['sea grey' => 3, 'ground white' => 1, 'thinner' => 2]]]],
            'room' => $this->chance(50) ? [20, 50] : ['cycle' => [14, 22, 45, 80]],
            'house' => ['hardener' => $this->one(['no', 'no', 'yes']), 'wash' => $this->one(['oil', 'enamel', 'acrylic']), 'primer' => $this->one(['always', 'where-needed', 'never']), 'inspection' => $this->one(['until-clean', 'one', 'none']), 'panes' => $this->one(['glue-then-mask', 'mask-first']), 'barrier' => $this->one(['gloss', 'satin', 'none'])],
            'kit' => ['parts' => $parts, 'joints' => $joints, 'areas' => $areas, 'colours' => $colours, 'edges' => $this->edges($areas), 'pins' => $this->pins()],
        ];
    }

    /**
     * @param  list<string>  $colours
     * @return array<string, mixed>
     */
    private function area(string $part, array $colours): array
    {
        return array_filter([
            'part' => $part, 'cm2' => $this->random->getInt(1, 90), 'colour' => $this->one(array_slice($colours, 0, 4)),
            'preshade' => $this->chance(15) ? 'dark' : null, 'ground' => $this->chance(10) ? 'white' : null,
            'insideColour' => $part === 'canopy' ? 'dark' : null, 'decals' => $this->chance(25),
            'wash' => $this->chance(30) ? $this->one(['pin', 'pin', 'filter']) : null, 'sheen' => $this->chance(60) ? $this->one(['matt', 'satin', 'gloss']) : null,
        ], static fn (mixed $v): bool => $v !== null && $v !== false);
    }

    /**
     * @param  array<string, array<string, mixed>>  $areas
     * @return list<array{string, string, int, string}>
     */
    private function edges(array $areas): array
    {
        $edges = [];
        $names = array_keys($areas);
        for ($i = 1; $i < count($names); $i++) {
            if ($areas[$names[$i]]['part'] === $areas[$names[$i - 1]]['part'] && $this->chance(70)) {
                $edges[] = [$names[$i - 1], $names[$i], $this->random->getInt(20, 300), $this->one(['hard', 'soft'])];
            }
        }

        return $edges;
    }

    /** @return list<array<string, mixed>> */
    private function pins(): array
    {
        $pins = [];
        if ($this->chance(15)) {
            $pins[] = ['operation' => $this->one(['gloss', 'prime', 'seal']), 'present' => false];
        }
        if ($this->chance(10)) {
            $pins[] = ['operation' => 'mask', 'purpose' => 'panes', 'medium' => 'vinyl-tape'];
        }

        return $pins;
    }

    /**
     * @param  non-empty-list<string>  $areas
     * @param  list<string>  $painted  faults are seen on these
     * @return array<string, mixed> something done off plan, on one area
     */
    public function offPlan(array $areas, array $painted): array
    {
        $on = [$this->one($areas)];
        if ($painted !== [] && $this->chance(25)) {
            return ['do' => 'fault', 'on' => [$this->one($painted)], 'fault' => $this->one(['run', 'dust', 'lifted', 'crazing'])];
        }

        return $this->one([
            ['do' => 'colour', 'on' => $on, 'with' => $this->one(['sea grey', 'enamel brown', 'lacquer red']), 'coat' => 'light'],
            ['do' => 'mask', 'on' => $on, 'medium' => 'paper-tape'],
            ['do' => 'unmask', 'on' => $on],
            ['do' => 'wash', 'on' => $on],
            ['do' => 'into-cabinet', 'on' => $on, 'cabinetC' => $this->one([40, 45, 60])],
            ['do' => 'note', 'note' => 'Looked fine.'],
        ]);
    }
}
