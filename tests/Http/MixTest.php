<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Product;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\AppTestCase;

/** The mixing bench: what a colour needs, what a recipe comes to as it is typed, and which ratio matches. */
final class MixTest extends AppTestCase
{
    public function test_the_bench_knows_what_is_left_of_each_colour(): void
    {
        $page = $this->send('GET', "/api/builds/{$this->buildId()}/mix")->assertOk()->json();
        $grey = array_column($page['colours'], null, 'name')['sea grey'];

        self::assertSame([177, 1.5, true], [$grey['cm2'], $grey['coats'], $grey['left']], 'a mist and a light');
        self::assertContains('upper hull in grey', $grey['areas']);
        $stuff = array_column($page['paints'], 'thinnerStuff', 'family');
        self::assertSame(['water', 'lacquer-thinner', 'white-spirit'], [$stuff['water-acrylic'], $stuff['lacquer'], $stuff['enamel']]);
        self::assertContains('Linnet Sea Grey', array_column($page['paints'], 'name'));
    }

    public function test_all_numbers_of_a_recipe_agree_with_each_other(): void
    {
        $mixed = $this->mix(['cm2' => '196', 'coats' => '3'])->assertOk()->json();

        self::assertEqualsWithDelta($mixed['totalMl'], array_sum(array_column($mixed['parts'], 'ml')), 0.001);
        self::assertEqualsWithDelta($mixed['need']['totalMl'], $mixed['totalMl'], 0.001);
        self::assertEqualsWithDelta($mixed['totalMl'], max(array_column($mixed['parts'], 'to')), 0.001);
        self::assertSame([2, 0, 1], $mixed['pouring'], 'thinner first');
        foreach ($mixed['parts'] as $i => $part) {
            self::assertEqualsWithDelta($part['ml'] / $part['mlPerDrop'], $part['drops'], 0.01);
            self::assertEqualsWithDelta($part['ml'] * [1.1, 1.1, 1.0][$i], $part['grams'], 0.001);
        }
        $lines = array_column($mixed['need']['lines'], 'ml');
        self::assertEqualsWithDelta(196 * 3 * 8e-4, $lines[0], 1e-4);
        self::assertEqualsWithDelta($lines[0] / (0.3 * 0.5), $lines[1], 1e-3);
        self::assertEqualsWithDelta(0.2 * ($lines[2] + 0.3), $lines[4], 1e-3, 'a mixed colour keeps a fifth');
        self::assertSame(['black', 'grey', 'white', 'pink'], array_slice(array_column($mixed['colour']['grounds'], 'name'), 0, 4));
        self::assertStringContainsString('the spoon decides', $mixed['colour']['says']);
    }

    public function test_any_known_amount_gives_the_rest_and_commas_are_read(): void
    {
        $total = $this->mix(['known' => 'total', 'ml' => '6,35'])->json();
        self::assertEqualsWithDelta(6.35, $total['totalMl'], 0.001);
        $part = $this->mix(['known' => 'part', 'part' => 1, 'ml' => (string) $total['parts'][1]['ml']])->json();
        self::assertEqualsWithDelta(array_column($total['parts'], 'ml'), array_column($part['parts'], 'ml'), 0.001);
        self::assertSame(1, $total['cups']);
        $drops = $this->mix(['known' => 'part', 'part' => 0, 'ml' => '40 drops'])->json('parts');
        self::assertEqualsWithDelta(40 * 0.035, $drops[0]['ml'], 1e-6, 'drops already in the cup');
        self::assertEqualsWithDelta(40, $drops[0]['drops'], 0.01);
        $this->mix(['known' => 'part', 'part' => 0, 'ml' => '0 drops'])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'ml');
        $this->mix([], [['amount' => '75 %']])->assertUnprocessable()->assertJsonPath('error.problems.0.wrong', '"75 %" can be read two ways');
        self::assertSame(4, $this->mix(['known' => 'total', 'ml' => '6.35', 'cup' => '2'])->json('cups'));
        $counted = $this->mix(['known' => 'total', 'ml' => '6.35'], [['drops' => '20']])->json('parts.0');
        self::assertSame([0.05, true], [$counted['mlPerDrop'], $counted['counted']]);
    }

    public function test_poured_otherwise_it_says_by_how_much_and_what_puts_it_right(): void
    {
        $poured = $this->mix(['known' => 'total', 'ml' => '11', 'poured' => [['ml' => '4'], ['ml' => '2'], ['ml' => '6']]])->json('poured');
        self::assertTrue($poured['contradicts']);
        self::assertSame('Add 0.67 ml of Linnet Light Blue and 2.00 ml of water.', str_replace($this->names()[1], 'Linnet Light Blue', $poured['addWords']));
        self::assertEqualsWithDelta(12, array_sum($poured['rebuilt']), 0.001);
        self::assertFalse($this->mix(['known' => 'total', 'ml' => '11', 'poured' => [['ml' => '3.02'], ['ml' => '2'], ['ml' => '5.95']]])->json('poured.contradicts'));
        self::assertNull($this->mix(['known' => 'total', 'ml' => '11', 'poured' => [['ml' => ''], ['ml' => ''], ['ml' => '']]])->json('poured'));
    }

    public function test_hardened_it_dies_by_the_rooms_temperature(): void
    {
        $pot = $this->mix(['hardened' => '240'])->json('pot');
        $room = $this->send('GET', "/api/builds/{$this->buildId()}/mix")->json('temperatureC');

        self::assertEqualsWithDelta(240 * 2 ** ((20 - $room) / 10), $pot['minutes'], 2);
        self::assertGreaterThan(self::NOW, $pot['dies']);
        self::assertStringContainsString('Nothing of it goes back into a jar', $pot['words']);
    }

    public function test_what_was_used_corrects_the_next_estimate_of_that_gun_and_family_alone(): void
    {
        $need = fn (array $more = []): array => $this->mix(['gun' => '0.5', ...$more])->json('need');
        $before = $need();
        self::assertSame([0, $before['totalMl']], [$before['jobs'], $before['plainMl']]);
        foreach ([1 => 1.5, 2 => 1.5] as $n => $times) {
            $this->send('POST', "/api/builds/{$this->buildId()}/events", ['id' => self::ulid($n), 'kind' => 'mixed', 'at' => self::NOW, 'product' => $this->jars()[0], 'predictedMl' => $before['plainMl'], 'usedMl' => $times * $before['plainMl'], 'nozzleMm' => 0.5])->assertCreated();
        }
        $after = $need();
        self::assertSame([2, $before['plainMl']], [$after['jobs'], $after['plainMl']], 'the table stays as it is: one lesson is not learned twice');
        self::assertEqualsWithDelta(1.5 * $before['lines'][1]['ml'], $after['lines'][2]['ml'], 0.001);
        self::assertSame('learned from 2 jobs', $after['lines'][2]['origin']);
        self::assertSame(0, $need(['gun' => '0.2'])['jobs'], 'another gun');
        self::assertSame(0, $need(['tool' => 'brush'])['jobs'], 'no gun');
        $this->send('POST', "/api/builds/{$this->buildId()}/events", ['id' => self::ulid(3), 'kind' => 'take-back', 'at' => self::NOW, 'takesBack' => self::ulid(2)])->assertCreated();
        self::assertSame(1, $need()['jobs'], 'taken back');
        $demo = $need(['gun' => '0.35']);
        self::assertSame([6, 'learned from 6 jobs'], [$demo['jobs'], $demo['lines'][2]['origin']]);
        $logs = array_map(log(...), [1.7 / 1.42, 11.6 / 9.8, 12.4 / 9.8, 3.9 / 3.1, 3.6 / 3.1, 2.9 / 2.2]);
        self::assertEqualsWithDelta(exp(array_sum($logs) / 6), $demo['lines'][2]['ml'] / $demo['lines'][1]['ml'], 1e-3, 'the glider\'s jobs');
    }

    public function test_palette_and_swatches_of_a_build_and_a_palette_read(): void
    {
        $gpl = (string) $this->get("/api/builds/{$this->buildId()}/palette.gpl")->assertOk()->getContent();
        self::assertStringContainsString('124 150 163  sea grey', $gpl);
        $read = $this->send('POST', '/api/palette', ['text' => $gpl])->assertOk()->json('colours');
        self::assertContains(['name' => 'sea grey', 'hex' => '#7C96A3'], $read);
        self::assertStringContainsString('sea grey,Linnet Sea Grey,#7C96A3,60.', (string) $this->get("/api/builds/{$this->buildId()}/swatches.csv")->assertOk()->getContent());
        $this->send('POST', '/api/palette', ['text' => 'no palette'])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'line 1');
        $this->call('POST', '/api/palette', [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_HOST' => 'localhost:8087'], '{"text": 5}')->assertUnprocessable();
    }

    public function test_a_pass_that_does_not_fit_the_cup_says_where_to_break(): void
    {
        $large = $this->mix(['cm2' => '900', 'coats' => '1', 'cup' => '2'])->json();
        self::assertFalse($large['pass']['fits']);
        self::assertStringContainsString('break only at an edge', $large['pass']['says']);
        self::assertTrue($this->mix(['cm2' => '60', 'coats' => '1', 'cup' => '7'])->json('pass.fits'));
    }

    private function paint(string $name): string
    {
        return (string) Product::query()->get()->first(static fn (Product $p): bool => $p->body['name'] === $name)?->id;
    }

    public function test_tones_say_what_they_take_together_and_which_nobody_tells_apart(): void
    {
        $set = fn (array $tones, string $ml = '2'): array => $this->send('POST', '/api/tones', ['product' => $this->paint('Linnet Sea Grey'), 'tones' => $tones, 'ml' => $ml])->assertOk()->json();
        $all = $set(['far-lighter', 'clearly-lighter', 'lighter', 'darker', 'clearly-darker', 'far-darker'], '2,5');
        self::assertSame(['Linnet Sea Grey as it is', 'far lighter', 'clearly lighter', 'a little lighter', 'a little darker', 'clearly darker', 'far darker'], array_column($all['tones'], 'word'), 'a mosaic of seven greys');
        self::assertSame([], $all['alike']);
        foreach (array_slice($all['tones'], 1) as $tone) {
            [$least, $most] = match (explode(' ', $tone['word'])[0]) {
                'far' => [6, 10],
                'clearly' => [3, 6],
                default => [1.5, 3],
            };
            self::assertTrue($tone['differs'] >= $least && $tone['differs'] <= $most, $tone['word']);
        }
        self::assertEqualsWithDelta(7 * 2.5, array_sum(array_column($all['totals'], 'ml')), 0.001 * count($all['totals']), 'all that is mixed');
        self::assertSame([], $set(['lighter', 'darker'])['alike']);
        self::assertCount(1, $set(['lighter', 'lighter'])['alike'], 'the same one twice');
        self::assertStringContainsString('a little lighter', $this->send('POST', '/api/tones', ['product' => $this->paint('Linnet Ground White'), 'tones' => ['lighter']])->json('missing'));
        foreach ([['product' => self::ulid(1), 'tones' => []], ['product' => $this->paint('Linnet Gloss Varnish'), 'tones' => []], ['product' => $this->paint('Linnet Sea Grey'), 'tones' => ['louder']], ['product' => $this->paint('Linnet Sea Grey'), 'tones' => [], 'ml' => '-1']] as $wrong) {
            $this->send('POST', '/api/tones', $wrong)->assertUnprocessable();
        }
    }

    public function test_the_regulator_and_what_the_mix_shows(): void
    {
        $mixed = $this->mix(['regulator' => ['rest' => '1,75', 'flowing' => '1.45', 'working' => '1.2']])->json();
        self::assertSame([0.3, 1.5, 'It drops 0.30 bar with the trigger down. For 1.20 bar set 1.50 at rest, 21.8 psi.'], array_values($mixed['regulator']));
        self::assertCount(8, $mixed['signs']);
        self::assertSame('1 to 1.7 bar working, typically', $mixed['pressure']);
        self::assertNull($this->mix(['tool' => 'brush'])->json('pressure'));
        $this->mix(['regulator' => ['rest' => '1.2', 'flowing' => '1.4', 'working' => '']])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'regulator.rest');
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_answered_at_the_field(array $more, string $path, string $right): void
    {
        $problem = $this->mix($more, $more['line'] ?? [])->assertUnprocessable()->json('error.problems.0');

        self::assertSame($path, $problem['path']);
        self::assertStringContainsString($right, $problem['right']);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function nonsense(): iterable
    {
        yield 'zero' => [['cm2' => '0'], 'cm2', 'above 0'];
        yield 'negative' => [['coats' => '-2'], 'coats', 'a mist is a half'];
        yield 'a million' => [['cm2' => '1000000'], 'cm2', 'up to 100000'];
        yield 'words' => [['cm2' => 'large'], 'cm2', 'cm²'];
        yield 'one to nothing' => [['line' => [[], ['amount' => '0']]], 'parts[1].amount', 'parts such as 3'];
        yield 'a unit' => [['line' => [['amount' => '3 spoons']]], 'parts[0].amount', 'parts such as 3'];
        yield 'left empty' => [['line' => [['amount' => '']]], 'parts[0].amount', 'parts such as 3'];
        yield 'two readings' => [['cm2' => '1,250.5'], 'cm2', 'cm²'];
        yield 'more than all of it' => [['line' => [[], [], ['base' => 'percent-of-mix', 'amount' => '120']]], 'parts[2].amount', 'up to 100'];
        yield 'nothing known' => [['known' => 'total'], 'ml', 'ml such as'];
        yield 'a part that is not there' => [['known' => 'part', 'part' => 5, 'ml' => '2'], 'part', 'one of its parts'];
        yield 'poured of something else' => [['poured' => [['ml' => '1']]], 'poured', 'each part'];
        yield 'no cup' => [['cup' => '0'], 'cup', 'holds'];
        yield 'no paint in parts' => [['line' => [['base' => 'percent-of-mix'], ['stuff' => 'water']]], 'parts', 'count at least one paint'];
    }

    public function test_a_metallic_is_never_mixed_by_calculation(): void
    {
        $metallic = Product::query()->get()->first(static fn (Product $p): bool => $p->body['role'] === 'metallic');
        self::assertNotNull($metallic);
        $mixed = $this->mix([], [['product' => $metallic->id]])->json('colour');

        self::assertNull($mixed['hex']);
        self::assertStringContainsString('never mixed by calculation', $mixed['says']);
        $this->send('POST', '/api/match', ['wanted' => '#7C96A3', 'jars' => [$metallic->id, $this->jars()[0]]])->assertUnprocessable();
    }

    public function test_the_best_few_ratios_of_some_jars(): void
    {
        $ratios = $this->send('POST', '/api/match', ['wanted' => '#7C96A3', 'jars' => $this->jars()])->assertOk()->json('ratios');
        self::assertCount(5, $ratios);
        self::assertSame($ratios, array_values($ratios));
        $differs = array_column($ratios, 'differs');
        $sorted = $differs;
        sort($sorted);
        self::assertSame($sorted, $differs, 'nearest first');
        foreach ([['wanted' => 'grey', 'jars' => $this->jars()], ['wanted' => '#7C96A3', 'jars' => [$this->jars()[0]]], ['wanted' => '#7C96A3', 'jars' => [self::ulid(1), self::ulid(2)]]] as $wrong) {
            $this->send('POST', '/api/match', $wrong)->assertUnprocessable();
        }
    }

    /**
     * @param  array<string, mixed>  $more
     * @param  list<array<string, mixed>>  $lines
     */
    private function mix(array $more, array $lines = []): TestResponse
    {
        unset($more['line']);
        [$names, $jars] = [$this->names(), $this->jars()];
        $parts = [
            ['product' => $jars[0], 'name' => $names[0], 'stuff' => 'paint', 'amount' => '3', 'base' => 'parts', 'drops' => ''],
            ['product' => $jars[1], 'name' => $names[1], 'stuff' => 'paint', 'amount' => '2', 'base' => 'parts', 'drops' => ''],
            ['product' => null, 'name' => 'water', 'stuff' => 'water', 'amount' => '6', 'base' => 'parts', 'drops' => ''],
        ];
        foreach ($lines as $i => $line) {
            $parts[$i] = [...$parts[$i], ...$line];
        }

        return $this->send('POST', "/api/builds/{$this->buildId()}/mix", ['parts' => $parts, 'known' => 'area', 'cm2' => '196', 'coats' => '3', 'tool' => 'airbrush', ...$more]);
    }

    /** @return list<string> two water acrylics with a colour */
    private function jars(): array
    {
        return array_slice(array_map(static fn (Product $p): string => $p->id, $this->solid()), 0, 2);
    }

    /** @return list<string> */
    private function names(): array
    {
        return array_slice(array_map(static fn (Product $p): string => (string) $p->body['name'], $this->solid()), 0, 2);
    }

    /** @return list<Product> */
    private function solid(): array
    {
        return array_values(Product::query()->orderBy('id')->get()->filter(static fn (Product $p): bool => $p->body['role'] === 'colour' && $p->body['family'] === 'water-acrylic' && $p->body['swatch'] !== null)->all());
    }

    public function test_a_recipe_is_typed_kept_asked_about_and_made_a_colour_of_the_build(): void
    {
        $read = $this->send('POST', '/api/recipes/read', ['text' => '3 sea grey + 1 ground white + 75 % thinner'])->assertOk()->json();
        self::assertSame(['Linnet Sea Grey', 'Linnet Ground White', 'thinner'], array_column($read['parts'], 'name'));
        self::assertCount(1, $read['asks']);
        $keep = ['name' => 'Harbour Haze', 'parts' => $read['parts'], 'keptMl' => '1,2', 'ground' => 'grey primer', 'gun' => '0.35 mm, 1.2 bar', 'asks' => array_column($read['asks'], 'kept')];
        $id = $this->send('POST', '/api/recipes', $keep)->assertCreated()->json('product.id');
        $kept = fn (): array => array_column($this->send('GET', "/api/builds/{$this->buildId()}/mix")->assertOk()->json('recipes'), null, 'id')[$id];
        self::assertSame(['Harbour Haze', 1.2, 'grey primer', '0.35 mm, 1.2 bar', []], [$kept()['name'], $kept()['keptMl'], $kept()['ground'], $kept()['gun'], $kept()['usedOn']]);

        $colour = array_column($this->send('GET', "/api/builds/{$this->buildId()}/mix")->json('colours'), 'id', 'name')['sea grey'];
        $this->send('POST', "/api/builds/{$this->buildId()}/changes", ['title' => 'Haze', 'edits' => [['op' => 'set', 'list' => 'colours', 'id' => $colour, 'field' => 'product', 'value' => $id]]], ['If-Match' => '"1"'])->assertCreated();
        self::assertContains('two-readings', array_column($this->plan()['findings'], 'rule'), 'it is asked about while it is unverified');
        self::assertStringStartsWith('Corvane S.4 Shearwater: upper hull in grey', $kept()['usedOn'][0]);
        $this->send('PUT', "/api/recipes/{$id}", ['ask' => 0, 'reading' => 1])->assertOk();
        self::assertSame([[], '75', 'percent-of-paint'], [$kept()['asks'], $kept()['parts'][2]['amount'], $kept()['parts'][2]['base']]);
        self::assertNotContains('two-readings', array_column($this->plan()['findings'], 'rule'));
        $this->send('PUT', "/api/recipes/{$id}", ['ask' => 0, 'reading' => 1])->assertUnprocessable();
        $this->send('PUT', '/api/recipes/'.$this->paint('Linnet Sea Grey'), ['ask' => 0, 'reading' => 0])->assertNotFound();

        self::assertSame($id, $this->send('POST', '/api/recipes', ['name' => 'harbour haze', 'parts' => array_slice($read['parts'], 0, 2)])->assertCreated()->json('product.id'), 'the same name takes its place');
        $file = $this->get("/api/builds/{$this->buildId()}/export")->json();
        self::assertContains('Linnet Ground White', array_column($file['products'], 'name'), 'a mixed colour travels with what it is mixed from');
        foreach (['name' => 'Linnet Sea Grey', 'parts' => [], 'keptMl' => 'much'] as $field => $wrong) {
            $this->send('POST', '/api/recipes', [...$keep, $field => $wrong])->assertUnprocessable();
        }
        $this->send('POST', '/api/recipes/read', ['text' => '3 pints foam'])->assertUnprocessable();
    }

    public function test_jars_are_counted_stirred_levelled_and_taken_from(): void
    {
        $grey = $this->paint('Linnet Sea Grey');
        $jar = fn (): array => array_column($this->send('GET', "/api/builds/{$this->buildId()}/mix")->json('paints'), null, 'id')[$grey];
        self::assertSame(['Stir the jar to the bottom first.', null, false], [$jar()['stirring'], $jar()['dropsPerMl'], $jar()['lastThird']]);
        $this->send('PUT', "/api/jars/{$grey}", ['stirred' => true])->assertOk()->assertJsonPath('usedMl', null);
        $this->send('PUT', "/api/jars/{$grey}", ['drops' => '28'])->assertOk();
        self::assertEqualsWithDelta(7.75, $this->send('PUT', "/api/jars/{$grey}", ['height' => '25'])->assertOk()->json('usedMl'), 1e-9, '12 ml before, a quarter of 17 now');
        self::assertEquals([null, 28, true, 4.25], [$jar()['stirring'], $jar()['dropsPerMl'], $jar()['lastThird'], $jar()['levelMl']]);
        $this->send('POST', '/api/jars', ['taken' => [['product' => $grey, 'ml' => 1.25], ['product' => $this->paint('Linnet Pale Grey'), 'ml' => 1]]])->assertOk();
        self::assertEquals(3, $jar()['levelMl']);
        $this->send('POST', '/api/jars', ['taken' => [['product' => $this->paint('Linnet Pale Grey'), 'ml' => 1], ['product' => $grey, 'ml' => 9]]])->assertUnprocessable()->assertJsonPath('error.problems.0.wrong', 'is more than the 3.00 ml in Linnet Sea Grey');
        self::assertEquals(11, array_column($this->send('GET', "/api/builds/{$this->buildId()}/mix")->json('paints'), 'levelMl', 'name')['Linnet Pale Grey'], 'all of it or nothing');
        foreach ([['level' => '-2'], ['height' => '140'], ['drops' => '3'], ['level' => 'full'], ['size' => '3']] as $wrong) {
            $this->send('PUT', "/api/jars/{$grey}", $wrong)->assertUnprocessable();
        }
        $this->send('PUT', '/api/jars/'.self::ulid(1), ['stirred' => true])->assertNotFound();
        $this->send('POST', '/api/jars', ['taken' => [['product' => self::ulid(1), 'ml' => 1]]])->assertUnprocessable();
    }

    public function test_a_spoon_read_back_changes_what_is_predicted_and_says_so(): void
    {
        $red = $this->paint('Linnet Signal Red') ?: $this->paint('Garnock Signal Red');
        $spoon = ['paints' => [['product' => $red, 'ml' => 1]], 'coats' => '2', 'readings' => [['ground' => '#232325', 'lighter' => -2]]];
        $read = $this->send('POST', '/api/spoons', $spoon)->assertOk()->json();
        self::assertSame([0.45, false, $red], [$read['was'], $read['kept'], $read['product']]);
        self::assertLessThan(0.45, $read['is'], 'darker over black: it hides less');
        $mixed = fn (): array => $this->mix(['parts' => [['product' => $red, 'name' => 'red', 'stuff' => 'paint', 'amount' => '1', 'base' => 'parts', 'drops' => '']]])->json('colour');
        $before = $mixed();
        self::assertNull($before['fitted'], 'looked at, not kept');
        $this->send('POST', '/api/spoons', [...$spoon, 'keep' => true])->assertOk()->assertJsonPath('kept', true);
        $after = $mixed();
        self::assertSame('Read back from a spoon of Garnock Signal Red.', $after['fitted']);
        self::assertGreaterThan($before['grounds'][0]['coats'][2]['differs'], $after['grounds'][0]['coats'][2]['differs']);
        $photo = $this->send('POST', '/api/spoons', ['paints' => [['product' => $this->paint('Linnet Sea Grey'), 'ml' => 2], ['product' => $this->paint('Linnet Ground White'), 'ml' => 1]], 'coats' => '3', 'which' => $this->paint('Linnet Sea Grey'), 'readings' => [['ground' => '#9B9B9B', 'patch' => '#7F99A6', 'card' => '#767676']]])->assertOk()->json();
        self::assertSame($this->paint('Linnet Sea Grey'), $photo['product']);
        self::assertStringContainsString('tints', $photo['says']);
        foreach ([['coats' => '0'], ['coats' => ''], ['readings' => []], ['paints' => []], ['paints' => [['product' => $this->paint('Garnock Rally Bronze'), 'ml' => 1], ['product' => $red, 'ml' => 1]]], ['readings' => [['ground' => 'black']]], ['readings' => [['ground' => '#232325', 'lighter' => 9]]], ['paints' => [['product' => self::ulid(1), 'ml' => 1]]], ['which' => self::ulid(1), 'paints' => [['product' => $red, 'ml' => 1], ['product' => $this->paint('Garnock Roof Cream'), 'ml' => 1]]]] as $wrong) {
            $this->send('POST', '/api/spoons', [...$spoon, ...$wrong])->assertUnprocessable();
        }
    }

    public function test_a_spoon_of_one_paint_is_in_the_recipes_that_are_mixed_from_it(): void
    {
        $pale = $this->paint('Linnet Pale Grey');
        $haze = fn (): ?string => Product::query()->findOrFail($this->paint('Cockpit Haze'))->body['swatch'] ?? null;
        [$was, $level] = [$haze(), Product::query()->findOrFail($this->paint('Cockpit Haze'))->body['levelMl']];
        $grey = $this->paint('Linnet Sea Grey');
        $spoon = ['paints' => [['product' => $grey, 'ml' => 1], ['product' => $pale, 'ml' => 3]], 'coats' => '4', 'which' => $grey, 'readings' => [['ground' => '#9B9B9B', 'lighter' => -4]]];
        self::assertStringNotContainsString('predicted anew', $this->send('POST', '/api/spoons', $spoon)->assertOk()->json('says'));
        self::assertSame($was, $haze(), 'not kept, nothing changes');

        self::assertStringContainsString('What is mixed from it is predicted anew: Cockpit Haze, Ore Grey One', $this->send('POST', '/api/spoons', [...$spoon, 'keep' => true])->assertOk()->json('says'));
        self::assertNotSame($was, $haze());
        self::assertSame($level, Product::query()->findOrFail($this->paint('Cockpit Haze'))->body['levelMl']);
    }

    public function test_a_kept_recipe_is_predicted_by_its_own_spoon(): void
    {
        $orange = array_column($this->send('GET', "/api/builds/{$this->buildId()}/mix")->json('recipes'), null, 'name')['Tow Orange'];
        $look = fn (?string $recipe): array => $this->mix(['parts' => $orange['parts'], 'recipe' => $recipe])->assertOk()->json('colour');

        self::assertSame('Read back from a spoon of Tow Orange.', $look($orange['id'])['fitted']);
        self::assertNull($look(null)['fitted'], 'changed, it is a mix of its paints again');
        self::assertStringContainsString('hides as its recipe says', $orange['spoon']);
        $this->send('POST', '/api/spoons', ['paints' => [['product' => $orange['id'], 'ml' => 1]], 'coats' => '1', 'readings' => [['ground' => '#232325', 'lighter' => 2]], 'keep' => true])->assertOk()->assertJsonPath('product', $orange['id']);
        $after = array_column($this->send('GET', "/api/builds/{$this->buildId()}/mix")->json('recipes'), null, 'name')['Tow Orange'];
        self::assertStringContainsString('hides better than its last spoon', $after['spoon'], 'the result stays with the recipe');
    }

    public function test_what_the_plan_has_there_is_a_ground_and_what_a_better_one_saves_is_told(): void
    {
        $page = $this->send('GET', "/api/builds/{$this->buildId()}/mix")->json();
        $yellow = array_column($page['colours'], null, 'name')['band yellow'];
        self::assertSame([['name' => 'Linnet Ground White', 'hex' => '#F5F5F0']], $yellow['grounds']);
        $grey = array_column($page['colours'], null, 'name')['sea grey'];
        self::assertSame([14, 175, false], [(int) $grey['counted']['counts'], (int) $grey['counted']['cm2'], $grey['counted']['chosen']]);
        $look = fn (string $hex): array => $this->mix(['parts' => [['product' => $yellow['product'], 'name' => 'yellow', 'stuff' => 'paint', 'amount' => '1', 'base' => 'parts', 'drops' => '']], 'coats' => '3', 'grounds' => [['name' => 'the ground', 'hex' => $hex]]])->json('colour');
        $black = $look('#232325');
        self::assertSame(['the ground', true, 'silver'], [$black['grounds'][0]['name'], $black['grounds'][0]['planned'], $black['grounds'][5]['name']]);
        self::assertMatchesRegularExpression('/Over the ground, as planned, it takes 8 coats; a coat of pink under it saves 4, about \d+ min and \d+\.\d ml of mix\./', (string) $black['saves']);
        self::assertMatchesRegularExpression('/After 3 coats over the ground ΔE (\d+\.\d) shows; one more leaves (\d+\.\d)\./', (string) $black['oneMore']);
        self::assertStringContainsString('reads strongly', "reads {$black['wash']['reads']}");
        self::assertContains('Nib Burnt Umber', array_column($black['wash']['shelf'], 'name'));
        $this->mix(['grounds' => [['name' => 'x', 'hex' => 'black']]])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'grounds[0].hex');
    }

    public function test_a_tinted_clear_deepens_and_never_hides_and_a_metallic_hides_in_two(): void
    {
        $look = fn (string $paint): array => $this->mix(['parts' => [['product' => $this->paint($paint), 'name' => 'it', 'stuff' => 'paint', 'amount' => '1', 'base' => 'parts', 'drops' => '']]])->json('colour');
        $glass = $look('Linnet Glass Green');
        $white = array_column($glass['grounds'], null, 'name')['white'];
        self::assertStringStartsWith('A tinted clear never hides', $glass['says']);
        self::assertNull($white['hiddenAt']);
        self::assertSame([null, null], [$glass['saves'], $glass['oneMore']]);
        $light = array_map(static fn (array $c): float => \AmberStep\Core\Colour\Srgb::fromHex($c['hex'])->lab()->l, $white['coats']);
        $falling = $light;
        rsort($falling);
        self::assertSame($falling, $light, 'deeper with every coat');
        self::assertSame([2], array_values(array_unique(array_column($look('Garnock Rally Bronze')['grounds'], 'hiddenAt'))));
    }

    public function test_what_is_in_the_cup_does_for_a_pass_or_says_what_to_mix_now(): void
    {
        $says = fn (string $ml): string => $this->mix(['cm2' => '196', 'coats' => '1', 'poured' => [['ml' => $ml], ['ml' => $ml], ['ml' => $ml]]])->json('pass.says');
        $one = $this->mix(['cm2' => '196', 'coats' => '1'])->json('pass.ml');

        self::assertStringEndsWith('What is in the cup, 12.00 ml, does for it.', $says('4'));
        self::assertStringEndsWith(sprintf('What is in the cup, 0.60 ml, does not do for it: mix %.2f ml more now.', $one + 0.3 - 0.6), $says('0.2'));
        self::assertStringNotContainsString('in the cup', (string) $this->mix(['cm2' => '196', 'coats' => '1'])->json('pass.says'));
    }

    public function test_the_gun_the_leftovers_and_the_jobs_that_still_fit_stand_beside_the_cup(): void
    {
        $mixed = $this->mix(['parts' => [['product' => $this->paint('Linnet Sea Grey'), 'name' => 'grey', 'stuff' => 'paint', 'amount' => '1', 'base' => 'parts', 'drops' => ''], ['product' => null, 'name' => 'lacquer thinner', 'stuff' => 'lacquer-thinner', 'amount' => '1', 'base' => 'parts', 'drops' => '']], 'hardened' => '60', 'regulator' => ['rest' => '1.75', 'flowing' => '1.45', 'working' => '']])->json();
        self::assertSame([['fails' => true, 'says' => 'Water acrylic takes own thinner, water below half of it: in lacquer thinner it curdles.']], $mixed['checks']);
        self::assertStringStartsWith('None of it goes back', $mixed['leftover']);
        self::assertSame(['lines', 'soft', 'colour', 'primer'], array_column($mixed['tasks'], 'task'));
        self::assertEqualsWithDelta(0.8 + 0.3, $mixed['tasks'][0]['atRestBar'], 0.001, 'the middle of 0.6 and 1.0, and what it drops');
        self::assertNotSame([], $mixed['jobs']);
        foreach ($mixed['jobs'] as $job) {
            self::assertSame($job['until'] <= $mixed['pot']['dies'], $job['fits'], $job['title']);
        }
        self::assertSame([], $this->mix([])->json('jobs'), 'nothing dies without hardener');
    }

    /** @param  array<string, mixed>  $event */
    #[DataProvider('cups')]
    public function test_the_log_says_what_became_of_a_cup(array $event, string $title): void
    {
        $this->send('POST', "/api/builds/{$this->buildId()}/events", ['id' => self::ulid(1), 'kind' => 'mixed', 'at' => self::NOW, 'product' => $this->paint('Linnet Sea Grey'), ...$event])->assertCreated();

        self::assertSame([$title, 'Linnet Sea Grey'], [$this->send('GET', "/api/builds/{$this->buildId()}/log")->json('events.0.title'), $this->send('GET', "/api/builds/{$this->buildId()}/log")->json('events.0.with')]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function cups(): iterable
    {
        yield 'mixed' => [[], 'Stirred and mixed'];
        yield 'what it took' => [['predictedMl' => 2, 'usedMl' => 2.405], '2.41 ml used, 2 worked out'];
        yield 'what went in' => [['poured' => [1.5, 0.98]], 'Poured 1.5 + 0.98 ml'];
        yield 'hardener' => [['potLifeMinutes' => 240], 'Mixed with hardener, lives 4 h'];
    }
}
