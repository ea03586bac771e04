<?php

declare(strict_types=1);

// All builds in one pair of hands: what a press may wait for, what a search does beside it.

use AmberStep\Core\Drying\DailyCycle;
use AmberStep\Core\Drying\Room;
use AmberStep\Core\Drying\WorkClock;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Log\Experience;
use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Neighbour;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\Plan\Thread;
use AmberStep\Core\Plan\Timetable;
use AmberStep\Core\Timing\Bench;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Timing\Dispatcher;
use AmberStep\Core\Timing\Hints;
use AmberStep\Core\Timing\Joined;
use AmberStep\Core\Timing\OrderSearch;
use AmberStep\Core\Timing\Search;
use AmberStep\Core\Timing\Sequence;
use AmberStep\Core\Timing\Tasks;
use Tests\Support\LargeBuild;
use Tests\Support\Server;

heading('All builds in one time, processor time, median of five');
$rules = Compiler::ofTheTrade()->rules;
$problems = [];
foreach ([22, 20, 20, 18, 16] as $i => $areas) {
    $build = LargeBuild::of($areas);
    $now = $build->now;
    $calendar = Calendar::usual($build->zone);
    $room = new Room([], $now, new DailyCycle(14, 22, 0.45, 0.8, $build->zone));
    $problems["b{$i}"] = Problem::of($build->kit, new HouseRules, $build->shelf, $build->events, $room, $now, new Experience, $rules);
}
$tasks = Joined::of(array_map(static fn (Problem $p, string $id): Tasks => Neighbour::of(new Thread($p, $rules), $id)->tasks, $problems, array_keys($problems)));
$clock = new WorkClock($room);
$two = new Bench(2);
$order = (new Dispatcher($tasks, $calendar, $clock, $now, $two, array_keys($tasks->keys)))->run()->order;
$steps = count($order);
row("arc decode of {$steps} steps", processor(static fn () => (new Sequence($tasks, $calendar, $clock, $now, $two))->timed($order), 5), 15 * $steps / 700, 'ms');
row("full decode of five builds, {$steps} steps", processor(static fn () => new Timetable($problems, $rules, $calendar, $now, $two), 5), 250 * $steps / 700, 'ms');
$trials = 250;
row('a trial of the search, of 250 in 5 s', processor(static fn () => (new Search($tasks, $calendar, $clock, $now, $two, trials: $trials))->run(new Hints, static fn (): bool => true), 3) / $trials, 20 * $steps / 700, 'ms');
row('an order tried, of 24,000 a round', processor(static fn () => (new OrderSearch($tasks, $calendar, $clock, $now, $two, trials: 2000))->run(new Hints, static fn (): bool => true), 3) / 2000, 20 * $steps / 700, 'ms');

heading('Health while the search runs and eight connections stand open');
$server = new Server('2026-03-03T19:05:00Z', ' '.getenv('SERVED_AS'));
$open = [];
try {
    $server->request('GET', '/api/frame');
    $search = proc_open(sprintf('exec env DB_DATABASE=%s APP_ENV=testing nice -n 19 %s artisan amber:search', escapeshellarg($server->database), PHP_BINARY), [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes, dirname(__DIR__, 2));
    for ($i = 0; $i < 8; $i++) {
        $open[] = fsockopen('127.0.0.1', $server->port);
    }
    $took = [];
    while (is_resource($search) && proc_get_status($search)['running'] && count($took) < 400) {
        $took[] = once(static fn () => $server->exchange('GET', '/api/health'));
        usleep(10000);
    }
    sort($took);
    row('health, 99 of 100, of '.count($took), $took[(int) (0.99 * (count($took) - 1))] ?? INF, 50, 'ms');
    if (is_resource($search)) {
        proc_terminate($search, SIGKILL);
        proc_close($search);
    }
} finally {
    array_map(fclose(...), array_filter($open, is_resource(...)));
    $server->stop();
}
