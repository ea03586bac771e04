<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\BrowserTestCase;

/** The mixing bench: all moves as one types, what was poured wrong is put right, a hardened cup is on the hold line. */
final class MixTest extends BrowserTestCase
{
    public function test_cup_sum_and_look_move_with_every_input_and_agree(): void
    {
        $this->go('mix');
        $this->browser->seeText('[data-testid="cups"]', '2.64 ml');
        $this->type('Area, cm²', '354');
        $this->browser->seeText('.much-total', '4.97 ml');
        $this->browser->seeText('[data-testid="cups"]', '4.97 ml');
        self::assertSame('to 4.97 ml', $this->browser->script('return Array.from(document.querySelectorAll(".cup-mark")).pop().textContent'));
        $this->type('The cup holds, ml', '2');
        $this->browser->seeText('[data-testid="cups"]', '4.97 ml in 3 cups of 1.66 ml');
        $this->browser->seeText('.look-table', 'hidden at 1');

        // Nonsense is answered at its field, and what was there stays.
        $this->type('Coats', '0');
        $this->browser->seeText('.how-much', 'give coats such as 3');
        $this->browser->seeText('[data-testid="cups"]', '4.97 ml');
        $this->type('Coats', '1,5');
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text('.how-much'), 'give coats'), 'it is read');
    }

    public function test_poured_slightly_wrong_it_is_put_right_and_hardened_it_closes(): void
    {
        $this->go('mix');
        $this->browser->seeText('[data-testid="cups"]', '2.64 ml');
        $this->typeInto('Poured of Linnet Sea Grey, ml', '2');
        $this->typeInto('Poured of own thinner, ml', '1');
        $this->browser->seeText('[data-testid="poured"]', 'Add 0.30 ml of own thinner.');
        $this->browser->click('[data-testid="take-correction"]');
        $this->browser->seeText('[data-testid="poured"]', 'As the recipe says');

        // What it took changes the next estimate.
        $this->type('Used of the mix, ml', '5,28');
        $this->browser->click('[data-testid="log-use"]');
        $this->browser->seeText('[data-testid="need"]', 'learned from one job');
        $this->browser->seeText('.much-total', '4.98 ml');

        $this->type('Pot life by its label, min at 20 °C', '60');
        $this->browser->seeText('[data-testid="pot"]', 'Hardened now it dies');
        $this->browser->click('[data-testid="hardened"]');
        $this->browser->until(fn (): bool => str_contains(implode(array_column($this->server->request('GET', '/api/frame')[1]['holds'], 'label')), 'in the cup dies'), 'it is on the hold line');
        self::assertSame('window', $this->server->request('GET', '/api/frame')[1]['holds'][0]['kind'] ?? null);
    }

    public function test_a_ratio_is_found_and_mixed(): void
    {
        $this->go('mix');
        $this->browser->press('Linnet Slate Green');
        $this->browser->press('Linnet Pale Grey');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="match"] li') === 5, 'five are found');
        $this->browser->press('Mix this');
        $this->browser->until(fn (): bool => str_contains($this->browser->text('.parts-table'), 'Linnet Pale Grey'), 'it is mixed');
        $this->browser->seeText('[data-testid="need"]', 'spare for touch-ups');
        self::assertSame(3, $this->browser->count('.parts-table tbody tr'), 'two paints and their thinner');
    }

    private function type(string $label, string $text): void
    {
        $this->fill($this->browser->driver->findElement(WebDriverBy::xpath("//label[normalize-space(.)='{$label}']/following::input[1]")), $text);
    }

    private function typeInto(string $aria, string $text): void
    {
        $this->fill($this->browser->see("input[aria-label='{$aria}']"), $text);
    }

    private function fill(\Facebook\WebDriver\WebDriverElement $field, string $text): void
    {
        $field->click();
        $this->browser->keys(WebDriverKeys::CONTROL, 'a');
        $this->browser->keys(WebDriverKeys::NULL, $text);
    }
}
