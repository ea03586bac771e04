<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\BrowserTestCase;

/** The ways a build begins, tables in and out, and paints put on the shelf, as one does them on the screen. */
final class BeginningsTest extends BrowserTestCase
{
    public function test_a_build_begins_as_a_copy_of_another_kit_with_nothing_done(): void
    {
        $this->go('bench');
        $this->browser->keys('n');
        $this->browser->see('[role="dialog"] .begin-copy');
        $this->browser->press('Alvero Cinder 1600');
        $this->browser->seeText('.kit .page-head', '15 pieces, 18 areas');
        $builds = $this->server->request('GET', '/api/frame')[1]['builds'];

        self::assertSame(['Corvane S.4 Shearwater', 'Alvero Cinder 1600', 'Dunmore Type 6', 'Torsay', 'Marram', 'Alvero Cinder 1600, copy'], array_column($builds, 'name'));
        self::assertSame(0, $this->server->request('GET', "/api/builds/{$builds[5]['id']}/log")[1]['total']);
    }

    public function test_a_scale_that_is_none_is_answered_at_the_field(): void
    {
        $this->go('bench');
        $this->browser->keys('n');
        $this->browser->see('[role="dialog"] .begin input')->sendKeys('Skiff');
        $this->browser->see('.begin-scale input')->clear();
        $this->browser->see('.begin-scale input')->sendKeys('large');
        $this->browser->seeText('.begin', 'Write a number');
        self::assertSame('true', $this->browser->script('return String(document.querySelector(".begin > .press").disabled)'));
    }

    public function test_the_first_screen_of_an_empty_build_says_the_one_thing_to_do(): void
    {
        $id = $this->server->request('POST', '/api/builds/blank', ['name' => 'Skiff', 'scale' => 35])[1]['build']['id'];
        $this->build = $id;
        $this->go('kit');

        self::assertStringContainsString('hull / upper A', (string) $this->browser->see('.editor textarea')->getAttribute('placeholder'));
        self::assertSame(10, $this->browser->count('.grammar dt'));
        self::assertSame([], $this->browser->axe());
        $this->go('layers');
        self::assertStringContainsString('Type the kit in', $this->browser->text('.section .empty'));
    }

    public function test_areas_come_in_from_a_table_and_a_wrong_one_changes_nothing(): void
    {
        $this->go('kit');
        $file = $this->file("part;area;cm2;colour\nradome;nose;6,5;sea grey\n");
        $this->browser->see('.csv summary')->click();
        $this->browser->driver->findElement(\Facebook\WebDriver\WebDriverBy::cssSelector('input[aria-label="Areas as CSV"]'))->sendKeys($file);
        $this->browser->seeText('.typing-told', 'The table is taken in.');
        $this->browser->seeText('.kit .page-head', '23 areas');
        $this->browser->driver->findElement(\Facebook\WebDriver\WebDriverBy::cssSelector('input[aria-label="Areas as CSV"]'))->sendKeys($this->file("part,area,cm2\nradome,nose,wide\n"));
        $this->browser->seeText('.typing .notice', 'row 2, cm2');
        self::assertCount(23, $this->server->request('GET', "/api/builds/{$this->build}/kit")[1]['areas']);
    }

    public function test_a_paint_nobody_has_is_put_on_the_shelf_where_one_stands(): void
    {
        $this->go('kit');
        $this->browser->see('.editor textarea')->click();
        $this->browser->keys('radome, S, quay ochre');
        $this->browser->press('Look for');
        $this->browser->see('[role="dialog"] [role="combobox"]');
        $this->browser->press('Put a new paint on the shelf');
        $this->browser->see('[role="dialog"] form');
        self::assertSame([], $this->browser->axe(), 'the sheet of a new paint');
        $this->browser->press('Put it on the shelf');
        $this->browser->seeText('[data-testid="editor-says"]', '1 understood');
        self::assertContains('quay ochre', array_column($this->server->request('GET', '/api/products')[1]['products'], 'name'));
    }

    public function test_several_paints_nobody_has_are_put_on_the_shelf_in_one_go(): void
    {
        $this->go('kit');
        $this->browser->see('.editor textarea')->click();
        $this->browser->keys("radome, S, quay ochre\ncowling, S, old bronze, on pale straw");
        $this->browser->click('[data-testid="missing-paints"]');
        $this->browser->until(fn (): bool => $this->browser->count('.missing-paints li') === 3, 'all three are offered');
        self::assertSame([], $this->browser->axe());
        $this->browser->driver->findElement(\Facebook\WebDriver\WebDriverBy::xpath("//li[contains(., 'pale straw')]//button"))->click();
        $this->browser->press('Put 2 on the shelf');
        $this->browser->seeText('.typing-told', 'On the shelf: quay ochre, old bronze.');
        $this->browser->seeText('[data-testid="editor-says"]', '1 understood, 1 not');
        $shelf = array_column($this->server->request('GET', '/api/products')[1]['products'], null, 'name');
        self::assertSame('metallic', $shelf['old bronze']['role']);
        self::assertArrayNotHasKey('pale straw', $shelf);
    }

    public function test_a_paint_goes_where_its_phrase_stands_wherever_the_caret_is(): void
    {
        $this->go('kit');
        $field = $this->browser->see('.editor textarea');
        $field->click();
        $this->browser->keys("radome, S, slate gren\nfairing, S, sea grey");
        $this->browser->script('arguments[0].setSelectionRange(0, 0)', [$field]);
        $this->browser->press('Look for');
        $this->browser->see('[role="dialog"] [role="combobox"]')->click();
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, 'Slate Green');
        $this->browser->seeText('#paints [aria-selected="true"]', 'Linnet Slate Green');
        $this->browser->keys(WebDriverKeys::ENTER);
        $this->browser->seeText('[data-testid="editor-says"]', '2 understood');
        self::assertSame("radome, S, Linnet Slate Green\nfairing, S, sea grey", $field->getDomProperty('value'));
    }

    public function test_an_area_is_worked_out_from_a_ruler_beside_its_field(): void
    {
        $this->go('kit');
        $this->browser->script('document.querySelector("[data-at=\"2,2\"]").focus()');
        $this->browser->press('Work out cm² of upper hull in grey');
        $this->browser->see('.helper-fields input');
        self::assertSame([], $this->browser->axe());
        $fields = $this->browser->driver->findElements(\Facebook\WebDriver\WebDriverBy::cssSelector('.helper-fields input'));
        foreach (['80', '30', '1 in', '2'] as $i => $text) {
            $fields[$i]->click();
            $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, $text);
        }
        // Handbook 4: half span by mean chord, both halves; twice.
        $cm2 = 2 * 2 * 80 * ((30 + 25.4) / 2) / 100;
        $this->browser->seeText('[data-testid="area-sum"]', round($cm2).' cm²');
        $fields[0]->click();
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, 'long');
        $this->browser->seeText('.helper-fields', 'It is no length');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '80', WebDriverKeys::ENTER);
        $this->browser->until(fn (): bool => array_column($this->server->request('GET', "/api/builds/{$this->build}/kit")[1]['areas'], 'cm2', 'name')['upper hull in grey'] == round($cm2), 'it is not in the kit');
    }

    public function test_everything_of_a_house_rule_is_done_by_keys(): void
    {
        $this->go('bench');
        $this->browser->keys('h');
        $this->browser->see('[data-testid="question-primer"]');
        $this->browser->script('document.querySelector("[data-testid=\'question-primer\'] input:checked").focus()');
        $this->browser->keys(WebDriverKeys::ARROW_DOWN);
        $this->browser->seeText('[data-testid="question-primer"] .preview', 'Do it: in Corvane S.4 Shearwater only');
        $this->browser->see('[data-testid="question-primer"] [data-testid="apply-fix"]')->sendKeys(WebDriverKeys::ENTER);
        $this->browser->until(fn (): bool => ($this->server->request('GET', "/api/builds/{$this->build}/export")[1]['kit']['house']['primer'] ?? '') === 'where-needed', 'the rule is not taken');
        $this->browser->seeText('[data-testid="question-primer"]', 'Only in this build.');
        $this->browser->press('As in all builds');
        $this->browser->see('[data-testid="question-primer"] [data-testid="apply-fix"]')->sendKeys(WebDriverKeys::ENTER);
        $this->browser->until(fn (): bool => ! isset($this->server->request('GET', "/api/builds/{$this->build}/export")[1]['kit']['house']['primer']), 'the build still does otherwise');
        self::assertSame('enamel', $this->server->request('GET', "/api/builds/{$this->build}/export")[1]['kit']['house']['wash'], 'the other rule of the build stays');
    }

    public function test_the_gun_is_cleaned_with_one_press(): void
    {
        // Sprayed, and half an hour later nothing more came out of it.
        $step = $this->server->request('GET', "/api/builds/{$this->build}/bench?minutes=90")[1]['current'];
        $this->server->request('POST', "/api/builds/{$this->build}/events", [...$step['event'], 'id' => '01T30000000000000000000001', 'at' => '2026-03-03T19:05:00Z']);
        $this->server->setClock('2026-03-03T19:36:00Z');
        $this->go('bench');
        $this->browser->seeText('[data-testid="step-title"]', 'out of the gun');
        $this->browser->seeText('[data-testid="done"]', 'Gun is clean');
        $this->browser->click('[data-testid="done"]');
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text('[data-testid="step-title"]'), 'out of the gun'), 'it asks again');
        self::assertContains('Rinse the gun', array_column(array_slice($this->server->request('GET', "/api/builds/{$this->build}/log")[1]['events'], 0, 3), 'title'));
    }

    private function file(string $text): string
    {
        $name = sys_get_temp_dir().'/amber-'.bin2hex(random_bytes(5)).'.csv';
        file_put_contents($name, $text);

        return $name;
    }

    public function test_a_paint_like_another_but_darker_is_put_on_the_shelf(): void
    {
        $this->go('kit');
        $this->browser->see('.editor textarea')->click();
        $this->browser->keys('tank, 9, mud brown');
        $this->browser->press('Look for “mud brown”');
        $this->browser->press('Put a new paint on the shelf');
        $this->browser->script('const s = [...document.querySelectorAll(".paint-colour select")][0]; const o = [...s.options].find((x) => x.text === "Obrey Track Brown"); Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set.call(s, o.value); s.dispatchEvent(new Event("change", {bubbles: true}))');
        $hex = fn (): string => (string) $this->browser->script('return document.querySelector(".paint-colour .mantine-TextInput-input").value');
        $like = $hex();
        $this->browser->press('But darker');
        $this->browser->until(fn (): bool => $hex() !== $like && hexdec(substr($hex(), 1, 2)) < hexdec(substr($like, 1, 2)), 'it is no darker');
        $this->browser->press('But lighter');
        self::assertSame([], $this->browser->axe());
        $this->browser->press('Put it on the shelf');
        $this->browser->seeText('[data-testid="editor-says"]', '1 understood');
        self::assertContains('mud brown', array_column($this->server->request('GET', '/api/products')[1]['products'], 'name'));
    }

    private int $presses = 0;

    private int $letters = 0;

    /** Counts what the hands do: letters typed, and presses of any other key. */
    private function hands(string ...$keys): void
    {
        foreach ($keys as $key) {
            $isOne = mb_strlen($key) === 1 && mb_ord($key) >= 0xE000;
            $isOne ? $this->presses++ : $this->letters += mb_strlen($key);
            $this->browser->keys($key);
        }
    }

    /** @param  list<string>  $size  typed into the fields of its size */
    private function begun(string $name, string $subject, string $scale, array $size, string $looks): string
    {
        $this->presses = $this->letters = 0;
        $this->go('bench');
        $this->hands('n');
        $this->browser->until(fn (): bool => $this->browser->script('return document.activeElement?.closest(".begin-subject") !== null') === true, 'the sheet is not open');
        $this->hands($name, WebDriverKeys::TAB, $subject, WebDriverKeys::TAB);
        if ($scale !== '72') {
            $this->hands(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL, $scale);
        }
        foreach ($size as $mm) {
            $this->hands(WebDriverKeys::TAB, $mm);
        }
        $this->hands(WebDriverKeys::TAB, $looks);
        $this->browser->see('.begin-proposed');
        $this->hands(WebDriverKeys::ENTER);
        $this->browser->see('[data-testid="question"]');

        return (string) preg_replace('~.*/b/([^/]+)/.*~', '$1', $this->browser->driver->getCurrentURL());
    }

    private function hasNoStop(string $id): void
    {
        self::assertSame([], array_filter($this->server->request('GET', "/api/builds/{$id}/plan")[1]['findings'], static fn (array $f): bool => $f['severity'] === 'stop'));
    }

    public function test_by_keys_alone_a_trainer_is_begun_from_its_subject_and_asked_about(): void
    {
        $id = $this->begun('Trainer', 'propeller', '72', ['120', '150'], 'sea grey and slate green over pale grey, yellow bands, decals, wash');
        $this->browser->seeText('.kit .page-head', '21 areas');
        self::assertSame([], $this->browser->axe());
        $this->hasNoStop($id);
        self::assertSame(5, $this->browser->count('[data-testid="question"]'));
        $this->browser->script('document.querySelector("[data-testid=question] button").focus()');
        for ($left = 4; $left >= 0; $left--) {
            $this->hands(WebDriverKeys::ENTER);
            $this->browser->until(fn (): bool => $this->browser->count('[data-testid="question"]') === $left, "{$left} are not left");
            $this->browser->script('document.querySelector("[data-testid=question] button")?.focus()');
        }
        $this->hasNoStop($id);
        self::assertLessThan(60, $this->presses, 'presses');
        self::assertLessThan(700, $this->letters, 'letters');
        $this->browser->seeText('.proposed', 'things stand as proposed');
        self::assertGreaterThan(20, $this->browser->count('.grid-proposed'));
        $this->browser->press('All of it is right');
        $this->browser->until(fn (): bool => $this->browser->count('.proposed') === 0, 'it is still asked about');
    }

    public function test_a_car_a_ship_and_a_walker_are_each_begun_in_under_two_hundred_and_fifty_keys(): void
    {
        foreach ([
            ['Coupe', 'car', '24', ['170', '70'], 'bronze over silver, 2K clear, polish'],
            ['Tender', 'ship', '200', ['240', '34'], 'pale grey, red below, buff deck, cream house'],
            ['Strider', 'walker', '72', ['110', '70'], 'sea grey and slate green and pale grey mosaic, red trim'],
        ] as [$name, $subject, $scale, $size, $looks]) {
            $this->hasNoStop($this->begun($name, $subject, $scale, $size, $looks));
            self::assertLessThan(250, $this->presses + $this->letters, $name);
        }
    }
}
