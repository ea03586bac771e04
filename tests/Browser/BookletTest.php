<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\BrowserTestCase;

/** Reading ahead: the booklet called out by keys alone, the break-down it leads to, and its colour lists ticked at the bench. */
final class BookletTest extends BrowserTestCase
{
    public function test_a_booklet_of_sixty_lines_is_typed_by_keys_alone_and_its_tally_is_the_hand_count(): void
    {
        $this->begin('Sixty lines');
        $sizes = ['XS' => [1, 1], 'S' => [1, 5], 'M' => [2, 25], 'L' => [3, 80], 'XL' => [5, 250]];
        $codes = ['K' => 'slate green', 'Q' => 'interior dark', 'V' => 'sea grey'];
        $lines = array_map(static fn (string $code, string $paint): string => "{$code} = {$paint}", array_keys($codes), $codes);
        $hand = array_fill_keys($codes, [0, 0.0]);
        for ($i = 1; count($lines) < 59; $i++) {
            [$code, $size, $count] = [array_keys($codes)[$i % 3], array_keys($sizes)[($i * 7) % 5], [1, 1, 2, 4][$i % 4]];
            $lines[] = ($i % 4 === 1 ? intdiv($i, 4) + 1 .': ' : '')."A{$i} {$code} {$size}".($count === 1 ? '' : " x{$count}").($i === 2 ? ' inside' : '');
            $hand[$codes[$code]][0] += $sizes[$size][0] * $count;
            $hand[$codes[$code]][1] += $sizes[$size][1] * $count;
        }
        $lines[] = '3: A1 + A3, seam, closes over A2';
        foreach ($lines as $i => $line) {
            $this->browser->keys($line, ...($i < 59 ? [WebDriverKeys::ENTER] : []));
        }
        $this->browser->seeText('[data-testid="editor-says"]', '60 understood');
        $this->browser->seeText('[data-testid="dead-stop"]', 'a dead stop at step 3');
        $this->browser->keys(WebDriverKeys::CONTROL, WebDriverKeys::ENTER);
        $this->browser->seeText('.typing-told', '60 lines of the booklet');

        $tally = array_column($this->server->request('GET', "/api/builds/{$this->build}/booklet")[1]['tally']['colours'], null, 'name');
        foreach ($hand as $name => [$counts, $cm2]) {
            self::assertEquals([$counts, $cm2], [$tally[$name]['counts'], $tally[$name]['cm2']], $name);
        }
        self::assertStringContainsString((string) $hand['sea grey'][0], $this->browser->text('.tally tbody'));
    }

    public function test_what_a_pack_holds_and_costs_is_asked_once_and_then_told_how_many_to_buy(): void
    {
        $this->server->request('POST', '/api/products/several', ['paints' => [['name' => 'quay ochre'], ['name' => 'tarp olive']], 'keep' => true]);
        $this->begin('Ochre barge');
        $this->browser->keys('1: A1 quay ochre XL x2', WebDriverKeys::ENTER, '2: B1 tarp olive XL', WebDriverKeys::CONTROL, WebDriverKeys::ENTER);
        $this->browser->keys(WebDriverKeys::NULL);
        $this->browser->seeText('[data-testid="pack-sizes"]', 'these 2 paints (quay ochre, tarp olive)');
        self::assertSame([], $this->browser->axe());
        $fields = $this->browser->driver->findElements(\Facebook\WebDriver\WebDriverBy::cssSelector('.pack-sizes input'));
        $fields[0]->sendKeys('17');
        $fields[1]->sendKeys('3,20');
        $this->browser->press('So it is');
        $this->browser->seeText('[data-testid="buy"]', 'buy 1 × 17 ml, 3.20');
        self::assertSame(0, $this->browser->count('.pack-sizes'));
    }

    public function test_from_the_booklet_to_the_break_down_to_the_plan_to_ticking_and_closing_a_colour(): void
    {
        $this->begin('Ferry');
        foreach (['1: A1 A2 sea grey L', 'A3 interior dark S inside', '2: A1 + A2, seam, closes over A3', 'A3 + A1, before paint', '3: B1 slate green S', 'B1 sea grey XS half', 'B1 + A2'] as $line) {
            $this->browser->keys($line, WebDriverKeys::ENTER);
        }
        $this->browser->seeText('[data-testid="editor-says"]', '7 understood');
        $this->browser->keys(WebDriverKeys::CONTROL, WebDriverKeys::ENTER);
        $this->browser->seeText('.lost', '4 call-outs are on no piece');
        $this->browser->click('[data-testid="bring-in"]');
        $this->browser->until(fn (): bool => $this->browser->count('.lost') === 0, 'they are in the kit');

        // The break-down: one proposal is turned down, looked at, and the plan follows.
        $this->browser->press('Break-down');
        $this->browser->seeText('[data-testid="dead-stop"]', 'closes A1 to A2 over A3 inside: who glues first is shut out; the plan has interior dark on before');
        $this->browser->press('B1 to A2');
        $this->browser->seeText('[data-testid="joint"]', 'Paint apart, attach it after');
        $this->browser->seeText('[data-testid="joint"]', 'The colours differ');
        $this->browser->click('[data-testid="turn-down"]');
        $this->browser->seeText('.preview', 'Adds: Close B1 to A2');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->seeText('[data-testid="joint"]', 'Glue it before paint');
        $this->browser->script('window.scrollTo(0, 0)');
        $this->browser->click('[data-testid="undo"]');
        $this->browser->seeText('[data-testid="joint"]', 'Paint apart, attach it after');

        // The dark inside is sprayed; its step closes the colour.
        $this->work('interior-dark');
        $this->go('bench');
        $this->browser->seeText('[data-testid="step-title"]', 'Close interior dark');
        $this->browser->seeText('.ticks', 'A3');
        $this->browser->click('[data-testid="close-colour"]');
        $this->browser->seeText('.ticks-ask', 'Not ticked: A3');
        $this->browser->press('Go back to the list');
        $this->browser->click('.tick-row');
        $this->browser->until(fn (): bool => $this->browser->count('.tick-row[aria-checked="true"]') === 1, 'it is ticked');
        $this->browser->click('[data-testid="close-colour"]');
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text('[data-testid="step-title"]'), 'Close interior dark'), 'the colour is closed');

        // All lists, by a key.
        $this->browser->keys('l');
        $this->browser->seeText('.lists-tab', 'interior dark');
        $this->browser->seeText('.lists-tabs', 'closed');
        self::assertSame([], array_filter($this->server->request('GET', "/api/builds/{$this->build}/plan")[1]['findings'], static fn (array $f): bool => $f['severity'] === 'stop'));
    }

    public function test_what_a_test_fit_shows_is_a_press_beside_the_call_out(): void
    {
        $this->build = array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'id', 'name')['Dunmore Type 6'];
        $this->go('booklet');
        $callout = fn (): array => $this->server->request('GET', "/api/builds/{$this->build}/booklet")[1]['callouts'][0];
        $was = $callout()['onceTogether'];
        $this->browser->press('Mark a test fit');
        $this->browser->click('.callout-fit button');
        $this->browser->until(fn (): bool => $callout()['onceTogether'] !== $was, 'it is marked');
        $this->browser->until(fn (): bool => $this->browser->script('return document.querySelector(".callout-fit button").getAttribute("aria-pressed")') === json_encode(! $was), 'and shown');
        self::assertSame(! $was, $callout()['onceTogether']);
    }

    /** A new build, and its booklet with the hands on the keys. */
    private function begin(string $name): void
    {
        $this->build = $this->server->request('POST', '/api/builds/blank', ['name' => $name, 'scale' => 72])[1]['build']['id'];
        $this->go('bench');
        $this->browser->keys('b');
        $this->browser->see('.editor textarea');
        $this->browser->until(fn (): bool => $this->browser->script('return document.activeElement?.tagName') === 'TEXTAREA', 'the lines have the focus');
    }

    /** Does all that comes before the colour is closed, as the bench would record it. */
    private function work(string $purpose): void
    {
        for ($i = 0; $i < 40; $i++) {
            $bench = $this->server->request('GET', "/api/builds/{$this->build}/bench?minutes=600")[1];
            $step = $bench['current'];
            if ($step === null) {
                $opens = $bench['opensNext']['until'] ?? $bench['follows'][0]['start'];
                $this->server->setClock($opens);

                continue;
            }
            if ($step['operation'] === 'close-colour') {
                return;
            }
            $this->server->request('POST', "/api/builds/{$this->build}/events", [...$step['event'], 'id' => sprintf('01W0000000%016d', $i + 1), 'at' => $bench['now']]);
            $this->server->setClock(gmdate('Y-m-d\TH:i:s\Z', strtotime($bench['now']) + 60 * (int) ceil($step['minutes'])));
        }
        self::fail("the list of {$purpose} never came up");
    }
}
