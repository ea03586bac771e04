<?php

declare(strict_types=1);

namespace Tests\Http;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Material\Product as Paint;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Timing\Calendar;
use AmberStep\Core\Work\Operation;
use App\Models\Build;
use App\Repositories\BuildRepository;
use App\Repositories\ShelfRepository;
use App\Room\RoomSource;
use Tests\Support\AppTestCase;

/** The glider Marram: finished, with three weeks of log, recipes, spoons and a lesson that changes what is advised since. */
final class GliderTest extends AppTestCase
{
    private string $id;

    protected function setUp(): void
    {
        parent::setUp();
        $this->id = (string) Build::query()->where('name', 'Marram')->value('id');
    }

    public function test_it_is_finished_and_its_sheet_says_how(): void
    {
        $sheet = $this->send('GET', "/api/builds/{$this->id}/finish")->assertOk()->json();
        $days = (strtotime($sheet['last']) - strtotime($sheet['first'])) / 86400;

        self::assertSame(0, $sheet['left']);
        self::assertTrue($days > 14 && $days < 28, 'about three weeks');
        $coats = array_column($sheet['coats'], null, 'colour');
        self::assertSame(['Gull White', '8 Linnet Ground White : 1 Linnet Harbour Cream : 6 own thinner'], [$coats['gull white']['name'], $coats['gull white']['recipe']]);
        self::assertSame('3 Linnet Band Yellow : 1 Linnet Buoy Red : 2.5 own thinner', $coats['tow orange']['recipe']);
        self::assertSame(['Prime', 'Decals'], array_values(array_unique(array_intersect(array_column($sheet['coats'], 'what'), ['Prime', 'Decals']))));
        self::assertSame(['Lifted with the tape', 'Tow Orange'], [$sheet['faults'][0]['what'], $sheet['faults'][0]['with']]);
        self::assertSame('The floor covers it; nobody looks in from below.', $sheet['accepted'][0]['reason']);
        self::assertSame(['hull halves', 'sink over the spar'], $sheet['good']);
        $frame = array_column($this->send('GET', '/api/frame')->json('builds'), null, 'name');
        self::assertSame('done', $frame['Marram']['aspect']['kind']);
        self::assertSame([], array_values(array_filter($this->planOf($this->id)['findings'], static fn (array $f): bool => $f['severity'] === 'stop')));
    }

    public function test_its_lesson_is_in_the_log_and_the_coats_of_another_build_follow_from_its_spoon(): void
    {
        $notes = array_filter(array_column($this->send('GET', "/api/builds/{$this->id}/log")->assertOk()->json('events'), 'note'));
        self::assertStringContainsString('took the orange with it', implode(' ', $notes));

        // The red that stayed dull on the glider is laid on the tender in more coats than its class would have it.
        $tender = app(BuildRepository::class)->find((string) Build::query()->where('name', 'Torsay')->value('id'));
        self::assertNotNull($tender);
        $shelf = app(ShelfRepository::class)->shelf();
        $unread = new Shelf(array_map(static fn (Paint $p): Paint => $p->optics?->spoonEpoch === null ? $p : $p->with(['optics' => null]), $shelf->products));
        $coats = static function (Shelf $shelf) use ($tender): int {
            $now = (int) strtotime(self::NOW);
            $plan = Plan::compile($tender->kit, new HouseRules, $shelf, $tender->events(), app(RoomSource::class)->room($now), Calendar::usual($tender->kit->zone), $now);

            return max(array_map(static fn (PlannedStep $p): int => $p->step->operation === Operation::Colour && $p->step->product?->name === 'Linnet Buoy Red' ? $p->step->of : 0, array_values($plan->left)));
        };

        self::assertGreaterThan($coats($unread), $coats($shelf));
    }

    public function test_it_goes_out_and_comes_in_with_its_recipes_on_a_shelf_that_never_had_them(): void
    {
        $file = $this->get("/api/builds/{$this->id}/export")->assertOk()->json();
        $names = array_column($file['products'], 'mix', 'name');
        foreach (['Gull White', 'Tow Orange', 'Cockpit Haze', 'Linnet Harbour Cream', 'Linnet Buoy Red'] as $name) {
            self::assertArrayHasKey($name, $names);
        }
        self::assertNotNull($names['Tow Orange']);
        \App\Models\Product::query()->delete();
        $this->send('POST', '/api/builds?mode=replace', $file)->assertCreated();
        self::assertSame($file['products'], $this->get("/api/builds/{$this->id}/export")->json('products'));
    }
}
