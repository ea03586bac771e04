<?php

declare(strict_types=1);

namespace AmberStep\Core\Section;

/** Marks of one key that follow each other on a piece, and then all pieces that share the row. */
final class Entry
{
    /** @var list<Mark> */
    public array $marks;

    public int $atEpoch;

    public function __construct(public readonly string $key, Mark $first)
    {
        $this->marks = [$first];
        $this->atEpoch = $first->atEpoch;
    }

    public function take(Mark $mark): void
    {
        $this->marks[] = $mark;
        $this->atEpoch = min($this->atEpoch, $mark->atEpoch);
    }

    public function row(int $number): Row
    {
        $under = array_unique(array_filter(array_map(static fn (Mark $m): ?string => $m->under, $this->marks), is_string(...)));

        return new Row($number, $this->marks[0]->title.($under === [] ? '' : ' under '.implode(', ', $under)), $this->marks[0]->kind, $this->marks[0]->swatch);
    }
}
