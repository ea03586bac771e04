<?php

declare(strict_types=1);

// What answers while somebody types or mixes, and what a first load weighs.

use Tests\Support\Server;

/** @var string $served PHP's settings as bin/up has them */
$served = ' '.getenv('SERVED_AS');

$server = new Server('2026-03-03T19:05:00Z', $served);
try {
    heading('Under the hand');
    $id = $server->request('GET', '/api/frame')[1]['builds'][0]['id'];
    $one = static fn (string $text, bool $plan = false): callable => static fn () => $server->request('POST', "/api/builds/{$id}/lines/read", ['text' => $text, 'plan' => $plan]);
    $post = static fn (string $path, array $body): callable => static fn () => $server->request('POST', $path, $body);
    $bench = $server->request('GET', "/api/builds/{$id}/mix")[1];
    $jar = array_column($bench['paints'], 'id', 'name');
    $line = static fn (string $name): array => ['product' => $jar[$name], 'name' => $name, 'stuff' => 'paint', 'amount' => '1', 'base' => 'parts', 'drops' => ''];
    $mix = static fn (array $more = []): callable => $post("/api/builds/{$id}/mix", ['parts' => [$line('Linnet Sea Grey'), $line('Linnet Ground White')], 'known' => 'area', 'cm2' => '196', 'coats' => '3', 'tool' => 'airbrush', 'gun' => '0.35', 'grounds' => $bench['colours'][0]['grounds'], ...$more]);
    $jars = static fn (int $n): array => array_slice([$jar['Linnet Sea Grey'], $jar['Linnet Ground White'], $jar['Linnet Band Yellow'], $jar['Linnet Buoy Red']], 0, $n);
    $rows = [
        'a line read, as it is typed' => $one('radome, 6, slate green, matt'),
        'a line read, with what is to do then' => $one('radome, 6, slate green, matt', true),
        'a mix worked out, as it is typed' => $mix(),
        'a mix with hardener, and its jobs' => $mix(['hardened' => '240']),
        'a ratio of 3 jars found' => $post('/api/match', ['wanted' => '#8FA28A', 'jars' => $jars(3)]),
        'a ratio of 4 jars found' => $post('/api/match', ['wanted' => '#8FA28A', 'jars' => $jars(4)]),
        'a spoon read back' => $post('/api/spoons', ['paints' => [['product' => $jar['Linnet Sea Grey'], 'ml' => 1]], 'coats' => '2', 'readings' => [['ground' => '#232325', 'lighter' => -1], ['ground' => '#F5F5F0']]]),
        'a set of seven tones' => $post('/api/tones', ['product' => $jar['Linnet Sea Grey'], 'tones' => ['far-lighter', 'clearly-lighter', 'lighter', 'darker', 'clearly-darker', 'far-darker']]),
    ];
    foreach ($rows as $name => $work) {
        wall($work, 8);
        row($name, wall($work, 11), str_contains($name, 'to do then') ? 250 : 100, 'ms');
    }

    // Another evening each time, so that nothing was worked out before; until picture and evenings have it.
    $evenings = array_map(static fn (int $n): string => (new DateTimeImmutable('2026-03-09'))->modify("+{$n} days")->format('Y-m-d'), array_filter(range(0, 13), static fn (int $n): bool => $n % 7 < 5));
    $strike = static function () use ($server, &$evenings): void {
        $date = array_shift($evenings);
        $server->request('PUT', "/api/evenings/dates/{$date}", ['sessions' => []]);
        array_map(static fn (string $path): mixed => $server->request('GET', $path), ['/api/runup?glance=1', '/api/evenings']);
    };
    $strike();
    row('a session struck, until the run-up shows it', wall($strike, 7), 250, 'ms');

    heading('Script of a first load, as sent');
    $manifest = json_decode((string) file_get_contents(__DIR__.'/../../public/build/manifest.json'), true);
    /** What a chunk and all it imports at once weigh, as the server sends them. */
    $weigh = static function (string $name, array &$seen) use ($manifest, $server, &$weigh): int {
        if (isset($seen[$name])) {
            return 0;
        }
        $seen[$name] = true;
        $bytes = strlen($server->send('GET', '/build/'.$manifest[$name]['file'])[2]);
        foreach ($manifest[$name]['imports'] ?? [] as $import) {
            $bytes += $weigh($import, $seen);
        }

        return $bytes;
    };
    foreach (['bench/BenchPage', 'layers/LayersPage', 'kit/KitPage', 'booklet/BookletPage', 'breakdown/BreakdownPage', 'lists/ListsPage', 'surface/SurfacePage', 'mix/MixPage', 'runup/RunUpPage', 'log/FinishPage'] as $station) {
        $seen = [];
        row($station, ($weigh('web/main.tsx', $seen) + $weigh("web/{$station}.tsx", $seen)) / 1000, 220, 'kB');
    }
} finally {
    $server->stop();
}
