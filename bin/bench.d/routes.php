<?php

declare(strict_types=1);

// Every reading route as it is served: cold (first read after a write) and warm, with few and many builds open.

use Tests\Support\LargeBuild;
use Tests\Support\Server;

const READERS = ['bench?minutes=90', 'plan', 'find', 'surface', 'masks', 'mix', 'breakdown', 'booklet', 'lists', 'finish', 'sheet?minutes=120', 'log', 'kit', 'house', 'holds.ics', 'areas.csv', 'swatches.csv', 'palette.gpl', 'export'];

/** @var string $served PHP's settings as bin/up has them */
$served = ' '.getenv('SERVED_AS');

foreach ([[22, 5], [100, 1], [100, 5], [100, 20]] as [$areas, $builds]) {
    $server = new Server('2026-03-03T19:05:00Z', $served, false);
    try {
        heading("As served: {$builds} of {$areas} areas open");
        $text = LargeBuild::file(LargeBuild::worked($areas, intdiv($areas, 2)));
        $import = static fn (string $mode): array => $server->send('POST', "/api/builds?mode={$mode}", $text)[1];
        $id = $import('replace')['build']['id'];
        for ($i = 1; $i < $builds; $i++) {
            $import('copy');
        }
        $n = 0;
        $note = static function () use ($server, $id, &$n): array {
            return $server->request('POST', "/api/builds/{$id}/events", ['id' => sprintf('01T0000000%016d', ++$n), 'kind' => 'note', 'at' => '2026-03-03T19:05:00Z', 'note' => 'a write']);
        };
        $get = static fn (string $path): array => $server->send('GET', $path);
        $fetch = static fn (string $path): array => $server->exchange('GET', $path);
        // All four workers have seen all of it once.
        foreach (range(1, 8) as $_) {
            array_map(static fn (string $r): array => $get("/api/builds/{$id}/{$r}"), READERS);
            $get('/api/frame');
        }
        $empty = wall(static fn () => $fetch('/api/health'), 41);
        printf("%-52s %8.1f ms\n", 'empty framework request', $empty);
        row('a write', wall($note, 11) / $empty, 8, 'x');

        $routes = $builds === 5 ? [...array_map(static fn (string $r): string => "/api/builds/{$id}/{$r}", READERS), '/api/frame', '/api/runup', '/api/holds.ics', '/api/products', '/api/products.csv', '/api/builds', '/api/copies'] : ["/api/builds/{$id}/bench?minutes=90", "/api/builds/{$id}/plan", '/api/frame', '/api/runup'];
        foreach ($routes as $path) {
            $name = str_replace("/api/builds/{$id}/", '', $path);
            $cold = [];
            foreach (range(1, 3) as $_) {
                $note();
                $cold[] = once(static fn () => $fetch($path));
            }
            sort($cold);
            // Health in between, so that both are asked of the same machine at the same time.
            [$warm, $health] = interleaved(static fn () => $fetch($path), static fn () => $fetch('/api/health'), 21);
            row(sprintf('%s, warm (cold %.0f x, %.1f kB sent)', $name, $cold[1] / $empty, strlen($get($path)[2]) / 1000), $warm / $health, 4, 'x');
        }

        // What happens once is held against an empty request of that very moment.
        $beside = static fn (callable $work): float => 2 * once($work) / (wall(static fn () => $fetch('/api/health'), 5) + wall(static fn () => $fetch('/api/health'), 5));
        $press = [];
        foreach (range(1, 5) as $_) {
            // Where all of it waits, an hour later.
            while (($event = $get("/api/builds/{$id}/bench?minutes=90")[1]['current']['event'] ?? null) === null) {
                $server->setClock(gmdate('Y-m-d\TH:i:s\Z', (int) strtotime($get('/api/frame')[1]['now']) + 3600));
            }
            $done = [...$event, 'id' => sprintf('01V0000000%016d', ++$n), 'at' => $get('/api/frame')[1]['now']];
            $press[] = $beside(static fn () => [$server->request('POST', "/api/builds/{$id}/events", $done), $fetch("/api/builds/{$id}/bench?minutes=90"), $fetch('/api/frame')]);
        }
        sort($press);
        row('a press, until bench and frame are current', $press[2], 40, 'x');
        $later = (int) strtotime($get('/api/frame')[1]['now']);
        $turned = $frames = [];
        foreach (range(1, 5) as $minute) {
            $server->setClock(gmdate('Y-m-d\TH:i:s\Z', $later + 60 * $minute));
            $frames[] = $beside(static fn () => $fetch('/api/frame'));
            $turned[] = $beside(static fn () => $fetch("/api/builds/{$id}/bench?minutes=90"));
        }
        sort($turned);
        sort($frames);
        row('frame, first read after the minute has turned', $frames[2], 8, 'x');
        // Where the evening is full the last of it falls out each minute, and the plan is made anew.
        row('bench, first read after the minute has turned', $turned[2], 40, 'x');
        $tag = $server->header('/api/frame', 'etag');
        [$same, $health] = interleaved(static fn () => $server->exchange('GET', '/api/frame', null, ["If-None-Match: {$tag}"]), static fn () => $fetch('/api/health'), 21);
        row('frame with nothing new', $same / $health, 4, 'x');
    } finally {
        $server->stop();
    }
}
