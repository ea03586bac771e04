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

/**
 * The shelf as a table. Rows with an id change that product, in the columns that are there; rows without one are new. A
 * cell that is empty empties its field, and no other.
 */
final class ProductTable
{
    private const COLUMNS = ['id', 'name', 'range', 'family', 'role', 'swatch', 'sheen', 'opacity', 'bites', 'etch', 'grade', 'thinnedWith', 'triedOn', 'label', 'sizeMl', 'price', 'levelMl', 'otherPacks', 'dropsPerMl', 'stirred', 'optics', 'mix'];

    /** What has no empty: left out, it is as it was. */
    private const NEVER_EMPTY = ['id', 'name', 'family', 'role', 'opacity'];

    /** What is kept as a whole, and is no use to edit in a table. */
    private const WHOLE = ['label', 'optics', 'mix'];

    private const NUMBERS = ['grade', 'sizeMl', 'price', 'levelMl', 'dropsPerMl'];

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
     *
     * @throws BadDocument with each wrong cell
     */
    public static function read(array $rows, Shelf $shelf, Closure $newId): TakenTable
    {
        $head = array_map(static fn (string $c): string => trim($c), array_shift($rows) ?? []);
        if (! in_array('name', $head, true) && ! in_array('id', $head, true)) {
            throw BadDocument::at('head', 'names neither a column "id" nor a column "name"', 'begin with a row of column names: '.implode(', ', self::COLUMNS));
        }
        $twice = array_keys(array_filter(array_count_values($head), static fn (int $n): bool => $n > 1));
        if ($twice !== []) {
            throw BadDocument::at("column \"{$twice[0]}\"", 'stands there twice', 'leave one of them');
        }
        $products = $problems = $seen = $emptied = [];
        foreach ($rows as $i => $row) {
            if (implode('', $row) === '') {
                continue;
            }
            try {
                [$known, $fields] = self::fields($head, $row, $shelf);
                $product = Product::fromArray([...($known?->toArray() ?? ['id' => $newId()]), ...$fields]);
                if (isset($seen[$product->id])) {
                    throw BadDocument::at('id', 'stands in an earlier row too', 'give each product one row');
                }
                $seen[$product->id] = true;
                $products[] = $product;
                $gone = $known === null ? [] : self::gone($known->toArray(), $fields);
                if ($gone !== []) {
                    $emptied[] = ['name' => $known->name, 'fields' => $gone];
                }
            } catch (BadDocument $bad) {
                array_push($problems, ...array_map(static fn (Problem $p): Problem => new Problem('row '.($i + 2).', '.$p->path, $p->wrong, $p->right), $bad->problems));
            }
        }
        if ($problems !== []) {
            throw new BadDocument(array_slice($problems, 0, 50));
        }

        return new TakenTable($products, $emptied, array_values(array_filter(array_diff($head, self::COLUMNS), static fn (string $c): bool => $c !== '')));
    }

    /**
     * What a row says, by field; a cell that is empty says null.
     *
     * @param  list<string>  $head
     * @param  list<string>  $row
     * @return array{Product|null, array<string, mixed>} the product it is about, null for a new one
     *
     * @throws BadDocument
     */
    private static function fields(array $head, array $row, Shelf $shelf): array
    {
        $texts = [];
        foreach ($head as $i => $column) {
            if (in_array($column, self::COLUMNS, true)) {
                $text = $row[$i] ?? '';
                // Names are kept to the letter, so that what went out comes back the same.
                $texts[$column] = in_array($column, ['name', 'range'], true) && trim($text) !== '' ? $text : trim($text);
            }
        }
        $id = $texts['id'] ?? '';
        $known = $shelf->find($id === '' ? null : $id);
        $fields = [];
        foreach ($texts as $column => $text) {
            if ($text !== '') {
                $fields[$column] = self::value($column, $text);
            } elseif ($known !== null && ! in_array($column, self::NEVER_EMPTY, true)) {
                $fields[$column] = in_array($column, ['bites', 'etch'], true) ? false : null;
            } elseif ($known !== null && $column === 'name') {
                throw BadDocument::at('name', 'is empty', 'give it a name, or leave the column out');
            }
        }

        return [$known, $fields];
    }

    /**
     * @param  array<string, mixed>  $was
     * @param  array<string, mixed>  $fields
     * @return list<string> fields that held something and will not
     */
    private static function gone(array $was, array $fields): array
    {
        return array_values(array_filter(array_keys($fields), static fn (string $f): bool => ($fields[$f] === null || $fields[$f] === false) && ! in_array($was[$f] ?? null, [null, false, '', []], true)));
    }

    private static function value(string $column, string $text): mixed
    {
        try {
            return match (true) {
                in_array($column, self::NUMBERS, true) => TypedNumber::read($text),
                $column === 'bites' || $column === 'etch' => in_array(mb_strtolower($text), ['yes', '1', 'true', 'x'], true),
                $column === 'otherPacks' => array_map(self::pack(...), explode(';', $text)),
                $column === 'triedOn' => array_map(trim(...), explode(';', $text)),
                in_array($column, self::WHOLE, true) => json_decode($text, true, 16) ?? throw new NotRead('it is not what was exported', 'leave it as it was exported, or empty'),
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
