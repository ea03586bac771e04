<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Support\BrowserTestCase;

/** Seams and grits on the screen. */
final class SurfaceTest extends BrowserTestCase
{
    public function test_a_seam_is_chosen_its_filler_explained_and_the_ladder_follows_what_one_owns(): void
    {
        $this->build = array_column($this->server->request('GET', '/api/frame')[1]['builds'], 'id', 'name')['Dunmore Type 6'];
        $this->go('surface');
        $this->browser->seeText('.filler', 'Filled with solvent putty');
        $this->browser->press('deck seam');
        $this->browser->seeText('[data-testid="filler"]', 'Card shim: a straight gap of 0.3 mm or more');
        $this->browser->seeText('.filler', 'Card of 0.38 mm (15 thou)');
        self::assertSame(3, $this->browser->count('.strip'));

        $this->browser->seeText('.ladder-figure', 'You have all of them');
        $this->browser->press('P600');
        $this->browser->seeText('.ladder-figure', 'To buy: P600');
        self::assertSame(1, $this->browser->count('.ladder-scratch[data-missing]'));
    }
}
