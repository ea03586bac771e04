<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;
use Tests\Support\BrowserTestCase;

/** The mixing bench: all moves as one types, what was poured wrong is put right, a hardened cup is on the hold line. */
final class MixTest extends BrowserTestCase
{
    public function test_cup_sum_and_look_move_with_every_input_and_agree(): void
    {
        $this->go('mix');
        $this->browser->seeText('[data-testid="need"]', 'learned from 6 jobs');
        $this->browser->seeText('[data-testid="cups"]', '3.17 ml');
        $this->type('Area, cm²', '354');
        $this->browser->seeText('.much-total', '6.04 ml');
        $this->browser->seeText('[data-testid="cups"]', '6.04 ml');
        self::assertSame('to 6.04 ml', $this->browser->script('return Array.from(document.querySelectorAll(".cup-mark")).pop().textContent'));
        $this->type('The cup holds, ml', '2');
        $this->browser->seeText('[data-testid="cups"]', '6.04 ml in 4 cups of 1.51 ml');
        $this->browser->seeText('.look-table', 'as planned');
        $this->browser->seeText('[data-testid="jar"]', '3 whole jobs like this');

        // The other school: what is counted takes the place of what is measured, and back.
        $this->browser->press('Go by the count');
        $this->browser->until(fn (): bool => $this->value('Area, cm²') === '175', 'counted');
        $this->browser->press('Go by the measure');
        $this->browser->until(fn (): bool => $this->value('Area, cm²') === '177', 'measured');
        $this->browser->seeText('[data-testid="cups"]', '3.17 ml in 2 cups');

        // Nonsense is answered at its field, and what was there stays.
        $this->type('Coats', '0');
        $this->browser->seeText('.how-much', 'give coats such as 3');
        $this->browser->seeText('[data-testid="cups"]', '3.17 ml');
        $this->type('Coats', '1,5');
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text('.how-much'), 'give coats'), 'it is read');

        // All that is left of a jar, or the drops that are in the cup, give the rest.
        $known = new WebDriverSelect($this->browser->see('.how-much select'));
        $known->selectByVisibleText('all that is left of Linnet Sea Grey');
        $this->browser->seeText('.parts-ml', '12.00');
        self::assertSame('12', $this->value('ml of it, or drops'));
        $this->type('ml of it, or drops', '40 drops');
        $this->browser->seeText('.parts-ml', '1.40');
        $known->selectByVisibleText('the area and its coats');

        // The gun beside it: one pair of readings gives what to set at rest for each task.
        $this->unfold('signs');
        $this->type('At rest, bar', '1.75');
        $this->type('Trigger down, bar', '1,45');
        $this->browser->seeText('[data-testid="regulator"]', 'It drops 0.30 bar');
        $this->browser->seeText('[data-testid="gun"]', '1.10 bar');
        $this->browser->press('wall: an opaque sheet');
        $this->browser->seeText('[data-testid="sign"]', '0.20 ml of thinner');
    }

    public function test_the_bench_asks_for_a_cup_the_mix_draws_it_and_the_coat_follows(): void
    {
        $step = $this->workUntil('mix');
        $this->go('bench');
        $this->browser->seeText('[data-testid="step-title"]', 'Stir and mix Linnet Slate Green');
        $this->browser->press('Cup with fill-to marks');
        $this->browser->seeText('[data-testid="cups"]', sprintf('%.2f ml', $step['cup']['ml']));
        $this->browser->seeText('[data-testid="need"]', sprintf('%g cm² × %g coat', round($step['cup']['cm2'], 1), $step['cup']['thick']));
        $this->browser->seeText('.page-head', 'slate green for upper hull in green');

        $this->go('bench');
        $this->browser->seeText('[data-testid="done"]', 'Cup is mixed');
        $this->browser->click('[data-testid="done"]');
        $this->browser->seeText('[data-testid="step-title"]', 'Spray slate green');
        self::assertContains(['Stirred and mixed', 'Linnet Slate Green'], array_map(static fn (array $e): array => [$e['title'], $e['with']], array_slice($this->server->request('GET', "/api/builds/{$this->build}/log")[1]['events'], 0, 3)));
    }

    public function test_poured_slightly_wrong_it_is_put_right_and_hardened_it_closes(): void
    {
        $this->go('mix');
        // Two areas and three coats.
        $areas = array_column($this->server->request('GET', "/api/builds/{$this->build}/kit")[1]['areas'], 'cm2', 'name');
        $this->browser->seeText('[data-testid="cups"]', '3.17 ml');
        $this->type('Area, cm²', (string) ($areas['upper hull in grey'] + $areas['tailplane']));
        $this->type('Coats', '3');
        $this->browser->seeText('[data-testid="need"]', ($areas['upper hull in grey'] + $areas['tailplane']).' cm² × 3 coats');
        [$grey, $thinner] = array_column($this->mixed()['parts'], 'ml');
        $this->typeInto('Poured of Linnet Sea Grey, ml', sprintf('%.2f', $grey));
        $this->typeInto('Poured of own thinner, ml', sprintf('%.2f', 0.8 * $thinner));
        $this->browser->seeText('[data-testid="poured"]', sprintf('Add %.2f ml of own thinner.', round($grey, 2) * 0.65 - round(0.8 * $thinner, 2)));
        $this->browser->click('[data-testid="take-correction"]');
        $this->browser->seeText('[data-testid="poured"]', 'As the recipe says');
        $this->typeInto('Poured of own thinner, ml', sprintf('%.2f', 1.3 * $thinner));
        $this->browser->seeText('[data-testid="poured"]', 'Only thinner is over: on a solid colour that is allowed');

        // What it took changes the next estimate: one more job is in the mean.
        $before = $this->mixed()['need'];
        $this->unfold('used');
        $this->type('Used of the mix, ml', '99');
        $this->browser->click('[data-testid="log-use"]');
        $this->browser->seeText('[data-testid="need"]', 'learned from 7 jobs');
        $after = $this->mixed()['need'];
        $factor = static fn (array $need): float => $need['lines'][2]['ml'] / $need['lines'][1]['ml'];
        self::assertEqualsWithDelta((6 * log($factor($before)) + log(99 / $before['plainMl'])) / 7, log(min(3.0, $factor($after))), 0.005);
        $this->browser->seeText('.much-total', sprintf('%.2f ml', $after['totalMl']));

        $this->unfold('pot');
        $this->type('Pot life by its label, min at 20 °C', '60');
        $this->browser->seeText('[data-testid="pot"]', 'Hardened now it dies');
        $this->browser->seeText('[data-testid="pot-jobs"]', 'while it lives');
        $this->browser->seeText('[data-testid="leftover"]', 'None of it goes back');
        $this->browser->click('[data-testid="hardened"]');
        $this->browser->until(fn (): bool => str_contains(implode(array_column($this->server->request('GET', '/api/frame')[1]['holds'], 'label')), 'in the cup dies'), 'it is on the hold line');
        self::assertSame('window', $this->server->request('GET', '/api/frame')[1]['holds'][0]['kind'] ?? null);
    }

    /** @return array<string, mixed> what the page works out now, asked again by itself */
    private function mixed(): array
    {
        $kit = array_column($this->server->request('GET', "/api/builds/{$this->build}/mix")[1]['paints'], null, 'name')['Linnet Sea Grey'];
        $parts = [['product' => $kit['id'], 'name' => 'grey', 'stuff' => 'paint', 'amount' => '1', 'base' => 'parts', 'drops' => ''], ['product' => null, 'name' => 'own thinner', 'stuff' => 'water', 'amount' => '0.65', 'base' => 'parts', 'drops' => '']];

        return $this->server->request('POST', "/api/builds/{$this->build}/mix", ['parts' => $parts, 'known' => 'area', 'cm2' => $this->value('Area, cm²'), 'coats' => $this->value('Coats'), 'tool' => 'airbrush', 'gun' => '0.35'])[1];
    }

    public function test_it_opens_with_what_how_much_and_the_cup_and_the_rest_is_remembered(): void
    {
        foreach ([[1280, 800], [820, 1180]] as [$width, $height]) {
            $this->browser->size($width, $height);
            $this->go('mix');
            $this->browser->seeText('[data-testid="cups"]', '3.17 ml');
            $tops = $this->browser->script('return [".parts-table", ".how-much", ".cup"].map((s) => document.querySelector(s).getBoundingClientRect().top)');
            self::assertLessThan($height, max($tops), 'what, how much and the cup are in sight');
            self::assertSame(0, $this->browser->count('.mix details.fold[open]'));
        }
        self::assertStringContainsString('Linnet Sea Grey: 12.0 ml', $this->browser->text('[data-fold="jars"] .fold-tells'));
        $this->unfold('look');
        $this->go('mix');
        $this->browser->see('.fold[data-fold="look"][open] .look-table');
    }

    public function test_a_colour_is_taken_from_a_point_of_a_photograph_and_found_ratios_name_their_jars(): void
    {
        $picture = imagecreatetruecolor(800, 600);
        imagefill($picture, 0, 0, (int) imagecolorallocate($picture, 124, 150, 163));
        imagefilledrectangle($picture, 400, 0, 799, 599, (int) imagecolorallocate($picture, 200, 40, 30));
        $file = sys_get_temp_dir().'/amber-point.png';
        imagepng($picture, $file);
        $this->go('mix');
        $this->browser->press('The colour');
        $this->browser->see('.match');
        $this->browser->driver->findElement(WebDriverBy::cssSelector('input[aria-label="A photograph to take a colour from"]'))->sendKeys($file);
        $canvas = $this->browser->see('.photo-sheet canvas');
        $point = 'const c = arguments[0], b = c.getBoundingClientRect(); c.dispatchEvent(new MouseEvent("click", {bubbles: true, clientX: b.left + b.width * arguments[1], clientY: b.top + b.height / 2}));';
        $this->browser->script($point, [$canvas, 0.75]);
        $this->browser->until(fn (): bool => $this->value('Wanted, as #RRGGBB') === '#C8281E', 'the red');
        $this->browser->script($point, [$canvas, 0.25]);
        $this->browser->until(fn (): bool => $this->value('Wanted, as #RRGGBB') === '#7C96A3', 'the grey');
        $this->browser->script('arguments[0].focus()', [$canvas]);
        $this->browser->keys(WebDriverKeys::SHIFT, ...array_fill(0, 20, WebDriverKeys::ARROW_RIGHT));
        $this->browser->keys(WebDriverKeys::NULL);
        $this->browser->until(fn (): bool => $this->value('Wanted, as #RRGGBB') === '#C8281E', 'by keys');
        self::assertSame([], $this->browser->axe());

        // The colours of this build stand first.
        self::assertStringStartsWith('Linnet Sea Grey', (string) $this->browser->script('return [...document.querySelectorAll("[aria-label=Jars] .jar")].map((b) => b.textContent).filter((t) => t.includes("Sea Grey") || t.includes("Harbour"))[0]'));
        $this->browser->press('Linnet Slate Green');
        $this->browser->press('Linnet Pale Grey');
        $this->browser->seeText('[data-testid="match"]', 'Linnet Slate Green');
        self::assertMatchesRegularExpression('/\d+ Linnet (Slate Green|Pale Grey) : \d+ Linnet (Slate Green|Pale Grey)/', $this->browser->text('[data-testid="match"] strong'));
    }

    public function test_a_ratio_is_found_and_mixed_and_tones_and_a_spoon_are_read(): void
    {
        $this->go('mix');
        $this->browser->press('The colour');
        $this->browser->seeText('[data-testid="tones"]', 'a little lighter');
        $this->browser->press('clearly darker');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="tones"] li') === 4, 'the colour and three tones');
        $this->browser->seeText('[data-testid="tone-totals"]', 'ml Linnet Sea Grey');
        $this->browser->seeText('.spoon', 'Spray a spoon over black and white');
        (new WebDriverSelect($this->browser->see('select[aria-label="How light the spoon is over black"]')))->selectByVisibleText('2 darker');
        $this->browser->seeText('[data-testid="spoon-says"]', 'hides less than its class');
        $this->browser->click('[data-testid="keep-spoon"]');
        $this->browser->seeText('[data-testid="spoon-kept"]', 'It is predicted from that now');
        $this->browser->seeText('[data-testid="fitted"]', 'Read back from a spoon of Linnet Sea Grey');

        $this->browser->press('Linnet Slate Green');
        $this->browser->press('Linnet Pale Grey');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="match"] li') === 5, 'five are found');
        $this->browser->press('Mix this');
        $this->browser->until(fn (): bool => str_contains($this->browser->text('.parts-table'), 'Linnet Pale Grey'), 'it is mixed');
        $this->browser->seeText('[data-testid="need"]', 'spare for touch-ups');
        self::assertSame(3, $this->browser->count('.parts-table tbody tr'), 'two paints and their thinner');
    }

    public function test_a_recipe_is_typed_asked_about_kept_remade_and_given_to_a_colour_and_its_jars_are_looked_into(): void
    {
        $this->go('mix');
        $this->browser->see('[data-testid="typed-recipe"]')->click();
        $this->browser->keys('3 pints foam', WebDriverKeys::ENTER);
        $this->browser->seeText('.typed', 'names nothing on the shelf');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a');
        $this->browser->keys(WebDriverKeys::NULL, '3 sea grey + 1 ground white + 40 % thinner', WebDriverKeys::ENTER);
        $this->browser->seeText('[data-testid="asks"]', 'can be read two ways');
        $this->browser->press('40 to 100 of the paint');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="asks"]') === 0, 'it is answered');
        $this->browser->seeText('.parts-table', 'Linnet Ground White');

        // Out of the jars, into one, and how large its drops are.
        $this->unfold('jars');
        $this->browser->press('It came out of the jars');
        $this->browser->seeText('[data-testid="jars-say"]', 'ml of Linnet Ground White');
        $this->browser->click('[aria-label="Look into Linnet Ground White"]');
        $this->type('In it, ml or % of its height', '50 %');
        $this->browser->press('So full');
        $this->browser->seeText('[data-testid="jar"]', '8.5 ml of 17');
        $this->type('Drops counted into 1 ml', '31');
        $this->browser->press('Counted');
        $this->browser->seeText('[data-testid="jars-say"]', '31 drops to a ml');
        $this->browser->press('Stirred to the bottom');
        $this->browser->seeText('[data-testid="jar"]', 'Stirred this evening');

        $this->browser->press('Recipes');
        self::assertSame(9, $this->browser->count('[data-testid="recipe"]'), 'the glider\'s and the tug\'s');
        $this->browser->see('[data-testid="recipe-name"]')->click();
        $this->browser->keys('Harbour Haze');
        $this->browser->click('[data-testid="keep-recipe"]');
        $this->browser->seeText('[data-testid="recipe"]', '3 Linnet Sea Grey : 1 Linnet Ground White');
        $this->browser->until(fn (): bool => $this->browser->count('[data-testid="recipe"]') === 10, 'it is kept');
        $this->browser->driver->findElement(WebDriverBy::xpath("//li[contains(., 'Harbour Haze')]//button[contains(., 'Use it for')]"))->click();
        $this->browser->until(fn (): bool => in_array('reserve', array_column($this->plan()['findings'], 'rule'), true), 'the plan asks for some to be kept');
        $again = $this->browser->driver->findElement(WebDriverBy::xpath("//li[contains(., 'Gull White')]//button[contains(., 'Mix it again')]"));
        // The list is longer than the window, and the edges of the shell lie over it.
        $this->browser->script('arguments[0].scrollIntoView({block: "center"})', [$again]);
        $again->click();
        $this->browser->seeText('.parts-table', 'Linnet Harbour Cream');
    }

    /** @return array<string, mixed> */
    private function plan(): array
    {
        return $this->server->request('GET', "/api/builds/{$this->build}/plan")[1];
    }

    /** What is opened when it is wanted, and stays open. */
    private function unfold(string $name): void
    {
        $this->browser->click(".fold[data-fold='{$name}']:not([open]) > summary");
        $this->browser->see(".fold[data-fold='{$name}'][open] .fold-body");
    }

    private function value(string $label): string
    {
        return (string) $this->browser->driver->findElement(WebDriverBy::xpath("//label[normalize-space(.)='{$label}']/following::input[1]"))->getDomProperty('value');
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
