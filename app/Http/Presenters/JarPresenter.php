<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Material\Ask;
use AmberStep\Core\Material\AskReading;
use AmberStep\Core\Material\KeptRecipe;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Stuff;
use AmberStep\Core\Mixing\Jar;
use DateTimeZone;

/** A jar of the shelf, and the recipe on it where it is an own mix. */
final readonly class JarPresenter
{
    public function __construct(private int $nowEpoch, private DateTimeZone $zone)
    {
    }

    /** @return array<string, mixed> */
    public function paint(Product $p): array
    {
        $figures = $p->family->figures();
        $jar = new Jar($p);

        return [
            'id' => $p->id, 'name' => $p->name, 'swatch' => $p->swatch, 'solid' => $p->role === Role::Colour && $p->swatch !== null, 'family' => $p->family->value,
            'levelMl' => $p->levelMl, 'sizeMl' => $p->sizeMl, 'thinner' => $figures->thinner, 'thinnerStuff' => Stuff::thinning($p->family)->value, 'ratio' => $figures->thinnerPerPaint->middle(),
            'dropsPerMl' => $p->dropsPerMl, 'stirring' => $jar->stirring($this->nowEpoch, $this->zone), 'lastThird' => $jar->isLastThird(),
            'spoon' => $p->optics?->note,
        ];
    }

    /**
     * @param  list<string>  $usedOn
     * @return array<string, mixed>|null null where it is no recipe
     */
    public function recipe(Product $p, array $usedOn): ?array
    {
        return $p->mix === null ? null : [
            'id' => $p->id, 'name' => $p->name, 'swatch' => $p->swatch, 'says' => $p->mix->says(), 'ground' => $p->mix->ground, 'gun' => $p->mix->gun,
            'keptMl' => $p->levelMl, 'spoon' => $p->optics?->note, 'usedOn' => $usedOn, ...self::lines($p->mix),
        ];
    }

    /** @return array<string, mixed> the lines of a recipe as they are typed, and what is asked of them */
    public static function lines(KeptRecipe $mix): array
    {
        return [
            'parts' => array_map(static fn (Part $part, ?string $product): array => ['product' => $product, 'name' => $part->name, 'stuff' => $part->stuff->value, 'amount' => TypedNumber::text($part->amount), 'base' => $part->base->value, 'drops' => ''], $mix->parts, $mix->products),
            'asks' => array_map(static fn (Ask $a): array => ['question' => $a->question(), 'readings' => array_map(static fn (AskReading $r): string => $r->words, $a->readings), 'kept' => $a->toArray()], $mix->asks),
        ];
    }
}
