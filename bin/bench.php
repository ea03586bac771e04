<?php

declare(strict_types=1);

// Shows speed, as ratios where it can be: the bench answer against an empty framework request, compile and replay.

use AmberStep\Core\Drying\DailyCycle;
use AmberStep\Core\Drying\Room;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Lines\LinePrinter;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\Log;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Tests\Support\Build;
use AmberStep\Core\Timing\Calendar;
use App\Http\Presenters\SectionPresenter;
use Tests\Support\Server;

require __DIR__.'/../vendor/autoload.php';

/** Median of the milliseconds something takes. */
function median(callable $work, int $times): float
{
    $took = [];
    for ($i = 0; $i < $times; $i++) {
        $start = hrtime(true);
        $work();
        $took[] = (hrtime(true) - $start) / 1e6;
    }
    sort($took);

    return $took[intdiv($times, 2)];
}

function row(string $what, float $is, float $budget, string $unit): void
{
    printf("%-44s %8.1f %-4s budget %6.0f %-4s %s\n", $what, $is, $unit, $budget, $unit, $is <= $budget ? 'ok' : 'OVER');
}

$areas = $parts = $edges = $joints = [];
for ($p = 0; $p < 12; $p++) {
    $parts["part {$p}"] = 'styrene';
    if ($p > 0) {
        $joints["joint {$p}"] = ['parts' => ['part 0', "part {$p}"], 'closed' => $p < 5 ? 'before' : 'after', 'kind' => $p < 3 ? 'seam' : 'line', 'glue' => 'epoxy', 'gapMm' => 0.1, 'lengthCm' => 5];
    }
    for ($a = 0; $a < 5; $a++) {
        $areas["area {$p} {$a}"] = ['part' => "part {$p}", 'cm2' => 10 + 7 * $a, 'colour' => ['grey', 'green', 'pale'][($p + $a) % 3], 'decals' => $a === 0, 'wash' => $a % 2 === 0 ? 'pin' : null, 'sheen' => 'matt'];
        $areas["area {$p} {$a}"] = array_filter($areas["area {$p} {$a}"], static fn ($v): bool => $v !== null);
        if ($a > 0) {
            $edges[] = ["area {$p} ".($a - 1), "area {$p} {$a}", 80];
        }
    }
}
$build = new Build(['room' => ['cycle' => [14, 22, 45, 80]], 'kit' => ['parts' => $parts, 'joints' => $joints, 'areas' => $areas, 'edges' => $edges, 'colours' => ['grey' => 'sea grey', 'green' => 'slate green', 'pale' => 'pale grey']]]);
$events = [];
$ids = array_keys($build->kit->areasById);
$paint = $build->id('sea grey');
for ($i = 0; $i < 5000; $i++) {
    $at = gmdate('Y-m-d\TH:i:s\Z', $build->now - 600 * (5000 - $i));
    $events[] = Event::fromArray(['id' => sprintf('01E0000000%016d', $i), 'kind' => 'done', 'operation' => 'colour', 'at' => $at, 'recorded' => $at, 'targets' => [$ids[$i % 60]], 'product' => $paint, 'purpose' => $build->kit->colours[0]->id]);
}
$room = new Room([], $build->now, new DailyCycle(14, 22, 0.45, 0.8, $build->zone));
$compile = static fn () => Plan::compile($build->kit, new HouseRules, $build->shelf, [], $room, Calendar::usual($build->zone), $build->now);
$compile();
row('compile of 60 areas, '.count($compile()->left).' steps', median($compile, 7), 150, 'ms');
row('replay of 5,000 events', median(static fn () => Log::replay($events, $build->kit, $build->shelf, $build->now), 7), 150, 'ms');

$plan = $compile();
row('section drawing of it', median(static fn () => SectionPresenter::of($plan), 7), 100, 'ms');
$lines = LinePrinter::text($build->kit, $build->shelf);
$count = 0;
$newId = static function () use (&$count): string {
    return sprintf('01Z0000000%016d', ++$count);
};
$empty = new Kit('Bench', '', 72, $build->zone, []);
row('reading of its '.substr_count($lines, "\n").' lines', median(static fn () => LineReader::read($lines, $empty, $build->shelf, $newId), 7), 100, 'ms');

$server = new Server('2026-03-03T19:05:00Z');
try {
    $id = $server->request('GET', '/api/frame')[1]['builds'][0]['id'];
    $ask = static fn (string $path): callable => static fn () => $server->request('GET', $path);
    foreach (['/api/health', "/api/builds/{$id}/bench", "/api/builds/{$id}/plan", '/api/frame', "/api/builds/{$id}/log"] as $path) {
        median($ask($path), 12);
    }
    $empty = median($ask('/api/health'), 61);
    $one = static fn (string $text, bool $plan = false): callable => static fn () => $server->request('POST', "/api/builds/{$id}/lines/read", ['text' => $text, 'plan' => $plan]);
    $typed = $one('radome, 6, slate green, matt');
    printf("%-44s %8.1f ms\n", 'empty framework request', $empty);
    foreach (['bench' => "/api/builds/{$id}/bench", 'plan' => "/api/builds/{$id}/plan", 'frame' => '/api/frame', 'log' => "/api/builds/{$id}/log"] as $name => $path) {
        row("{$name} answer, warm, against it", median($ask($path), 61) / $empty, 4, 'x');
    }
    row('a line read, as it is typed', median($typed, 21), 100, 'ms');
    // A new plan, not an echo: the old one stands dimmed until then (architecture, Web).
    $bench = $server->request('GET', "/api/builds/{$id}/mix")[1];
    $jar = array_column($bench['paints'], 'id', 'name');
    $line = static fn (string $name): array => ['product' => $jar[$name], 'name' => $name, 'stuff' => 'paint', 'amount' => '1', 'base' => 'parts', 'drops' => ''];
    $mix = static fn (array $more = []): callable => static fn () => $server->request('POST', "/api/builds/{$id}/mix", ['parts' => [$line('Linnet Sea Grey'), $line('Linnet Ground White')], 'known' => 'area', 'cm2' => '196', 'coats' => '3', 'tool' => 'airbrush', 'gun' => '0.35', 'grounds' => $bench['colours'][0]['grounds'], ...$more]);
    row('a mix worked out, as it is typed', median($mix(), 21), 100, 'ms');
    row('a mix with hardener, and its jobs', median($mix(['hardened' => '240']), 21), 100, 'ms');
    foreach ([3, 4] as $n) {
        $jars = array_slice([$jar['Linnet Sea Grey'], $jar['Linnet Ground White'], $jar['Linnet Band Yellow'], $jar['Linnet Buoy Red']], 0, $n);
        row("a ratio of {$n} jars found", median(static fn () => $server->request('POST', '/api/match', ['wanted' => '#8FA28A', 'jars' => $jars]), 11), 100, 'ms');
    }
    row('a spoon read back', median(static fn () => $server->request('POST', '/api/spoons', ['paints' => [['product' => $jar['Linnet Sea Grey'], 'ml' => 1]], 'coats' => '2', 'readings' => [['ground' => '#232325', 'lighter' => -1], ['ground' => '#F5F5F0']]]), 11), 100, 'ms');
    row('a set of seven tones', median(static fn () => $server->request('POST', '/api/tones', ['product' => $jar['Linnet Sea Grey'], 'tones' => ['far-lighter', 'clearly-lighter', 'lighter', 'darker', 'clearly-darker', 'far-darker']]), 11), 100, 'ms');
    row('a line read, with what is to do then', median($one('radome, 6, slate green, matt', true), 21), 250, 'ms');
} finally {
    $server->stop();
}

$manifest = json_decode((string) file_get_contents(__DIR__.'/../public/build/manifest.json'), true);
/** What a chunk and all it imports at once weigh, gzipped. */
$weigh = static function (string $name, array &$seen) use ($manifest, &$weigh): int {
    if (isset($seen[$name])) {
        return 0;
    }
    $seen[$name] = true;
    $bytes = strlen((string) gzencode((string) file_get_contents(__DIR__.'/../public/build/'.$manifest[$name]['file']), 9));
    foreach ($manifest[$name]['imports'] ?? [] as $import) {
        $bytes += $weigh($import, $seen);
    }

    return $bytes;
};
foreach (['bench/BenchPage', 'layers/LayersPage', 'kit/KitPage', 'booklet/BookletPage', 'breakdown/BreakdownPage', 'lists/ListsPage', 'surface/SurfacePage', 'mix/MixPage', 'log/FinishPage'] as $station) {
    $seen = [];
    row("script of a first load, {$station}", ($weigh('web/main.tsx', $seen) + $weigh("web/{$station}.tsx", $seen)) / 1000, 220, 'kB');
}
