<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\BrowserTestCase;

/** The way to the show: from no show to a date, one build late, a session longer and one struck, and all of it by keys. */
final class RunUpTest extends BrowserTestCase
{
    /** Once nothing is worked out any more: what is being worked out is dimmed. */
    private function readsWell(): void
    {
        $this->browser->until(fn (): bool => $this->browser->count('.runup[data-waiting]') === 0, 'it is dimmed still');
        self::assertSame([], $this->browser->axe());
    }

    /** Light before dark whatever it costs: so the builds stand in each other's way, and levers save something. */
    private function lightFirst(): void
    {
        self::assertSame(200, $this->server->request('PUT', '/api/house', ['question' => 'light-first', 'position' => 'always'])[0]);
    }

    private function open(): void
    {
        $build = $this->server->request('GET', '/api/frame')[1]['builds'][0]['id'];
        $this->browser->driver->get($this->server->address()."/b/{$build}/bench");
        $this->browser->see('.card');
        $this->browser->keys('7');
        $this->browser->see('.runup-session');
    }

    public function test_from_no_show_to_a_date_that_one_build_misses(): void
    {
        $this->server->request('PUT', '/api/shows', ['shows' => []]);
        $this->open();
        $this->browser->seeText('[data-testid="told"]', 'No show is written down');
        self::assertSame(0, $this->browser->count('.runup-wall'));
        $this->browser->press('Add a show');
        $this->browser->click('.runup-form input');
        $this->browser->keys('Harbour Lights', WebDriverKeys::TAB, 'in March');
        $this->browser->seeText('.runup-form', 'write it as 2026-03-28');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '2026-03-28');
        $this->browser->script('[...document.querySelectorAll(".runup-form fieldset label")].find((l) => l.textContent === "Dunmore").click()');
        $this->browser->press('Keep');

        $this->browser->seeText('.runup-thread[data-late]', 'late for Harbour Lights');
        $this->browser->see('.runup-wall');
        $this->browser->see('.runup-block[data-late]');
        self::assertSame('2026-03-28', $this->server->request('GET', '/api/shows')[1]['shows'][0]['date']);
        $this->browser->see('.edge-late');
        $this->browser->press('Take back');
        $this->browser->seeText('[data-testid="told"]', 'Taken back.');
        $this->browser->until(fn (): bool => $this->browser->count('.runup-wall') === 0, 'the wall stands');
        $this->readsWell();
    }

    private function takeLever(string $title): void
    {
        $this->browser->until(fn (): bool => $this->browser->count(".runup-lever button[aria-label^=\"Look at: {$title}\"]") > 0, "{$title} is not offered");
        $this->browser->click(".runup-lever button[aria-label^=\"Look at: {$title}\"]");
        $this->browser->seeText('.runup-promise', 'Dunmore is ready');
        $this->browser->press('Take it');
        $this->browser->seeText('[data-testid="told"]', 'all plans follow');
    }

    public function test_one_that_is_late_is_saved_by_two_levers(): void
    {
        $this->lightFirst();
        $this->open();
        $this->browser->seeText('.runup-thread[data-late]', 'late for Harbour Lights');
        $this->browser->press('Find what would save Dunmore');
        $this->takeLever('Take the sink over the winch as it is');
        $this->browser->until(fn (): bool => str_contains($this->browser->text('.runup-thread[data-late]'), '1 d late'), 'it is as late as before');
        $this->takeLever('Ready enamel wash, dry in two days');
        $this->browser->until(fn (): bool => $this->browser->count('.runup-thread[data-late]') === 0, 'one is late still');

        $frame = $this->server->request('GET', '/api/runup')[1];
        self::assertSame([0], array_values(array_unique(array_column($frame['builds'], 'daysLate'))));
        $this->browser->press('Take back');
        $this->browser->see('.runup-thread[data-late]');
        $this->readsWell();
    }

    public function test_a_session_is_made_longer_struck_and_as_usual_again_by_keys(): void
    {
        $this->open();
        $this->browser->script('document.querySelector(\'.runup-session[data-date="2026-03-06"]\').focus()');
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->seeText('#session', 'Fri 6 Mar');
        $this->browser->press('30 min longer');
        $this->browser->seeText('#session', '2 h 30');
        $this->browser->see('.runup-session[data-date="2026-03-06"] .runup-day[data-single]');
        $this->browser->press('As usual');
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text('#session'), '2 h 30'), 'it is as long as it was made');
        $this->browser->seeText('#session', 'Fri 6 Mar, 2 h');
        $this->browser->press('Strike it');
        $this->browser->until(fn (): bool => $this->browser->count('.runup-session[data-date="2026-03-06"]') === 0, 'the session stands');
        $this->browser->press('Take back');
        $this->browser->see('.runup-session[data-date="2026-03-06"]');
        $this->browser->press('A session more');
        $this->browser->see('.runup-more select');
        $this->browser->script('document.querySelector(".runup-more select").focus()');
        $this->browser->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ENTER);
        $this->browser->script('document.querySelector(".runup-more input").focus()');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '9:30-12', WebDriverKeys::ENTER);
        $this->browser->see('.runup-session[data-date="2026-03-15"] .runup-day[data-single]');
        $this->browser->seeText('[data-testid="told"]', 'all plans follow');
        $this->browser->press('Take back');
        $this->browser->until(fn (): bool => $this->browser->count('.runup-session[data-date="2026-03-15"]') === 0, 'the session stands');
        $this->browser->press('As a table');
        $this->browser->seeText('.runup-table', 'Fri 6 Mar 19:00–21:00');
        $this->browser->seeText('.runup-table + .runup-table', 'through the night by itself');
        $this->readsWell();
    }

    public function test_a_lever_is_looked_at_and_taken_and_a_sitting_put_off_says_what_it_does_to_the_end_first(): void
    {
        $this->lightFirst();
        $this->open();
        $this->browser->press('Find what would save Dunmore');
        $this->browser->click('.runup-lever button[aria-label^="Look at: Torsay put away"]');
        $this->browser->seeText('.runup-promise', 'Dunmore is ready');
        $this->browser->press('Take it');
        $this->browser->seeText('[data-testid="told"]', 'Torsay put away until then: all plans follow.');
        $this->browser->until(fn (): bool => $this->browser->count('.runup-thread[data-late]') === 0, 'one is late still');
        $this->browser->press('Take back');
        $this->browser->see('.runup-thread[data-late]');

        $this->browser->click('.runup-off[aria-label="Move: Linnet Sea Grey"]');
        $this->browser->seeText('.runup-blocks .runup-promise', 'Ready ');
        $this->readsWell();
        $this->browser->press('Move it');
        $this->browser->seeText('[data-testid="told"]', 'Linnet Sea Grey moved: all plans follow.');
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text('.runup-blocks'), 'Linnet Sea Grey on Shearwater'), 'it is there still');
        $this->browser->press('Take back');
        $this->browser->seeText('.runup-blocks', 'Linnet Sea Grey on Shearwater');
    }

    /** A finger on a sitting of one session, let go over another. */
    private function drag(string $from, int $block, string $to): void
    {
        $this->browser->script(<<<'JS'
            const [from, n, to] = arguments;
            const block = document.querySelectorAll(`.runup-session[data-date="${from}"] .runup-block`)[n];
            const middle = (el) => { const r = el.getBoundingClientRect(); return { x: r.x + r.width / 2, y: r.y + r.height / 2 }; };
            const a = middle(block), b = middle(document.querySelector(`.runup-session[data-date="${to}"] .runup-day`));
            const touch = (kind, at) => block.dispatchEvent(new PointerEvent(kind, { bubbles: true, cancelable: true, pointerId: 1, pointerType: 'touch', isPrimary: true, button: 0, buttons: 1, clientX: at.x, clientY: at.y }));
            block.setPointerCapture = () => {};
            touch('pointerdown', a);
            touch('pointermove', { x: a.x + 20, y: a.y });
            window.letGo = () => { touch('pointermove', b); window.letGo = () => touch('pointerup', b); };
            JS, [$from, $block, $to]);
        $this->browser->see('.runup-drag');
        $this->browser->script('window.letGo()');
        $this->browser->see(".runup-session[data-date=\"{$to}\"][data-target]");
        $this->browser->script('window.letGo()');
        $this->browser->until(fn (): bool => $this->browser->count('.runup-drag') === 0, 'it is held still');
    }

    public function test_a_sitting_is_carried_by_thumb_to_a_later_evening_and_back_and_never_before_its_holds(): void
    {
        $this->open();
        $block = (int) $this->browser->script('return [...document.querySelectorAll(".runup-session")[0].querySelectorAll(".runup-block")].findIndex((b) => b.querySelector(".runup-paint[data-none]") === null)');
        $this->drag('2026-03-03', $block, '2026-03-06');
        $this->browser->seeText('.runup-promise', 'Ready ');
        self::assertStringContainsString('Fri 19:00', (string) $this->browser->script('const s = document.querySelector(".runup-promise select"); return s.selectedOptions[0].textContent'));
        $this->browser->press('Move it');
        $this->browser->seeText('[data-testid="told"]', 'moved: all plans follow.');
        $this->browser->until(fn (): bool => $this->server->request('GET', '/api/runup')[1]['columns'][3]['blocks'] !== [] && array_merge(...array_column($this->server->request('GET', '/api/runup')[1]['columns'][3]['blocks'], 'putOffs')) !== [], 'it is not there');

        $friday = $this->server->request('GET', '/api/runup')[1]['columns'][3]['blocks'];
        $at = (int) array_key_first(array_filter($friday, static fn (array $b): bool => $b['putOffs'] !== []));
        $this->browser->until(fn (): bool => $this->browser->count('.runup-session[data-date="2026-03-06"] .runup-block') === count($friday), 'the picture is the old one');
        $this->drag('2026-03-06', $at, '2026-03-03');
        $this->browser->seeText('.runup-promise', 'Ready ');
        $this->browser->press('Move it');
        $this->browser->until(fn (): bool => array_merge(...array_column(array_merge(...array_column($this->server->request('GET', '/api/runup')[1]['columns'], 'blocks')), 'putOffs')) === [], 'it is put off still');

        foreach ($this->server->request('GET', '/api/runup')[1]['columns'] as $i => $column) {
            foreach ($i < 2 ? [] : $column['blocks'] as $n => $one) {
                if ($one['opens'] !== null && $one['opens'] > '2026-03-03T21:00:00Z' && $one['steps'] !== []) {
                    $this->browser->until(fn (): bool => $this->browser->count(".runup-session[data-date=\"{$column['date']}\"] .runup-block") === count($column['blocks']), 'the picture is another');
                    $this->drag($column['date'], $n, '2026-03-03');
                    $this->browser->seeText('.runup-promise', 'Not before ');
                    $this->readsWell();

                    return;
                }
            }
        }
        self::fail('nothing waits for anything');
    }

    public function test_tonight_is_laid_out_on_a_page_and_worked_across_two_builds(): void
    {
        $this->open();
        $this->browser->press('Lay it out');
        $this->browser->seeText('#lay-out', 'Lay out');
        $this->browser->seeText('.session-things', 'Linnet Sea Grey, mixed already');
        $this->browser->seeText('.session-clocks', 'until then no');
        $this->readsWell();
        $this->browser->keys('0');
        $pdf = (string) base64_decode((string) $this->browser->driver->executeCustomCommand('/session/:sessionId/print', 'POST', ['page' => ['width' => 21.0, 'height' => 29.7]]));
        self::assertSame(1, preg_match_all('~/Type\s*/Page\b~', $pdf), 'it is one page');
        $sheet = $this->server->request('GET', '/api/runup/session')[1];
        $this->browser->press('Back to the run-up');
        $this->browser->see('.runup-session');

        $done = [];
        foreach (array_slice($sheet['lines'], 0, 3) as $line) {
            $this->browser->driver->get($this->server->address()."/b/{$line['buildId']}/bench");
            $this->browser->seeText('[data-testid="step-title"]', $line['title']);
            $this->browser->click('[data-testid="done"]');
            $this->browser->until(fn (): bool => ! in_array($line['key'], array_column($this->server->request('GET', '/api/runup/session')[1]['lines'], 'key'), true), "{$line['title']} is still to do");
            $done[$line['buildId']] = true;
        }
        self::assertCount(2, $done);
    }

    public function test_a_fault_says_at_once_what_it_does_to_the_date(): void
    {
        $build = array_values(array_filter($this->server->request('GET', '/api/frame')[1]['builds'], static fn (array $b): bool => str_contains($b['name'], 'Shearwater')))[0]['id'];
        $this->browser->driver->get($this->server->address()."/b/{$build}/bench");
        $this->browser->click('[data-testid="wrong-anywhere"]');
        $this->browser->see('.fault-grid');
        $this->browser->script('[...document.querySelectorAll(".fault")].find((b) => b.textContent.includes("run or puddle")).click()');
        $this->browser->script('[...document.querySelectorAll("button[data-main]")].find((b) => b.textContent.startsWith("It has:")).click()');
        $this->browser->seeText('[data-testid="cost"]', 'finished');
        $said = $this->browser->text('[data-testid="cost"]');
        self::assertMatchesRegularExpression('/Harbour Lights|no day/', $said);
        $this->readsWell();
        $this->browser->press('Read');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="cost"]') === 0, 'it stands');
    }
}
