<?php

declare(strict_types=1);

// Renders one picture of each main view from the demo at a frozen evening.

use Tests\Support\Browser;
use Tests\Support\Server;

require __DIR__.'/../vendor/autoload.php';

$server = new Server('2026-03-03T19:05:00Z');
$folder = __DIR__.'/../docs/screenshots';
$views = [
    ['bench-day', 'bench', 1280, 800, 'day'], ['bench-booth', 'bench', 1280, 800, 'booth'], ['bench-tablet', 'bench', 820, 1180, 'day'],
    ['layers-day', 'layers', 1280, 800, 'day'], ['layers-booth', 'layers', 1280, 800, 'booth'], ['layers-tablet', 'layers', 820, 1180, 'booth'],
    ['log-day', 'log', 1280, 800, 'day'], ['log-tablet', 'log', 820, 1180, 'booth'],
];
$browser = Browser::open();
try {
    $id = $server->request('GET', '/api/frame')[1]['builds'][0]['id'];
    foreach ($views as [$name, $station, $width, $height, $surround]) {
        $browser->size($width, $height);
        $browser->driver->get($server->address().'/mark.svg');
        $browser->script('localStorage.setItem("amber.surround", arguments[0])', [$surround]);
        $browser->driver->get($server->address()."/b/{$id}/{$station}");
        $browser->see('.card');
        $browser->until(fn (): bool => $browser->script('return document.fonts.status') === 'loaded' && $browser->count('.line rect') > 0, 'the page is not drawn');
        $browser->driver->takeScreenshot("{$folder}/{$name}.png");
        echo "{$name}.png\n";
    }
} finally {
    $browser->close();
    $server->stop();
}
