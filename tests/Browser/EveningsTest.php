<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\BrowserTestCase;

/** Evenings changed on screen: a day struck, an extra one, the week, the guns; and the bench that names the model to take up. */
final class EveningsTest extends BrowserTestCase
{
    private function evenings(): void
    {
        $this->browser->driver->get($this->server->address().'/evenings');
        $this->browser->see('.week-date');
    }

    public function test_a_saturday_is_struck_a_sunday_added_and_both_taken_back(): void
    {
        $this->evenings();
        $this->browser->seeText('[data-testid="hours"]', '62 h at the bench');
        $this->browser->click('.week-date[data-date="2026-03-14"]');
        $this->browser->press('Away');
        $this->browser->seeText('[data-testid="told"]', 'Away on Sat 14 Mar: all plans follow.');
        $this->browser->seeText('[data-testid="hours"]', '56 h at the bench');
        $this->browser->press('Take back');
        $this->browser->seeText('[data-testid="hours"]', '62 h at the bench');

        $this->browser->click('.week-date[data-date="2026-03-15"]');
        $this->browser->click('[data-testid="chosen"] input');
        $this->browser->keys('14-16:30', WebDriverKeys::ENTER);
        $this->browser->seeText('[data-testid="hours"]', '64.5 h at the bench');
        $this->browser->seeText('.week-date[data-date="2026-03-15"][data-single]', '14:00–16:30');
        self::assertSame([['from' => 840, 'until' => 990]], $this->server->request('GET', '/api/evenings')[1]['dates']['2026-03-15']);
        $this->browser->press('As every Sunday');
        $this->browser->seeText('[data-testid="hours"]', '62 h at the bench');
    }

    public function test_the_week_and_the_guns_are_kept_and_what_makes_no_sense_is_said(): void
    {
        $this->evenings();
        $this->browser->script('document.querySelectorAll(".evening-half .session-field input")[0].focus()');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, 'late');
        $this->browser->seeText('.evening-half', 'write it as 19:00–21:00');
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '20-22', WebDriverKeys::ENTER);
        $this->browser->seeText('[data-testid="told"]', 'Sessions on Mondays');
        $this->browser->press('Add a gun');
        $this->browser->press('Keep the guns');
        $this->browser->seeText('[data-testid="told"]', 'Guns: 4');
        self::assertCount(4, $this->server->request('GET', '/api/evenings')[1]['guns']);
        $this->browser->driver->get($this->server->address().'/keep');
        $this->browser->seeText('[data-testid="changes"]', 'Sessions on Mondays');
    }

    public function test_a_place_one_sprays_in_is_kept_and_said_where_no_evening_meets_it(): void
    {
        $this->evenings();
        $this->browser->press('Add a place');
        $this->browser->seeText('.evenings', 'A place wants a name and hours');
        $this->browser->script('document.querySelector(".place-row input").focus()');
        $this->browser->keys('Balcony', WebDriverKeys::TAB);
        $this->browser->keys(WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '7-9');
        $this->browser->press('Keep cabinet and places');
        $this->browser->seeText('[data-testid="told"]', 'Where is sprayed');
        $this->browser->seeText('.evenings', 'None of your usual evenings lies in these hours');
        self::assertSame('Balcony', $this->server->request('GET', '/api/evenings')[1]['workshop']['places'][0]['name']);
        $this->browser->press('Take back');
        $this->browser->seeText('.evenings', 'You spray in the room, at any time you are at the bench.');
    }

    public function test_it_is_clean_under_axe_in_both_surrounds(): void
    {
        foreach (['day', 'booth'] as $surround) {
            $this->browser->driver->get($this->server->address().'/mark.svg');
            $this->browser->script('localStorage.setItem("amber.surround", arguments[0])', [$surround]);
            $this->evenings();
            self::assertSame([], $this->browser->axe(), $surround);
        }
    }

    public function test_the_bench_names_the_model_to_take_up_and_goes_there(): void
    {
        $this->go('bench');
        $this->browser->seeText('[data-testid="take-up"]', 'First take up Dunmore Type 6');
        $this->browser->press('Go to it');
        $this->browser->seeText('.bench', 'Cut gap behind the front plate back to the plastic');
        self::assertSame(0, $this->browser->count('[data-testid="take-up"]'), 'there it is the thing to do');
    }
}
