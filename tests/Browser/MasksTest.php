<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Str;
use Tests\Support\BrowserTestCase;
use Tests\Support\PdfLines;

/** The masks: an order of one's own priced and taken, a soft edge from either end, and a spiral cut at its true size. */
final class MasksTest extends BrowserTestCase
{
    private function open(string $build, string $more = ''): void
    {
        $id = array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'id', 'name')[$build];
        $this->browser->driver->get($this->server->address()."/b/{$id}/masks{$more}");
        $this->browser->see('.card');
    }

    public function test_the_station_has_its_key_and_tells_the_story_frame_by_frame(): void
    {
        $this->open('Corvane S.4 Shearwater');
        $this->browser->keys('6');
        $this->browser->see('[data-testid="done"]');
        $this->browser->keys('4');
        $this->browser->seeText('.mask-frame[data-next] h3', 'sea grey');
        self::assertSame(7, $this->browser->count('.mask-frame'));
        $label = $this->browser->script('return document.querySelector(".mask-frame:nth-child(6) svg").getAttribute("aria-label")');
        self::assertStringContainsString('upper hull in grey capped under rolled putty', (string) $label);
        $this->browser->press('upper hull in grey, wing top in grey and tailplane');
        $this->browser->seeText('[data-testid="mask-panel"]', 'not pressed down');
        $this->browser->seeText('[data-testid="mask-panel"]', 'held card');
        self::assertSame([], $this->browser->axe());
    }

    public function test_an_order_of_ones_own_is_priced_by_keys_taken_and_taken_back(): void
    {
        $this->open('Torsay');
        $this->browser->seeText('.orders-table tr[data-planned]', 'planned');
        $this->browser->script('document.querySelectorAll(".movable button")[0].focus()');
        $name = $this->browser->text('.movable li:nth-child(1) button');
        $this->browser->keys(WebDriverKeys::ARROW_RIGHT);
        $this->browser->keys(WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT);
        $this->browser->until(fn (): bool => $this->browser->text('.movable li:nth-child(6) button') === $name, 'it is not moved to the end');
        $this->browser->seeText('[data-testid="take-order"]', 'min more than the best');
        $this->browser->click('[data-testid="take-order"]');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->seeText('.orders-head', 'by your own order');
        $this->browser->seeText('.orders-table tr[data-planned]', 'more');
        self::assertSame([], $this->browser->axe());
        $this->browser->click('[data-testid="undo"]');
        $this->browser->seeText('.orders-head', 'the cheapest');
    }

    public function test_an_order_that_a_must_stands_against_says_which(): void
    {
        $this->open('Corvane S.4 Shearwater');
        $this->browser->see('.movable button');
        $this->browser->script('document.querySelectorAll(".movable button")[0].focus()');
        $this->browser->keys(WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT);
        $this->browser->seeText('.orders-against', 'seat leather');
        self::assertSame(0, $this->browser->count('[data-testid="take-order"]'));
        $this->browser->press('Back to the plan’s');
        $this->browser->until(fn (): bool => $this->browser->count('.orders-against') === 0, 'it still stands against');
    }

    public function test_a_soft_edge_goes_from_the_wanted_width_to_a_roll_and_back(): void
    {
        $this->open('Corvane S.4 Shearwater');
        $this->browser->seeText('[data-testid="soft-ways"]', 'Roll of 8 mm');
        $this->browser->click('.soft-fields input');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '1');
        $this->browser->seeText('[data-testid="soft-ways"]', 'Roll of 4 mm: 1 mm wide (72 mm full size), 2 mm from where the roll touches.');
        $this->browser->press('The roll I have');
        $this->browser->click('.soft-fields input');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '6');
        $this->browser->keys(WebDriverKeys::TAB);
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '30');
        $this->browser->seeText('[data-testid="soft-ways"]', 'Roll of 6 mm: 3 mm wide (216 mm full size), 5.2 mm from where the roll touches.');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '88');
        $this->browser->seeText('.soft-fields', 'is out of range');
        self::assertSame('', $this->browser->text('[data-testid="soft-ways"]'));
    }

    public function test_a_spiral_for_a_spinner_is_cut_and_printed_at_its_true_size(): void
    {
        $this->open('Corvane S.4 Shearwater', '?view=shapes&shape=spiral');
        $this->browser->seeText('[data-testid="shape"]', '141.81');
        $this->browser->click('.shape-fields input');
        $this->browser->keys('40');
        $this->browser->seeText('.shape-fields', 'is not under the large diameter of 30.00 mm');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '0.7 in');
        $this->browser->seeText('[data-testid="shape"]', '22.');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '18');
        $this->browser->seeText('[data-testid="shape"]', '22.85');
        self::assertSame([], $this->browser->axe());

        // The file as Chromium draws it: its ruler and the spiral between its rims.
        [$ruler, $around] = $this->browser->script(<<<'JS'
            const text = await (await fetch(document.querySelector('a[href*="sheet.svg"]').href)).text();
            const box = document.createElement('div');
            box.innerHTML = text.slice(text.indexOf('<svg'));
            document.body.append(box);
            const mm = 25.4 / 96;
            const svg = box.querySelector('svg');
            const scale = svg.getBoundingClientRect().width * mm / svg.viewBox.baseVal.width;
            const cut = box.querySelector('#CUT path');
            const found = [box.querySelector('#RULER').getBoundingClientRect().width * mm, cut.getTotalLength() * scale];
            box.remove();
            return found;
            JS);
        self::assertEqualsWithDelta(50.0, $ruler, 0.05);
        // Both edges from rim to rim, and 15 mm of either rim in the flat: summed up in small steps.
        [$inner, $outer, $angle] = [22.8472, 38.0789, 2.47509];
        $edge = 0.0;
        for ($i = 0; $i < 10000; $i++) {
            $edge += hypot(($outer - $inner) / 10000, ($inner + ($outer - $inner) * ($i + 0.5) / 10000) * $angle / 10000);
        }
        self::assertEqualsWithDelta(2 * $edge + 15 * (1 + $inner / $outer), $around, 0.05);
        $lines = PdfLines::of((string) base64_decode((string) $this->browser->print(8.27, 11.69), true));
        self::assertNotSame([], array_filter($lines, static fn (float $mm): bool => abs($mm - 50.0) < 0.05), 'the ruler of the print is 50 mm');
    }

    public function test_all_of_it_reads_on_a_tablet_in_the_booth(): void
    {
        $this->browser->size(820, 1180);
        $this->open('Dunmore Type 6');
        $this->browser->script('localStorage.setItem("amber.surround", "booth")');
        foreach (['', '?view=shapes&shape=hazard-stripes'] as $view) {
            $this->open('Dunmore Type 6', $view);
            $this->browser->until(fn (): bool => $this->browser->script('return document.documentElement.dataset.surround') === 'booth', 'it is not dark');
            $this->browser->see('.mask-frame, [data-testid="shape"] svg');
            self::assertSame([], $this->browser->axe());
            self::assertLessThanOrEqual(820, $this->browser->script('return document.documentElement.scrollWidth'));
        }
    }

    private function eightPanes(): string
    {
        $id = (string) $this->server->request('POST', '/api/builds/blank', ['name' => 'Greenhouse', 'scale' => 48])[1]['build']['id'];
        $lines = implode("\n", ['canopy / frame, 6, sea grey, matt', ...array_map(static fn (int $n): string => "canopy / pane {$n}, 2, pane", range(1, 8))]);
        self::assertSame(201, $this->server->request('POST', "/api/builds/{$id}/lines", ['text' => $lines], ['If-Match: "1"'])[0]);

        return $id;
    }

    public function test_a_bought_set_is_typed_a_forgotten_pane_caught_and_a_wrong_hand_too(): void
    {
        $this->eightPanes();
        $this->open('Greenhouse', '?view=register');
        $this->browser->click('.register-typed textarea');
        $this->browser->keys('panes 1-7');
        $this->browser->seeText('[data-testid="typed-says"]', 'does not begin with its sheet');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, 'sheet 4: 1-7 panes, 15L 15R stripe');
        $this->browser->seeText('[data-testid="typed-says"]', '9 masks, 7 on panes');
        $this->browser->press('Into the register');
        $this->browser->seeText('[data-testid="register-says"]', 'pane 8 has no mask');
        $this->browser->seeText('[data-testid="register-says"]', 'Left over of sheet 4, without a place: 15L and 15R (stripe).');
        self::assertSame([], $this->browser->axe());
        $this->browser->press('Stages');
        $this->browser->seeText('[data-testid="finding-uncovered"]', 'Pane 8 has no mask');

        $this->browser->press('Register');
        $this->browser->click('input[aria-label="15R stripe of sheet 4 hand"]');
        $this->browser->until(fn (): bool => (bool) $this->browser->script('const o = [...document.querySelectorAll("[role=option]")].find((e) => e.offsetParent !== null && e.textContent === "port"); o?.click(); return o !== undefined'), 'no hand to choose');
        $this->browser->seeText('[data-testid="register-says"]', 'are one pair, and both for port');
        $this->browser->press('Stages');
        $this->browser->seeText('[data-testid="finding-mask-hand"]', 'Two masks for port in one pair');
        $this->browser->press('15R stripe of sheet 4 is for starboard');
        $this->browser->click('[data-testid="apply-fix"]');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="finding-mask-hand"]') === 0, 'it is still said');
    }

    public function test_a_shape_goes_into_the_register_with_its_measures(): void
    {
        $this->open('Corvane S.4 Shearwater', '?view=shapes&shape=spiral');
        $this->browser->click('[data-testid="into-register"]');
        $this->browser->press('Register');
        $this->browser->seeText('.register tbody', 'Spiral on a spinner');
        $this->browser->seeText('.register tbody', 'small=18, large=30');
        $id = array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'id', 'name')['Corvane S.4 Shearwater'];
        self::assertSame(['spiral', 'spare'], [$this->server->request('GET', "/api/builds/{$id}/masks")[1]['register']['masks'][0]['shape'], $this->server->request('GET', "/api/builds/{$id}/masks")[1]['register']['masks'][0]['state']]);
    }

    public function test_on_the_bench_the_hand_of_a_mask_is_asked_before_it_is_laid_and_the_wrong_one_caught(): void
    {
        $id = (string) $this->server->request('POST', '/api/builds/blank', ['name' => 'Twopane', 'scale' => 48])[1]['build']['id'];
        self::assertSame(201, $this->server->request('POST', "/api/builds/{$id}/lines", ['text' => "canopy / frame, 6, sea grey, matt\ncanopy / left pane, 2, pane\ncanopy / right pane, 2, pane"], ['If-Match: "1"'])[0]);
        $this->open('Twopane', '?view=register');
        $this->browser->click('.register-typed textarea');
        $this->browser->keys('sheet 4: 15L 15R pane');
        $this->browser->seeText('[data-testid="typed-says"]', '2 on panes');
        $this->browser->press('Into the register');
        $this->browser->seeText('.register tbody', '15L pane of sheet 4');
        $this->laterUntil($id, static fn (array $step): bool => $step['masks'] !== null);

        $this->browser->driver->get($this->server->address()."/b/{$id}/bench");
        $this->browser->seeText('[data-testid="mask-card"]', '15L pane of sheet 4 on left pane');
        $this->browser->keys(WebDriverKeys::ENTER);
        self::assertSame('true', $this->browser->see('[data-testid="done"]')->getAttribute('disabled'));
        $this->browser->click('[data-testid="mask-card"] li:nth-child(1) button:nth-child(2)');
        $this->browser->seeText('[data-testid="mask-card"] [role="alert"]', 'left pane takes 15L pane of sheet 4, the port one; 15R pane of sheet 4 is for the other side');
        self::assertSame([], $this->browser->axe());
        self::assertSame('true', $this->browser->see('[data-testid="done"]')->getAttribute('disabled'));
        $this->browser->click('[data-testid="mask-card"] li:nth-child(1) button:nth-child(1)');
        $this->browser->click('[data-testid="mask-card"] li:nth-child(2) button:nth-child(2)');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="mask-card"] [role="alert"]') === 0 && $this->browser->see('[data-testid="done"]')->isEnabled(), 'it is still asked');
        $this->browser->click('[data-testid="done"]');
        $this->browser->until(fn (): bool => array_column($this->server->request('GET', "/api/builds/{$id}/masks")[1]['register']['masks'], 'state') === ['on', 'on'], 'they are not on');
    }

    private function picture(): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'picture');
        $image = imagecreatetruecolor(400, 300);
        imagefill($image, 0, 0, (int) imagecolorallocate($image, 230, 228, 220));
        imagefilledrectangle($image, 100, 100, 300, 200, (int) imagecolorallocate($image, 120, 120, 120));
        imagepng($image, "{$file}.png");
        unlink($file);

        return "{$file}.png";
    }

    /** @param  list<array{float, float}>  $shares  of a picture, from the left and from the top */
    private function clickOn(string $css, array $shares, callable $after): void
    {
        foreach ($shares as $i => [$x, $y]) {
            $picture = $this->browser->see($css);
            $this->browser->script('arguments[0].scrollIntoView({block: "center"})', [$picture]);
            $size = $picture->getSize();
            $this->browser->driver->action()->moveToElement($picture, (int) (($x - 0.5) * $size->getWidth()), (int) (($y - 0.5) * $size->getHeight()))->click()->perform();
            $after($i + 1);
        }
    }

    public function test_a_photograph_takes_the_place_of_a_plate_once_its_areas_are_named(): void
    {
        $this->open('Dunmore Type 6');
        $this->browser->see('.plate-photos');
        $this->browser->click('.plate-photos summary');
        $file = $this->picture();
        $piece = '.plate-under[aria-label="Photograph under Open hatch"]';
        $this->browser->driver->findElement(WebDriverBy::cssSelector("{$piece} input[type=file]"))->sendKeys($file);
        $this->browser->seeText($piece, '0 of 2 areas named');
        self::assertSame(0, $this->browser->count('.plate-photo'));
        $this->clickOn("{$piece} .plate-press button", [[0.3, 0.4], [0.7, 0.6]], fn (int $n) => $this->browser->until(fn (): bool => $this->browser->count("{$piece} .plate-name") === $n, "{$n} are not named"));
        $this->browser->seeText($piece, 'All areas are named');
        $this->browser->until(fn (): bool => $this->browser->count('.plate-photo i[data-as="sprayed"]') > 0, 'no frame has it');
        $this->browser->script('window.scrollTo(0, 0)');
        self::assertSame([], $this->browser->axe());
        unlink($file);
    }

    public function test_a_rubbing_is_clicked_round_on_its_photograph_at_the_scale_of_two_known_points(): void
    {
        $this->open('Corvane S.4 Shearwater', '?view=shapes&shape=rubbing');
        $file = $this->picture();
        $this->browser->see('[data-testid="rubbing"]');
        $this->browser->driver->findElement(WebDriverBy::cssSelector('[data-testid="rubbing"] input[type=file]'))->sendKeys($file);
        $this->browser->seeText('[data-testid="shape"]', 'Three points round the edge make a shape');
        // The grey field is 200 by 100 pixels; its lower side is said to be 50 mm.
        $this->clickOn('[data-testid="rubbing-photo"]', [[0.25, 2 / 3], [0.75, 2 / 3], [0.25, 2 / 3], [0.25, 1 / 3], [0.75, 1 / 3], [0.75, 2 / 3]], fn (int $n) => $this->browser->until(fn (): bool => $n < 3 || $this->browser->count('[data-testid="rubbing-photo"] rect') === $n - 2, "click {$n} is not there"));
        $this->browser->click('.shape-fields input');
        $this->browser->keys('50');
        $this->browser->until(fn (): bool => preg_match('/width, mm(49|50)/', $this->browser->text('[data-testid="shape"]')) === 1, fn (): string => 'it is not 50 mm wide: '.$this->browser->text('[data-testid="shape"]'));
        self::assertMatchesRegularExpression('/height, mm2[45]/', $this->browser->text('[data-testid="shape"]'));
        $this->browser->press('Take the last back');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="rubbing-photo"] rect') === 3, 'it is still there');
        self::assertSame([], $this->browser->axe());
        unlink($file);
    }

    /** @param  callable(array<string, mixed>): bool  $is  the step at hand that is waited for */
    private function laterUntil(string $id, callable $is): void
    {
        $now = (int) strtotime(self::NOW);
        for ($i = 0; $i < 60; $i++) {
            $step = $this->server->request('GET', "/api/builds/{$id}/bench")[1]['current'];
            if ($step !== null && $is($step)) {
                return;
            }
            $now += $step === null ? 3600 : 60;
            $this->server->setClock(gmdate('Y-m-d\\TH:i:s\\Z', $now));
            if ($step !== null) {
                self::assertSame(201, $this->server->request('POST', "/api/builds/{$id}/events", [...$step['event'], 'id' => strtoupper((string) Str::ulid()), 'at' => gmdate('Y-m-d\\TH:i:s\\Z', $now)])[0]);
            }
        }
        self::fail('the bench does not come to it');
    }
}
