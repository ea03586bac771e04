<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Support\BrowserTestCase;

/** A basket on the bench: one part ticked, then all that are left; one entry of the log, boxes on the sheet. */
final class RoundsTest extends BrowserTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $builds = $this->server->request('GET', '/api/frame')[1]['builds'];
        $this->build = array_values(array_filter($builds, static fn (array $b): bool => str_contains($b['name'], 'Type 6')))[0]['id'];
    }

    public function test_a_basket_is_ticked_by_parts_and_as_a_whole(): void
    {
        $this->go('bench');
        $this->browser->seeText('[data-testid="step-title"]', 'Cut gap behind the front plate');
        $this->browser->click('[data-testid="done"]');
        $this->browser->seeText('[data-testid="step-title"]', 'Wash in one basket');
        $parts = $this->browser->count('[data-testid="tick-part"]');
        self::assertGreaterThan(2, $parts);
        self::assertSame([], $this->browser->axe(), 'bench with a basket');

        // The last is of this build; those of others are named with theirs.
        $this->browser->script('[...document.querySelectorAll("[data-testid=tick-part]")].pop().click()');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="tick-part"]') < $parts, 'the part is ticked');
        $this->browser->seeText('.step', 'All are washed');
        $this->browser->click('[data-testid="done"]');
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text('[data-testid="step-title"]'), 'in one basket'), 'all are ticked');

        $this->go('log');
        $this->browser->seeText('[data-testid="log-round"]', 'in one go');
        $this->browser->click('[data-testid="log-parts"]');
        $this->browser->see('[data-testid="log-line"] [data-testid="take-back"]');
        self::assertSame([], $this->browser->axe(), 'log with a round');
    }

    public function test_the_sheet_has_a_box_for_each_part(): void
    {
        $this->go('sheet');
        $this->browser->seeText('.paper-steps', 'Wash in one basket, rinse, set aside to dry');
        self::assertGreaterThan(1, $this->browser->count('.paper-parts .paper-box'));
    }
}
