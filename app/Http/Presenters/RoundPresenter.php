<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Mixing\Need;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Telling\Round;

/** Lines of work that is done in one go are told as one round, with what is written down for each part. */
final class RoundPresenter
{
    /** Between two parts of a round hands do not rest. */
    private const APART = 90;

    /** @return array<string, mixed> the line of a step with what is asked of a part: what it takes of the cup, what is written down */
    public static function part(Step $step, Context $context): array
    {
        $round = Round::of($step, $context);
        $need = $round === null || ! $step->isSprayed() ? null : SetUp::of($step, $context->kit, $context->house, $context->experience->uses)?->need;

        return [
            ...StepPresenter::told($step, $context),
            'round' => $round === null ? null : ['kind' => $round->kind, 'title' => $round->title, 'button' => $round->button],
            'event' => $round === null ? null : self::event($step),
            // The gun keeps its share once a filling, not with each part.
            'ml' => $need === null ? null : max(0.05, round($need->mixMl / 0.05) * 0.05),
        ];
    }

    /** @return array<string, mixed> what is written down when it is done, but who and when */
    public static function event(Step $step): array
    {
        $event = StepEvent::of($step, '', 0, 0)->toArray();
        unset($event['id'], $event['at'], $event['recorded']);

        return array_filter($event, static fn (mixed $v): bool => $v !== null && $v !== false && $v !== '');
    }

    public static function ml(Need $need): float
    {
        return round($need->totalMl / 0.05) * 0.05;
    }

    /**
     * Rounds get a key that all their parts share; what stands alone gets none.
     *
     * @param  list<array<string, mixed>>  $lines  by time
     * @return list<array<string, mixed>>
     */
    public static function keyed(array $lines): array
    {
        $runs = [];
        foreach ($lines as $line) {
            $last = $runs === [] ? null : $runs[array_key_last($runs)];
            $before = $last === null ? null : $last[array_key_last($last)];
            $kind = is_array($line['round']) ? $line['round']['kind'] ?? null : null;
            $same = $kind !== null && $before !== null && is_array($before['round']) && ($before['round']['kind'] ?? null) === $kind && self::close($before, $line);
            $same ? $runs[array_key_last($runs)][] = $line : $runs[] = [$line];
        }
        $out = [];
        foreach ($runs as $run) {
            $first = $run[0];
            $key = is_array($first['round']) && count($run) > 1 ? self::key($first) : null;
            foreach ($run as $line) {
                $round = is_array($line['round']) && $key !== null ? ['key' => $key, 'title' => $line['round']['title'], 'button' => $line['round']['button']] : null;
                $out[] = [...$line, 'round' => $round];
            }
        }

        return $out;
    }

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $line
     */
    private static function close(array $before, array $line): bool
    {
        return is_string($before['end']) && is_string($line['start']) && (int) strtotime($line['start']) - (int) strtotime($before['end']) <= self::APART;
    }

    /** @param  array<string, mixed>  $line */
    private static function key(array $line): string
    {
        return (is_string($line['buildId']) ? $line['buildId'].' ' : '').(is_string($line['key']) ? $line['key'] : '');
    }
}
