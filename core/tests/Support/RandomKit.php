<?php

declare(strict_types=1);

namespace AmberStep\Core\Tests\Support;

use AmberStep\Core\Kit\Kit;
use BackedEnum;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A kit with every field filled at random, and with names nobody should give. */
final class RandomKit
{
    private const NAMES = ['hull', 'Hull', 'upper A', 'float, port', 'a / b', 'wing + tail', 'the "big" one', 'matt', 'seam', 'inside', 'part x', 'on white', '12', '84 cm²', 'soft 3', 'Größe', 'back\\slash', 'two  gaps', 'x ~2', ' leading', 'trailing ', '#7C96A3', 'a: b = c', '  ', 'no B4', 'M', "it's (port)", '=1+1', '{x}', 'to', '-'];

    private Randomizer $random;

    private int $count = 0;

    /** @param  non-empty-list<string>  $products  ids on the shelf */
    public function __construct(int $seed, private readonly array $products)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function kit(): Kit
    {
        $colours = $this->many(1, 5, fn (int $i): array => ['id' => $this->id(), 'position' => $i, 'name' => $this->name(), 'product' => $this->one($this->products), 'mustMatch' => $this->chance(40), 'code' => $this->maybe(fn (): string => mb_substr($this->name(), 0, 12))]);
        $parts = $this->many(2, 6, fn (int $i): array => [
            'id' => $this->id(), 'position' => $i, 'name' => $this->name(), 'substrate' => $this->case(\AmberStep\Core\Material\Substrate::class),
            'number' => $this->maybe(fn (): string => $this->name()), 'bookletStep' => $this->maybe(fn (): int => $this->random->getInt(1, 99)), 'mouldedColour' => $this->maybe(fn (): string => sprintf('#%06X', $this->random->getInt(0, 0xFFFFFF))),
            'slot' => $this->maybe(fn (): string => $this->name()), 'hand' => $this->maybe(static fn (): string => 'port'), 'fragile' => $this->chance(20), 'stressed' => $this->chance(20), 'letsLight' => $this->chance(20),
            'count' => $this->one([1, 1, 2, 14]), 'grip' => $this->maybe(fn (): string => $this->case(\AmberStep\Core\Kit\Grip::class)), 'origin' => $this->case(\AmberStep\Core\Kit\Origin::class), 'hollow' => $this->chance(20), 'option' => $this->maybe(fn (): string => $this->one(['canopy=open', 'a, b=c "d"', 'M=12'])),
        ]);
        $panes = $this->many(1, 2, fn (int $i): array => $this->area($i, $this->one($parts)['id'], [], 'pane', null));
        $areas = $this->many(1, 7, fn (int $i): array => $this->area($i + count($panes), $this->one($parts)['id'], array_column($colours, 'id'), $this->one(['outside', 'inside', 'joint-face', 'outside']), $this->chance(20) ? $this->one($panes)['id'] : null));
        $areas = [...$panes, ...$areas];
        foreach ($parts as $i => $part) {
            // In one of those before it, so that nothing lies in itself.
            $parts[$i]['inside'] = $i > 0 && $this->chance(20) ? $parts[$this->random->getInt(0, $i - 1)]['id'] : null;
        }
        $joints = $this->many(0, 4, function (int $i) use ($parts, $areas): array {
            $two = $this->random->pickArrayKeys($parts, 2);

            return [
                'id' => $this->id(), 'position' => $i, 'name' => $this->name(), 'parts' => [$parts[$two[0]]['id'], $parts[$two[1]]['id']], 'kind' => $this->case(\AmberStep\Core\Kit\JointKind::class), 'closed' => $this->case(\AmberStep\Core\Kit\Closed::class),
                'glue' => $this->case(\AmberStep\Core\Material\Glue::class), 'carriesLoad' => $this->chance(30), 'blocks' => $this->chance(30) ? [$this->one($areas)['id']] : [], 'gapMm' => $this->number(0, 3), 'lengthCm' => $this->number(0, 60), 'filler' => $this->maybe(fn (): string => $this->case(\AmberStep\Core\Material\Filler::class)),
                'pins' => $this->chance(60), 'removable' => $this->chance(30), 'bestSide' => $this->maybe(fn (): string => $this->name()), 'step' => $this->maybe(fn (): int => $this->random->getInt(1, 999)), 'access' => $this->case(\AmberStep\Core\Material\Access::class), 'crossed' => $this->chance(30),
            ];
        });
        $edges = count($areas) < 2 ? [] : $this->many(0, 5, function () use ($areas): array {
            $two = $this->random->pickArrayKeys($areas, 2);

            return ['id' => $this->id(), 'areas' => [$areas[$two[0]]['id'], $areas[$two[1]]['id']], 'mm' => $this->number(1, 400), 'kind' => $this->case(\AmberStep\Core\Kit\EdgeKind::class), 'softMm' => $this->one([2, 2, 1.5, 0]), 'curve' => $this->case(\AmberStep\Core\Kit\Curve::class), 'subject' => $this->one([null, 'sprayed', 'taped'])];
        });
        $pieces = array_map(fn (array $p): array => ['id' => $p['id'], 'name' => $this->name(), 'heldBy' => $this->maybe(fn (): string => $this->name()), 'holder' => $this->maybe(fn (): string => $this->case(\AmberStep\Core\Kit\Holder::class))], $this->chance(50) ? [$parts[0]] : []);

        return Kit::fromArray(['name' => 'Random', 'scale' => 72, 'zone' => 'UTC', 'parts' => $parts, 'joints' => $joints, 'pieces' => $pieces, 'areas' => $areas, 'edges' => $edges, 'colours' => $colours]);
    }

    /**
     * @param  list<string>  $colours
     * @return array<string, mixed>
     */
    private function area(int $position, string $part, array $colours, string $face, ?string $pane): array
    {
        $colour = fn (): ?string => $colours === [] ? null : $this->maybe(fn (): string => $this->one($colours));

        return [
            'id' => $this->id(), 'position' => $position, 'part' => $part, 'name' => $this->name(), 'cm2' => $this->maybe(fn (): float => $this->number(0.01, 500)), 'size' => $this->case(\AmberStep\Core\Kit\Size::class), 'curve' => $this->case(\AmberStep\Core\Kit\Curve::class), 'face' => $face, 'seenThrough' => $pane,
            'intent' => ['colour' => $colour(), 'insideColour' => $colour(), 'ground' => $colour(), 'preshade' => $colour(), 'decals' => $this->chance(40), 'wash' => $this->maybe(fn (): string => $this->case(\AmberStep\Core\Kit\WashKind::class)), 'sheen' => $this->maybe(fn (): string => $this->case(\AmberStep\Core\Material\Sheen::class)), 'polish' => $this->chance(20)],
        ];
    }

    private function id(): string
    {
        return sprintf('01R0000000%016d', ++$this->count);
    }

    private function name(): string
    {
        $name = $this->one(self::NAMES);

        return trim($name) === '' ? 'blank' : $name;
    }

    private function number(float $from, float $to): float
    {
        return max($from, round($from + ($to - $from) * $this->random->getInt(0, 1_000_000) / 1_000_000, $this->random->getInt(0, 3)));
    }

    /**
     * @template T
     *
     * @param  callable(int): T  $make
     * @return list<T>
     */
    private function many(int $least, int $most, callable $make): array
    {
        return array_map($make, $most === 0 ? [] : array_slice(range(0, 20), 0, $this->random->getInt($least, $most)));
    }

    /**
     * @template T
     *
     * @param  callable(): T  $make
     * @return T|null
     */
    private function maybe(callable $make): mixed
    {
        return $this->chance(50) ? $make() : null;
    }

    /** @param  class-string<BackedEnum>  $enum */
    private function case(string $enum): string
    {
        return (string) $this->one($enum::cases())->value;
    }

    private function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }

    /**
     * @template T
     *
     * @param  non-empty-array<T>  $of
     * @return T
     */
    private function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }
}
