<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\BrowserTestCase;
use Tests\Support\Pictures;

/** Places from found to good on the screen: the filler, the waits, the grits, the rounds. */
final class SurfaceTest extends BrowserTestCase
{
    private const SEAM = 'seam on Lower hull';

    protected function setUp(): void
    {
        parent::setUp();
        $this->build = array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'id', 'name')['Dunmore Type 6'];
    }

    public function test_a_seam_goes_from_found_to_good_over_a_night(): void
    {
        $this->go('surface');
        $this->browser->click('[data-testid="note-place"]');
        $this->browser->press('seam');
        $this->browser->press('0.9 mm');
        $this->browser->click('[data-testid="add-found"]');
        $this->browser->seeText('#place-title', self::SEAM);

        // Where no joint is, it is first asked whether it belongs there.
        $this->browser->seeText('[data-testid="place-next"]', 'real detail? Look from inside');
        $this->browser->press('Not a detail');
        $this->browser->until(fn (): bool => ! $this->place(self::SEAM)['asksDetail'], "it is answered: {$this->browser->text('.notice')}");
        $this->browser->seeText('[data-testid="filler"]', 'card shim: a straight gap of 0.3 mm or more');
        $this->browser->seeText('.place', 'Card of 0.75 mm (30 thou), cemented in proud, then a skim for 0.15 mm');
        $this->browser->press('Take water putty');
        $this->browser->seeText('[data-testid="filler"]', 'your choice; advised is card shim');
        $this->did('Fill', 'Filler is in');
        $this->browser->seeText('.place-hold', 'hands off for');
        $this->browser->until(fn (): bool => str_contains(implode(array_column($this->server->request('GET', '/api/frame')[1]['holds'], 'label')), 'Seam on Lower hull, cut back from'), 'it is on the hold line');

        // Too early is answered with what would happen; nothing is recorded.
        $this->browser->click('[data-testid="place-did"]');
        $this->browser->seeText('[data-testid="early"]', 'Too early');
        $this->browser->press('Leave it alone');
        self::assertSame('cut-back', $this->place(self::SEAM)['next']['operation']);

        // A night and a day later; the grits fall from filler to primer.
        $this->at(gmdate('Y-m-d\TH:i:s\Z', strtotime($this->place(self::SEAM)['holdUntil']) + 60));
        $this->browser->until(fn (): bool => $this->browser->count('.place-hold') === 0, 'nothing holds it');
        $this->browser->seeText('.ladder-figure', 'P600 is the last grit before primer. You have all of them.');
        $this->did('Cut seam on Lower hull back', 'Cut back');
        $this->browser->seeText('[data-testid="place-next"]', 'Brush a dark check coat on');
        $this->verdict('rescribe');
        $this->did('Put back the lines across', 'It is there again');
        $this->browser->until(fn (): bool => $this->browser->text('.strip[aria-pressed="true"] .strip-stage:last-child[data-done]') === 'good', 'it is good');
        self::assertTrue($this->place(self::SEAM)['good']);
        $left = $this->server->request('GET', "/api/builds/{$this->build}/plan")[1];
        self::assertStringNotContainsString($this->place(self::SEAM)['id'].'/', implode(' ', array_merge(...array_map(static fn (array $s): array => array_column($s['steps'], 'key'), $left['stages']))), 'nothing stands between it and primer');
    }

    public function test_a_thumb_does_a_round_on_a_tablet_without_typing(): void
    {
        $this->browser->size(820, 1180);
        $this->go('surface');
        $this->browser->click('[data-testid="go-round"]');
        $this->browser->seeText('[data-testid="round"]', '1 of 9');
        $this->browser->press('check coat');
        $this->browser->script('window.tops = new Set(); new MutationObserver(() => { const round = document.querySelector(".round"); if (round !== null) { window.tops.add(Math.round(round.getBoundingClientRect().top)); } }).observe(document.body, {subtree: true, childList: true})');
        foreach ([['port fender seam', 'skip'], ['starboard fender seam', 'Fill'], ['deck seam', 'skip'], ['gap behind', 'skip'], ['sink over', 'skip'], ['ejector mark', 'skip'], ['gate stub', 'Sand'], ['seam along the lid', 'Real detail'], ['lettering', 'Good']] as [$name, $press]) {
            $this->browser->seeText('#round-title', $name);
            $this->browser->click(match ($press) {
                'skip' => '[data-testid="round-skip"]',
                'Real detail' => '.round .verdict:first-child',
                default => '.round [data-verdict="'.strtolower($press).'"]',
            });
        }
        $this->browser->seeText('#round-title', 'The round is over');
        $this->browser->seeText('[data-testid="round"]', '2 ask for more');
        self::assertSame(1, $this->browser->script('return window.tops.size'), 'nothing moves under the thumb while presses are on their way');
        $heights = $this->browser->script('return Array.from(document.querySelectorAll(".round button")).map(b => b.getBoundingClientRect().height)');
        self::assertGreaterThanOrEqual(44, min($heights), 'big enough for a thumb');
        $this->browser->click('[data-testid="round-over"]');
        $this->browser->seeText('[data-testid="rounds"]', 'The last round found 2, the one before 2');

        $after = array_map(fn (string $name): string => (string) ($this->place($name)['next']['operation'] ?? $this->place($name)['closed']['verdict']), ['starboard fender seam', 'gate stub at the rim', 'seam along the lid', 'lettering under the seat']);
        self::assertSame(['fill', 'cut-back', 'real-detail', 'good'], $after, 'next steps appear at once');
    }

    public function test_a_place_is_noted_measured_filled_accepted_and_struck_out(): void
    {
        $this->go('surface');
        $this->browser->click('[data-testid="note-place"]');
        $this->browser->press('sink');
        $this->browser->press('0.5 mm');
        $this->browser->press('tight');
        $this->browser->click('[data-testid="add-found"]');
        $this->browser->seeText('#place-title', 'sink on Lower hull');
        $this->browser->seeText('[data-testid="filler"]', 'water putty');
        $this->browser->seeText('.place-ladder', 'Tape on either side as a guard');

        $this->browser->click('.measures input');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a');
        $this->browser->keys(WebDriverKeys::NULL, 'wide', WebDriverKeys::ENTER);
        $this->browser->seeText('.measures', 'write it as 0.9 mm or 35 thou');
        $this->browser->keys(WebDriverKeys::TAB);
        $this->browser->script('document.querySelector(".measures input").focus()');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a');
        $this->browser->keys(WebDriverKeys::NULL, '2 thou', WebDriverKeys::ENTER);
        $this->browser->seeText('.place-what', '0.0508 mm wide');

        $this->browser->press('Strike it out');
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text('.strips'), 'sink on Lower hull'), 'it is out');
        $this->browser->script('window.scrollTo(0, 0)');
        $this->browser->click('[data-testid="undo"]');
        $this->browser->seeText('.strips', 'sink on Lower hull');
        $this->browser->script('window.scrollTo(0, 0)');
        $this->browser->press('starboard fender seam');
        $this->browser->press('Accept it');
        $this->browser->press('It will not be seen');
        $this->browser->seeText('.strips', 'It will not be seen');
        $this->browser->press('Take that back');
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text('.strips'), 'It will not be seen'), 'it is taken back');
        $this->browser->click('.feature');
        $this->browser->seeText('.features', '1 line of detail is to be put back');
        self::assertSame(0.0508, $this->place('sink on Lower hull')['measured']['widthMm']);
    }

    public function test_a_picture_of_up_to_sixty_megapixels_is_taken_down_before_it_is_sent_and_a_larger_one_is_refused(): void
    {
        $this->go('surface');
        $field = $this->browser->driver->findElement(WebDriverBy::cssSelector('[data-testid="photo-file"]'))->setFileDetector(new LocalFileDetector);
        // The server takes no more than 40: what arrives was made smaller here.
        $field->sendKeys(Pictures::wide(9000, 6600));
        $this->browser->until(fn (): bool => (int) $this->browser->script('return document.querySelector(".photo img")?.naturalWidth ?? 0') === 2000, 'the picture is shown');
        self::assertSame(1467, $this->browser->script('return document.querySelector(".photo img").naturalHeight'));
        $field->sendKeys(Pictures::wide(10000, 6100));
        $this->browser->seeText('.photos .bad', 'is 10000 by 6100 pixels: send one of up to 60 million.');
        self::assertSame(1, $this->browser->count('.photo'));
    }

    public function test_a_photograph_is_kept_marked_and_taken_out_and_the_clock_is_told(): void
    {
        $picture = imagecreatetruecolor(320, 200);
        imagefill($picture, 0, 0, (int) imagecolorallocate($picture, 150, 150, 150));
        $file = sys_get_temp_dir().'/amber-seam-'.bin2hex(random_bytes(4)).'.png';
        imagepng($picture, $file);
        $this->go('surface');
        $this->browser->driver->findElement(WebDriverBy::cssSelector('[data-testid="photo-file"]'))->setFileDetector(new LocalFileDetector)->sendKeys($file);
        $this->browser->until(fn (): bool => (int) $this->browser->script('return document.querySelector(".photo img")?.naturalWidth ?? 0') === 320, 'the picture is shown');
        $this->browser->click('.photo-press');
        $this->browser->seeText('.photo figcaption', '1 marked.');
        self::assertEqualsWithDelta(0.5, $this->place('gap behind the front plate')['photos'][0]['marks'][0]['x'], 0.02);
        $this->browser->press('Last mark off');
        $this->browser->seeText('.photo figcaption', 'Press where to look.');
        $this->browser->press('Picture out');
        $this->browser->until(fn (): bool => $this->browser->count('.photo') === 0, 'it is out');

        $this->browser->script('window.scrollTo(0, 0)');
        $this->browser->press('port fender seam');
        $this->browser->seeText('.place', 'About 30 min hands on');
        $this->browser->click('.took input');
        $this->browser->keys('45');
        $this->did('Cut port fender seam', 'Cut back');
        $this->browser->press('gap behind the front plate');
        $this->browser->seeText('.place', 'usually 4, corrected by one job in your log');
    }

    public function test_the_ladder_says_what_to_buy_and_another_scale_is_told_apart(): void
    {
        $this->go('surface');
        $this->browser->click('.other-grit input');
        $this->browser->keys('1000', WebDriverKeys::ENTER);
        $this->browser->seeText('.other-grit', 'write P1000');
        $this->browser->keys(' CAMI', WebDriverKeys::ENTER);
        $this->browser->seeText('.grits', '1000 CAMI');
        $this->browser->seeText('.ladder-figure', 'You have all of them');
        $this->browser->press('P600');
        $this->browser->seeText('.ladder-figure', 'To buy: P600');
        self::assertSame(1, $this->browser->count('.ladder-scratch[data-missing]'));
    }

    /** The step is the next of the chosen place, and is pressed as done. */
    private function did(string $title, string $button): void
    {
        $this->browser->seeText('[data-testid="place-next"]', $title);
        $this->browser->seeText('[data-testid="place-did"]', $button);
        $this->browser->click('[data-testid="place-did"]');
        if ($this->browser->count('[data-testid="early"]') > 0) {
            $this->browser->press('It is done, though');
        }
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text('[data-testid="place-next"]'), $title), "{$title} is recorded");
    }

    private function verdict(string $word): void
    {
        $this->browser->click(".place [data-verdict='{$word}']");
    }

    /** @return array<string, mixed> */
    private function place(string $name): array
    {
        return array_column($this->server->request('GET', "/api/builds/{$this->build}/surface")[1]['places'], null, 'name')[$name];
    }
}
