<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Event;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\AppTestCase;

/** Whatever is sent, no answer is a 500 and nothing is half written. */
final class FuzzTest extends AppTestCase
{
    private const ROUNDS = 40;

    private const JUNK = [null, true, -1, 0, 1e308, -0.5, 9007199254740993, '', 'x', '../../x', "\u{202E}", '01T00000000000000000000001', [], [[]], ['a' => ['b' => []]], '2026-13-45T99:99:99Z', '9999-12-31T23:59:59Z', '🛩'];

    public function test_no_route_answers_500_to_wrong_types_absent_fields_huge_numbers_and_broken_text(): void
    {
        $random = new Randomizer(new Mt19937(20260303));
        $id = $this->buildId();
        $event = [...$this->bench()['current']['event'], 'id' => self::ulid(1), 'at' => self::NOW];
        $edit = ['title' => 'x', 'edits' => [['op' => 'set', 'list' => 'areas', 'id' => self::ulid(1), 'field' => 'name', 'value' => 'x']]];
        $file = json_decode((string) $this->get("/api/builds/{$id}/export")->getContent(), true);
        $routes = [
            ['POST', "/api/builds/{$id}/events", $event], ['POST', "/api/builds/{$id}/preview", $edit], ['POST', "/api/builds/{$id}/changes", $edit],
            ['POST', "/api/builds/{$id}/changes/".self::ulid(4).'/undo', []], ['POST', '/api/readings', ['temperatureC' => 20, 'humidity' => 0.5]],
            ['PUT', '/api/room/source', ['source' => 'typed']], ['POST', '/api/builds?mode=copy', $file],
            ['POST', '/api/builds/blank', ['name' => 'x', 'scale' => 72, 'subject' => '']], ['POST', "/api/builds/{$id}/lines/read", ['text' => "hull / a, 84, sea grey\nroot: hull + fin", 'whole' => false]],
            ['POST', "/api/builds/{$id}/lines", ['text' => 'hull / a, 84, sea grey', 'whole' => false]], ['POST', "/api/builds/{$id}/cell", ['list' => 'areas', 'id' => $file['kit']['areas'][0]['id'], 'field' => 'size', 'text' => '2,5']],
            ['POST', "/api/builds/{$id}/remove", ['list' => 'edges', 'id' => $file['kit']['edges'][0]['id']]], ['POST', "/api/builds/{$id}/areas.csv", ['csv' => "part,area\nhull,x\n"]],
            ['POST', '/api/products', ['name' => 'x', 'family' => 'lacquer', 'role' => 'colour', 'swatch' => '#112233']], ['POST', '/api/products.csv', ['csv' => "name,family,role\nx,lacquer,colour\n"]], ['PUT', '/api/house', ['question' => 'wash', 'position' => 'oil']],
            ...$this->mixingDoors($id, $file['kit']['colours'][0]['product']),
        ];
        foreach ($routes as [$method, $path, $body]) {
            for ($i = 0; $i < ($path === '/api/builds?mode=copy' ? 12 : self::ROUNDS); $i++) {
                $sent = (string) json_encode((object) $this->spoil($body, $random), JSON_PARTIAL_OUTPUT_ON_ERROR);
                if ($random->getInt(1, 8) === 1) {
                    $sent = substr($sent, 0, $random->getInt(0, strlen($sent)))."\xFF\xFE";
                }
                $status = $this->call($method, $path, [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_IF_MATCH' => (string) $random->getInt(0, 3)], $sent)->getStatusCode();
                self::assertLessThan(500, $status, "{$method} {$path} with {$sent}");
            }
        }
        foreach (['minutes=abc', 'minutes=-1', 'minutes[]=1', 'minutes=99999999999999999999', 'from[a]=x', 'mode[]=1', '%FF=%FE'] as $query) {
            foreach (["/api/builds/{$id}/bench", "/api/builds/{$id}/log", '/api/builds/%FF/plan', '/api/frame'] as $path) {
                self::assertLessThan(500, $this->call('GET', "{$path}?{$query}")->getStatusCode(), "{$path}?{$query}");
            }
        }
        foreach (Event::query()->where('id', self::ulid(1))->get() as $stored) {
            self::assertSame($id, $stored->build_id);
        }
        self::assertSame(200, $this->get("/api/builds/{$id}/bench")->getStatusCode(), 'what was taken can still be planned');
        self::assertSame(200, $this->get('/api/frame')->getStatusCode());
    }

    /** @return list<array{string, string, array<mixed>}> */
    private function mixingDoors(string $build, string $paint): array
    {
        $part = ['product' => $paint, 'name' => 'grey', 'stuff' => 'paint', 'amount' => '1', 'base' => 'parts', 'drops' => ''];
        $reading = ['words' => 'of the paint', 'product' => null, 'name' => 'thinner', 'stuff' => 'water', 'amount' => 75, 'base' => 'percent-of-paint'];
        $recipe = ['name' => 'Fuzz', 'parts' => [$part, [...$part, 'amount' => '2,5']], 'keptMl' => '1', 'ground' => 'grey', 'gun' => '0.35 mm', 'asks' => [['part' => 0, 'about' => '75 %', 'readings' => [$reading, $reading]]]];
        $kept = (string) $this->send('POST', '/api/recipes', $recipe)->assertCreated()->json('product.id');

        return [
            ['POST', "/api/builds/{$build}/mix", ['parts' => [$part], 'known' => 'area', 'part' => 0, 'ml' => '', 'cm2' => '196', 'coats' => '3', 'tool' => 'airbrush', 'poured' => [['ml' => '1']], 'cup' => '7', 'hardened' => '240', 'gun' => '0.35', 'grounds' => [['name' => 'x', 'hex' => '#232325']], 'regulator' => ['rest' => '1.7', 'flowing' => '1.4', 'working' => '1.2']]],
            ['POST', '/api/match', ['wanted' => '#8FA28A', 'jars' => [$paint, $this->otherPaint($paint)]]], ['POST', '/api/palette', ['text' => "GIMP Palette\n1 2 3 x"]],
            ['POST', '/api/tones', ['product' => $paint, 'tones' => ['lighter', 'darker'], 'ml' => '2']],
            ['POST', '/api/spoons', ['paints' => [['product' => $paint, 'ml' => 1]], 'coats' => '2', 'which' => $paint, 'keep' => true, 'readings' => [['ground' => '#232325', 'lighter' => -1, 'warmer' => 1], ['ground' => '#F5F5F0', 'patch' => '#7F99A6', 'card' => '#767676']]]],
            ['POST', '/api/recipes/read', ['text' => '3 sea grey + 5 % retarder']], ['POST', '/api/recipes', $recipe], ['PUT', "/api/recipes/{$kept}", ['ask' => 0, 'reading' => 1]],
            ['PUT', "/api/jars/{$paint}", ['level' => '5', 'height' => '50', 'drops' => '28', 'stirred' => true]], ['POST', '/api/jars', ['taken' => [['product' => $paint, 'ml' => 0.1]]]],
            ['POST', "/api/builds/{$build}/events", ['id' => self::ulid(2), 'kind' => 'mixed', 'at' => self::NOW, 'product' => $kept, 'predictedMl' => 1.5, 'usedMl' => 2, 'nozzleMm' => 0.35, 'potLifeMinutes' => 60, 'poured' => [1, 2]]],
        ];
    }

    private function otherPaint(string $not): string
    {
        return (string) \App\Models\Product::query()->whereKeyNot($not)->get()->first(static fn ($p): bool => $p->body['role'] === 'colour')?->id;
    }

    /**
     * @param  array<mixed>  $body
     * @return array<mixed>
     */
    private function spoil(array $body, Randomizer $random): array
    {
        $keys = array_keys($body);
        if ($keys === []) {
            return ['x' => self::JUNK[$random->getInt(0, count(self::JUNK) - 1)]];
        }
        $key = $keys[$random->getInt(0, count($keys) - 1)];
        if (is_array($body[$key]) && $body[$key] !== [] && $random->getInt(1, 3) > 1) {
            $body[$key] = $this->spoil($body[$key], $random);
        } elseif ($random->getInt(1, 4) === 1) {
            unset($body[$key]);
        } else {
            $body[$key] = self::JUNK[$random->getInt(0, count(self::JUNK) - 1)];
        }

        return $body;
    }
}
