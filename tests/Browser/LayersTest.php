<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\DrawingTestCase;

/** The drawing in the browser: read by keys, steered, folded, printed. */
final class LayersTest extends DrawingTestCase
{
    public function test_arrow_keys_go_from_layer_to_layer_and_each_one_explains_itself(): void
    {
        $this->go('layers');
        $this->chooseRow('sea grey');

        self::assertMatchesRegularExpression('/sea grey/i', $this->browser->text('[data-testid="cell-panel"] h2'));
        $panel = $this->browser->text('[data-testid="cell-panel"]');
        self::assertStringContainsString('Linnet Sea Grey', $panel);
        self::assertStringContainsString('µm', $panel);
        self::assertStringContainsString('next coat until 19:14', $panel, 'what it forbids, and until when');
        self::assertSame(1, $this->browser->count('.drawing-focus'), 'one focus stop');
    }

    public function test_coats_are_pinned_after_a_look_at_what_that_changes_and_unpinned_again(): void
    {
        $this->go('layers');
        $this->chooseRow('slate green');
        $this->browser->see('.steer select')->sendKeys('4');
        $this->browser->seeText('.preview', 'Adds: ');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->seeText('.cell-pin', '4 coats');
        self::assertSame(4, $this->coats('slate green'));
        $this->browser->press('Unpin');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->until(fn (): bool => $this->coats('slate green') === 2, 'the pin stays');
    }

    public function test_a_step_is_put_before_another_and_not_before_a_time_and_both_can_be_taken_back(): void
    {
        $this->go('layers');
        $this->chooseRow('slate green');
        $this->browser->see('.steer-time input')->clear();
        $this->browser->see('.steer-time input')->sendKeys('2026-03-12 19:00');
        $this->browser->press('Look at it');
        $this->browser->seeText('.preview', 'Moves');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->seeText('.steered', 'not before 12 Mar 19:00');
        $start = array_column($this->server->request('GET', "/api/builds/{$this->build}/plan")[1]['stages'], 'start', 'title');
        self::assertGreaterThanOrEqual('2026-03-12T19:00:00Z', $start['Spray slate green']);
        $this->browser->see('.steered .press')->sendKeys(WebDriverKeys::ENTER);
        $this->browser->see('.steered [data-testid="apply-fix"]')->sendKeys(WebDriverKeys::ENTER);
        $this->browser->until(fn (): bool => $this->browser->count('.steered') === 0, 'it stays fixed');
    }

    public function test_a_time_nobody_can_read_is_answered_at_the_field(): void
    {
        $this->go('layers');
        $this->chooseRow('slate green');
        $this->browser->see('.steer-time input')->clear();
        $this->browser->see('.steer-time input')->sendKeys('tomorrow');
        $this->browser->seeText('.steer-time', 'Write it as 2026-03-05 19:00.');
        self::assertSame('true', $this->browser->script('return String(document.querySelector(".steer-time button").disabled)'), 'and it cannot be pressed');
    }

    public function test_pieces_fold_away_and_the_table_says_what_the_drawing_shows(): void
    {
        $this->go('layers');
        $open = $this->browser->count('.foot-name');
        $this->browser->click('[aria-label="Fold Hull and wing"]');
        $this->browser->until(fn (): bool => $this->browser->count('.foot-name') === $open - 11, 'the hull is not folded');
        $this->browser->press('unfold all');
        $this->browser->until(fn (): bool => $this->browser->count('.foot-name') === $open, 'it stays folded');
        $this->browser->press('as a table');
        $this->browser->seeText('.section-as-table', 'port wing band');
        self::assertSame($open, $this->browser->count('.section-as-table tbody tr'));
        $this->browser->press('in microns');
        $this->browser->seeText('.film-limit', '110 µm: lines begin to soften');
    }

    public function test_a_house_rule_shows_what_it_changes_here_before_it_does(): void
    {
        $this->go('house');
        $this->browser->see('[data-testid="question-wash"] input[value="acrylic"]')->click();
        $this->browser->seeText('[data-testid="question-wash"] .preview', 'Finished');
        self::assertSame('enamel', $this->wash(), 'a look changes nothing');
        $this->browser->click('[data-testid="question-wash"] [data-testid="apply-fix"]');
        $this->browser->until(fn (): bool => $this->wash() === 'acrylic', 'the rule is not taken');
        $this->browser->seeText('[data-testid="question-wash"]', 'Only in this build.');
        $this->browser->script('document.querySelector("[data-testid=question-gun]").scrollIntoView({block: "center"})');
        $this->browser->see('[data-testid="question-gun"] input[value="strip-evening"]')->click();
        $this->browser->click('[data-testid="everywhere"]');
        $this->browser->until(fn (): bool => array_column($this->server->request('GET', "/api/builds/{$this->build}/house")[1]['questions'], 'yours', 'id')['gun'] === 'strip-evening', 'it does not hold everywhere');
    }

    public function test_sixty_areas_are_drawn_folded_and_chosen_from(): void
    {
        $lines = implode("\n", array_map(static fn (int $i): string => sprintf('pod %d / area %d, %d, %s, matt', intdiv($i, 6), $i, 5 + $i, ['sea grey', 'slate green', 'pale grey'][$i % 3]), range(0, 59)));
        $id = $this->server->request('POST', '/api/builds/blank', ['name' => 'Sixty', 'scale' => 200])[1]['build']['id'];
        $this->server->request('POST', "/api/builds/{$id}/lines", ['text' => $lines], ['If-Match: "1"']);
        $this->build = $id;
        $this->go('layers');
        $this->browser->see('[data-testid="stair"]');
        // There is no room for sixty: those of a pod that look alike stand as one, and say how many more.
        self::assertSame(30, $this->browser->count('.drawing .foot-name'));
        self::assertStringContainsString('area 0 +1', $this->browser->text('.drawing .foot-name'));
        self::assertLessThanOrEqual(1280, $this->browser->script('return document.documentElement.scrollWidth'));
        $this->browser->press('wider columns');
        $this->browser->until(fn (): bool => $this->browser->count('.drawing .foot-name') === 60, 'each by itself');
        $this->browser->press('fold pieces');
        $this->browser->until(fn (): bool => $this->browser->count('.piece-head[data-folded="true"]') === 10, 'pieces do not fold');
    }

    public function test_layers_and_the_sheets_are_printed_on_paper(): void
    {
        foreach (['layers' => 'Layers', 'sheet' => 'Bench sheet', 'finish' => 'Finish sheet'] as $station => $title) {
            $this->go($station);
            foreach ([[8.27, 11.69], [8.5, 11]] as [$width, $height]) {
                $pdf = base64_decode($this->browser->print($width, $height), true);
                self::assertStringStartsWith('%PDF-', (string) $pdf);
            }
            $this->browser->media('print');
            $text = (string) $this->browser->script('return document.querySelector("#app").innerText');
            self::assertStringContainsString($title, $text);
            self::assertStringContainsString('Corvane S.4 Shearwater, 1/72', $text);
            self::assertStringContainsString('safety data sheet and local rules come first', $text);
            self::assertEqualsWithDelta(54 * 96 / 25.4, $this->browser->script('return document.querySelector(".print-foot svg").getBoundingClientRect().width'), 1.0, 'the check ruler is true');
            self::assertStringNotContainsString('Hold line', $text, 'the frame is not printed');
            foreach ((array) $this->browser->script('return [...document.querySelectorAll("#app details > :last-child")].map(e => e.checkVisibility({contentVisibilityAuto: true}) && e.getBoundingClientRect().height > 0)') as $seen) {
                self::assertTrue($seen, 'paper cannot be opened');
            }
            $this->browser->media('');
        }
    }

    private function coats(string $title): int
    {
        $section = $this->plan()['section'];
        $row = array_search($title, array_column($section['rows'], 'title'), true);

        return (int) max(array_column(array_filter($section['cells'], static fn (array $c): bool => $c['row'] === $row), 'coats'));
    }

    private function wash(): string
    {
        return (string) $this->server->request('GET', "/api/builds/{$this->build}/export")[1]['kit']['house']['wash'];
    }
}
