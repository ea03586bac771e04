<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\BrowserTestCase;

/** One key finds whatever has a name, and goes to it. */
final class FindTest extends BrowserTestCase
{
    private function find(string $words): void
    {
        $this->go('bench');
        $this->browser->keys('/');
        $this->browser->until(fn (): bool => $this->browser->script('return document.activeElement?.getAttribute("role")') === 'combobox', 'nothing to type into');
        $this->browser->keys(...mb_str_split($words));
    }

    public function test_an_area_a_step_a_rule_and_a_paint_are_found_by_keys_and_gone_to(): void
    {
        $this->find('wing top gr');
        $this->browser->seeText('.find-row[aria-selected="true"]', 'Wing top in grey');
        self::assertSame([], $this->browser->axe());
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->seeText('[data-testid="cell-panel"]', 'wing top in grey: sea grey');

        $this->find('mask panes cut');
        $this->browser->see('.find-row[aria-selected="true"]');
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->seeText('.stage-steps [aria-current]', 'Mask the panes with cut film');

        $this->find('film budget');
        $this->browser->see('.find-row[aria-selected="true"]');
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->seeText('[data-testid="rule"]', 'It speaks once below.');

        $this->find('slate');
        $this->browser->see('.find-row[aria-selected="true"]');
        $this->browser->seeText('.find-list', 'Linnet Slate Green');
        $this->browser->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_UP);
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->seeText('.page-head', 'slate green for');
        // In a field the key is a letter like any other.
        $this->browser->see('input')->click();
        $this->browser->keys('/');
        self::assertSame(0, $this->browser->count('.find-list'));
    }

    public function test_what_is_not_there_is_said_and_a_hold_goes_to_its_piece(): void
    {
        $this->find('zeppelin');
        $this->browser->seeText('.find-none', 'Nothing here is called that');
        $this->browser->click('.sheet-close');
        $this->browser->click('.line-all');
        $this->browser->press('Shearwater: Hull and wing');
        $this->browser->seeText('.hands-off [aria-current]', 'Hull and wing');
        self::assertSame(1, $this->browser->count('.hands-off [aria-current]'));
    }
}
