<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use Tests\Support\AppTestCase;

/** The register of the tractor: places on their way to good, rounds, and the grits to take them there. */
final class SurfaceTest extends AppTestCase
{
    private string $id;

    protected function setUp(): void
    {
        parent::setUp();
        $this->id = (string) Build::query()->where('name', 'Dunmore Type 6')->value('id');
    }

    public function test_the_demo_has_nine_places_at_different_stages(): void
    {
        $done = array_map(static fn (array $p): string => implode(', ', array_column(array_filter($p['stages'], static fn (array $s): bool => $s['done']), 'word')), array_column($this->surface()['places'], null, 'name'));

        self::assertSame([
            'port fender seam' => 'glued, filled, set', 'starboard fender seam' => 'glued, filled, set, cut back', 'deck seam' => '',
            'gap behind the front plate' => 'found, filled, set', 'sink over the winch' => 'found', 'ejector mark inside, seen from below' => 'found, filled',
            'gate stub at the rim' => 'found, cut back, checked, good', 'seam along the lid' => 'found', 'lettering under the seat' => 'found, cut back, checked, accepted as it is',
        ], $done);
        $places = array_column($this->surface()['places'], null, 'name');
        self::assertSame(['2026-03-03T19:07:00Z', null], [$places['gap behind the front plate']['closes'], $places['gap behind the front plate']['holdUntil']], 'superglue: now or never');
        self::assertSame(['The seat covers it.', 'accept'], [$places['lettering under the seat']['closed']['reason'], $places['lettering under the seat']['closed']['verdict']]);
        self::assertSame(['shim', 'water-putty'], [$places['deck seam']['advice']['filler'], $places['deck seam']['advice']['runnerUp']['filler']]);
        self::assertContains('real-detail', array_column($this->surface()['findings'], 'rule'));
        self::assertStringContainsString('found 2, the one before 5', $this->surface()['rounds']['why']);
        self::assertSame(['fill', 'sand', 'rescribe', 'halo'], $this->surface()['rounds']['counts'], 'good, real detail and accepted ask for nothing');
        $torsay = (string) Build::query()->where('name', 'Torsay')->value('id');
        $wiped = array_filter($this->send('GET', "/api/builds/{$torsay}/surface")->assertOk()->json('places'), static fn (array $p): bool => $p['access'] === 'none');
        self::assertCount(4, $wiped);
        self::assertSame(['clear-glue'], array_values(array_unique(array_map(static fn (array $p): string => $p['advice']['filler'], $wiped))));
    }

    /** @return array<string, mixed> */
    private function finish(): array
    {
        return $this->send('GET', "/api/builds/{$this->id}/finish")->assertOk()->json();
    }

    public function test_the_finish_sheet_says_what_was_made_good_and_what_was_taken_as_it_is(): void
    {
        $finding = array_values(array_filter($this->planOf($this->id)['findings'], static fn (array $f): bool => $f['rule'] === 'real-detail'))[0];
        $this->send('POST', "/api/builds/{$this->id}/changes", ['title' => 'Accept', 'edits' => [['op' => 'add', 'list' => 'accepted', 'value' => ['id' => self::ulid(7), 'finding' => $finding['key'], 'facts' => $finding['facts'], 'reason' => 'The lid is turned to the wall.']]]], ['If-Match' => '"1"'])->assertCreated();
        $sheet = $this->finish();

        self::assertSame([['what' => 'Lettering under the seat', 'reason' => 'The seat covers it.'], ['what' => 'Real detail on seam along the lid', 'reason' => 'The lid is turned to the wall.']], $sheet['accepted']);
        self::assertSame([['gate stub at the rim'], true], [$sheet['good'], in_array('superglue with powder', $sheet['fillers'], true)]);
        self::assertGreaterThan(0, $sheet['left']);
        self::assertLessThan($sheet['last'], $sheet['first']);
    }

    public function test_a_filler_that_sets_holds_its_place_and_says_what_comes_of_being_early(): void
    {
        $place = $this->place('port fender seam');
        $this->happened(['kind' => 'done', 'operation' => 'fill', 'targets' => [$place['id']], 'purpose' => 'again', 'filler' => 'water-putty']);
        $held = $this->place('port fender seam');

        self::assertSame(['water putty', 'water putty', 'It is damp underneath and breaks out in crumbs.'], [$held['filledWith'], $held['because'], $held['early']]);
        self::assertSame(['glued', 'filled'], array_column(array_filter($held['stages'], static fn (array $s): bool => $s['done']), 'word'));
        self::assertGreaterThan(self::NOW, $held['holdUntil']);
    }

    public function test_verdicts_move_a_place_on_and_are_taken_back(): void
    {
        $place = $this->place('starboard fender seam');
        $this->happened(['kind' => 'verdict', 'verdict' => 'fill', 'targets' => [$place['id']], 'purpose' => 'check coat']);
        self::assertSame("{$place['id']}/fill/all/2", $this->place('starboard fender seam')['next']['key']);
        $this->happened(['kind' => 'verdict', 'verdict' => 'good', 'targets' => [$place['id']], 'purpose' => 'nail'], 2);
        self::assertSame([true, null], [$this->place('starboard fender seam')['good'], $this->place('starboard fender seam')['next']]);
        $this->happened(['kind' => 'take-back', 'takesBack' => self::ulid(2)], 3);
        $this->happened(['kind' => 'take-back', 'takesBack' => self::ulid(1)], 4);
        self::assertSame("{$place['id']}/check-coat/all/1", $this->place('starboard fender seam')['next']['key']);
    }

    public function test_a_flaw_takes_what_is_done_to_it_and_said_of_it(): void
    {
        $seam = $this->place('seam along the lid');
        self::assertTrue($seam['asksDetail']);
        $this->happened(['kind' => 'verdict', 'verdict' => 'no-detail', 'targets' => [$seam['id']], 'purpose' => 'raking light']);
        $next = $this->place('seam along the lid')['next'];
        self::assertSame('Cut seam along the lid back to the plastic', $next['title']);
        $this->happened($next['event'], 2);
        self::assertTrue($this->place('seam along the lid')['looks']);
        self::assertNotContains('real-detail', array_column($this->surface()['findings'], 'rule'));
    }

    public function test_what_is_accepted_is_told_with_its_reason(): void
    {
        $this->happened(['kind' => 'verdict', 'verdict' => 'accept', 'targets' => [$this->place('seam along the lid')['id']], 'purpose' => 'nail', 'note' => 'No time before the show']);
        $log = $this->send('GET', "/api/builds/{$this->id}/log")->assertOk()->json();

        self::assertSame([['what' => 'Lettering under the seat', 'reason' => 'The seat covers it.'], ['what' => 'Seam along the lid', 'reason' => 'No time before the show']], $log['accepted']);
        self::assertSame(['Looked at, nail: accepted as it is', 'Fill, superglue with powder', 'Fill, solvent putty', 'Round, check coat: 2 found'], array_column(array_slice($log['events'], 0, 4), 'title'));
        $this->happened(['kind' => 'verdict', 'verdict' => 'sand', 'targets' => [$this->place('lettering under the seat')['id']], 'purpose' => 'nail'], 2);
        self::assertSame(['Seam along the lid'], array_column($this->send('GET', "/api/builds/{$this->id}/log")->json('accepted'), 'what'));
        self::assertSame(['Seam along the lid'], array_column($this->finish()['accepted'], 'what'));
    }

    public function test_a_round_is_closed_with_what_it_found(): void
    {
        $this->happened(['kind' => 'verdict', 'verdict' => 'clean', 'found' => 0, 'purpose' => 'primer']);
        $rounds = $this->surface()['rounds'];

        self::assertSame([false, 'The last round found nothing.', [5, 2, 0], ['raking light', 'check coat', 'primer']], [$rounds['pays'], $rounds['why'], array_column($rounds['gone'], 'found'), array_column($rounds['gone'], 'means')]);
    }

    public function test_a_place_is_noted_measured_in_thou_and_struck_out(): void
    {
        $hull = array_column($this->surface()['parts'], 'id', 'name')['Lower hull'];
        $flaw = self::ulid(50);
        $this->edits([['op' => 'add', 'list' => 'flaws', 'value' => ['id' => $flaw, 'kind' => 'sink', 'part' => $hull, 'where' => 'aft']]]);
        $cell = fn (string $field, string $text) => $this->send('POST', "/api/builds/{$this->id}/cell", ['list' => 'flaws', 'id' => $flaw, 'field' => $field, 'text' => $text], ['If-Match' => '"'.$this->surface()['build']['revision'].'"']);
        $cell('depthMm', '35 thou')->assertCreated()->assertJsonPath('change.title', 'Sink aft: depth 35 thou');
        $cell('widthMm', '0,5')->assertCreated();
        $cell('where', 'roof, left')->assertCreated();
        $sink = $this->place('sink roof, left');
        self::assertEqualsWithDelta([0.5, 0.889, 0.889], [$sink['measured']['widthMm'], $sink['measured']['depthMm'], $sink['widthMm']], 1e-9);
        self::assertSame('water-putty', $sink['advice']['filler'], 'what lies low is no gap for card');

        $cell('depthMm', 'deep')->assertUnprocessable()->assertJsonPath('error.problems.0.right', 'write it as 0.9 mm or 35 thou');
        $cell('widthMm', '25')->assertUnprocessable()->assertJsonPath('error.problems.0.wrong', '25 mm is more than there is');
        $cell('kind', 'seam')->assertUnprocessable();
        $cell('where', str_repeat('x', 121))->assertUnprocessable();
        self::assertSame($sink['measured'], $this->place('sink roof, left')['measured'], 'nothing half-written');
        $this->edits([['op' => 'remove', 'list' => 'flaws', 'id' => $flaw]]);
        self::assertNotContains('sink roof, left', array_column($this->surface()['places'], 'name'));
    }

    public function test_what_makes_no_sense_of_a_place_is_refused_and_nothing_changes(): void
    {
        $place = $this->place('deck seam')['id'];
        $send = fn (array $event) => $this->send('POST', "/api/builds/{$this->id}/events", ['id' => self::ulid(9), 'kind' => 'verdict', 'at' => self::NOW, ...$event])->assertUnprocessable();
        $send(['verdict' => 'accept', 'targets' => [$place], 'purpose' => ''])->assertJsonPath('error.problems.0.right', 'give the reason it is accepted');
        $send(['verdict' => 'good'])->assertJsonPath('error.problems.0.right', 'name the joint or the flaw');
        $send(['verdict' => 'lovely', 'targets' => [$place]]);
        $send(['verdict' => 'good', 'targets' => [self::ulid(8)]]);
        $edit = fn (array $value) => $this->send('POST', "/api/builds/{$this->id}/changes", ['title' => 'x', 'edits' => [['op' => 'add', 'list' => 'flaws', 'value' => ['id' => self::ulid(7), ...$value]]]], ['If-Match' => '"'.$this->surface()['build']['revision'].'"'])->assertUnprocessable();
        $edit(['kind' => 'sink', 'part' => self::ulid(6)]);
        $edit(['kind' => 'hole', 'part' => array_column($this->surface()['parts'], 'id')[0]]);
        $edit(['kind' => 'sink', 'part' => array_column($this->surface()['parts'], 'id')[0], 'widthMm' => -1]);

        self::assertCount(9, $this->surface()['places']);
    }

    public function test_detail_is_ticked_before_primer(): void
    {
        $row = array_column($this->surface()['features'], null, 'name')['rivet row at the deck seam'];
        self::assertNull($row['doneBy']);
        $this->happened(['kind' => 'done', 'operation' => 'rescribe', 'targets' => [$row['id']], 'purpose' => 'feature', 'stepKey' => "{$row['id']}/rescribe/feature/1"]);

        self::assertSame(self::ulid(1), array_column($this->surface()['features'], null, 'name')['rivet row at the deck seam']['doneBy']);
    }

    public function test_the_ladder_follows_the_grits_owned_and_the_house_rule(): void
    {
        $ladder = $this->place('port fender seam')['ladder'];
        self::assertSame([['P400', 'P600'], 'P600'], [array_column($ladder['steps'], 'grit'), $ladder['to']]);

        $this->send('PUT', '/api/house', ['question' => 'primer', 'position' => 'never'])->assertOk();
        self::assertSame(['P400', 'P800', 'P1500'], array_column($this->place('port fender seam')['ladder']['steps'], 'grit'));

        $this->send('PUT', '/api/grits', ['owned' => ['P400', '1000 CAMI', 'cloth 1800', 'P1500']])->assertOk()->assertJsonPath('owned.2', '1800 polishing cloth');
        $steps = array_column($this->place('port fender seam')['ladder']['steps'], 'missing', 'grit');
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

    public function test_a_build_without_a_place_has_none(): void
    {
        $id = $this->send('POST', '/api/builds/blank', ['name' => 'Plain', 'scale' => 35])->json('build.id');

        self::assertSame([], $this->send('GET', "/api/builds/{$id}/surface")->assertOk()->json('places'));
    }

    /** @param  array<string, mixed>  $event */
    private function happened(array $event, int $n = 1): void
    {
        $this->send('POST', "/api/builds/{$this->id}/events", ['id' => self::ulid($n), 'at' => self::NOW, ...$event])->assertCreated();
    }

    /** @param  list<array<string, mixed>>  $edits */
    private function edits(array $edits): void
    {
        $this->send('POST', "/api/builds/{$this->id}/changes", ['title' => 'In the register', 'edits' => $edits], ['If-Match' => '"'.$this->surface()['build']['revision'].'"'])->assertCreated();
    }

    /** @return array<string, mixed> */
    private function place(string $name): array
    {
        return array_column($this->surface()['places'], null, 'name')[$name];
    }

    /** @return array<string, mixed> */
    private function surface(): array
    {
        return $this->send('GET', "/api/builds/{$this->id}/surface")->assertOk()->json();
    }
}
