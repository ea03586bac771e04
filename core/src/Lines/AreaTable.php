<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Id;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Intent;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Material\Shelf;
use Closure;

/** The areas of a kit as a table: out for a spreadsheet, and in again. Rows that are not in it stay as they are. */
final class AreaTable
{
    /** Column by field, in order. */
    public const COLUMNS = [
        'id' => 'id', 'part' => 'part', 'name' => 'area', 'cm2' => 'cm2', 'size' => 'size', 'curve' => 'curve', 'face' => 'face', 'seenThrough' => 'seen through', 'colour' => 'colour',
        'insideColour' => 'inside colour', 'ground' => 'ground', 'preshade' => 'pre-shade', 'decals' => 'decals', 'wash' => 'wash', 'sheen' => 'sheen', 'polish' => 'polish',
    ];

    /** @return list<list<string>> the head and a row for each area */
    public static function rows(Kit $kit, Shelf $shelf): array
    {
        $rows = [array_values(self::COLUMNS)];
        $areas = $kit->areas;
        usort($areas, static fn (Area $a, Area $b): int => [$a->position, $a->id] <=> [$b->position, $b->id]);
        $printer = new LinePrinter($kit, $shelf);
        $colour = static fn (?string $id): string => $id === null ? '' : $printer->called($id);
        foreach ($areas as $area) {
            $intent = $area->intent;
            $rows[] = [
                $area->id, $kit->partsById[$area->part]->name, $area->name, $area->measuredCm2 === null ? '' : TypedNumber::text($area->measuredCm2), $area->size->value, $area->curve->value, str_replace('-', ' ', $area->face->value),
                $area->seenThrough === null ? '' : $printer->place($area->seenThrough),
                $colour($intent->colour), $colour($intent->insideColour), $colour($intent->ground), $colour($intent->preshade),
                $intent->decals ? 'yes' : '', $intent->wash === null ? '' : ($intent->wash->value === 'pin' ? 'pin wash' : 'filter'), $intent->sheen->value ?? '', $intent->polish ? 'yes' : '',
            ];
        }

        return $rows;
    }

    /**
     * The kit with a table taken in: rows are found by id, else by part and area, else they are new.
     *
     * @param  list<list<string>>  $rows  the head first
     * @param  Closure(): string  $newId
     *
     * @throws BadDocument with each wrong cell
     */
    public static function take(Kit $kit, Shelf $shelf, array $rows, Closure $newId): Kit
    {
        $columns = self::columns($rows[0] ?? []);
        $problems = new Problems;
        $draft = new Draft($kit, $newId);
        $filled = [];
        // All rows first, then what they say: a pane may stand further down.
        foreach (array_slice($rows, 1) as $i => $row) {
            $cells = self::cells($columns, $row);
            if (implode('', $cells) === '') {
                continue;
            }
            try {
                $filled[] = [$i + 2, self::find($draft, $cells), $cells];
            } catch (NotRead $not) {
                $problems->add('row '.($i + 2), $not->wrong, $not->right);
            }
        }
        foreach ($filled as [$number, $id, $cells]) {
            foreach (array_diff_key($cells, ['id' => 1, 'part' => 1]) as $field => $text) {
                try {
                    self::cell($draft, $shelf, $id, $field, $text, $cells);
                } catch (NotRead $not) {
                    $problems->add("row {$number}, ".self::COLUMNS[$field], $not->wrong, $not->right);
                }
            }
        }
        $problems->throwIfAny();

        return $draft->kit();
    }

    /**
     * What held something in one kit and holds nothing in the other.
     *
     * @return list<array{name: string, fields: list<string>}>
     */
    public static function emptied(Kit $was, Kit $is, Shelf $shelf): array
    {
        $now = array_column(array_slice(self::rows($is, $shelf), 1), null, 0);
        $emptied = [];
        foreach (array_slice(self::rows($was, $shelf), 1) as $row) {
            $fields = [];
            foreach (array_values(self::COLUMNS) as $i => $title) {
                if ($row[$i] !== '' && ($now[$row[0]][$i] ?? '') === '') {
                    $fields[] = $title;
                }
            }
            if ($fields !== []) {
                $emptied[] = ['name' => $row[2], 'fields' => $fields];
            }
        }

        return $emptied;
    }

    /**
     * @param  list<string>  $head
     * @return list<string> columns that are none of ours: they are kept out
     */
    public static function unknown(array $head): array
    {
        return array_values(array_filter($head, static fn (string $title): bool => trim($title) !== '' && ! in_array(mb_strtolower(trim($title)), self::COLUMNS, true)));
    }

    /** @param  array<string, string>  $cells */
    private static function cell(Draft $draft, Shelf $shelf, string $id, string $field, string $text, array $cells): void
    {
        if ($field === 'cm2') {
            // A size letter beside it would wipe the measure out: they are taken together.
            if (! isset($cells['size']) && $text !== '') {
                Cell::take($draft, $shelf, 'areas', $id, 'size', $text);
            }

            return;
        }
        if ($field === 'size') {
            Cell::take($draft, $shelf, 'areas', $id, 'size', $text === '' ? 'M' : $text);
            if (($cells['cm2'] ?? '') !== '') {
                Cell::take($draft, $shelf, 'areas', $id, 'size', $cells['cm2']);
            }

            return;
        }
        Cell::take($draft, $shelf, 'areas', $id, $field, $text);
    }

    /** @param  array<string, string>  $cells */
    private static function find(Draft $draft, array $cells): string
    {
        $id = $cells['id'] ?? '';
        if ($id !== '' && $draft->get('areas', $id, 'id') !== null) {
            return $id;
        }
        if ($id !== '' && ! Id::isValid($id)) {
            throw new NotRead("\"{$id}\" is no id", 'leave the id empty for a new area');
        }
        if (($cells['part'] ?? '') === '' || ($cells['name'] ?? '') === '') {
            throw new NotRead('the row has no part or no area', 'give both, by name');
        }
        $part = $draft->findOrMake('parts', new Ref($cells['part']), ['substrate' => 'styrene']);

        return $draft->findOrMake('areas', new Ref($cells['name']), ['part' => $part, 'intent' => (new Intent)->toArray()], $part);
    }

    /**
     * @param  list<string>  $head
     * @return array<int, string> field by place
     *
     * @throws BadDocument where nothing says which area a row is about
     */
    private static function columns(array $head): array
    {
        $fields = array_flip(self::COLUMNS);
        $columns = [];
        foreach ($head as $i => $title) {
            $field = $fields[mb_strtolower(trim($title))] ?? null;
            if ($field !== null && in_array($field, $columns, true)) {
                throw BadDocument::at("column \"{$title}\"", 'stands there twice', 'leave one of them');
            }
            if ($field !== null) {
                $columns[$i] = $field;
            }
        }
        if (! in_array('name', $columns, true) && ! in_array('id', $columns, true)) {
            throw BadDocument::at('head', 'names neither a column "id" nor a column "area"', 'begin with a row of column names: '.implode(', ', self::COLUMNS));
        }

        return $columns;
    }

    /**
     * @param  array<int, string>  $columns
     * @param  list<string>  $row
     * @return array<string, string>
     */
    private static function cells(array $columns, array $row): array
    {
        $cells = [];
        foreach ($columns as $i => $field) {
            // Names are kept to the letter, so that what went out comes back the same.
            $cells[$field] = $field === 'name' || $field === 'part' ? $row[$i] ?? '' : trim($row[$i] ?? '');
        }

        return $cells;
    }
}
