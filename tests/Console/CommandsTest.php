<?php

declare(strict_types=1);

namespace Tests\Console;

use App\Models\Build;
use Illuminate\Support\Facades\Artisan;
use Symfony\Component\Process\Process;
use Tests\Support\AppTestCase;

final class CommandsTest extends AppTestCase
{
    private string $file = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->file = sys_get_temp_dir().'/amber-'.bin2hex(random_bytes(5)).'.json';
        Artisan::call('amber:export', ['--to' => $this->file]);
    }

    protected function tearDown(): void
    {
        @unlink($this->file);
        parent::tearDown();
    }

    /** @return array{int, string, string} exit code, standard output, standard error */
    private function amber(string ...$arguments): array
    {
        $process = new Process([PHP_BINARY, base_path('artisan'), ...$arguments], null, ['APP_ENV' => 'testing', 'DB_DATABASE' => ':memory:', 'AMBER_NOW' => self::NOW]);
        $process->run();

        return [(int) $process->getExitCode(), $process->getOutput(), $process->getErrorOutput()];
    }

    public function test_plan_prints_the_same_as_the_api_would_and_nothing_else(): void
    {
        [$code, $out, $err] = $this->amber('amber:plan', $this->file, '--at='.self::NOW, '--json');
        $plan = json_decode($out, true);

        self::assertSame([0, ''], [$code, $err]);
        self::assertSame(['now', 'stepsLeft', 'finish', 'stages', 'cleaning', 'cups', 'pieces', 'holds', 'findings', 'steered', 'section'], array_keys($plan));
        self::assertSame(json_decode((string) file_get_contents(__DIR__.'/../snapshots/shearwater-plan.json'), true), $plan, 'the plan of the demo changed: look at it, then store it anew');
    }

    public function test_the_plan_of_the_coupe_is_as_it_was(): void
    {
        $coupe = Build::query()->where('name', 'Alvero Cinder 1600')->firstOrFail();
        Artisan::call('amber:export', ['build' => $coupe->id, '--to' => $this->file]);
        [$code, $out] = $this->amber('amber:plan', $this->file, '--at='.self::NOW, '--json');

        self::assertSame(0, $code);
        self::assertSame(json_decode((string) file_get_contents(__DIR__.'/../snapshots/cinder-plan.json'), true), json_decode($out, true), 'the plan of the demo changed: look at it, then store it anew');
    }

    public function test_tally_and_break_down_of_the_tractor_in_words_and_as_json(): void
    {
        $tractor = Build::query()->where('name', 'Dunmore Type 6')->firstOrFail();
        Artisan::call('amber:export', ['build' => $tractor->id, '--to' => $this->file]);
        [$code, $out, $err] = $this->amber('amber:tally', $this->file, '--at='.self::NOW, '--json');
        $tally = json_decode($out, true);
        self::assertSame([0, ''], [$code, $err]);
        $sand = array_column($tally['jars'], null, 'paint')['Pavane Desert Sand'];
        self::assertSame(['Desert Sand', 58, 1, null], [$tally['colours'][0]['name'], $tally['colours'][0]['counts'], $tally['colours'][0]['firstStep'], $sand['packs']]);
        self::assertLessThan($sand['levelMl'], $sand['ml'], 'by what was measured the jar lasts');
        $build = json_decode((string) file_get_contents($this->file), true);
        unset($build['digest']);
        $at = array_search('Pavane Desert Sand', array_column($build['products'], 'name'), true);
        $build['products'][$at]['levelMl'] = 1;
        file_put_contents($this->file, json_encode($build));
        self::assertStringContainsString('buy 1 × 10 ml for 2.60', $this->amber('amber:tally', $this->file, '--at='.self::NOW)[1]);

        [$code, $out] = $this->amber('amber:breakdown', $this->file, '--at='.self::NOW, '--json');
        self::assertSame([1, 'Hull'], [$code, json_decode($out, true)['pieces'][0]['name']], 'the forgotten mirrors are a stop');
        self::assertStringContainsString('14 pegs at one time, of 20', $this->amber('amber:breakdown', $this->file, '--at='.self::NOW)[1]);
        [$code, $out, $err] = $this->amber('amber:tally', '/nowhere.json', '--json');
        self::assertSame([2, '', 'cannot be read'], [$code, $out, json_decode($err, true)['error']['problems'][0]['wrong']]);
    }

    public function test_order_tells_the_best_orders_of_colours_beside_the_plans_own(): void
    {
        $order = json_decode($this->amber('amber:order', $this->file, '--at='.self::NOW, '--json')[1], true);
        self::assertTrue($order['proven']);
        self::assertSame($order['boundMinutes'], $order['best'][0]['minutes']);
        self::assertSame($order['best'][0]['minutes'], $order['planned']['minutes'], 'the plan has the cheapest');
        self::assertSame(['band yellow', 'pale grey', 'sea grey', 'slate green'], array_values(array_intersect($order['planned']['names'], ['band yellow', 'pale grey', 'sea grey', 'slate green'])));
        self::assertStringContainsString('As planned: ', $this->amber('amber:order', $this->file, '--at='.self::NOW)[1]);
        self::assertSame(2, $this->amber('amber:order', '/nowhere.json')[0]);
        $torsay = Build::query()->where('name', 'Torsay')->firstOrFail();
        Artisan::call('amber:export', ['build' => $torsay->id, '--to' => $this->file]);
        $order = json_decode($this->amber('amber:order', $this->file, '--at='.self::NOW, '--json')[1], true);
        self::assertCount(3, $order['best']);
        self::assertSame([true, '', 0], [$order['best'][0]['planned'], $order['best'][0]['decides'], $order['best'][0]['more']]);
        self::assertStringContainsString('more', $order['best'][2]['decides']);
    }

    public function test_masks_tell_colour_by_colour_what_goes_on_and_comes_off(): void
    {
        $told = $this->amber('amber:masks', $this->file, '--at='.self::NOW)[1];
        foreach (['4 pale grey, done', 'on   port wing band and starboard wing band: paper tape 12.8 cm', '6 slate green', 'one sitting', '7 Masks off', 'off  windscreen panes and hood panes: cut film'] as $line) {
            self::assertStringContainsString($line, $told);
        }
        $page = json_decode($this->amber('amber:masks', $this->file, '--at='.self::NOW, '--json')[1], true);
        self::assertSame([6, 7, 7], [$page['head']['colours'], $page['head']['masks'], count($page['frames'])]);
        self::assertSame(2, $this->amber('amber:masks', '/nowhere.json')[0]);
    }

    public function test_a_template_is_written_in_millimetres_and_read_back_by_another_reader(): void
    {
        $dxf = $this->file.'.dxf';
        $told = json_decode($this->amber('amber:template', 'cone-band', 'small=18', 'large=30', 'height=14', "--dxf={$dxf}", "--svg={$dxf}.svg", '--json')[1], true);
        self::assertSame([22.85, 38.08, 141.81], array_slice(array_column($told['shapes'][0]['figures'], 'value'), 0, 3));
        $read = json_decode((string) shell_exec('node -e '.escapeshellarg("const P = require('dxf-parser'); const d = new (P.default ?? P)().parseSync(require('fs').readFileSync(process.argv[1], 'utf8')); console.log(JSON.stringify({version: d.header['\$ACADVER'], layers: Object.keys(d.tables.layer.layers), entities: d.entities}))").' '.escapeshellarg($dxf)), true);
        self::assertSame(['AC1009', ['CUT', 'MARK']], [$read['version'], $read['layers']]);
        $cut = array_values(array_filter($read['entities'], static fn (array $e): bool => $e['layer'] === 'CUT'));
        self::assertSame([1, 'POLYLINE', true], [count($cut), $cut[0]['type'], $cut[0]['shape']]);
        $radii = array_map(static function (array $from, array $to): float {
            $angle = 4 * atan(abs($from['bulge'] ?? 0));

            return $angle == 0 ? 0 : round(hypot($to['x'] - $from['x'], $to['y'] - $from['y']) / 2 / sin($angle / 2), 2);
        }, $cut[0]['vertices'], [...array_slice($cut[0]['vertices'], 1), $cut[0]['vertices'][0]]);
        self::assertSame([38.08, 38.08, 0.0, 22.85, 22.85, 0.0], $radii);
        $ruler = array_values(array_filter($read['entities'], static fn (array $e): bool => $e['layer'] === 'MARK' && $e['type'] === 'POLYLINE'))[0]['vertices'];
        self::assertEqualsWithDelta(50.0, $ruler[1]['x'] - $ruler[0]['x'], 1e-6);
        self::assertStringContainsString('viewBox="0 0 180.000', (string) file_get_contents("{$dxf}.svg"));
        self::assertStringContainsString('Spiral on a spinner', $this->amber('amber:template')[1]);
        [$code, , $err] = $this->amber('amber:template', 'pane', 'top=60', '--json');
        self::assertSame([2, 'top'], [$code, json_decode($err, true)['error']['problems'][0]['path']]);
        self::assertSame(2, $this->amber('amber:template', 'pane', 'top')[0]);
        self::assertSame(2, $this->amber('amber:template', 'disc', '--svg=/no/such/folder/a.svg')[0]);
        unlink($dxf);
        unlink("{$dxf}.svg");
    }

    public function test_a_filler_is_chosen_and_a_width_without_a_unit_is_asked_about(): void
    {
        [$code, $out] = $this->amber('amber:filler', '--gap=0.9mm', '--access=open', '--json');
        $advice = json_decode($out, true);
        self::assertSame([0, 'shim', [0.75], 0.15], [$code, $advice['filler'], $advice['shimMm'], $advice['restMm']]);
        self::assertSame('water-putty', $advice['runnerUp']['filler']);
        self::assertStringContainsString('Card of 0.75 mm (30 thou)', $this->amber('amber:filler', '--gap=35thou')[1]);
        self::assertStringStartsWith('Clear glue: sanding would kill the detail', $this->amber('amber:filler', '--gap=0,2 mm', '--access=none')[1]);

        foreach (['0.9' => 'has no unit', '900thou' => 'is a missing part', 'wide' => 'is no width', '0mm' => 'is no gap', '' => 'is missing'] as $gap => $wrong) {
            [$code, $out, $err] = $this->amber('amber:filler', "--gap={$gap}", '--json');
            self::assertSame([2, ''], [$code, $out], (string) $gap);
            self::assertStringContainsString($wrong, json_decode($err, true)['error']['problems'][0]['wrong']);
        }
        self::assertSame(2, $this->amber('amber:filler', '--gap=1mm', '--access=up')[0]);
    }

    public function test_a_ladder_is_worked_out_and_says_what_to_buy(): void
    {
        [$code, $out] = $this->amber('amber:ladder', '--from=P320', '--to=P2000', '--own=P320,P600,P1000,P2000', '--json');
        $ladder = json_decode($out, true);
        self::assertSame([0, ['P320', 'P600', 'P1000', 'P2000'], []], [$code, array_column($ladder['steps'], 'grit'), $ladder['missing']]);
        self::assertEquals([46.2, 25.8, 18.3, 10.3, 0.558], [...array_column($ladder['steps'], 'microns'), $ladder['worst']]);

        [$code, $out] = $this->amber('amber:ladder', '--from=P400', '--to=P1000', '--own=P1000');
        self::assertSame(1, $code);
        self::assertMatchesRegularExpression('/P600 +25\.8 µm, 0\.737 of the one before: to buy/', $out);
        foreach (['--from=400' => '--from', '--from=P2000' => '--to', '--from=' => '--from'] as $from => $path) {
            [$code, , $err] = $this->amber('amber:ladder', $from, '--to=P1000', '--json');
            self::assertSame([2, $path], [$code, json_decode($err, true)['error']['problems'][0]['path']]);
        }
    }

    public function test_plan_in_words_says_which_air_it_assumed(): void
    {
        [$code, $out] = $this->amber('amber:plan', $this->file, '--at='.self::NOW);

        self::assertSame(0, $code);
        self::assertStringContainsString('The file holds no readings: planned for 20 °C and 50 % RH.', $out);
        self::assertStringContainsString('Spray sea grey, first mist coat', $out);
        self::assertMatchesRegularExpression('/Rinse Linnet Sea Grey out of the gun: Gun\n(.*\n)*?Thu \d\d:\d\d +Stir and mix .+: Cup\nThu \d\d:\d\d +Spray gloss, first light coat: Port float/', $out, 'the gun and the cup have their time');
    }

    public function test_check_ends_with_one_when_a_stop_is_open(): void
    {
        self::assertSame(0, $this->amber('amber:check', $this->file, '--at='.self::NOW)[0]);
        $build = json_decode((string) file_get_contents($this->file), true);
        foreach ($build['kit']['joints'] as $i => $joint) {
            if ($joint['name'] === 'struts to hull') {
                $build['kit']['joints'][$i]['kind'] = 'seam';
            }
        }
        file_put_contents($this->file, json_encode($build));
        [$code, $out] = $this->amber('amber:check', $this->file, '--at='.self::NOW, '--json');

        self::assertSame(1, $code);
        self::assertSame('seam-before-paint', json_decode($out, true)['findings'][0]['rule']);
    }

    public function test_bad_input_ends_with_two_and_says_what_would_be_right(): void
    {
        file_put_contents($this->file, '{"format": 1, "id": "x", "kit": {}}');
        [$code, $out, $err] = $this->amber('amber:plan', $this->file, '--json');
        self::assertSame([2, ''], [$code, $out]);
        self::assertSame('id', json_decode($err, true)['error']['problems'][0]['path']);
        self::assertSame(2, $this->amber('amber:check', '/nowhere/at-all.json')[0]);
        self::assertSame(2, $this->amber('amber:plan', $this->file, '--at=yesterday')[0]);
        file_put_contents($this->file, "{\"format\": 1, \xFF");
        self::assertSame(2, $this->amber('amber:check', $this->file, '--json')[0]);
    }

    public function test_import_asks_replaces_and_copies(): void
    {
        $builds = Build::query()->count();
        self::assertSame(2, Artisan::call('amber:import', ['file' => $this->file]));
        self::assertSame(0, Artisan::call('amber:import', ['file' => $this->file, '--replace' => true]));
        self::assertSame($builds, Build::query()->count());
        self::assertSame(0, Artisan::call('amber:import', ['file' => $this->file, '--copy' => true]));
        self::assertSame($builds + 1, Build::query()->count());
        self::assertSame(2, Artisan::call('amber:import', ['file' => $this->file, '--copy' => true, '--replace' => true]));
    }

    public function test_the_demo_never_touches_the_users_builds(): void
    {
        Artisan::call('amber:import', ['file' => $this->file, '--copy' => true]);
        $own = Build::query()->where('demo', false)->firstOrFail();
        Artisan::call('amber:demo');
        Artisan::call('amber:demo', ['--again' => true]);

        self::assertSame($own->kit, Build::query()->findOrFail($own->id)->kit);
        self::assertSame(7, Build::query()->count(), 'six of the demo, one of the user');
    }
}
