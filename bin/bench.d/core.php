<?php

declare(strict_types=1);

// Compile and log by themselves, as processor time.

use AmberStep\Core\Drying\DailyCycle;
use AmberStep\Core\Drying\Room;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Lines\LinePrinter;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Log\Experience;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Plan\Checkpoint;
use AmberStep\Core\Plan\Compiler;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\Problem;
use AmberStep\Core\Plan\Replay;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Timing\Calendar;
use App\Build\BuildFile;
use Tests\Support\LargeBuild;
use Tests\Support\Server;

const NOW = '2026-03-03T19:05:00Z';

$room = static fn (\DateTimeZone $zone, int $now): Room => new Room([], $now, new DailyCycle(14, 22, 0.45, 0.8, $zone));
$compile = static fn (Build $build): Plan => Plan::compile($build->kit, new HouseRules, $build->shelf, $build->events, $room($build->zone, $build->now), Calendar::usual($build->zone), $build->now);

heading('Core, processor time, median of five');
$took = $steps = $builds = [];
foreach ([60, 100, 200, 300, 600] as $areas) {
    $builds[$areas] = LargeBuild::of($areas);
    $steps[$areas] = count($compile($builds[$areas])->left);
}
foreach ([60, 200] as $areas) {
    $took[$areas] = processor(static fn () => $compile($builds[$areas]), 5);
}
row('compile of 60 areas', $took[60], 90, 'ms');
row("a step, of {$steps[60]}", $took[60] / $steps[60], 0.4, 'ms', 2);
row("a step, of {$steps[200]}", $took[200] / $steps[200], 0.8, 'ms', 2);
foreach ([200 => 100, 600 => 300] as $areas => $half) {
    row("{$areas} areas against {$half}", against(static fn () => $compile($builds[$areas]), static fn () => $compile($builds[$half]), 5), 2.3, 'x', 2);
}

$file = BuildFile::parse(Server::export('Dunmore Type 6', NOW));
$shelf = new Shelf($file->products);
$now = (int) strtotime(NOW);
row('compile of the Type 6', processor(static fn () => Plan::compile($file->kit, new HouseRules, $shelf, $file->events, $room($file->kit->zone, $now), Calendar::usual($file->kit->zone), $now), 5), 90, 'ms');

$build = LargeBuild::of(60);
$events = LargeBuild::log($build, 20000);
$book = Compiler::ofTheTrade()->rules;
$problem = static fn (array $events, ?Checkpoint $from, int $every): Problem => Problem::of($build->kit, new HouseRules, $build->shelf, $events, $room($build->zone, $build->now), $build->now, new Experience, $book, $from, $every);
$checkpoints = $problem($events, null, Replay::EVERY)->checkpoints;
$last = $checkpoints[count($checkpoints) - 1];
$kept = serialize($last->toArray());
$tail = array_values(array_filter($events, static fn ($e): bool => ! $last->covers($e)));
$short = LargeBuild::log($build, 60);
$without = processor(static fn () => $problem($short, null, 0), 5);
row('20,000 events behind a checkpoint add', processor(static fn () => $problem($tail, Checkpoint::fromArray(unserialize($kept, ['allowed_classes' => false])), 0), 5) - $without, 30, 'ms');

$build = LargeBuild::of(60);
$lines = LinePrinter::text($build->kit, $build->shelf);
$count = 0;
$newId = static function () use (&$count): string {
    return sprintf('01Z0000000%016d', ++$count);
};
$empty = new Kit('Bench', '', 72, $build->zone, []);
row('reading of its '.substr_count($lines, "\n").' lines', processor(static fn () => LineReader::read($lines, $empty, $build->shelf, $newId), 5), 100, 'ms');
