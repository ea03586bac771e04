<?php

declare(strict_types=1);

namespace AmberStep\Core\Mixing;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Material\Ask;
use AmberStep\Core\Material\AskReading;
use AmberStep\Core\Material\Base;
use AmberStep\Core\Material\KeptRecipe;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Material\Stuff;

/** A recipe typed in one line, "3 sea grey + 1 ground white + 5 % retarder": what can be read two ways is asked, never guessed. */
final readonly class RecipeLine
{
    /** What is no paint, by the words people use. */
    private const OTHERS = [
        'lacquer thinner' => Stuff::LacquerThinner, 'levelling thinner' => Stuff::LacquerThinner, 'white spirit' => Stuff::WhiteSpirit, 'isopropyl' => Stuff::Isopropyl, 'alcohol' => Stuff::Isopropyl,
        'water' => Stuff::Water, 'retarder' => Stuff::Additive, 'levelling agent' => Stuff::Additive, 'matting agent' => Stuff::Additive, 'flow improver' => Stuff::Additive, 'hardener' => Stuff::Hardener,
    ];

    private const MOST = 8;

    public function __construct(private Shelf $shelf)
    {
    }

    /** @throws BadDocument naming the piece that is not read, and what would be right */
    public function read(string $text): KeptRecipe
    {
        $pieces = array_values(array_filter(array_map(trim(...), explode('+', $text)), static fn (string $p): bool => $p !== ''));
        if ($pieces === [] || count($pieces) > self::MOST) {
            throw BadDocument::at('text', $pieces === [] ? 'is empty' : 'has more than '.self::MOST.' parts', 'write it as 3 sea grey + 1 ground white + 5 % retarder');
        }
        $parts = $products = $asks = $taken = $named = [];
        $family = null;
        foreach ($pieces as $i => $piece) {
            $taken[$i] = self::taken($piece, $i);
            $name = $taken[$i][3];
            $named[$i] = $name === 'thinner' || isset(self::OTHERS[$name]) ? [] : $this->named($name, $piece, $i);
            $family ??= ($named[$i][0] ?? null)?->family;
        }
        foreach ($pieces as $i => $piece) {
            [[$amount, $percent, $of, $name, $drops], $candidates] = [$taken[$i], $named[$i]];
            $product = $candidates[0] ?? null;
            // Thinner is the family's own, wherever in the line it stands.
            $stuff = $product !== null ? Stuff::Paint : (self::OTHERS[$name] ?? ($family === null ? Stuff::LacquerThinner : Stuff::thinning($family)));
            $called = $product !== null ? $product->name : $name;
            // Counted in drops it stays so: a drop of water is twice a drop of paint.
            $amount *= $drops ? (new Part($called, $stuff, 1, mlPerDrop: $product?->dropsPerMl === null ? null : 1 / $product->dropsPerMl))->mlPerDrop() : 1;
            $readings = self::readings($amount, $percent, $of, $called, $stuff, $product?->id);
            $part = $readings[0]->part;
            if (count($candidates) > 1) {
                $readings = array_map(static fn (Product $p): AskReading => new AskReading(count(array_filter($candidates, static fn (Product $o): bool => $o->name === $p->name)) > 1 ? "{$p->name} of {$p->range}, {$p->family->word()}" : $p->name, $p->id, new Part($p->name, $part->stuff, $part->amount, $part->base)), $candidates);
            }
            if (count($readings) > 1) {
                $asks[] = new Ask($i, $piece, $readings);
            }
            $parts[] = $part;
            $products[] = $product?->id;
        }
        if (array_filter($parts, static fn (Part $p): bool => $p->stuff === Stuff::Paint && $p->base === Base::Parts) === []) {
            throw BadDocument::at('text', 'has no paint counted in parts', 'begin with a paint, such as 3 sea grey');
        }

        if (KeptRecipe::leavesNothing($parts)) {
            throw BadDocument::at('text', 'leaves nothing for the paint', 'what is stated in % of the whole stays under 100 together');
        }

        return new KeptRecipe($parts, $products, null, null, $asks);
    }

    /** @return array{float, bool, string|null, string, bool} amount, whether in per cent, of what ("paint", "mix"), the name in small letters, and whether it was counted in drops */
    private static function taken(string $piece, int $i): array
    {
        if (preg_match('/\A([\d.,]+)\s*(%|per cent|parts?|drops?)?\s*(?:of (?:the )?(paint|mix)\b)?\s*(?:of\s+)?(.*)\z/uis', $piece, $m) !== 1 || trim($m[4]) === '') {
            throw BadDocument::at('text, part '.($i + 1), "\"{$piece}\" is not read", 'write an amount and a name, such as 3 sea grey or 5 % retarder');
        }
        try {
            $amount = TypedNumber::read(rtrim($m[1], '.,'));
        } catch (NotRead $not) {
            throw BadDocument::at('text, part '.($i + 1), $not->wrong, $not->right);
        }
        $percent = $m[2] === '%' || strtolower($m[2]) === 'per cent';
        $most = $percent ? 100 : 1000;
        if ($amount <= 0 || $amount > $most) {
            throw BadDocument::at('text, part '.($i + 1), "{$m[1]} is ".($amount <= 0 ? 'too little' : 'too much'), "give an amount above 0 and up to {$most}");
        }
        $name = mb_strtolower(trim($m[4]));
        if (preg_match('/\A(.*?)\s+of (?:the )?(paint|mix)\z/us', $name, $after) === 1) {
            return [$amount, $percent, $after[2], $after[1], false];
        }

        return [$amount, $percent, $m[3] === '' ? null : strtolower($m[3]), $name, str_starts_with(strtolower($m[2]), 'drop')];
    }

    /**
     * One paint, or all that the name may mean: "black" is a paint and a primer.
     *
     * @return non-empty-list<Product>
     */
    private function named(string $name, string $piece, int $i): array
    {
        $words = preg_split('/\s+/u', $name);
        $found = $exact = [];
        foreach ($this->shelf->products as $product) {
            $full = mb_strtolower($product->name);
            if ($full === $name) {
                $exact[] = $product;
            }
            $in = preg_split('/\s+/u', $full);
            if (array_diff($words === false ? [] : $words, $in === false ? [] : $in) === [] && $product->role !== Role::Wash) {
                $found[] = $product;
            }
        }
        if ($exact !== []) {
            return array_slice($exact, 0, 6);
        }
        if ($found === []) {
            throw BadDocument::at('text, part '.($i + 1), "\"{$piece}\" names nothing on the shelf", 'use the name on its jar, or thinner, water, retarder, matting agent, hardener');
        }

        return array_slice($found, 0, 6);
    }

    /** @return non-empty-list<AskReading> more than one where a percentage does not say of what */
    private static function readings(float $amount, bool $percent, ?string $of, string $name, Stuff $stuff, ?string $product): array
    {
        $as = static fn (string $words, float $parts, Base $base): AskReading => new AskReading($words, $product, new Part($name, $stuff, $parts, $base));
        if (! $percent) {
            return [$as('parts', $amount, Base::Parts)];
        }
        if ($of !== null) {
            return [$as($of === 'paint' ? 'of the paint' : 'of paint and thinner together', $amount, $of === 'paint' ? Base::PercentOfPaint : Base::PercentOfMix)];
        }
        if ($stuff === Stuff::Additive) {
            // Stated of the paint plus thinner unless its label says otherwise (handbook 4, Parts).
            return [$as('of paint and thinner together', $amount, Base::PercentOfMix)];
        }
        $number = TypedNumber::text($amount);
        $paint = $as("{$number} to 100 of the paint", $amount, Base::PercentOfPaint);
        $whole = $amount >= 100 ? [] : [$as("{$number} of 100 in the cup", $amount, Base::PercentOfWhole)];
        if ($stuff === Stuff::Hardener) {
            return [$as("{$number} to 100 of the thinned mix, as usual", $amount, Base::PercentOfMix), $paint, ...$whole];
        }
        if ($stuff->isThinner()) {
            // Thinner in % is of the whole mix; of an alcohol it may be the strength on its bottle.
            return [...$whole, $paint, ...($stuff === Stuff::Isopropyl ? [$as("one part of {$number} % strength", 1, Base::Parts)] : [])];
        }
        $of = $paint;

        return $amount >= 100 ? [$of] : [$of, $as(sprintf('%s of 100 in the cup, so %s to 100 of the paint', TypedNumber::text($amount), TypedNumber::text(round(100 * $amount / (100 - $amount), 1))), round(100 * $amount / (100 - $amount), 4), Base::PercentOfPaint)];
    }
}
