<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

/**
 * Numbers the rows. Marks come in the order of their moments; one joins a row of its key only where that row
 * lies above all its piece has had: so a row never shows something under what it was laid on, or beside a mask
 * that was not there.
 */
final class Rows
{
    /** @var list<Row> */
    public array $rows;

    /** @var array<string, list<int>> row numbers by key */
    private array $byKey = [];

    /** @var array<string, array{int, string}> last row of a piece, and its key */
    private array $last = [];

    /** @var array<string, int> by "area ref" */
    private array $placed = [];

    /** @param  list<Mark>  $marks */
    public function __construct(array $marks)
    {
        $this->rows = [new Row(0, 'bare', RowKind::Bare, null)];
        usort($marks, static fn (Mark $a, Mark $b): int => $a->atEpoch <=> $b->atEpoch);
        foreach ($marks as $mark) {
            $this->place($mark);
        }
    }

    public function of(string $areaId, string $ref): int
    {
        return $this->placed[$areaId.' '.$ref];
    }

    private function place(Mark $mark): void
    {
        [$top, $topKey] = $this->last[$mark->pieceId] ?? [0, ''];
        $number = null;
        foreach ($this->byKey[$mark->key] ?? [] as $known) {
            if ($known > $top || ($known === $top && $topKey === $mark->key)) {
                $number = $known;
                break;
            }
        }
        if ($number === null) {
            $number = count($this->rows);
            $this->rows[] = new Row($number, $mark->title, $mark->kind, $mark->swatch);
            $this->byKey[$mark->key][] = $number;
        }
        $this->last[$mark->pieceId] = [$number, $mark->key];
        $this->placed[$mark->areaId.' '.$mark->ref] = $number;
    }
}
