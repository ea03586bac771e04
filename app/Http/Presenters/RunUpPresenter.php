<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\RunUp\Block;
use AmberStep\Core\RunUp\Column;
use AmberStep\Core\RunUp\Night;
use AmberStep\Core\RunUp\Run;
use AmberStep\Core\RunUp\RunUp;
use AmberStep\Core\Timing\Show;
use DateTimeImmutable;
use DateTimeZone;

/** The way to the show, as it goes out. */
final class RunUpPresenter
{
    /** Minutes of an evening as one speaks of it, where there is no session to measure it by. */
    private const EVENING = 120.0;

    /**
     * @param  array<string, mixed>  $dates  single dates that are not as their weekday
     * @param  bool  $settled  every rule was asked
     * @return array<string, mixed>
     */
    public static function of(RunUp $run, array $dates, DateTimeZone $zone, bool $settled): array
    {
        $evening = self::evening($run->columns);
        $shows = [];
        foreach ($run->runs as $one) {
            if ($one->show !== null) {
                $shows[$one->show->id] = self::show($one->show);
            }
        }
        usort($shows, static fn (array $a, array $b): int => $a['due'] <=> $b['due']);

        return [
            'settled' => $settled,
            'shows' => $shows,
            'eveningMinutes' => $evening,
            'soonest' => Time::utc($run->soonestEpoch), 'overBestMinutes' => intdiv($run->overBest, 60),
            'builds' => array_map(static fn (Run $r): array => self::run($r, $evening), $run->runs),
            'columns' => array_map(static fn (Column $c): array => self::column($c, $dates, $zone), $run->columns),
        ];
    }

    /**
     * Half of the sessions are shorter: what one calls an evening.
     *
     * @param  list<Column>  $columns
     */
    private static function evening(array $columns): float
    {
        $minutes = array_map(static fn (Column $c): float => ($c->untilEpoch - $c->fromEpoch) / 60, $columns);
        sort($minutes);

        return $minutes[intdiv(count($minutes), 2)] ?? self::EVENING;
    }

    /** @return array<string, mixed> */
    private static function show(Show $show): array
    {
        return ['id' => $show->id, 'name' => $show->name, 'opens' => Time::utc($show->opensEpoch), 'due' => Time::utc($show->dueEpoch)];
    }

    /** @return array<string, mixed> */
    private static function run(Run $run, float $evening): array
    {
        return [
            'id' => $run->build, 'name' => $run->name, 'ready' => Time::utc($run->readyEpoch), 'show' => $run->show?->id,
            'spareMinutes' => $run->spareSeconds === null ? null : intdiv($run->spareSeconds, 60),
            'spareEvenings' => $run->spareSeconds === null ? null : round($run->spareSeconds / 60 / $evening, 1),
            'daysLate' => $run->daysLate(), 'soonest' => Time::utc($run->soonestEpoch), 'steps' => count($run->thread),
            'nights' => array_map(static fn (Night $n): array => ['from' => Time::utc($n->fromEpoch), 'until' => Time::utc($n->untilEpoch), 'piece' => $n->piece, 'because' => $n->because], $run->nights),
        ];
    }

    /**
     * @param  array<string, mixed>  $dates
     * @return array<string, mixed>
     */
    private static function column(Column $column, array $dates, DateTimeZone $zone): array
    {
        $date = (new DateTimeImmutable('@'.$column->fromEpoch))->setTimezone($zone)->format('Y-m-d');

        return [
            'from' => Time::utc($column->fromEpoch), 'until' => Time::utc($column->untilEpoch), 'date' => $date, 'single' => isset($dates[$date]),
            'minutes' => intdiv($column->untilEpoch - $column->fromEpoch, 60), 'worked' => round($column->worked()),
            'blocks' => array_map(self::block(...), $column->blocks),
        ];
    }

    /** @return array<string, mixed> */
    private static function block(Block $block): array
    {
        return [
            'build' => $block->build, 'from' => Time::utc($block->fromEpoch), 'until' => Time::utc($block->untilEpoch), 'minutes' => round($block->minutes),
            'paint' => $block->paint === null ? null : ['name' => $block->paint->name, 'swatch' => $block->paint->swatch],
            'titles' => $block->titles, 'pieces' => $block->pieces, 'steps' => $block->steps, 'putOffs' => $block->putOffs,
            'opens' => Time::utc($block->opens?->epoch), 'because' => $block->opens->because ?? '',
        ];
    }
}
