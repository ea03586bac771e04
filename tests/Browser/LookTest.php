<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Support\BrowserTestCase;

/** Every view in both surrounds: accessible, and nothing wider than the window. */
final class LookTest extends BrowserTestCase
{
    private const VIEWS = ['kit', 'layers', 'bench', 'log', 'house', 'sheet', 'booklet', 'breakdown', 'lists', 'surface', 'mix'];

    /** Views that tell most on the build with a booklet. */
    private const OF_THE_TRACTOR = ['booklet', 'breakdown', 'lists', 'surface'];

    public function test_each_view_is_clean_under_axe_in_both_surrounds(): void
    {
        foreach (['day', 'booth'] as $surround) {
            $this->browser->driver->get($this->server->address().'/mark.svg');
            $this->browser->script('localStorage.setItem("amber.surround", arguments[0])', [$surround]);
            foreach (self::VIEWS as $station) {
                $this->view($station);
                self::assertSame([], $this->browser->axe(), "{$station} in {$surround}");
            }
            $this->view('surface');
            foreach (['go-round', 'note-place'] as $press) {
                $this->browser->click("[data-testid=\"{$press}\"]");
                self::assertSame([], $this->browser->axe(), "surface {$press} in {$surround}");
            }
            $this->view('layers');
            foreach (['in microns', 'by stage', 'as a table', 'in order'] as $view) {
                $this->browser->press($view);
                self::assertSame([], $this->browser->axe(), "layers {$view} in {$surround}");
            }
        }
    }

    private function view(string $station): void
    {
        $builds = array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'id', 'name');
        $this->build = $builds[in_array($station, self::OF_THE_TRACTOR, true) ? 'Dunmore Type 6' : 'Corvane S.4 Shearwater'];
        $this->go($station);
    }

    public function test_sheets_are_clean_under_axe(): void
    {
        $this->go('bench');
        foreach (['[data-testid="wrong"]', '[data-testid="earlier"]', '.edge-room', '.station:last-child', '.edge-tabs button', '.line-all'] as $opener) {
            $this->browser->click($opener);
            $this->browser->see('[role="dialog"]');
            self::assertSame([], $this->browser->axe(), $opener);
            $this->browser->click('.sheet-close');
            $this->browser->until(fn (): bool => $this->browser->count('[role="dialog"]') === 0, "{$opener} does not close");
        }
    }

    public function test_nothing_is_wider_than_the_window(): void
    {
        foreach ([[1280, 800], [820, 1180], [320, 800]] as [$width, $height]) {
            $this->browser->size($width, $height);
            foreach (self::VIEWS as $station) {
                $this->view($station);
                self::assertLessThanOrEqual($width, $this->browser->script('return document.documentElement.scrollWidth'), "{$station} at {$width}");
            }
        }
    }

    public function test_the_page_keeps_its_own_rules_about_what_it_loads(): void
    {
        foreach (self::VIEWS as $view) {
            $this->view($view);
        }
        $this->go('kit');
        $this->browser->click('.edge-tabs button');
        $this->browser->see('[role="dialog"]');
        $errors = array_filter($this->browser->driver->manage()->getLog('browser'), static fn (array $line): bool => $line['level'] === 'SEVERE');

        self::assertSame([], array_column($errors, 'message'));
    }
}
