<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Support\BrowserTestCase;

/** Every view in both surrounds: accessible, and nothing wider than the window. */
final class LookTest extends BrowserTestCase
{
    private const VIEWS = ['kit', 'layers', 'masks', 'bench', 'log', 'house', 'sheet', 'finish', 'booklet', 'breakdown', 'lists', 'surface', 'mix', 'runup', 'session', 'keep'];

    /** Views that tell most on the build with a booklet. */
    private const OF_THE_TRACTOR = ['booklet', 'breakdown', 'lists', 'surface', 'finish'];

    /** What is pressed on a view, one after the other, and looked at again. */
    private const STATES = [
        'surface' => ['Go round', 'Note a place'],
        'mix' => ['The colour', 'Recipes'],
        'runup' => ['As a table', 'Add a show'],
        'masks' => ['Shapes'],
        'layers' => ['in microns', 'by stage', 'as a table', 'in order'],
    ];

    /** What is taller than the box it stands in, or runs out of it sideways without the three dots of a name too long. */
    private const CUT = <<<'JS'
        return [...document.querySelectorAll('.line-name, .station, .edge-tab, .view, .plain-press, .card-title, button')]
            .filter((e) => e.offsetParent !== null && (e.scrollHeight > e.clientHeight + 2 || e.scrollWidth > e.clientWidth + 2) && getComputedStyle(e).textOverflow !== 'ellipsis')
            .map((e) => e.className + ': ' + e.textContent);
        JS;

    /** Each view is opened once, and looked at in every way: a page load costs more than all of its checks. */
    public function test_each_view_is_clean_under_axe_in_both_surrounds_fits_every_window_and_loads_nothing_it_may_not(): void
    {
        foreach (self::VIEWS as $station) {
            $this->view($station);
            foreach ([[320, 800], [820, 1180], [1280, 800]] as [$width, $height]) {
                $this->browser->size($width, $height);
                $this->browser->until(fn (): bool => $this->browser->script('return document.documentElement.scrollWidth') <= $width, "{$station} is wider than {$width}");
            }
            self::assertSame([], $this->browser->script(self::CUT), "{$station} cuts its words");
            $this->cleanInBoth($station);
            foreach (self::STATES[$station] ?? [] as $press) {
                $this->browser->press($press);
                $this->cleanInBoth("{$station}, {$press}");
            }
        }
        $errors = array_filter($this->browser->driver->manage()->getLog('browser'), static fn (array $line): bool => $line['level'] === 'SEVERE');
        self::assertSame([], array_column($errors, 'message'));
    }

    private function cleanInBoth(string $what): void
    {
        foreach (['day', 'booth'] as $surround) {
            $this->browser->until(fn (): bool => $this->browser->script('return document.documentElement.dataset.surround') === $surround, "no {$surround}");
            self::assertSame([], $this->browser->axe(), "{$what} in {$surround}");
            $this->browser->click('.edge-tool[aria-label^="Turn to"]');
        }
    }

    private function view(string $station): void
    {
        $builds = array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'id', 'name');
        if ($station === 'keep') {
            $this->browser->driver->get($this->server->address().'/keep');
            $this->browser->see('[data-testid="in-hand"] li');

            return;
        }
        $this->build = $builds[in_array($station, self::OF_THE_TRACTOR, true) ? 'Dunmore Type 6' : 'Corvane S.4 Shearwater'];
        $this->go($station);
    }

    public function test_sheets_are_clean_under_axe(): void
    {
        $this->go('bench');
        foreach (['[data-testid="wrong"]', '[data-testid="earlier"]', '.edge-room', '.station:last-child', '[aria-label="Begin a build"]', '.line-all'] as $opener) {
            $this->browser->click($opener);
            $this->browser->see('[role="dialog"]');
            self::assertSame([], $this->browser->axe(), $opener);
            $this->browser->click('.sheet-close');
            $this->browser->until(fn (): bool => $this->browser->count('[role="dialog"]') === 0, "{$opener} does not close");
        }
    }
}
