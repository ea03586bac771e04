<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Colour\Lab;
use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Colour\Srgb;
use AmberStep\Core\Colour\WashColour;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Layering\Hiding;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Sheen;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Material\Stuff;
use AmberStep\Core\Mixing\Blend;
use AmberStep\Core\Mixing\Coverage;
use AmberStep\Core\Mixing\Need;
use AmberStep\Core\Mixing\Order;
use AmberStep\Core\Mixing\Saving;

/** What a mix will look like over each ground, coat by coat; where a ground is hidden, what a better one saves, which wash reads on it. */
final readonly class LookPresenter
{
    /** Grounds a coat is shown over (handbook 4, Colour). */
    private const GROUNDS = ['black' => '#232325', 'grey' => '#9B9B9B', 'white' => '#F5F5F0', 'pink' => '#DCA5A0', 'silver' => '#B9BCBE'];

    private const COATS = 5;

    public function __construct(private Shelf $shelf, private HouseRules $house)
    {
    }

    /**
     * @param  list<array{Product, float}>  $paints  of the recipe that are on the shelf, with their parts
     * @return array<string, mixed>
     */
    public function of(Order $order, array $paints, ?Need $need, ?string $plastic): array
    {
        $asked = array_filter($order->recipe->parts, static fn (Part $p): bool => $p->stuff === Stuff::Paint);
        $seen = array_values(array_filter($paints, static fn (array $p): bool => $p[0]->swatch !== null && $p[0]->role !== Role::Varnish));
        $kept = $this->shelf->find($order->keptAs);
        if ($kept?->mix !== null && $kept->swatch !== null) {
            // A kept recipe is a paint of its own, with a spoon of its own.
            [$seen, $asked] = [[[$kept, 1.0]], [1]];
        }
        if ($seen === [] || count($seen) < count($asked)) {
            return self::none('The look is worked out from paints of the shelf that have a colour.');
        }
        $blend = new Blend($seen);
        $single = count($seen) === 1 ? $seen[0][0] : null;
        $tinted = $single?->role === Role::TintedClear;
        $refused = $tinted ? null : $blend->refuses();
        if ($refused !== null) {
            return self::none(ucfirst($refused).'.');
        }
        $sheen = $seen[0][0]->sheen;
        $hidden = Hiding::threshold($this->house);
        $there = array_column($order->grounds, 1, 0);
        $rows = [];
        foreach ([...$there, ...self::GROUNDS, ...($plastic === null ? [] : ['the plastic' => $plastic])] as $name => $hex) {
            $rows[] = self::ground((string) $name, (string) $hex, $single === null ? $blend : new Coverage($single), $sheen, $hidden, isset($there[$name]));
        }
        $lab = $blend->thick->lab();

        return [
            'hex' => Blend::seen($blend->thick, $sheen)->srgb()->hex(), 'l' => round($lab->l, 1),
            'says' => ($tinted ? 'A tinted clear never hides: it deepens with every coat, and the last is chosen by eye.' : self::best($rows)).' Screens differ and this predicts: the spoon decides.',
            'fitted' => $blend->isFitted() ? 'Read back from a spoon of '.implode(' and ', array_map(static fn (array $p): string => $p[0]->name, $seen)).'.' : null,
            'saves' => $tinted ? null : self::saves($rows, $order, $need),
            'oneMore' => $tinted ? null : self::oneMore($rows, $order->coats),
            'grounds' => $rows, 'wash' => $this->wash($lab),
        ];
    }

    /** @return array<string, mixed> */
    private static function none(string $says): array
    {
        return ['hex' => null, 'l' => null, 'says' => $says, 'fitted' => null, 'saves' => null, 'oneMore' => null, 'grounds' => [], 'wash' => null];
    }

    /** @return array<string, mixed> */
    private static function ground(string $name, string $hex, Blend|Coverage $film, ?Sheen $sheen, float $hidden, bool $planned): array
    {
        $ground = Spectrum::of($hex);
        $coats = [];
        for ($n = 0; $n <= self::COATS; $n++) {
            $coats[] = ['hex' => Blend::seen($film->after($n, $ground), $n === 0 ? null : $sheen)->srgb()->hex(), 'differs' => round($film->differs($n, $ground), 2)];
        }

        return ['name' => $name, 'hex' => $hex, 'planned' => $planned, 'hiddenAt' => $film->coats($ground, $hidden), 'coats' => $coats];
    }

    /** @param  non-empty-list<array<string, mixed>>  $rows */
    private static function best(array $rows): string
    {
        $best = self::soonest($rows);
        $never = array_filter($rows, static fn (array $r): bool => $r['hiddenAt'] === null);

        return $best === null
            ? sprintf('No ground is hidden in %d coats: spray a nearer colour first.', Coverage::NEVER)
            : sprintf('Over %s it is hidden in %d light %s.%s', $best['name'], $best['hiddenAt'], $best['hiddenAt'] === 1 ? 'coat' : 'coats', $never === [] ? '' : ' Over '.implode(', ', array_map(static fn (array $r): string => (string) $r['name'], $never)).' never in '.Coverage::NEVER.'.');
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @return array<string, mixed>|null the ground that is hidden soonest
     */
    private static function soonest(array $rows): ?array
    {
        $best = null;
        foreach ($rows as $row) {
            if ($row['hiddenAt'] !== null && ($best === null || $row['hiddenAt'] < $best['hiddenAt'])) {
                $best = $row;
            }
        }

        return $best;
    }

    /** @param  list<array<string, mixed>>  $rows  what a better ground than the plan's saves in coats, minutes and ml */
    private static function saves(array $rows, Order $order, ?Need $need): ?string
    {
        $there = array_values(array_filter($rows, static fn (array $r): bool => $r['planned'] === true));
        $best = self::soonest($rows);
        if ($there === [] || $best === null || $order->cm2 === null || $need === null || $order->coats <= 0) {
            return null;
        }
        $over = max(array_map(static fn (array $r): int => $r['hiddenAt'] ?? Coverage::NEVER, $there));
        $saving = Saving::of($over, $best['hiddenAt'], $order->cm2, $need->mixMl / $order->coats);

        return $saving->coats === 0
            ? sprintf('The plan\'s ground, %s, is as good as any.', $there[0]['name'])
            : sprintf('Over %s, as planned, it takes %s; a coat of %s under it saves %d, about %d min and %.1f ml of mix.', $there[0]['name'], $over >= Coverage::NEVER ? 'twelve coats or more' : "{$over} coats", $best['name'], $saving->coats, round($saving->minutes), $saving->ml);
    }

    /** @param  list<array<string, mixed>>  $rows  what one more coat than planned would change */
    private static function oneMore(array $rows, float $coats): ?string
    {
        $row = array_values(array_filter($rows, static fn (array $r): bool => $r['planned'] === true))[0] ?? null;
        $n = (int) floor($coats);
        if ($row === null || $n < 1 || $n >= self::COATS) {
            return null;
        }
        [$now, $then] = [$row['coats'][$n]['differs'], $row['coats'][$n + 1]['differs']];

        return sprintf('After %d %s over %s ΔE %.1f shows; one more leaves %.1f.', $n, $n === 1 ? 'coat' : 'coats', $row['name'], $now, $then);
    }

    /** @return array<string, mixed> the wash that reads on it, and how strongly the washes of the shelf do */
    private function wash(Lab $base): array
    {
        [$name, $why, $swatch] = WashColour::for($base);
        $washes = array_values(array_filter($this->shelf->products, static fn (Product $p): bool => $p->role === Role::Wash && $p->swatch !== null));

        return ['name' => $name, 'why' => $why, 'hex' => $swatch, 'reads' => WashColour::reads($base, Srgb::fromHex($swatch)->lab()), 'shelf' => array_map(static fn (Product $p): array => ['name' => $p->name, 'hex' => (string) $p->swatch, 'reads' => WashColour::reads($base, Srgb::fromHex((string) $p->swatch)->lab())], $washes)];
    }
}
