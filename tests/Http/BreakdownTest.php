<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use Tests\Support\AppTestCase;

/** The break-down of the demo builds is an expert's, and each proposal of it can be turned down. */
final class BreakdownTest extends AppTestCase
{
    public function test_the_tractor_comes_apart_as_an_expert_would_take_it(): void
    {
        $advice = $this->breakdown('Dunmore Type 6');
        $joints = array_column($advice['joints'], null, 'name');

        self::assertSame('Step 4 closes deck seam over Lower hull, engine bay and Radiator bay inside: who glues first is shut out; the plan has Interior Dark on before.', $advice['deadStop']);
        foreach (['port fender seam' => 'the joint must vanish', 'starboard fender seam' => 'the joint must vanish', 'deck seam' => 'the joint must vanish', 'filler cap seat' => 'one colour'] as $name => $because) {
            self::assertTrue($joints[$name]['beforePaint'], $name);
            self::assertStringContainsString($because, $joints[$name]['because']);
        }
        foreach (['turntable pivot' => 'the gun cannot see', 'jib foot' => 'materials differ', 'winch bed' => 'materials differ', 'grille seats' => 'materials differ', 'axles' => 'colours differ', 'track run' => 'materials differ', 'tool racks' => 'colours differ', 'glass seats' => 'a tint of its own'] as $name => $because) {
            self::assertFalse($joints[$name]['beforePaint'], $name);
            self::assertStringContainsString($because, $joints[$name]['because']);
        }
        self::assertSame(['clip' => 5, 'peg' => 14, 'board' => 1], array_intersect_key(array_column($advice['holders'], 'atOnce', 'holder'), ['clip' => 0, 'peg' => 0, 'board' => 0]));
        self::assertSame(['epoxy', 'superglue', 'clear-glue'], [$joints['jib foot']['glue'], $joints['grille seats']['glue'], $joints['glass seats']['glue']]);
        self::assertStringContainsString('Both faces stay bare', implode(' ', $joints['axles']['bare']));
        self::assertGreaterThan($joints['turntable pivot']['order'], $joints['track run']['order'], 'tracks and glass come last');
    }

    public function test_the_plan_of_the_tractor_follows_it(): void
    {
        $plan = $this->planOf((string) Build::query()->where('name', 'Dunmore Type 6')->value('id'));
        $steps = array_merge(...array_column($plan['stages'], 'steps'));
        $at = static fn (string $title): string => array_values(array_filter($steps, static fn (array $s): bool => $s['title'] === $title))[0]['start'];

        self::assertLessThan($at('Close deck seam with slow cement'), $at('Spray Interior Dark, second light coat'));
        $primers = [];
        foreach ($steps as $step) {
            if ($step['operation'] === 'prime') {
                $primers[$step['piece']] = $step['title'];
            }
        }
        foreach (['Jib', 'Grilles', 'Winch'] as $piece) {
            self::assertStringContainsString('Garnock', $primers[$piece], "{$piece} gets a lacquer primer");
        }
        self::assertStringContainsString('Linnet', $primers['Tracks'], 'soft vinyl gets water acrylics only');
        $stops = array_values(array_filter($plan['findings'], static fn (array $f): bool => $f['severity'] === 'stop'));
        self::assertEqualsCanonicalizing(['Desert Sand: A12 mirror base is on no piece', 'Tool Steel: A13 mirror is on no piece'], array_column($stops, 'title'), 'the mirrors are what people forget');
    }

    public function test_turning_any_one_proposal_down_gives_a_sound_plan_or_says_what_stands_against_it(): void
    {
        $id = (string) Build::query()->where('name', 'Dunmore Type 6')->value('id');
        $stopped = [];
        foreach ($this->breakdown('Dunmore Type 6')['joints'] as $joint) {
            if ($joint['closedAt'] !== null) {
                continue;
            }
            $preview = $this->send('POST', "/api/builds/{$id}/preview", ['edits' => [['op' => 'set', 'list' => 'joints', 'id' => $joint['id'], 'field' => 'closed', 'value' => $joint['beforePaint'] ? 'after' : 'before']]])->assertOk()->json('preview');
            foreach ($preview['findingsNew'] as $finding) {
                if ($finding['severity'] === 'stop') {
                    $stopped[$joint['name']] = $finding['title'];
                }
            }
        }

        self::assertSame(['deck seam' => 'Deck seam is to vanish, and closes after paint'], $stopped);
    }

    public function test_the_tender_has_twelve_holders_too_few_until_one_says_otherwise(): void
    {
        $advice = $this->breakdown('Torsay');
        $sticks = array_column($advice['holders'], null, 'holder')['stick'];
        self::assertSame([36, 24, 12], [$sticks['atOnce'], $sticks['owned'], $sticks['short']]);
        self::assertSame(['Base'], array_column($advice['parked'], 'name'), 'the show allows no base');
        self::assertSame('keel', $advice['pieces'][0]['holder']);

        $id = (string) Build::query()->where('name', 'Torsay')->value('id');
        $fix = array_values(array_filter($advice['findings'], static fn (array $f): bool => $f['rule'] === 'handle-first'))[0]['fixes'][0];
        $this->send('POST', "/api/builds/{$id}/changes", ['title' => $fix['title'], 'edits' => $fix['edits']], ['If-Match' => '"1"'])->assertCreated();
        self::assertSame(0, array_column($this->breakdown('Torsay')['holders'], null, 'holder')['stick']['short']);
    }

    public function test_parts_that_look_alike_are_ticked_off_with_the_place_they_were_fitted_in(): void
    {
        $id = (string) Build::query()->where('name', 'Dunmore Type 6')->value('id');
        $fitting = array_column($this->breakdown('Dunmore Type 6')['fitting'], null, 'name');
        self::assertSame(['left', ['left', 'right'], 0], [$fitting['Port fender']['place'], $fitting['Port fender']['places'], $fitting['Port fender']['left']]);

        $this->send('POST', "/api/builds/{$id}/events", ['id' => self::ulid(1), 'kind' => 'fitted', 'at' => self::NOW, 'targets' => [$fitting['Port fender']['id']], 'place' => 'right'])->assertCreated();
        $after = $this->breakdown('Dunmore Type 6');
        self::assertContains('Port fender sits in the wrong place', array_column($after['findings'], 'title'));
        self::assertSame([['place' => 'right', 'event' => self::ulid(1)]], array_column($after['fitting'], 'fitted', 'name')['Port fender']);
    }

    /** @return array<string, mixed> */
    private function breakdown(string $name): array
    {
        return $this->send('GET', '/api/builds/'.Build::query()->where('name', $name)->value('id').'/breakdown')->assertOk()->json();
    }
}
