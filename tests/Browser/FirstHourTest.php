<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\BrowserTestCase;

/** The first hour: words are said where they stand first, nothing jumps, the last answer is there at once, and what takes long says so. */
final class FirstHourTest extends BrowserTestCase
{
    private const VIEWS = ['kit', 'surface', 'layers', 'masks', 'mix', 'bench', 'runup', 'session', 'log', 'booklet', 'breakdown', 'lists', 'house', 'sheet', 'finish', '/evenings', '/keep'];

    protected function tearDown(): void
    {
        $this->latency(0);
        parent::tearDown();
    }

    /** @return iterable<string, array{int, int}> */
    public static function sizes(): iterable
    {
        yield 'a screen' => [1280, 800];
        yield 'a tablet' => [820, 1180];
    }

    #[DataProvider('sizes')]
    public function test_no_view_jumps_while_it_comes(int $width, int $height): void
    {
        $this->browser->size($width, $height);
        foreach (self::VIEWS as $view) {
            $this->browser->driver->get('about:blank');
            $this->visit($view);
            $shift = $this->browser->driver->executeAsyncScript('const done = arguments[0]; let sum = 0; new PerformanceObserver((list) => { for (const e of list.getEntries()) { sum += e.hadRecentInput ? 0 : e.value; } }).observe({type: "layout-shift", buffered: true}); requestAnimationFrame(() => requestAnimationFrame(() => done(sum)));');

            self::assertLessThan(0.02, $shift, $view);
        }
    }

    #[DataProvider('sizes')]
    public function test_with_names_of_forty_letters_and_twenty_builds_nothing_is_cut(int $width, int $height): void
    {
        $this->build = $this->longNamed(2);
        for ($i = count($this->frame()['builds']); $i < 20; $i++) {
            $this->server->request('POST', '/api/builds/blank', ['name' => self::long("Kit number {$i}"), 'scale' => 72]);
        }
        self::assertCount(20, $this->frame()['builds']);
        $this->browser->size($width, $height);
        $script = (string) file_get_contents(dirname(__DIR__).'/Support/cut.js');
        foreach (self::VIEWS as $view) {
            $this->visit($view);

            self::assertSame([], $this->browser->script($script), $view);
        }
    }

    public function test_what_is_typed_redraws_the_editor_and_no_table(): void
    {
        $this->visit('kit');
        $drawn = fn (): int => (int) $this->browser->script('return performance.getEntriesByName("kit tables drawn").length');
        self::assertGreaterThan(0, $drawn());
        $this->browser->see('.editor textarea')->click();
        $before = $drawn();
        $this->browser->keys("radome, 6, sea grey, matt\nfairing, S, sea grey");
        $this->browser->seeText('[data-testid="editor-says"]', '2 understood');

        self::assertSame($before, $drawn());
    }

    public function test_a_reading_nobody_waits_for_any_more_is_let_go_of(): void
    {
        $this->visit('kit');
        $this->browser->script('const ask = window.fetch; window.letGo = 0; window.asked = 0; window.fetch = (path, how) => { window.asked += String(path).endsWith("/lines/read") ? 1 : 0; how?.signal?.addEventListener("abort", () => { window.letGo++; }); return ask(path, how); };');
        $this->latency(1500);
        $this->browser->see('.editor textarea')->click();
        $this->browser->keys('radome, 6');
        $this->browser->until(fn (): bool => $this->browser->script('return window.asked') > 0, 'it is not asked');
        $this->browser->keys(', sea grey');
        $this->browser->until(fn (): bool => $this->browser->script('return window.letGo') > 0, 'the first goes on');
        $this->latency(0);
        $this->browser->seeText('[data-testid="editor-says"]', '1 understood');
        self::assertGreaterThan(0, $this->browser->script('return window.letGo'));
    }

    public function test_the_last_answer_is_there_at_once_takes_no_press_and_fills(): void
    {
        $this->visit('bench');
        $title = $this->browser->text('[data-testid="step-title"]');
        $this->latency(2500);
        $this->browser->driver->navigate()->refresh();
        $this->browser->seeText('[data-testid="step-title"]', $title);
        self::assertStringContainsString('as at 19:05', $this->browser->text('.line-name'));
        self::assertSame(1, $this->browser->count('main[inert]'));
        $this->browser->keys(WebDriverKeys::ENTER);
        self::assertSame(0, $this->browser->count('[data-testid="not-recorded"]'), 'what may be over takes no press');

        $this->latency(0);
        $this->browser->until(fn (): bool => $this->browser->count('[inert]') === 0, 'it does not fill');
        $this->browser->seeText('.line-name', '6 on');
    }

    public function test_a_press_that_takes_long_says_so_until_it_is_done(): void
    {
        $this->build = $this->frame()['builds'][2]['id'];
        $this->visit('layers');
        $press = $this->browser->driver->findElement(WebDriverBy::cssSelector('.finding-presses .press'));
        $this->latency(900);
        $press->click();
        $this->browser->see('.press[data-working][aria-busy="true"]');
        $this->latency(0);
        $this->browser->see('[data-testid="apply-fix"]');
        $this->browser->until(fn (): bool => $this->browser->count('[data-working]') === 0, 'it still says so');
        self::assertSame(0, $this->browser->count('[aria-busy="true"]'));
    }

    public function test_words_are_said_once_where_they_stand_first_and_by_letter_in_help(): void
    {
        $this->browser->driver->get($this->server->address().'/mark.svg');
        $this->browser->script('localStorage.setItem("amber.test.new", "yes"); localStorage.removeItem("amber.met")');
        $this->visit('bench');
        $this->browser->seeText('[data-testid="first-words"]', 'turn-round');
        self::assertSame([], $this->browser->axe());
        $this->browser->press('Read');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="first-words"]') === 0, 'they stay');
        $this->browser->press('Layers');
        $this->browser->seeText('[data-testid="first-words"]', 'now line');
        $this->browser->press('Bench');
        $this->browser->see('[data-testid="step-title"]');
        self::assertSame(0, $this->browser->count('[data-testid="first-words"]'));
        $this->browser->press('Layers');
        $this->browser->see('[data-testid="stair"]');
        self::assertSame(0, $this->browser->count('[data-testid="first-words"]'), 'left is read');

        $this->browser->press('Help');
        $this->browser->press('Words');
        $words = $this->browser->script('return Array.from(document.querySelectorAll(".words-by-letter dt")).map(e => e.textContent)');
        $sorted = $words;
        sort($sorted);
        self::assertSame($sorted, $words);
        self::assertContains('hold', $words);
        self::assertSame([], $this->browser->axe());
        $this->browser->press('Keys');
        self::assertStringContainsString('Bench: what to do now', $this->browser->text('.keys'));
        $this->browser->press('Begin here');
        $this->browser->click('.begin-here li:nth-child(6) a');
        $this->browser->seeText('h1', 'Run-up');
    }

    public function test_each_hold_says_its_build_the_newest_at_once_and_hands_off_says_why_and_leads_there(): void
    {
        $this->visit('bench');
        self::assertStringContainsString('Dunmore: Gap behind the front plate', $this->browser->text('.line svg text'));
        $this->browser->click('[data-testid="done"]');
        $this->browser->seeText('[data-testid="last-press"]', 'Port float');
        $this->browser->seeText('.hands-off', 'Port float');
        self::assertStringContainsString('coat 1 of Linnet Sea Grey', $this->browser->text('.hands-why'));

        // It shows a run a moment later: its button is still there, and knows the place.
        $this->browser->click('[data-testid="wrong-with-last"]');
        $this->browser->seeText('[role="dialog"] h2', 'port float top');
        $this->browser->keys(WebDriverKeys::ESCAPE);
        $this->browser->until(fn (): bool => $this->browser->count('[role="dialog"]') === 0, 'it is closed');
        $this->browser->press('Hull and wing');
        $this->browser->seeText('h1', 'Layers');
        $this->browser->seeText('[data-testid="cell-panel"]', 'upper hull');
    }

    public function test_the_list_of_holds_lies_at_the_thumb_on_a_tablet(): void
    {
        $this->browser->size(820, 1180);
        $this->visit('bench');
        $this->browser->script('document.querySelector(".line-all").dispatchEvent(new PointerEvent("click", {bubbles: true, detail: 1, pointerType: "touch", clientX: 150, clientY: 60}))');
        $this->browser->see('.hold-list');
        $this->browser->until(fn (): bool => $this->browser->script('const b = document.querySelector("[role=dialog]").getBoundingClientRect(); return innerHeight - b.bottom < 120 && b.bottom <= innerHeight') === true, 'it is out of reach');
        $lowest = $this->browser->script('return Math.min(...Array.from(document.querySelectorAll(".hold-row")).map(e => e.getBoundingClientRect().height))');

        self::assertGreaterThanOrEqual(44, $lowest);
    }

    /** Goes to a view and waits until it is all there. */
    private function visit(string $view): void
    {
        $this->browser->driver->get($this->server->address().($view[0] === '/' ? $view : "/b/{$this->build}/{$view}"));
        $last = '';
        $this->browser->until(function () use (&$last): bool {
            $is = (string) $this->browser->script('return document.querySelector("main h1") === null || document.querySelector("[inert], [data-waiting]") !== null || document.fonts.status !== "loaded" ? "" : document.body.innerHTML');
            $same = $is !== '' && $is === $last;
            $last = $is;

            return $same;
        }, "{$view} is not all there");
    }

    /** @return array<string, mixed> */
    private function frame(): array
    {
        return $this->server->request('GET', '/api/frame')[1];
    }

    /** @param  int  $ms  that each answer of the network takes longer */
    private function latency(int $ms): void
    {
        foreach ([['Network.enable', new \stdClass], ['Network.emulateNetworkConditions', ['offline' => false, 'latency' => $ms, 'downloadThroughput' => -1, 'uploadThroughput' => -1]]] as [$cmd, $params]) {
            $this->browser->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => $cmd, 'params' => $params]);
        }
    }

    private static function long(string $name): string
    {
        return mb_substr($name.' of the forty lettered naming club ltd', 0, 40);
    }

    /** A copy of a build of the demo, by its place, in which all that has a name has one of forty letters. */
    private function longNamed(int $place): string
    {
        $file = $this->server->request('GET', "/api/builds/{$this->frame()['builds'][$place]['id']}/export")[1];
        unset($file['digest']);
        foreach (['parts', 'areas', 'joints', 'colours', 'pieces'] as $list) {
            foreach ($file['kit'][$list] as $i => $thing) {
                $file['kit'][$list][$i]['name'] = self::long($thing['name']);
            }
        }
        $file['kit']['name'] = self::long($file['kit']['name']);
        $file['kit']['house'] = (object) $file['kit']['house'];

        return $this->server->request('POST', '/api/builds?mode=copy', $file)[1]['build']['id'];
    }
}
