<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;
use Tests\Support\Browser;
use Tests\Support\BrowserTestCase;

/** An evening at the bench, by mouse and by keyboard, in the real interface. */
final class EveningTest extends BrowserTestCase
{
    public function test_an_evening_by_mouse(): void
    {
        $this->go('bench');
        $this->browser->click('[aria-label="Begin a build"]');
        $this->browser->driver->findElement(WebDriverBy::cssSelector('input[type=file]'))->sendKeys($this->fileWithAMistake());
        $this->browser->seeText('.edge-tab[aria-current]', 'Shearwater');
        $this->browser->until(fn (): bool => str_contains($this->browser->driver->getCurrentURL(), '01T00000000000000000000077'), 'the imported build is not opened');

        $this->browser->press('Layers');
        $this->browser->see('[data-testid="finding-gloss-before-decal"]');
        $this->browser->click('[data-testid="finding-gloss-before-decal"] .press');
        $this->browser->seeText('.preview', 'Settles');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="finding-gloss-before-decal"]') === 0, 'the finding is still there');
        $this->browser->see('[data-testid="undo"]');

        $this->browser->press('Bench');
        $this->threeCoats(fn () => $this->browser->click('[data-testid="done"]'));
        $this->holdRunsAndOpens();

        $this->browser->press('Log');
        $this->browser->see('[data-testid="log-line"]');
        $before = $this->browser->count('.log-day li[data-gone]');
        $this->browser->click('[data-testid="take-back"]');
        $this->browser->until(fn (): bool => $this->browser->count('.log-day li[data-gone]') === $before + 1, 'nothing is taken back');
        self::assertSame($before + 1, $this->takenBack());
    }

    public function test_an_evening_by_keyboard(): void
    {
        $file = $this->fileWithAMistake();
        $this->go('bench');
        $this->tabTo('[aria-label="Begin a build"]');
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->see('input[type=file]')->sendKeys($file);
        $this->browser->until(fn (): bool => str_contains($this->browser->driver->getCurrentURL(), '01T00000000000000000000077'), 'the imported build is not opened');
        $this->browser->until(fn (): bool => $this->browser->count('[role="dialog"]') === 0, 'the sheet stays open');

        $this->browser->script('document.activeElement.blur()');
        $this->browser->keys('3');
        $this->browser->see('[data-testid="finding-gloss-before-decal"]');
        $this->tabTo('[data-testid="finding-gloss-before-decal"] .press');
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->see('[data-testid="apply-fix"]');
        $this->tabTo('[data-testid="apply-fix"]');
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="finding-gloss-before-decal"]') === 0, 'the finding is still there');

        $this->browser->script('document.activeElement.blur()');
        $this->browser->keys('6');
        $this->threeCoats(function (): void {
            $this->browser->keys(WebDriverKeys::ENTER);
            // Fingers as fast as these are asked whether they meant it.
            if ($this->browser->count('.last-twice') > 0) {
                $this->browser->keys(WebDriverKeys::ENTER);
            }
        });
        $this->holdRunsAndOpens();

        $this->browser->keys('8');
        $this->browser->see('[data-testid="take-back"]');
        $before = $this->browser->count('.log-day li[data-gone]');
        $this->tabTo('[data-testid="take-back"]');
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->until(fn (): bool => $this->browser->count('.log-day li[data-gone]') === $before + 1, 'nothing is taken back');
        self::assertSame($before + 1, $this->takenBack());
    }

    public function test_the_last_press_is_taken_back_at_the_bench_and_enter_twice_is_asked(): void
    {
        $this->go('bench');
        $this->browser->see('[data-testid="step-title"]');
        $step = fn (): string => $this->browser->text('[data-testid="step-title"]').', '.explode(' · ', $this->browser->text('.step-where'))[0];
        $first = $step();
        // As if no time passed between two presses.
        $this->browser->script('const frozen = Date.now(); Date.now = () => frozen');
        $this->browser->script('document.activeElement.blur()');
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->seeText('[data-testid="last-press"]', "Written down: {$first}");
        $this->browser->until(fn (): bool => $step() !== $first, 'the next step is not shown');
        $second = $step();
        $events = fn (): int => (int) $this->server->request('GET', "/api/builds/{$this->build}/log")[1]['total'];
        $before = $events();
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->seeText('.last-twice', "Press it once more if this is done too: {$second}");
        self::assertSame($before, $events(), 'nothing is written down by a slip');
        self::assertSame([], $this->browser->axe());

        $this->browser->press('Take it back');
        $this->browser->until(fn (): bool => $step() === $first, 'the step is not there again');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="last-press"]') === 0, 'it is still offered');
        $log = $this->server->request('GET', "/api/builds/{$this->build}/log")[1]['events'];
        self::assertNotSame([], array_filter($log, static fn (array $line): bool => ! $line['standing'] && str_contains($first, $line['on'])), 'it does not stand any more');
    }

    public function test_a_press_is_kept_while_the_server_is_away_and_sent_when_it_is_back(): void
    {
        $this->go('bench');
        $this->browser->seeText('[data-testid="step-title"]', 'Spray sea grey');
        $this->server->kill();
        $this->browser->click('[data-testid="done"]');
        $this->browser->seeText('[data-testid="not-recorded"]', 'Not yet recorded');
        $this->browser->script('window.dispatchEvent(new Event("online"))');

        $this->server->start();
        $this->browser->script('window.dispatchEvent(new Event("focus"))');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="not-recorded"]') === 0, 'the press is not sent again');
        $events = $this->server->request('GET', "/api/builds/{$this->build}/log")[1];
        self::assertSame(['Colour', true], [$events['events'][0]['title'], $events['events'][0]['onPlan']]);
    }

    public function test_two_tabs_record_a_step_once_and_the_second_is_told(): void
    {
        $this->go('bench');
        $second = Browser::open();
        try {
            $second->driver->get($this->server->address()."/b/{$this->build}/bench");
            $second->seeText('[data-testid="step-title"]', 'Spray sea grey');
            // The second tab hears nothing more until it presses.
            $second->script('const real = window.fetch; window.fetch = (url, o) => o && o.method === "POST" ? real(url, o) : new Promise(() => {})');
            $total = $this->server->request('GET', "/api/builds/{$this->build}/log")[1]['total'];
            $this->browser->click('[data-testid="done"]');
            $this->browser->until(fn (): bool => $this->server->request('GET', "/api/builds/{$this->build}/log")[1]['total'] === $total + 1, 'the first press is not recorded');
            $second->click('[data-testid="done"]');
            $second->seeText('[data-testid="refused"]', 'already recorded');
            self::assertSame($total + 1, $this->server->request('GET', "/api/builds/{$this->build}/log")[1]['total']);
        } finally {
            $second->close();
        }
    }

    public function test_a_fault_is_named_and_its_remedy_takes_its_place(): void
    {
        $this->go('bench');
        $this->browser->click('[data-testid="wrong"]');
        $this->browser->press('run or puddle');
        $this->browser->seeText('.fault-now', 'lay the piece level');
        $this->browser->press('It has: run or puddle');
        $this->browser->press('Layers');
        $this->browser->press('by stage');
        $this->browser->seeText('.stages', 'Flat the run');
        self::assertContains('sand-safe', array_column($this->server->request('GET', "/api/builds/{$this->build}/plan")[1]['holds'], 'kind'));
    }

    public function test_a_fault_is_seen_on_any_place_and_its_coat_at_any_time(): void
    {
        $this->go('bench');
        $this->browser->keys('w');
        $this->browser->see('.fault-grid');
        $there = array_values(array_filter($this->server->request('GET', "/api/builds/{$this->build}/bench")[1]['faultPlaces'], static fn (array $p): bool => count($p['coats']) > 1))[0];
        $this->pick('Where', $there['name']);
        $this->pick('On which coat', $there['coats'][0]['word']);
        self::assertSame([], $this->browser->axe());
        $this->browser->press('dust');
        $this->browser->press('It has: dust');
        $this->browser->until(fn (): bool => $this->browser->count('.fault-grid') === 0, 'it is not recorded');
        $said = fn (): array => array_values(array_filter($this->server->request('GET', "/api/builds/{$this->build}/log")[1]['events'], static fn (array $e): bool => $e['kind'] === 'fault'));
        $this->browser->until(fn (): bool => $said() !== [], 'it is not in the log');
        self::assertStringEndsWith($said()[0]['on'], $there['name']);
        self::assertStringContainsString((string) $said()[0]['with'], $there['coats'][0]['word']);
    }

    public function test_a_wait_that_was_tried_moves(): void
    {
        $this->go('bench');
        $ready = fn (): array => array_values(array_filter($this->server->request('GET', '/api/frame')[1]['holds'], static fn (array $h): bool => $h['on'] !== null && $h['kind'] === 'ready'))[0];
        $before = $ready();
        $this->browser->click('.line-all');
        $about = preg_replace('/, [^,]*$/', '', $before['label']);
        $this->browser->click("[aria-label=\"{$about}, tried\"] [data-testid=\"soft\"]");
        $this->browser->seeText('.tried', 'Heard: still soft');
        $this->browser->until(fn (): bool => $ready()['until'] > $before['until'], 'it is waited for no longer');
        self::assertSame([$before['key'], $before['from']], [$ready()['key'], $ready()['from']]);
    }

    /** Chooses in a list of the sheet by its label. */
    private function pick(string $label, string $word): void
    {
        $id = $this->browser->script('return [...document.querySelectorAll("label")].find((l) => l.textContent === arguments[0])?.htmlFor', [$label]);
        $select = new WebDriverSelect($this->browser->see("#{$id}"));
        $select->selectByVisibleText($word);
    }

    public function test_a_step_done_earlier_is_recorded_with_its_time(): void
    {
        $this->go('bench');
        $this->browser->click('[data-testid="earlier"]');
        $field = $this->browser->see('[role="dialog"] input');
        $field->clear();
        $field->sendKeys('25:99');
        $this->browser->seeText('[role="dialog"]', 'Write a time such as 18:40');
        $field->clear();
        $field->sendKeys('19:02');
        $this->browser->press('Coat is on, at 19:02');
        $at = fn (): string => $this->server->request('GET', "/api/builds/{$this->build}/log")[1]['events'][0]['at'];
        $this->browser->until(fn (): bool => $at() !== '2026-03-03T19:00:00Z', 'nothing is recorded');
        self::assertSame('2026-03-03T19:02:00Z', $at());
    }

    /** Entries of the imported build that no longer stand, by the server. */
    private function takenBack(): int
    {
        return count(array_filter($this->server->request('GET', '/api/builds/01T00000000000000000000077/log')[1]['events'], static fn (array $e): bool => ! $e['standing']));
    }

    /** Records three coats, each with its own press. */
    private function threeCoats(callable $press): void
    {
        for ($i = 0; $i < 3; $i++) {
            $this->browser->until(fn (): bool => str_contains($this->browser->text('[data-testid="step-title"]'), 'Spray sea grey') && $this->browser->count('[data-testid="done"]:not(:disabled)') === 1, 'no coat to record');
            $where = $this->browser->text('.step-where');
            $press();
            $this->browser->until(fn (): bool => $this->browser->text('.step-where') !== $where, 'the bench does not go on');
        }
    }

    /** The port float is seen on the hold line, and opens when its flash is over. */
    private function holdRunsAndOpens(): void
    {
        $this->browser->seeText('.hands-off', 'Port float');
        $this->browser->until(fn (): bool => str_contains((string) $this->browser->see('.line-all')->getAttribute('aria-label'), 'Port float'), 'the hold is not on the line');
        $this->at('2026-03-03T19:50:00Z');
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text('.hands-off'), 'Port float'), 'the piece does not open');
    }

    private function tabTo(string $css): void
    {
        $this->browser->see($css);
        for ($i = 0; $i < 120; $i++) {
            if ($this->browser->script('return document.activeElement === document.querySelector(arguments[0])', [$css]) === true) {
                return;
            }
            $this->browser->keys(WebDriverKeys::TAB);
        }
        self::fail("the keyboard does not reach {$css}");
    }
}
