<?php

declare(strict_types=1);

// Shows speed, as ratios where it can be. bin/bench core, timing, routes or hands shows one part.

require __DIR__.'/../vendor/autoload.php';

/** Milliseconds of processor time something takes, the median of so many times. */
function processor(callable $work, int $times): float
{
    $took = [];
    for ($i = 0; $i < $times; $i++) {
        $before = getrusage();
        $work();
        $after = getrusage();
        $took[] = array_sum(array_map(static fn (string $of): float => ($after["ru_{$of}.tv_sec"] - $before["ru_{$of}.tv_sec"]) * 1e3 + ($after["ru_{$of}.tv_usec"] - $before["ru_{$of}.tv_usec"]) / 1e3, ['utime', 'stime']));
    }
    sort($took);

    return $took[intdiv($times, 2)];
}

/** How many times as long one thing takes as another, as processor time: each time between two of the other, so that a busy machine slows both; the median of so many. */
function against(callable $work, callable $other, int $times): float
{
    $ratios = [];
    for ($i = 0; $i < $times; $i++) {
        $before = processor($other, 1);
        $took = processor($work, 1);
        $ratios[] = 2 * $took / ($before + processor($other, 1));
    }
    sort($ratios);

    return $ratios[intdiv($times, 2)];
}

/** Milliseconds on the clock of one time. */
function once(callable $work): float
{
    $start = hrtime(true);
    $work();

    return (hrtime(true) - $start) / 1e6;
}

/** Milliseconds on the clock, the median of so many times. */
function wall(callable $work, int $times): float
{
    $took = array_map(static fn (): float => once($work), range(1, $times));
    sort($took);

    return $took[intdiv($times, 2)];
}

/** @return array{float, float} medians of two that take turns */
function interleaved(callable $one, callable $other, int $times): array
{
    $took = [[], []];
    for ($i = 0; $i < $times; $i++) {
        $took[0][] = once($one);
        $took[1][] = once($other);
    }
    sort($took[0]);
    sort($took[1]);

    return [$took[0][intdiv($times, 2)], $took[1][intdiv($times, 2)]];
}

function heading(string $text): void
{
    echo "\n{$text}\n";
}

function row(string $what, float $is, float $budget, string $unit, int $digits = 1): void
{
    printf("%-52s %8.{$digits}f %-3s budget %6.{$digits}f %-3s %s\n", $what, $is, $unit, $budget, $unit, $is <= $budget ? 'ok' : 'OVER');
}

foreach (($argv[1] ?? null) === null ? ['core', 'timing', 'routes', 'hands'] : [$argv[1]] as $part) {
    require __DIR__."/bench.d/{$part}.php";
}
echo "\n";
