<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\BrowserTestCase;

/** The way to the show: from no show to a date, one build late, a session longer and one struck, and all of it by keys. */
final class RunUpTest extends BrowserTestCase
{
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
        self::assertSame([], $this->browser->axe());
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
        $this->browser->seeText('#session', 'Fri 6 Mar, 2 h');
        $this->browser->press('Strike it');
        $this->browser->until(fn (): bool => $this->browser->count('.runup-session[data-date="2026-03-06"]') === 0, 'the session stands');
        $this->browser->press('Take back');
        $this->browser->see('.runup-session[data-date="2026-03-06"]');
        $this->browser->press('As a table');
        $this->browser->seeText('.runup-table', 'Fri 6 Mar 19:00–21:00');
        self::assertSame([], $this->browser->axe());
    }

    public function test_a_lever_is_looked_at_and_taken_and_a_sitting_put_off_says_what_it_does_to_the_end_first(): void
    {
        $this->open();
        $this->browser->press('Find what would save Dunmore');
        $this->browser->click('.runup-lever button[aria-label^="Look at: Torsay put away"]');
        $this->browser->seeText('.runup-promise', 'Dunmore is ready');
        $this->browser->press('Take it');
        $this->browser->seeText('[data-testid="told"]', 'Torsay put away until then: all plans follow.');
        $this->browser->until(fn (): bool => $this->browser->count('.runup-thread[data-late]') === 0, 'one is late still');
        $this->browser->press('Take back');
        $this->browser->see('.runup-thread[data-late]');

        $this->browser->click('.runup-off[aria-label="Put off: Linnet Sea Grey"]');
        $this->browser->seeText('.runup-blocks .runup-promise', 'To Wed 19:00: ready');
        self::assertSame([], $this->browser->axe());
        $this->browser->press('Put it off');
        $this->browser->seeText('[data-testid="told"]', 'Linnet Sea Grey put off: all plans follow.');
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text('.runup-blocks'), 'Linnet Sea Grey on Shearwater'), 'it is there still');
        $this->browser->press('Take back');
        $this->browser->seeText('.runup-blocks', 'Linnet Sea Grey on Shearwater');
    }
}
