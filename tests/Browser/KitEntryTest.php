<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\BrowserTestCase;

/** A kit typed in from nothing, by keys alone; corrections, paints, tables, and taking back. */
final class KitEntryTest extends BrowserTestCase
{
    private const MOST_KEYS = 700;

    private const LINES = [
        'hull/upper A,84,sea grey,decals,wash,matt,soft 240 upper B',
        'hull/upper B,61,slate green,wash,matt',
        'canopy/frame,clear,3,sea grey,inside interior dark,matt',
        'canopy/panes,8,pane',
        'grille,brass,2,sea grey,matt',
        'floats,40,sea grey,matt',
        'canopy sill:canopy+hull,clear glue',
        'grille+hull,after paint,superglue',
        'floats+hull,after paint,epoxy,load',
    ];

    private int $keys = 0;

    public function test_a_kit_is_typed_from_nothing_by_keys_alone_and_plans_without_a_stop(): void
    {
        $this->go('bench');
        $this->type('n');
        $this->browser->see('[role="dialog"] .begin');
        $this->browser->until(fn (): bool => $this->browser->script('return document.activeElement?.tagName') === 'INPUT', 'the name has the focus');
        // Past what begins from a subject.
        for ($i = 0; $i < 12 && $this->browser->script('return document.activeElement === document.querySelector(".begin input")') !== true; $i++) {
            $this->press(WebDriverKeys::TAB);
        }
        $this->type('Sandpiper');
        $this->press(WebDriverKeys::ENTER);
        $this->browser->see('.editor textarea');
        $this->browser->until(fn (): bool => $this->browser->script('return document.activeElement?.tagName') === 'TEXTAREA', 'the lines have the focus');
        foreach (self::LINES as $i => $line) {
            $this->type($line);
            if ($i < count(self::LINES) - 1) {
                $this->press(WebDriverKeys::ENTER);
            }
        }
        $this->browser->seeText('[data-testid="editor-says"]', count(self::LINES).' understood');
        $this->press(WebDriverKeys::CONTROL, WebDriverKeys::ENTER);
        $this->browser->seeText('.kit .page-head', '3 pieces, 6 areas, 3 colours');
        $this->press(WebDriverKeys::ESCAPE);
        $this->browser->seeText('.typing-told', 'Taken in');
        self::assertSame('BODY', $this->browser->script('return document.activeElement?.tagName'), 'the lines do not take the focus back from who has left them');
        $this->type('3');
        $this->browser->see('[data-testid="stair"]');

        self::assertLessThanOrEqual(self::MOST_KEYS, $this->keys);
        $build = basename(dirname((string) parse_url($this->browser->driver->getCurrentURL(), PHP_URL_PATH)));
        $plan = $this->server->request('GET', "/api/builds/{$build}/plan")[1];
        self::assertSame([], array_values(array_filter($plan['findings'], static fn (array $f): bool => $f['severity'] === 'stop')));
        self::assertSame(['sea grey', 'slate green', 'interior dark'], array_column($this->server->request('GET', "/api/builds/{$build}/kit")[1]['colours'], 'name'));
        self::assertContains('putty', array_column($plan['section']['caps'], 'medium'), 'a soft edge is held off');
        self::assertSame(6, count($plan['section']['columns']));
    }

    public function test_what_is_wrong_is_marked_and_a_paint_is_looked_for_and_put_in(): void
    {
        $this->go('kit');
        $this->browser->see('.editor textarea')->click();
        $this->browser->keys('radome, S, sea gray, decals');
        $this->browser->seeText('.says[data-wrong]', 'did you mean sea grey');
        self::assertSame('sea gray', $this->browser->text('.editor-under mark'));
        $this->browser->press('Look for');
        $this->browser->see('[role="dialog"] [role="combobox"]');
        $this->browser->until(fn (): bool => $this->browser->script('return document.activeElement?.getAttribute("role")') === 'combobox', 'the search has the focus');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a');
        $this->browser->keys(WebDriverKeys::NULL, 'slate');
        $this->browser->seeText('.paints [aria-selected="true"]', 'Linnet Slate Green');
        self::assertStringContainsString('water acrylic', $this->browser->text('.paints [aria-selected="true"]'));
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->seeText('[data-testid="editor-says"]', '1 understood');
        self::assertSame('radome, S, Linnet Slate Green, decals', $this->browser->script('return document.querySelector("textarea").value'));
    }

    public function test_a_line_that_is_not_read_stays_when_the_others_are_taken_in(): void
    {
        $this->go('kit');
        $this->browser->see('.editor textarea')->click();
        $this->browser->keys("radome, 4, sea grey\nradome 2, 4, see grey");
        $this->browser->seeText('[data-testid="editor-says"]', '1 understood, 1 not');
        $this->browser->keys(WebDriverKeys::CONTROL, WebDriverKeys::ENTER);
        $this->browser->seeText('.kit .page-head', '23 areas');
        $this->browser->seeText('.typing-told', '1 line typed in');
        self::assertSame('radome 2, 4, see grey', $this->browser->script('return document.querySelector("textarea").value'));
    }

    public function test_a_table_is_put_right_by_keys_and_each_change_is_taken_back(): void
    {
        $this->go('kit');
        $this->focusCell(0, 2);
        $this->browser->keys('1,250.5', WebDriverKeys::ENTER);
        $this->browser->seeText('.grid-wrong', '1250.5 or 1.2505');
        $this->browser->keys(WebDriverKeys::ESCAPE);
        $this->focusCell(0, 2);
        $this->browser->keys('7,5', WebDriverKeys::ENTER);
        $this->browser->seeText('[data-at="0,2"]', '7.5');
        $this->browser->until(fn (): bool => $this->browser->script('return document.activeElement?.dataset.at') === '1,2', 'Enter goes on to the next row');
        $this->browser->keys(WebDriverKeys::ARROW_UP, WebDriverKeys::ARROW_LEFT);
        $this->browser->until(fn (): bool => $this->browser->script('return document.activeElement?.dataset.at') === '0,1', 'arrows move');
        $this->browser->keys(WebDriverKeys::DELETE);
        $this->browser->seeText('.kit .page-head', '21 areas');
        $this->browser->seeText('.typing-told', 'records of the log are about it');
        $this->browser->click('[data-testid="undo"]');
        $this->browser->seeText('.kit .page-head', '22 areas');
        $this->browser->seeText('.kit-tabs .undo', 'size 7,5');
        $this->browser->click('[data-testid="undo"]');
        $this->browser->until(fn (): bool => $this->browser->text('[data-at="0,2"]') === '9', 'the size is not back');
        self::assertSame(9, (int) $this->server->request('GET', "/api/builds/{$this->build}/kit")[1]['areas'][0]['cm2']);
    }

    public function test_the_whole_kit_is_written_out_changed_and_put_so(): void
    {
        $this->go('kit');
        $this->browser->press('Write it all out as lines');
        $this->browser->seeText('[data-testid="editor-says"]', ' understood');
        $this->replace('Propeller / blades, 4 cm²', 'Propeller / blades, 6 cm²');
        $this->browser->press('Put the kit so');
        $this->browser->seeText('.typing-told', 'lines typed in');
        $areas = array_column($this->server->request('GET', "/api/builds/{$this->build}/kit")[1]['areas'], 'cm2', 'name');
        self::assertEquals([22, 6, 9], [count($areas), $areas['blades'], $areas['cockpit sides']]);
    }

    public function test_the_whole_kit_is_not_put_so_while_a_line_of_it_is_not_read(): void
    {
        $this->go('kit');
        $this->browser->press('Write it all out as lines');
        $this->browser->seeText('[data-testid="editor-says"]', ' understood');
        $this->replace('Propeller / blades, 4 cm²', 'Propeller / blades, 4 kg');
        $this->browser->seeText('[data-testid="editor-says"]', 'put them right first');
        self::assertSame('true', $this->browser->script('return String(document.querySelector(".typing-foot [data-main]").disabled)'));
        $this->browser->script('document.querySelector("textarea").focus()');
        $this->browser->keys(WebDriverKeys::CONTROL, WebDriverKeys::ENTER);
        $this->replace('Propeller / blades, 4 kg', 'Propeller / blades, 6 cm²');
        $this->browser->press('Put the kit so');
        $this->browser->seeText('.typing-told', 'lines typed in');
        self::assertEquals(6, array_column($this->server->request('GET', "/api/builds/{$this->build}/kit")[1]['areas'], 'cm2', 'name')['blades']);
    }

    public function test_on_paper_the_table_is_whole_and_the_presses_are_gone(): void
    {
        $this->go('kit');
        $this->browser->size(794, 1123);
        $this->browser->media('print');
        $text = (string) $this->browser->script('return document.querySelector("#app").innerText');

        foreach (['Cockpit tub', 'trolley frame', 'tyre black', 'compound'] as $seen) {
            self::assertStringContainsString($seen, $text);
        }
        self::assertStringNotContainsString('Take them in', $text);
        self::assertSame(0, $this->browser->script('const b = document.querySelector(".grid-box"); return Math.max(0, b.scrollHeight - b.clientHeight - 1) + Math.max(0, document.documentElement.scrollWidth - 794)'), 'nothing is cut off');
    }

    /** Types over a piece of what stands in the lines. */
    private function replace(string $old, string $new): void
    {
        $this->browser->script('const t = document.querySelector("textarea"); Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, "value").set.call(t, t.value.replace(arguments[0], arguments[1])); t.dispatchEvent(new Event("input", {bubbles: true}));', [$old, $new]);
    }

    private function focusCell(int $row, int $column): void
    {
        $this->browser->script('document.querySelector(`[data-at="${arguments[0]},${arguments[1]}"]`).focus()', [$row, $column]);
        $this->browser->until(fn (): bool => $this->browser->script('return document.activeElement?.dataset.at') === "{$row},{$column}", 'the cell has no focus');
    }

    private function type(string $text): void
    {
        $this->keys += mb_strlen($text);
        $this->browser->keys($text);
    }

    private function press(string ...$keys): void
    {
        $this->keys += count($keys);
        $this->browser->keys(...$keys);
    }
}
