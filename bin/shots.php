<?php

declare(strict_types=1);

// Renders one picture of each main view from the demo at a frozen evening.

use Tests\Support\Browser;
use Tests\Support\Server;

require __DIR__.'/../vendor/autoload.php';

/** What makes a view tell: lines being typed, a layer chosen, the other mode. */
function do_first(Browser $browser, string $first): void
{
    if ($first === 'type') {
        $browser->see('.editor textarea')->click();
        $browser->keys("radome, 6, slate green, matt, hard 40 to upper hull in grey\nfairing, S, see grey, decals\npitot, brass, XS, sea grey");
        $browser->seeText('[data-testid="editor-says"]', '2 understood, 1 not');
    } elseif ($first === 'call') {
        $browser->see('.editor textarea')->click();
        $browser->keys("22: B4 B5 S1 M x2\nB7 L5 XS left half called \"map case\"\nD3 deser sand S");
        $browser->seeText('[data-testid="editor-says"]', '2 understood, 1 not');
    } elseif ($first === 'deck') {
        $browser->press('deck seam');
        $browser->seeText('#joint-title', 'deck seam');
    } elseif ($first === 'two') {
        $browser->see('[data-testid="typed-recipe"]')->click();
        $browser->keys('3 sea grey + 1 pale grey + 2 thinner + 5 % retarder', Facebook\WebDriver\WebDriverKeys::ENTER);
        $browser->seeText('.parts-table', 'retarder');
        $browser->seeText('[data-testid="need"]', 'spare for touch-ups');
    } elseif ($first === 'colour') {
        $browser->press('The colour');
        $browser->press('Linnet Ground White');
        $browser->press('Linnet Tool Steel');
        $browser->see('.match-found li');
        $browser->see('.tone-list li');
        $browser->script('window.scrollTo(0, 0)');
    } elseif ($first === 'levers') {
        $browser->press('Find what would save Dunmore');
        $browser->see('.runup-lever');
        $browser->script('window.scrollTo(0, 0)');
    } elseif ($first === 'away') {
        $browser->click('.week-date[data-date="2026-03-14"]');
        $browser->press('Away');
        $browser->seeText('[data-testid="told"]', 'Away on Sat 14 Mar');
    } elseif ($first === 'back') {
        $browser->click('[data-testid="copies"] button');
        $browser->see('.keep-table tbody tr');
    } elseif ($first === 'round') {
        $browser->click('[data-testid="go-round"]');
        $browser->click('[data-testid="round-skip"]');
    }
}

$server = new Server('2026-03-03T19:05:00Z');
$folder = __DIR__.'/../docs/screenshots';
// name, station, place of the build, width, height, surround, what is done first
$views = [
    // First, while the evenings are as the demo has them.
    ['session-day', 'session?until=2026-03-07T16:00:00Z', 0, 1280, 800, 'day', ''],
    ['runup-day', 'runup', 2, 1280, 800, 'day', 'levers'],
    ['kit-day', 'kit', 0, 1280, 800, 'day', 'type'], ['house-day', 'house', 0, 1280, 800, 'day', ''], ['sheet-day', 'sheet', 0, 1280, 800, 'day', ''],
    ['booklet-day', 'booklet', 2, 1280, 800, 'day', 'call'], ['breakdown-day', 'breakdown', 2, 1280, 800, 'day', 'deck'], ['lists-tablet', 'lists', 2, 820, 1180, 'day', ''],
    ['surface-day', 'surface', 2, 1280, 800, 'day', ''],
    ['masks-day', 'masks', 0, 1280, 800, 'day', ''], ['shapes-booth', 'masks?view=shapes&shape=spiral', 0, 1280, 800, 'booth', ''],
    ['mix-day', 'mix', 0, 1280, 800, 'day', 'two'],
    ['bench-day', 'bench', 0, 1280, 800, 'day', ''],
    ['layers-booth', 'layers', 0, 1280, 800, 'booth', ''],
    ['log-day', 'log', 0, 1280, 800, 'day', ''], ['finish-day', 'finish', 4, 1280, 800, 'day', ''], ['evenings-day', 'evenings', 0, 1280, 800, 'day', 'away'], ['keep-booth', 'keep', 0, 1280, 800, 'booth', 'back'],
];
$browser = Browser::open();
try {
    $builds = array_column($server->request('GET', '/api/frame')[1]['builds'], 'id');
    foreach ($views as [$name, $station, $build, $width, $height, $surround, $first]) {
        $browser->size($width, $height);
        $browser->driver->get($server->address().'/mark.svg');
        $browser->script('localStorage.setItem("amber.surround", arguments[0])', [$surround]);
        if ($station === 'keep') {
            $server->request('POST', '/api/copies', []);
            $server->request('PUT', "/api/builds/{$builds[3]}/away", ['away' => true]);
            $server->request('PUT', "/api/builds/{$builds[4]}/bin", ['binned' => true]);
        }
        $browser->driver->get($server->address().(in_array($station, ['keep', 'evenings'], true) ? "/{$station}" : "/b/{$builds[$build]}/{$station}"));
        $browser->see('.card');
        $browser->until(fn (): bool => $browser->script('return document.fonts.status') === 'loaded' && $browser->count('.line rect') > 0, 'the page is not drawn');
        if (str_contains($station, 'shapes')) {
            $browser->see('.shape-drawing');
        }
        do_first($browser, $first);
        $browser->driver->takeScreenshot("{$folder}/{$name}.png");
        echo "{$name}.png\n";
    }
} finally {
    $browser->close();
    $server->stop();
}
