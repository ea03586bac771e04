<?php

declare(strict_types=1);

namespace Tests\Support;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;

/** The section drawing, gone through by keys as its user does. */
abstract class DrawingTestCase extends BrowserTestCase
{
    /** @return array<string, mixed> the plan as the server has it now */
    protected function plan(): array
    {
        return $this->server->request('GET', "/api/builds/{$this->build}/plan")[1];
    }

    /** Goes to the first layer of a row. */
    protected function chooseRow(string $title): void
    {
        $section = $this->plan()['section'];
        $row = array_search($title, array_column($section['rows'], 'title'), true);
        self::assertIsInt($row, "no row {$title}");
        $this->choose($section['rows'][$row]['title'], array_values(array_filter($section['cells'], static fn (array $c): bool => $c['row'] === $row))[0]['column']);
    }

    /** @param  array<string, mixed>  $cap  a cap of the section */
    protected function chooseCap(array $cap): void
    {
        $this->choose($this->plan()['section']['rows'][$cap['from']]['title'], $cap['column']);
    }

    private function choose(string $title, int $column): void
    {
        $this->browser->see('.drawing-focus');
        $this->browser->script('document.querySelector(".drawing-focus").focus()');
        for ($i = 0; $i < $column; $i++) {
            $this->browser->keys(WebDriverKeys::ARROW_RIGHT);
            $this->follows();
        }
        for ($i = 0; $i < 40 && mb_strtolower($this->browser->text('[data-testid="cell-panel"] h2')) !== $title; $i++) {
            $this->browser->keys(WebDriverKeys::ARROW_UP);
            $this->follows();
        }
        $this->browser->seeText('[data-testid="cell-panel"] h2', $title);
    }

    /** The panel follows the frame round the layer. */
    private function follows(): void
    {
        $this->browser->until(fn (): bool => $this->browser->script('const at = (id) => document.querySelector(`[data-testid="${id}"]`)?.dataset.spot; return at("chosen") !== undefined && at("chosen") === at("cell-panel")') === true, 'the panel does not follow');
    }

    /** Chooses an entry of a field of the steering panel. */
    protected function steer(string $label, string $entry): void
    {
        $path = WebDriverBy::xpath("//div[contains(@class, 'steer')]//label[normalize-space()='{$label}']/following::select[1]");
        // The panel names what is chosen a moment before it has its fields.
        $this->browser->until(fn (): bool => $this->browser->driver->findElements($path) !== [], "no field {$label}");
        (new WebDriverSelect($this->browser->driver->findElement($path)))->selectByVisibleText($entry);
    }
}
