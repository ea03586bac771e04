<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use Tests\Support\AppTestCase;

/** The masks of the seaplane: its frames, an order of one's own, and shapes to cut. */
final class MasksTest extends AppTestCase
{
    private string $id;

    protected function setUp(): void
    {
        parent::setUp();
        $this->id = (string) Build::query()->where('name', 'Corvane S.4 Shearwater')->value('id');
    }

    /** @return array<string, mixed> */
    private function page(): array
    {
        return $this->send('GET', "/api/builds/{$this->id}/masks")->assertOk()->json();
    }

    public function test_the_frames_tell_what_is_sprayed_and_what_is_capped_with_what(): void
    {
        $page = $this->page();
        $frames = $page['frames'];

        self::assertSame(['seat leather', 'interior dark', 'band yellow', 'pale grey', 'sea grey', 'slate green', null], array_map(static fn (array $f): ?string => $f['colour']['name'] ?? null, $frames));
        $green = array_column($frames[5]['tiles'], null, 'area');
        $areas = array_column(array_merge(...array_column($page['plates'], 'tiles')), 'area', 'name');
        self::assertSame(['sprayed', null], [$green[$areas['upper hull in green']]['as'], $green[$areas['upper hull in green']]['under']]);
        self::assertSame(['capped', 'rolled putty'], [$green[$areas['upper hull in grey']]['as'], $green[$areas['upper hull in grey']]['under']]);
        self::assertSame(['capped', 'paper tape'], [$green[$areas['lower hull']]['as'], $green[$areas['lower hull']]['under']]);
        self::assertTrue($frames[5]['oneSitting']);
        $masks = array_column($page['masks'], null, 'name');
        $putty = $masks['upper hull in grey, wing top in grey and tailplane'];
        self::assertSame(['putty', 'held-card', 2.0], [$putty['medium']['medium'], $putty['runnerUp']['medium'], $putty['softMm']]);
        self::assertStringContainsString('not pressed down', $putty['laid'][0]);
        self::assertSame(24 * 3600, strtotime($putty['latestOff']) - strtotime($putty['on']));
        self::assertTrue($masks['lower hull and wing underside']['isOn']);
        self::assertSame([], array_filter($frames, static fn (array $f): bool => $f['open'] !== ''), 'nothing finished lies open');
    }

    /** @return list<string> ids of the entries as they are planned, with two places changed */
    private function swapped(string $a, string $b): array
    {
        $orders = $this->page()['orders'];
        $ids = array_column($orders['entries'], 'id', 'name');
        $order = $orders['planned']['order'];
        [$i, $j] = [array_search($ids[$a], $order, true), array_search($ids[$b], $order, true)];
        [$order[$i], $order[$j]] = [$order[$j], $order[$i]];

        return $order;
    }

    public function test_an_order_of_ones_own_is_priced_taken_and_taken_back(): void
    {
        $this->id = (string) Build::query()->where('name', 'Torsay')->value('id');
        $order = $this->swapped('Sea Grey', 'Buoy Red');
        $own = $this->send('POST', "/api/builds/{$this->id}/order", ['order' => $order])->assertOk()->json();

        self::assertSame([], $own['against']);
        self::assertGreaterThan(0, $own['order']['more']);
        self::assertNotSame('', $own['order']['decides']);
        $change = $this->send('POST', "/api/builds/{$this->id}/changes", ['title' => 'My own order', 'edits' => $own['edits']], ['If-Match' => '"1"'])->assertCreated()->json('change.id');
        $page = $this->page();
        self::assertSame(['own', $order, $own['order']['minutes']], [$page['orders']['rule'], $page['orders']['planned']['order'], $page['orders']['planned']['minutes']]);
        $hull = array_column($page['plates'], 'id', 'name')['Hull'];
        $sprayed = static fn (array $p): array => array_values(array_filter(array_map(static fn (array $f): ?string => in_array(['plate' => $hull, 'as' => 'sprayed'], array_map(static fn (array $t): array => ['plate' => $t['plate'], 'as' => $t['as']], $f['tiles']), true) ? $f['colour']['name'] : null, $p['frames'])));
        self::assertSame(['Sea Grey', 'Buoy Red'], $sprayed($page), 'the plan follows');
        $this->send('POST', "/api/builds/{$this->id}/changes/{$change}/undo", [], ['If-Match' => '"2"'])->assertCreated();
        self::assertSame(['by-cost', ['Buoy Red', 'Sea Grey']], [$this->page()['orders']['rule'], $sprayed($this->page())]);
    }

    public function test_what_a_must_stands_against_is_named_and_not_taken(): void
    {
        $inside = $this->send('POST', "/api/builds/{$this->id}/order", ['order' => $this->swapped('interior dark, inside', 'band yellow')])->assertOk()->json();

        self::assertSame([], $inside['edits']);
        self::assertStringContainsString('interior dark, inside is inside: it is sprayed before what closes over it', $inside['against'][0]);
        $begun = $this->send('POST', "/api/builds/{$this->id}/order", ['order' => $this->swapped('sea grey', 'slate green')])->assertOk()->json();
        self::assertStringContainsString('sea grey is begun', implode(' ', $begun['against']));
        foreach ([[], ['order' => ['x']], ['order' => 'sea grey'], ['order' => [[1]]], ['order' => array_fill(0, 300, 'x')]] as $bad) {
            self::assertSame('order', $this->send('POST', "/api/builds/{$this->id}/order", $bad)->assertUnprocessable()->json('error.problems.0.path'));
        }
        $this->send('GET', '/api/builds/'.self::ulid(9).'/masks')->assertNotFound();
    }

    public function test_another_medium_for_a_mask_is_followed_by_its_frame(): void
    {
        $mask = array_column($this->page()['masks'], null, 'name')['windscreen panes and hood panes'];
        $this->send('POST', "/api/builds/{$this->id}/changes", ['title' => 'Liquid mask', 'edits' => [['op' => 'add', 'list' => 'pins', 'value' => ['id' => self::ulid(5), 'operation' => 'mask', 'target' => $mask['pieceId'], 'purpose' => $mask['purpose'], 'medium' => 'liquid-mask']]]], ['If-Match' => '"1"'])->assertCreated();
        $after = array_column($this->page()['masks'], null, 'name')['windscreen panes and hood panes'];

        self::assertSame(['liquid-mask', true, 'cut-film'], [$after['medium']['medium'], $after['chosen'], $after['runnerUp']['medium']]);
    }

    public function test_shapes_are_worked_out_and_sent_as_files(): void
    {
        self::assertContains('spiral', array_column($this->send('GET', '/api/templates')->assertOk()->json('templates'), 'name'));
        $made = $this->send('GET', '/api/templates/arch?m[chord]=22&m[rise]=6&pair=1&copies=2')->assertOk()->json();
        self::assertSame([13.08, 4], [$made['shapes'][0]['figures'][0]['value'], $made['sheet']['count']]);
        self::assertStringContainsString('A13.0833 13.0833 0 0 0', $made['shapes'][0]['cuts'][0]);
        $svg = $this->get('/api/templates/arch/sheet.svg?m[chord]=22')->assertOk();
        self::assertStringStartsWith('image/svg+xml', (string) $svg->headers->get('Content-Type'));
        self::assertNotFalse(simplexml_load_string((string) $svg->getContent()));
        self::assertStringContainsString('AC1009', (string) $this->get('/api/templates/arch/sheet.dxf')->assertOk()->getContent());
        foreach (['pane?m[top]=60' => 'top', 'arch?m[rise]=tall' => 'rise', 'hoop' => 'template', 'disc?copies=x' => 'copies', 'disc?copies=1.5' => 'copies', 'disc?grow=99' => 'grow', 'disc?m[diameter][]=4' => 'diameter', 'disc?sheet=5' => 'sheet', 'disc?m[deep]=1' => 'deep'] as $asked => $path) {
            self::assertSame($path, $this->send('GET', "/api/templates/{$asked}")->assertUnprocessable()->json('error.problems.0.path'), $asked);
        }
    }

    public function test_a_soft_edge_is_told_from_either_end(): void
    {
        $ways = $this->send('GET', '/api/soft-edge?width=2&tilt=15&scale=72')->assertOk()->json('ways');
        self::assertSame([['roll', 5.93, 144], ['card', null, 144]], array_map(static fn (array $w): array => [$w['by'], $w['rollMm'], $w['fullMm']], $ways));
        self::assertSame([1, 2], array_values(array_intersect_key($this->send('GET', '/api/soft-edge?roll=4')->json('ways.0'), ['widthMm' => 1, 'movedMm' => 1])));
        foreach (['' => 'width', '?roll=x' => 'roll', '?roll=4&tilt=90' => 'tilt', '?height=-1' => 'height'] as $asked => $path) {
            self::assertSame($path, $this->send('GET', "/api/soft-edge{$asked}")->assertUnprocessable()->json('error.problems.0.path'));
        }
    }

    public function test_a_bought_set_is_read_taken_in_and_what_is_wrong_is_said(): void
    {
        $read = $this->send('POST', "/api/builds/{$this->id}/masks/read", ['text' => 'sheet 4: 1-3 panes, 15L 15R stripe'])->assertOk()->json();
        self::assertSame([['1 pane of sheet 4', 'windscreen panes'], ['2 pane of sheet 4', 'hood panes'], ['3 pane of sheet 4', null]], array_map(static fn (array $m): array => [$m['name'], $m['where']], array_slice($read['masks'], 0, 3)));
        $this->send('POST', "/api/builds/{$this->id}/changes", ['title' => 'Sheet 4', 'edits' => $read['edits']], ['If-Match' => '"1"'])->assertCreated();
        $register = $this->page()['register'];
        self::assertSame(['Left over of sheet 4, without a place: 3 (pane), 15L and 15R (stripe).'], $register['says']);
        self::assertSame([['spare', 'none'], ['spare', 'port'], ['spare', 'starboard']], array_map(static fn (array $m): array => [$m['state'], $m['hand']], array_slice($register['masks'], 2)));
        $left = $register['masks'][3]['id'];
        $this->send('POST', "/api/builds/{$this->id}/changes", ['title' => 'The other hand', 'edits' => [['op' => 'set', 'list' => 'masks', 'id' => $left, 'field' => 'hand', 'value' => 'starboard']]], ['If-Match' => '"2"'])->assertCreated();
        self::assertContains('mask-hand', array_column($this->page()['findings'], 'rule'));
        $this->send('POST', "/api/builds/{$this->id}/changes", ['title' => 'No hand', 'edits' => [['op' => 'set', 'list' => 'masks', 'id' => $left, 'field' => 'hand', 'value' => 'both']]], ['If-Match' => '"3"'])->assertUnprocessable();
        foreach (['panes 1-3', '', 'sheet 4: x'] as $text) {
            $this->send('POST', "/api/builds/{$this->id}/masks/read", ['text' => $text])->assertUnprocessable();
        }
        $this->send('POST', '/api/builds/'.self::ulid(9).'/masks/read', ['text' => 'sheet 4: 1'])->assertNotFound();
    }

    public function test_the_tug_keeps_its_six_tones_together_and_says_what_they_take_out_of_which_jars(): void
    {
        $tug = (string) Build::query()->where('name', 'Brindle Jack')->value('id');
        self::assertNotContains($tug, array_column($this->send('GET', '/api/frame')->json('builds'), 'id'), 'it is shut until its masks are cut');
        $page = $this->send('GET', "/api/builds/{$tug}/masks")->assertOk()->json();

        [$pattern] = $page['register']['patterns'];
        self::assertSame(['keel, at the docking port', ['Hull', 'Engine pods']], [$pattern['start'], $pattern['pieces']]);
        self::assertSame(['tone one', 'tone two', 'tone three', 'tone four', 'tone five', 'tone six'], array_column($pattern['tones'], 'name'));
        $two = $pattern['tones'][1];
        self::assertSame(['Hull', 'Cargo doors', 'Cabin glass'], $two['pieces']);
        // Two parts of pale grey to one of sea grey.
        self::assertEqualsWithDelta(2.0, $two['jars'][0]['ml'] / $two['jars'][1]['ml'], 0.1);
        self::assertSame(['Linnet Pale Grey', 'Linnet Sea Grey'], array_column($two['jars'], 'paint'));
        self::assertGreaterThan($pattern['tones'][3]['ml'], $pattern['tones'][3]['mixMl'], 'a drop of dark to thirty parts');
        self::assertEqualsWithDelta($pattern['ml'], array_sum(array_column($pattern['jars'], 'ml')), 0.05);
        self::assertContains('Left over of sheet mosaic, without a place: 14 (lamp).', $page['register']['says']);

        $varnish = array_values(array_filter($page['frames'], static fn (array $f): bool => $f['varnish']));
        self::assertSame(['gloss varnish'], array_column(array_column($varnish, 'colour'), 'name'), 'the bands of the nozzles shine, the bells do not');
        self::assertCount(1, $varnish[0]['on']);
        self::assertSame([], array_filter($page['findings'], static fn (array $f): bool => $f['severity'] === 'stop'));
    }

    public function test_a_rubbing_and_bridged_letters_are_worked_out_and_what_is_too_fine_is_said(): void
    {
        $of = fn (string $query): array => $this->send('GET', "/api/templates/{$query}")->assertOk()->json();
        $rubbing = $of('rubbing?m[known]=20&m[from]=0 0&m[to]=100 0&m[points]='.rawurlencode('0 0, 100 0, 100 50, 50 70 r, 0 50'));
        self::assertSame(20.0, (float) array_column($rubbing['shapes'][0]['figures'], 'value', 'name')['width, mm']);
        self::assertSame([], $rubbing['says']);
        self::assertCount(2, $of('letters?m[text]=O&m[height]=12')['shapes'][0]['cuts']);
        self::assertCount(2, $of('letters?m[text]=O&m[height]=12&m[bridge]=1')['shapes'][0]['cuts'], 'its left and its right half');
        self::assertStringContainsString('take a decal', $of('rectangle?m[width]=20&m[height]=0.25')['says'][0]);
        $this->send('GET', '/api/templates/letters?m[text]=O&m[height]=12&m[bridge]=5')->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'bridge');
        $this->send('GET', '/api/templates/rubbing?m[points]=1')->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'points');
    }
}
