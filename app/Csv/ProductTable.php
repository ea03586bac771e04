<?php

declare(strict_types=1);

namespace App\Csv;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\Problem;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Material\Pack;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Shelf;
use Closure;

/** The shelf as a table. Rows with an id change that product; rows without one are new. */
final class ProductTable
{
    private const COLUMNS = ['id', 'name', 'range', 'family', 'role', 'swatch', 'sheen', 'opacity', 'bites', 'etch', 'grade', 'thinnedWith', 'triedOn', 'label', 'sizeMl', 'price', 'levelMl', 'otherPacks'];

    private const NUMBERS = ['grade', 'sizeMl', 'price', 'levelMl'];

    /** @return list<list<string>> */
    public static function rows(Shelf $shelf): array
    {
        $rows = [self::COLUMNS];
        foreach ($shelf->products as $product) {
            $fields = $product->toArray();
            $fields['otherPacks'] = array_map(static fn (Pack $p): string => TypedNumber::text($p->ml).' ml at '.TypedNumber::text($p->price), $product->otherPacks);
            $rows[] = array_map(static fn (string $column): string => self::text($fields[$column]), self::COLUMNS);
        }

        return $rows;
    }

    /**
     * @param  list<list<string>>  $rows
     * @param  Closure(): string  $newId
     * @return list<Product>
     *
     * @throws BadDocument with each wrong cell
     */
    public static function read(array $rows, Closure $newId): array
    {
        $head = array_map(static fn (string $c): string => trim($c), array_shift($rows) ?? []);
        $unknown = array_values(array_diff($head, self::COLUMNS));
        if ($unknown !== [] || ! in_array('name', $head, true)) {
            throw BadDocument::at($unknown === [] ? 'head' : "column \"{$unknown[0]}\"", $unknown === [] ? 'names no column "name"' : 'is not known', 'use '.implode(', ', self::COLUMNS));
        }
        $products = $problems = $seen = [];
        foreach ($rows as $i => $row) {
            if (implode('', $row) === '') {
                continue;
            }
            try {
                $product = self::product($head, $row, $newId);
                if (isset($seen[$product->id])) {
                    throw BadDocument::at('id', 'stands in an earlier row too', 'give each product one row');
                }
                $seen[$product->id] = true;
                $products[] = $product;
            } catch (BadDocument $bad) {
                array_push($problems, ...array_map(static fn (Problem $p): Problem => new Problem('row '.($i + 2).', '.$p->path, $p->wrong, $p->right), $bad->problems));
            }
        }
        if ($problems !== []) {
            throw new BadDocument(array_slice($problems, 0, 50));
        }

        return $products;
    }

    /**
     * @param  list<string>  $head
     * @param  list<string>  $row
     * @param  Closure(): string  $newId
     *
     * @throws BadDocument
     */
    private static function product(array $head, array $row, Closure $newId): Product
    {
        $fields = [];
        foreach ($head as $i => $column) {
            $text = trim($row[$i] ?? '');
            if ($text !== '') {
                $fields[$column] = self::value($column, $text);
            }
        }

        return Product::fromArray(['id' => $newId(), ...$fields]);
    }

    private static function value(string $column, string $text): mixed
    {
        try {
            return match (true) {
                in_array($column, self::NUMBERS, true) => TypedNumber::read($text),
                $column === 'bites' || $column === 'etch' => in_array(mb_strtolower($text), ['yes', '1', 'true', 'x'], true),
                $column === 'otherPacks' => array_map(self::pack(...), explode(';', $text)),
                $column === 'triedOn' => array_map(trim(...), explode(';', $text)),
                $column === 'label' => json_decode($text, true) ?? throw new NotRead('it is not the figures of a label', 'leave it as it was exported, or empty'),
                default => $text,
            };
        } catch (NotRead $not) {
            throw BadDocument::at($column, $not->wrong, $not->right);
        }
    }

    /**
     * "40 ml at 6.9"
     *
     * @return array{ml: float, price: float}
     */
    private static function pack(string $text): array
    {
        if (preg_match('/\A(\S+?)\s*(?:ml)?\s+at\s+(\S+)\z/u', trim($text), $parts) !== 1) {
            throw new NotRead("\"{$text}\" is not a pack", 'write it as 40 ml at 6.90, several with semicolons between');
        }

        return ['ml' => TypedNumber::read($parts[1]), 'price' => TypedNumber::read($parts[2])];
    }

    private static function text(mixed $value): string
    {
        return match (true) {
            $value === null, $value === false, $value === [] => '',
            $value === true => 'yes',
            is_array($value) && array_is_list($value) => implode('; ', array_filter($value, is_string(...))),
            is_string($value) => $value,
            is_float($value) => TypedNumber::text($value),
            default => (string) json_encode($value, JSON_UNESCAPED_UNICODE),
        };
    }
}
