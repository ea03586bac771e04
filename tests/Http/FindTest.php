<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use Tests\Support\AppTestCase;

/** Whatever has a name in a build can be looked for. */
final class FindTest extends AppTestCase
{
    /** @return array<string, array<string, string>> what each is said of, by name, by kind */
    private function things(string $build): array
    {
        $out = [];
        foreach ($this->send('GET', "/api/builds/{$build}/find")->assertOk()->json('things') as $thing) {
            $out[$thing['kind']][$thing['name']] ??= $thing['says'];
        }

        return $out;
    }

    public function test_pieces_areas_paints_steps_and_rules_are_there_by_name(): void
    {
        $things = $this->things($this->buildId());
        $plan = $this->plan();

        self::assertSame(array_column($plan['pieces'], 'name'), array_keys($things['piece']));
        self::assertSame('Hull and wing', $things['area']['Wing top in grey']);
        self::assertSame('water acrylic', $things['paint']['Linnet Sea Grey']);
        self::assertSame('Canopy', $things['step']['Mask the panes with cut film']);
        $findings = array_column($this->send('GET', "/api/builds/{$this->buildId()}/find")->json('things'), 'findings', 'name');
        self::assertSame([1, 0], [$findings['Same colour together'], $findings['Soft vinyl']]);
        self::assertSame(count($plan['findings']), array_sum($findings));
        self::assertSame($plan['stepsLeft'], count(array_filter($this->send('GET', "/api/builds/{$this->buildId()}/find")->json('things'), static fn (array $t): bool => $t['kind'] === 'step')));
    }

    public function test_places_to_make_good_are_there_and_a_step_that_is_done_is_not(): void
    {
        $tractor = (string) Build::query()->where('name', 'Dunmore Type 6')->value('id');
        self::assertSame('a seam to make good', $this->things($tractor)['place']['Deck seam']);
        self::assertSame('a place to make good', $this->things($tractor)['place']['Sink over the winch']);

        $current = $this->bench()['current'];
        self::assertContains($current['key'], array_column($this->send('GET', "/api/builds/{$this->buildId()}/find")->json('things'), 'id'));
        $this->send('POST', "/api/builds/{$this->buildId()}/events", ['id' => self::ulid(1), 'at' => self::NOW, ...$current['event']])->assertCreated();
        self::assertNotContains($current['key'], array_column($this->send('GET', "/api/builds/{$this->buildId()}/find")->json('things'), 'id'));
        $this->send('GET', '/api/builds/'.self::ulid(9).'/find')->assertNotFound();
    }
}
