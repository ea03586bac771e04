<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\BrowserTestCase;

/** The break-down of the demo builds on the screen: joints, holders, what a show asks for, what is missing, what goes where. */
final class BreakdownTest extends BrowserTestCase
{
    public function test_the_joints_are_gone_through_by_arrows_and_each_says_its_glue_and_why(): void
    {
        $this->of('Dunmore Type 6', 'breakdown');
        $this->browser->seeText('[data-testid="dead-stop"]', 'Step 4 closes deck seam');
        $this->browser->seeText('#joint-title', 'radiator bay seat');
        $this->browser->script('document.querySelector(".track-joint[aria-selected=true]").focus()');
        $this->browser->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_DOWN);
        $this->browser->seeText('#joint-title', 'deck seam');
        $this->browser->seeText('[data-testid="joint"]', 'The joint must vanish');
        $this->browser->seeText('[data-testid="joint"]', 'handle after 30 min, full strength 48 h');
        $this->browser->seeText('[data-testid="joint"]', 'Wipe no squeeze-out');

        $this->browser->press('jib foot');
        $this->browser->seeText('[data-testid="joint"]', 'drill and pin it with wire');
        $this->browser->seeText('[data-testid="joint"]', 'Both faces stay bare');
        self::assertSame(1, $this->browser->count('.track-joint[aria-selected="true"]'));
    }

    public function test_a_proposal_that_cannot_be_turned_down_says_why_before_anything_changes(): void
    {
        $this->of('Dunmore Type 6', 'breakdown');
        $this->browser->press('deck seam');
        $this->browser->seeText('#joint-title', 'deck seam');
        $this->browser->click('[data-testid="turn-down"]');
        $this->browser->seeText('.preview', 'Raises: Deck seam is to vanish, and closes after paint');
        $this->browser->press('Leave it');
        $this->browser->until(fn (): bool => $this->browser->count('.preview') === 0, 'it is left');
        self::assertSame(1, $this->server->request('GET', "/api/builds/{$this->build}/breakdown")[1]['build']['revision']);
    }

    public function test_too_few_holders_are_seen_and_put_right_by_counting_them(): void
    {
        $this->of('Torsay', 'breakdown');
        $this->browser->seeText('.holders li[data-short]', '36 sticks');
        $this->browser->seeText('.holders li[data-short]', '12 too few');
        $this->browser->click('.holders li[data-short] .holder-owned');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a');
        $this->browser->keys(WebDriverKeys::NULL, '40', WebDriverKeys::ENTER);
        $this->browser->until(fn (): bool => $this->browser->count('.holders li[data-short]') === 0, 'there are enough');
        self::assertSame([], array_filter($this->server->request('GET', "/api/builds/{$this->build}/plan")[1]['findings'], static fn (array $f): bool => $f['rule'] === 'handle-first'));
        $this->browser->script('window.scrollTo(0, 0)');
        $this->browser->click('[data-testid="undo"]');
        $this->browser->seeText('.holders li[data-short]', '12 too few');

        // Or by holding some another way.
        $this->browser->driver->findElement(WebDriverBy::cssSelector('[aria-label="Davits is held by"]'))->sendKeys('board');
        $this->browser->seeText('.holders li[data-short]', '4 too few');
    }

    public function test_what_the_show_asks_for_and_what_is_out_changes_the_plan_at_once(): void
    {
        $this->of('Dunmore Type 6', 'breakdown');
        $this->browser->seeText('.page-head', '1 parked');
        $this->tick('Kit parts only');
        $this->browser->seeText('.page-head', '4 parked');
        $this->browser->seeText('.pieces-parked', 'the show\'s rule: kit parts only');
        $this->tick('Kit parts only');
        $this->browser->seeText('.page-head', '1 parked');

        $this->tick('The gun is out of use');
        $this->browser->seeText('[data-testid="finding-clean-gear"]', 'The gun is out of use');
        $this->browser->seeText('[data-testid="finding-clean-gear"]', 'Meanwhile:');
        $this->browser->driver->findElement(WebDriverBy::cssSelector('.terms-part select'))->sendKeys('Winch');
        $this->browser->seeText('.terms', 'Winch is missing');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="finding-clean-gear"]') === 2, 'both are said');
        self::assertSame(['gun', 'part'], array_column($this->server->request('GET', "/api/builds/{$this->build}/breakdown")[1]['outages'], 'missing'));
    }

    public function test_a_part_fitted_on_the_wrong_side_is_told_and_taken_back(): void
    {
        $this->of('Dunmore Type 6', 'breakdown');
        $this->browser->seeText('.fitting', 'All are fitted');
        $part = array_column($this->server->request('GET', "/api/builds/{$this->build}/breakdown")[1]['fitting'], 'id', 'name')['Port fender'];
        $this->server->request('POST', "/api/builds/{$this->build}/events", ['id' => '01W00000000000000000000009', 'kind' => 'fitted', 'at' => self::NOW, 'targets' => [$part], 'place' => 'right']);
        $this->go('breakdown');
        $this->browser->seeText('[data-testid="finding-handed-part"]', 'Port fender sits in the wrong place');
        $this->browser->press('Fitted right: wrong');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="finding-handed-part"]') === 0, 'it is taken back');
        self::assertSame([[], []], array_column($this->server->request('GET', "/api/builds/{$this->build}/breakdown")[1]['fitting'], 'fitted'));
    }

    public function test_in_the_booklet_the_other_alternative_is_chosen_and_a_line_struck_out(): void
    {
        $this->of('Dunmore Type 6', 'booklet');
        $this->browser->seeText('.callout[data-parked]', 'C5');
        $this->browser->press('shut');
        $this->browser->until(fn (): bool => $this->browser->count('.callout[data-parked]') === 2, 'what is open is parked');
        $this->browser->seeText('.options', '2 call-outs are parked');
        $this->browser->click('[aria-label="Strike A12, step 15"]');
        $this->browser->seeText('.lost', '1 call-out is on no piece');
        $this->browser->script('window.scrollTo(0, 0)');
        $this->browser->press('Write it all out');
        $this->browser->until(fn (): bool => str_contains((string) $this->browser->script('return document.querySelector("textarea").value'), 'choose hatch = shut'), 'it is written out');
        $this->browser->seeText('[data-testid="editor-says"]', '52 understood');
        self::assertSame(43, count($this->server->request('GET', "/api/builds/{$this->build}/booklet")[1]['callouts']));
    }

    private function of(string $name, string $station): void
    {
        $this->build = array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'id', 'name')[$name];
        $this->go($station);
    }

    private function tick(string $label): void
    {
        $this->browser->script('Array.from(document.querySelectorAll(".terms label")).find(l => l.textContent === arguments[0]).click()', [$label]);
    }
}
