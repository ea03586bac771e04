<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Reader;
use AmberStep\Core\Document\TypedNumber;

/** A recipe somebody keeps: what is in it, over which ground and through which gun it was right, and what of it can still be read two ways. */
final readonly class KeptRecipe
{
    /**
     * @param  non-empty-list<Part>  $parts
     * @param  list<string|null>  $products  by part: id of the shelf, null where it is none
     * @param  string|null  $ground  in words, such as "grey primer"
     * @param  string|null  $gun  in words, such as "0.35 mm, 1.2 bar, 10 cm"
     * @param  list<Ask>  $asks  unverified until they are answered
     */
    public function __construct(public array $parts, public array $products, public ?string $ground = null, public ?string $gun = null, public array $asks = [])
    {
    }

    public static function read(Reader $in): ?self
    {
        $products = [];
        $parts = $in->each('parts', static function (Reader $p) use (&$products): Part {
            $products[] = $p->optionalId('product');
            $part = new Part($p->text('name', 120), $p->oneOf('stuff', Stuff::class, Stuff::Paint), $p->number('amount', 0.001, 1000), $p->oneOf('base', Base::class, Base::Parts));
            $p->refuseTheRest();

            return $part;
        }, 8);
        $ground = $in->optionalText('ground', 120);
        $gun = $in->optionalText('gun', 120);
        $asks = $in->each('asks', Ask::read(...), 8);
        $in->refuseTheRest();
        if (array_filter($parts, static fn (Part $p): bool => $p->stuff === Stuff::Paint && $p->base === Base::Parts) === []) {
            $in->problems->add($in->path('parts'), 'hold no paint counted in parts', 'count at least one paint in parts');
        }

        if (self::leavesNothing($parts)) {
            $in->problems->add($in->path('parts'), 'leave nothing for the paint', 'what is stated of the whole stays under 100 % together');
        }

        return $parts === [] ? null : new self($parts, $products, $ground, $gun, $asks);
    }

    /**
     * What is stated of the whole comes to all of it, or more.
     *
     * @param  list<Part>  $parts
     */
    public static function leavesNothing(array $parts): bool
    {
        return array_sum(array_map(static fn (Part $p): float => $p->base === Base::PercentOfWhole ? $p->amount : 0.0, $parts)) >= 99.5;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'parts' => array_map(static fn (Part $p, ?string $product): array => ['product' => $product, 'name' => $p->name, 'stuff' => $p->stuff->value, 'amount' => $p->amount, 'base' => $p->base->value], $this->parts, $this->products),
            'ground' => $this->ground, 'gun' => $this->gun, 'asks' => array_map(static fn (Ask $a): array => $a->toArray(), $this->asks),
        ];
    }

    public function isVerified(): bool
    {
        return $this->asks === [];
    }

    /** More than one paint: a colour nobody sells. */
    public function isMixed(): bool
    {
        return count(array_filter($this->parts, static fn (Part $p): bool => $p->stuff === Stuff::Paint)) > 1;
    }

    /** "3 Linnet Sea Grey : 1 Linnet Ground White, 5 % of the paint and thinner together of retarder". */
    public function says(): string
    {
        $counted = array_filter($this->parts, static fn (Part $p): bool => $p->base === Base::Parts);
        $rest = array_filter($this->parts, static fn (Part $p): bool => $p->base !== Base::Parts);

        return implode(', ', [
            implode(' : ', array_map(static fn (Part $p): string => TypedNumber::text($p->amount).' '.$p->name, $counted)),
            ...array_map(static fn (Part $p): string => "{$p->name} ".TypedNumber::text($p->amount)." {$p->base->word()}", $rest),
        ]);
    }

    /**
     * With one of its questions answered.
     *
     * @throws BadDocument where there is no such question or reading
     */
    public function answered(int $ask, int $reading): self
    {
        $is = $this->asks[$ask]->readings[$reading] ?? throw BadDocument::at('ask', 'is not asked any more', 'look at the recipe again');
        $at = $this->asks[$ask]->part;
        $parts = array_map(static fn (Part $p, int $i): Part => $i === $at ? $is->part : $p, $this->parts, array_keys($this->parts));
        $products = array_map(static fn (?string $p, int $i): ?string => $i === $at ? $is->product : $p, $this->products, array_keys($this->products));
        $asks = $this->asks;
        unset($asks[$ask]);

        return new self($parts, $products, $this->ground, $this->gun, array_values($asks));
    }
}
