<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\BrowserTestCase;

/** Settling findings, the room, the minutes, what was done off plan: in the real interface. */
final class SettleTest extends BrowserTestCase
{
    /** Pins the gloss away, so that decals on matt are found. */
    private function mistake(): void
    {
        $edits = [['op' => 'add', 'list' => 'pins', 'value' => ['id' => '01T00000000000000000000001', 'operation' => 'gloss', 'present' => false]]];
        $curl = curl_init($this->server->address()."/api/builds/{$this->build}/changes");
        curl_setopt_array($curl, [CURLOPT_POSTFIELDS => json_encode(['title' => 'No gloss', 'edits' => $edits]), CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'If-Match: "1"']]);
        curl_exec($curl);
        self::assertSame(201, curl_getinfo($curl, CURLINFO_RESPONSE_CODE));
    }

    private const FINDING = '[data-testid="finding-gloss-before-decal"]';

    public function test_a_fix_is_applied_and_taken_back(): void
    {
        $this->mistake();
        $this->go('layers');
        $before = $this->browser->see(self::FINDING) ? $this->browser->count(self::FINDING) : 0;
        $this->browser->click(self::FINDING.' .press');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->until(fn (): bool => $this->browser->count(self::FINDING) < $before, 'the fix changes nothing');
        $this->browser->click('[data-testid="undo"]');
        $this->browser->until(fn (): bool => $this->browser->count(self::FINDING) === $before, 'it is not taken back');
        self::assertSame(4, $this->server->request('GET', "/api/builds/{$this->build}/plan")[1]['build']['revision']);
    }

    public function test_a_finding_is_accepted_with_a_reason(): void
    {
        $this->mistake();
        $this->go('layers');
        $this->browser->see(self::FINDING);
        $this->browser->click(self::FINDING.' .finding-accept');
        $this->browser->see('.accept input')->sendKeys(['Old decals, trimmed close', WebDriverKeys::ENTER]);
        $this->browser->seeText('.finding-reason', 'Old decals, trimmed close');
        self::assertStringContainsString('Accepted as they are', $this->browser->text('.findings'));
    }

    public function test_a_stage_opened_says_why_each_step_stands_there(): void
    {
        $this->go('layers');
        $this->browser->press('by stage');
        $this->browser->click('.stage:nth-of-type(1) .stage-head');
        $this->browser->see('.stage-steps');
        self::assertSame('true', $this->browser->see('.stage:nth-of-type(1) .stage-head')->getAttribute('aria-expanded'));
        self::assertStringContainsString('Light goes before dark', $this->browser->text('.stage-steps'));
        self::assertGreaterThan(0, $this->browser->count('.at-the-gun'), 'the gun is cleaned between stages');
        $this->browser->seeText('.at-the-gun-more summary', 'more times at gun and cup');
    }

    public function test_the_minutes_plan_the_evening_anew(): void
    {
        $this->go('bench');
        $long = $this->browser->text('#minutes-say');
        $field = $this->browser->see('#minutes');
        $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys('20');
        $this->browser->until(fn (): bool => $this->browser->text('#minutes-say') !== $long && str_contains($this->browser->text('#minutes-say'), 'fit'), 'the evening stays as it was');
        $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys('2,5');
        $this->browser->seeText('#minutes-say', 'give whole minutes');
        self::assertSame('true', $field->getAttribute('aria-invalid'));
    }

    public function test_a_reading_is_typed_with_a_comma_and_two_ways_are_asked_about(): void
    {
        $this->go('bench');
        $this->browser->click('.edge-room');
        $this->browser->see('[role="dialog"] input');
        [$temperature, $humidity] = $this->browser->driver->findElements(WebDriverBy::cssSelector('[role="dialog"] input'));
        $temperature->sendKeys('1,250.5');
        $this->browser->seeText('[role="dialog"]', 'Is it 1250.5 or 1.2505?');
        $temperature->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $temperature->sendKeys('17,5');
        $humidity->sendKeys('61');
        $this->browser->press('This is what I read');
        $this->browser->seeText('.edge-room', '17.5 °C');
        $room = $this->server->request('GET', '/api/frame')[1]['room'];
        self::assertSame(['typed', 17.5, 0.61], [$room['source'], $room['temperatureC'], $room['humidity']]);
    }

    public function test_what_was_done_off_plan_is_written_down(): void
    {
        $this->go('log');
        $this->browser->click('[data-testid="add-entry"]');
        $this->browser->see('[role="dialog"] input');
        $this->browser->driver->findElement(WebDriverBy::cssSelector('[role="dialog"] input'))->click();
        $this->browser->driver->wait(8, 100)->until(fn (): bool => $this->browser->count('[role="option"]') > 10);
        foreach ($this->browser->driver->findElements(WebDriverBy::cssSelector('[role="option"]')) as $option) {
            if ($option->getText() === 'A note') {
                $option->click();
                break;
            }
        }
        $this->browser->see('[role="dialog"] textarea')->sendKeys('The struts are straight.');
        $this->browser->press('That is what happened');
        $this->browser->seeText('.log-day', 'The struts are straight.');
        self::assertSame('The struts are straight.', $this->server->request('GET', "/api/builds/{$this->build}/log")[1]['events'][0]['note']);
    }

    public function test_the_surround_and_the_keys_are_remembered(): void
    {
        $this->go('bench');
        $this->browser->press('Booth');
        $this->browser->until(fn (): bool => $this->browser->script('return document.documentElement.dataset.surround') === 'booth', 'the surround stays');
        $this->browser->driver->navigate()->refresh();
        $this->browser->see('.card');
        self::assertSame('booth', $this->browser->script('return document.documentElement.dataset.surround'));

        $this->browser->keys('?');
        $this->browser->press('Keys');
        $this->browser->see('[role="dialog"] .keys');
        $this->browser->click('[role="dialog"] .tick-label');
        $this->browser->click('.sheet-close');
        $this->browser->until(fn (): bool => $this->browser->count('[role="dialog"]') === 0, 'help stays open');
        $this->browser->script('document.activeElement.blur()');
        $this->browser->keys('8');
        self::assertStringContainsString('/bench', $this->browser->driver->getCurrentURL());
    }

    public function test_the_hold_line_opens_the_list_of_all_that_holds(): void
    {
        $this->go('bench');
        $this->browser->see('.line-all')->sendKeys(WebDriverKeys::ENTER);
        $this->browser->seeText('[role="dialog"]', 'Canopy joint');
        self::assertSame(7, $this->browser->count('.hold-row'), 'the hull, the canopy joint, two places of the tractor, and three pieces of the coupé');
        self::assertStringContainsString('/api/holds.ics', $this->browser->text('.hold-calendar'));
    }
}
