<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Support\DrawingTestCase;

/** A layer or a mask had otherwise, from its own place in the drawing: looked at first, then taken, then taken back. */
final class SteerTest extends DrawingTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->go('layers');
    }

    public function test_another_paint_is_looked_at_and_left(): void
    {
        $before = $this->plan();
        $this->chooseRow('tyre black');
        $this->steer('Paint of this colour', 'Linnet Slate Green');
        $this->browser->seeText('.preview', 'Linnet Slate Green for it, in the whole build');
        $this->browser->click('.preview .finding-presses button:last-child');
        $this->browser->until(fn (): bool => $this->browser->count('.preview') === 0, 'the look does not close');

        self::assertSame($before['build']['revision'], $this->plan()['build']['revision'], 'a look changes nothing');
    }

    public function test_a_colour_is_sprayed_with_another_paint_and_taken_back(): void
    {
        $was = $this->product('trolley steel');
        $this->chooseRow('trolley steel');
        $this->steer('Paint of this colour', 'Linnet Slate Green');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->until(fn (): bool => $this->product('trolley steel') === 'Linnet Slate Green', 'the paint is not changed');
        $this->browser->seeText('[data-testid="cell-panel"]', 'Linnet Slate Green');
        $this->browser->click('[data-testid="undo"]');
        $this->browser->until(fn (): bool => $this->product('trolley steel') === $was, 'it is not taken back');
    }

    public function test_a_last_coat_is_thinned_more_and_taken_back(): void
    {
        $this->chooseRow('tyre black');
        $this->browser->press('Thin the last coat more');
        $this->browser->seeText('.preview', 'Extra thinner in the last coat');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->seeText('.cell-pin', 'last coat with extra thinner');
        self::assertNotContains('late-thinner', array_column($this->plan()['findings'], 'rule'), 'on a solid colour it flows out');
        $this->browser->click('[data-testid="undo"]');
        $this->browser->until(fn (): bool => $this->browser->count('.cell-pin') === 0, 'it is not taken back');
    }

    public function test_a_mask_is_made_of_something_else(): void
    {
        $cap = $this->cap();
        self::assertNotSame('cut-film', $cap['medium']);
        $this->chooseCap($cap);
        $this->steer('Medium', 'cut film');
        $this->browser->seeText('.preview', 'cut film on');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->until(fn (): bool => in_array('cut-film', $this->media($cap['column']), true), 'the mask is not changed');
        $this->browser->seeText('.cell-pin', 'cut film');
    }

    public function test_a_mask_left_out_is_answered_by_what_gets_painted(): void
    {
        $cap = $this->cap();
        $this->chooseCap($cap);
        $this->browser->press('Leave it out');
        $this->browser->seeText('.preview', 'Raises: ');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->until(fn (): bool => ! in_array($cap['medium'], $this->media($cap['column']), true), 'the mask stays');

        self::assertContains('stop', array_column($this->plan()['findings'], 'severity'), 'and the plan says that it goes wrong');
    }

    public function test_what_is_fixed_everywhere_holds_on_each_piece(): void
    {
        $this->chooseRow('satin');
        $this->browser->script('document.querySelector(".steer-wide input").click()');
        $this->steer('Coats', '3');
        $this->browser->seeText('.preview', '3 coats everywhere');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->seeText('.cell-pin', '3 coats, everywhere');
        $coats = array_column(array_filter($this->plan()['section']['cells'], static fn (array $c): bool => $c['operation'] === 'final' && $c['purpose'] === 'satin'), 'coats');

        self::assertGreaterThan(1, count($coats));
        self::assertSame([3], array_values(array_unique($coats)));
    }

    public function test_this_before_that_moves_it_there(): void
    {
        self::assertGreaterThan($this->starts('Spray slate green'), $this->starts('Spray tyre black'));
        $this->chooseRow('tyre black');
        $this->steer('Do it before', 'Spray slate green');
        $this->browser->seeText('.preview', 'Before: Spray slate green');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->seeText('.steered', 'Spray tyre black');
        self::assertLessThan($this->starts('Spray slate green'), $this->starts('Spray tyre black'));
    }

    /** @return array<string, mixed> a mask still to be put on */
    private function cap(): array
    {
        return array_values(array_filter($this->plan()['section']['caps'], static fn (array $c): bool => $c['onKey'] !== null && $c['medium'] === 'putty'))[0];
    }

    /** @return list<string> what the masks of a column are of */
    private function media(int $column): array
    {
        return array_column(array_filter($this->plan()['section']['caps'], static fn (array $c): bool => $c['column'] === $column), 'medium');
    }

    private function product(string $row): string
    {
        $section = $this->plan()['section'];
        $at = array_search($row, array_column($section['rows'], 'title'), true);

        return array_values(array_filter($section['cells'], static fn (array $c): bool => $c['row'] === $at))[0]['product'];
    }

    private function starts(string $stage): string
    {
        return array_column($this->plan()['stages'], 'start', 'title')[$stage];
    }
}
