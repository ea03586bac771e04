<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

/**
 * Numbers the rows. What was done to a piece is kept in its order, bottom to top; pieces share rows as far as
 * their orders allow (each is merged into the rows so far along their longest common subsequence). So no row
 * shows a thing under what it was laid on, or beside a mask that was not there, and there are few rows.
 */
final class Rows
{
    /** @var list<Row> bare material first */
    public readonly array $rows;

    /** @var array<string, int> by "area ref" */
    private array $placed = [];

    /** @param  list<Mark>  $marks */
    public function __construct(array $marks)
    {
        usort($marks, static fn (Mark $a, Mark $b): int => $a->atEpoch <=> $b->atEpoch);
        $byPiece = [];
        foreach ($marks as $mark) {
            $byPiece[$mark->pieceId][] = $mark;
        }
        $sequences = array_map(self::sequence(...), array_values($byPiece));
        // The longest first: the others find their places in it. Sorting is stable, so the user's order decides ties.
        usort($sequences, static fn (array $a, array $b): int => count($b) <=> count($a));
        $merged = [];
        foreach ($sequences as $sequence) {
            $merged = self::merge($merged, $sequence);
        }
        $rows = [new Row(0, 'bare', RowKind::Bare, null)];
        foreach ($merged as $entry) {
            foreach ($entry->marks as $mark) {
                $this->placed[$mark->areaId.' '.$mark->ref] = count($rows);
            }
            $rows[] = $entry->row(count($rows));
        }
        $this->rows = $rows;
    }

    public function of(string $areaId, string $ref): int
    {
        return $this->placed[$areaId.' '.$ref];
    }

    /**
     * @param  list<Mark>  $marks  of one piece, by time
     * @return list<Entry>
     */
    private static function sequence(array $marks): array
    {
        $entries = [];
        foreach ($marks as $mark) {
            $last = $entries[count($entries) - 1] ?? null;
            if ($last?->key === $mark->key) {
                $last->take($mark);
            } else {
                $entries[] = new Entry($mark->key, $mark);
            }
        }

        return $entries;
    }

    /**
     * @param  list<Entry>  $rows
     * @param  list<Entry>  $piece
     * @return list<Entry>
     */
    private static function merge(array $rows, array $piece): array
    {
        $common = self::common($rows, $piece);
        $merged = [];
        $i = $j = 0;
        while ($i < count($rows) || $j < count($piece)) {
            $row = $rows[$i] ?? null;
            $entry = $piece[$j] ?? null;
            if ($row !== null && $entry !== null && $row->key === $entry->key && $common[$i][$j] === $common[$i + 1][$j + 1] + 1) {
                foreach ($entry->marks as $mark) {
                    $row->take($mark);
                }
                $merged[] = $row;
                $i++;
                $j++;
            } elseif ($entry === null || ($row !== null && self::rowFirst($common, $i, $j, $row, $entry))) {
                $merged[] = $row ?? throw new \LogicException('one of the two has something left');
                $i++;
            } else {
                $merged[] = $entry;
                $j++;
            }
        }

        return $merged;
    }

    /**
     * Of two that are not shared, the one whose going first loses no common row; else the earlier.
     *
     * @param  array<int, array<int, int>>  $common
     */
    private static function rowFirst(array $common, int $i, int $j, Entry $row, Entry $entry): bool
    {
        [$byRow, $byEntry] = [$common[$i + 1][$j], $common[$i][$j + 1]];

        return $byRow === $byEntry ? $row->atEpoch <= $entry->atEpoch : $byRow > $byEntry;
    }

    /**
     * Lengths of the longest common subsequences of what is left from each place on.
     *
     * @param  list<Entry>  $rows
     * @param  list<Entry>  $piece
     * @return array<int, array<int, int>>
     */
    private static function common(array $rows, array $piece): array
    {
        $lengths = array_fill(0, count($rows) + 1, array_fill(0, count($piece) + 1, 0));
        for ($i = count($rows) - 1; $i >= 0; $i--) {
            for ($j = count($piece) - 1; $j >= 0; $j--) {
                $lengths[$i][$j] = $rows[$i]->key === $piece[$j]->key ? $lengths[$i + 1][$j + 1] + 1 : max($lengths[$i + 1][$j], $lengths[$i][$j + 1]);
            }
        }

        return $lengths;
    }
}
