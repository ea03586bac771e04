<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\Pin;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Rule\Paint\FilmBudget;
use AmberStep\Core\Section\Cap;
use AmberStep\Core\Section\Cell;
use AmberStep\Core\Section\Column;
use AmberStep\Core\Section\Lid;
use AmberStep\Core\Section\Row;
use AmberStep\Core\Section\Section;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Operation;

/** The section drawing as data: columns by place, rows from the bottom. */
final readonly class SectionPresenter
{
    /** @var array<string, int> place of a column by area */
    private array $places;

    private function __construct(private Plan $plan, private Section $section)
    {
        $this->places = array_flip(array_map(static fn (Column $c): string => $c->area->id, $section->columns));
    }

    /** @return array<string, mixed> */
    public static function of(Plan $plan): array
    {
        $self = new self($plan, Section::of($plan));
        $section = $self->section;

        return [
            'columns' => array_map($self->column(...), $section->columns),
            'rows' => array_map(static fn (Row $r): array => ['title' => $r->title, 'kind' => $r->kind->value, 'swatch' => $r->swatch], $section->rows),
            'cells' => array_map($self->cell(...), $section->cells),
            'caps' => array_map($self->cap(...), $section->caps),
            'lids' => array_map($self->lid(...), $section->lids),
            'marks' => $self->marks(),
            'film' => ['noteMicrons' => FilmBudget::NOTE_MICRONS, 'thinkMicrons' => FilmBudget::THINK_MICRONS],
        ];
    }

    /** @return array<string, mixed> */
    private function column(Column $column): array
    {
        $part = $this->plan->context->kit->partsById[$column->area->part];

        return [
            'areaId' => $column->area->id, 'name' => $column->area->name, 'pieceId' => $column->pieceId, 'piece' => $this->plan->context->pieceName($column->pieceId),
            'cm2' => round($column->area->cm2(), 1), 'measured' => $column->area->measuredCm2 !== null, 'pane' => $column->area->isPane(), 'inside' => $column->area->face->value === 'inside',
            'base' => $part->substrate->word(), 'baseSwatch' => $part->isClear() ? null : $part->mouldedColour,
            'now' => round($column->now, 3), 'filmMicrons' => round($column->filmMicrons, 1), 'filmNowMicrons' => round($column->filmNowMicrons, 1),
        ];
    }

    /** @return array<string, mixed> */
    private function cell(Cell $cell): array
    {
        $layer = $cell->layer;

        return [
            'column' => $this->places[$cell->areaId], 'row' => $cell->row, 'kind' => $cell->kind->value,
            'product' => $layer?->product?->name, 'productId' => $layer?->product?->id, 'swatch' => $layer?->product?->swatch, 'sheen' => $layer?->product?->sheen?->value,
            'coats' => $cell->coats, 'real' => $cell->real, 'filmMicrons' => round($cell->filmMicrons, 1), 'at' => $cell->row === 0 ? null : Time::utc($cell->atEpoch),
            'operation' => $layer?->operation->value, 'purpose' => $layer?->purpose, 'steps' => $cell->steps,
            'pins' => $layer === null ? [] : $this->pins($layer->operation, $layer->purpose, $cell->areaId),
        ];
    }

    /** @return array<string, mixed> */
    private function cap(Cap $cap): array
    {
        return [
            'column' => $this->places[$cap->areaId], 'from' => $cap->fromRow, 'to' => $cap->toRow, 'medium' => $cap->medium->value, 'word' => $cap->medium->word(), 'purpose' => $cap->purpose,
            'on' => $cap->on, 'off' => $cap->off, 'onAt' => Time::utc($cap->onEpoch), 'offAt' => Time::utc($cap->offEpoch), 'onKey' => $cap->onKey, 'offKey' => $cap->offKey,
            'pins' => $this->pins(Operation::Mask, $cap->purpose, $cap->areaId),
        ];
    }

    /** @return array<string, mixed> */
    private function lid(Lid $lid): array
    {
        return [
            'column' => $this->places[$lid->areaId], 'row' => $lid->row, 'at' => $lid->at, 'kind' => $lid->hold->kind->value, 'forbids' => $lid->hold->kind->forbids(),
            'from' => Time::utc($lid->hold->fromEpoch), 'until' => Time::utc($lid->hold->untilEpoch), 'running' => $lid->hold->covers($this->plan->nowEpoch),
            'words' => $lid->hold->wait?->words() ?? '', 'step' => $lid->stepKey,
        ];
    }

    /** @return list<array<string, mixed>> what the user pinned of a layer or mask on an area */
    private function pins(Operation $operation, string $purpose, string $areaId): array
    {
        $context = $this->plan->context;
        $piece = $context->breakdown->pieceOfArea[$areaId] ?? '';

        return array_values(array_map(static fn (Pin $p): array => $p->toArray(), array_filter($context->kit->pins, static fn (Pin $p): bool => $p->concerns($operation, $purpose, $areaId, $piece))));
    }

    /** @return list<array{finding: string, places: list<array{column: int, row: int}>}> where each finding stands in the drawing */
    private function marks(): array
    {
        $marks = [];
        foreach ($this->plan->findings as $finding) {
            $places = $this->section->places($finding->steps);
            if ($places === []) {
                $places = $this->heads($finding);
            }
            $marks[] = ['finding' => $finding->key, 'places' => array_values(array_map(fn (array $p): array => ['column' => $this->places[$p[0]], 'row' => $p[1]], $places))];
        }

        return $marks;
    }

    /** @return list<array{string, int}> a finding about no step stands at the foot of the areas it is about */
    private function heads(Finding $finding): array
    {
        $heads = [];
        foreach ($this->section->columns as $column) {
            if (in_array($column->area->id, $finding->targets, true) || in_array($column->pieceId, $finding->targets, true)) {
                $heads[] = [$column->area->id, 0];
            }
        }

        return $heads;
    }
}
