<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use Tests\Support\AppTestCase;

/** The seams of the tractor on their way to vanishing, and the grits to take them there. */
final class SurfaceTest extends AppTestCase
{
    private string $id;

    protected function setUp(): void
    {
        parent::setUp();
        $this->id = (string) Build::query()->where('name', 'Dunmore Type 6')->value('id');
    }

    public function test_each_seam_says_how_far_it_has_come_and_what_is_next(): void
    {
        $seams = array_column($this->surface()['seams'], null, 'name');
        $done = static fn (string $name): array => array_column(array_filter($seams[$name]['stages'], static fn (array $s): bool => $s['done']), 'word');

        self::assertSame(['port fender seam', 'starboard fender seam', 'deck seam'], array_keys($seams));
        self::assertSame([['glued', 'filled'], ['glued', 'filled', 'cut back'], []], [$done('port fender seam'), $done('starboard fender seam'), $done('deck seam')]);
        self::assertSame(['Cut port fender seam back to the plastic', 'Close deck seam with slow cement'], [$seams['port fender seam']['next'], $seams['deck seam']['next']]);
        self::assertSame(['solvent putty', null], [$seams['port fender seam']['filledWith'], $seams['deck seam']['filledWith']]);
        self::assertSame(['shim', 'water-putty'], [$seams['deck seam']['advice']['filler'], $seams['deck seam']['advice']['runnerUp']['filler']]);
        self::assertFalse($seams['deck seam']['good']);
    }

    public function test_a_filler_that_sets_holds_its_seam_and_one_that_sets_too_hard_closes(): void
    {
        $joint = array_column($this->surface()['seams'], 'id', 'name')['port fender seam'];
        $this->send('POST', "/api/builds/{$this->id}/events", ['id' => self::ulid(1), 'kind' => 'done', 'at' => self::NOW, 'operation' => 'fill', 'targets' => [$joint], 'purpose' => 'again', 'filler' => 'superglue-powder'])->assertCreated();
        $seam = array_column($this->surface()['seams'], null, 'name')['port fender seam'];
        self::assertSame(['superglue with powder', 'superglue with powder'], [$seam['filledWith'], $seam['because']]);
        self::assertGreaterThan(self::NOW, $seam['holdUntil']);
        self::assertSame('2026-03-03T19:10:00Z', $seam['closes'], 'shut at five minutes');

        $this->at('2026-03-03T19:08:00Z');
        $open = array_column($this->surface()['seams'], null, 'name')['port fender seam'];
        self::assertSame([null, '2026-03-03T19:10:00Z'], [$open['holdUntil'], $open['closes']], 'now or never');
    }

    public function test_a_seam_checked_is_good(): void
    {
        $joint = array_column($this->surface()['seams'], 'id', 'name')['starboard fender seam'];
        $this->send('POST', "/api/builds/{$this->id}/events", ['id' => self::ulid(1), 'kind' => 'done', 'at' => self::NOW, 'operation' => 'check-seam', 'targets' => [$joint], 'purpose' => 'all', 'stepKey' => "{$joint}/check-seam/all/1"])->assertCreated();
        $seam = array_column($this->surface()['seams'], null, 'name')['starboard fender seam'];

        self::assertSame([true, null], [$seam['good'], $seam['next']]);
    }

    public function test_the_ladder_follows_the_grits_owned_and_the_house_rule(): void
    {
        $ladder = $this->surface()['ladder'];
        self::assertSame([['P400', 'P600'], 'P600'], [array_column($ladder['steps'], 'grit'), $ladder['to']]);

        $this->send('PUT', '/api/house', ['question' => 'primer', 'position' => 'never'])->assertOk();
        self::assertSame(['P400', 'P800', 'P1500'], array_column($this->surface()['ladder']['steps'], 'grit'));

        $this->send('PUT', '/api/grits', ['owned' => ['P400', '1000 CAMI', 'cloth 1800', 'P1500']])->assertOk()->assertJsonPath('owned.2', '1800 polishing cloth');
        $steps = array_column($this->surface()['ladder']['steps'], 'missing', 'grit');
        self::assertFalse($steps['P1500']);
        self::assertContains(true, $steps, 'what skips too far wants something bought');
    }

    public function test_what_is_no_grit_is_refused_and_nothing_changes(): void
    {
        $owned = $this->surface()['owned'];
        $this->send('PUT', '/api/grits', ['owned' => ['P400', '400']])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'owned[1]')->assertJsonPath('error.problems.0.right', 'write P400 (35 µm) or 400 CAMI (23.6 µm)');
        $this->send('PUT', '/api/grits', ['owned' => 'all'])->assertUnprocessable();
        $this->send('PUT', '/api/grits', [])->assertUnprocessable();

        self::assertSame($owned, $this->surface()['owned']);
        $this->get('/api/builds/'.self::ulid(1).'/surface')->assertNotFound();
    }

    public function test_a_build_without_a_seam_has_none(): void
    {
        $id = $this->send('POST', '/api/builds/blank', ['name' => 'Plain', 'scale' => 35])->json('build.id');

        self::assertSame([], $this->send('GET', "/api/builds/{$id}/surface")->assertOk()->json('seams'));
    }

    /** @return array<string, mixed> */
    private function surface(): array
    {
        return $this->send('GET', "/api/builds/{$this->id}/surface")->assertOk()->json();
    }
}
