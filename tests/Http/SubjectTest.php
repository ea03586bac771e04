<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Models\Build;
use App\Models\Product;
use Tests\Support\AppTestCase;

/** A build begun from a subject: proposed, begun with the paints it wants, asked about, looked at. */
final class SubjectTest extends AppTestCase
{
    /** @param  array<string, mixed>  $more */
    private static function trainer(array $more = []): array
    {
        return ['subject' => 'propeller', 'scale' => 72, 'length' => 120, 'looks' => 'sea grey and olive drab over pale grey, yellow bands, wash', ...$more];
    }

    public function test_there_are_ten_subjects_and_a_proposal_keeps_nothing(): void
    {
        self::assertCount(10, $this->send('GET', '/api/subjects')->assertOk()->json('subjects'));
        $builds = Build::query()->count();
        $proposal = $this->send('POST', '/api/subjects', self::trainer())->assertOk()->json();

        self::assertSame([['name' => 'Olive Drab', 'swatch' => '#5C5B3A']], $proposal['missing']);
        self::assertStringContainsString('colour olive drab = "Olive Drab"', $proposal['lines']);
        self::assertSame('tube: π × 14 × 120 mm × 0.8, as it tapers, of which 42 % below', array_column($proposal['sums'], 'sum', 'of')['Port fuselage half / lower fuselage']);
        self::assertSame($builds, Build::query()->count());
        self::assertFalse(Product::query()->get()->contains(static fn (Product $p): bool => $p->body['name'] === 'Olive Drab'));
    }

    public function test_begun_it_stands_with_its_paints_and_has_a_plan_without_a_stop(): void
    {
        $id = $this->send('POST', '/api/builds/begin', self::trainer(['name' => 'Trainer']))->assertCreated()->json('build.id');
        self::assertTrue(Product::query()->get()->contains(static fn (Product $p): bool => $p->body['name'] === 'Olive Drab' && $p->body['family'] === 'water-acrylic'));
        self::assertSame([], array_filter($this->send('GET', "/api/builds/{$id}/plan")->assertOk()->json('findings'), static fn (array $f): bool => $f['severity'] === 'stop'));
        $kit = $this->send('GET', "/api/builds/{$id}/kit")->json();
        $all = count($kit['parts']) + count($kit['joints']) + count($kit['areas']);
        self::assertCount($all, $kit['proposed']['stands']);
        self::assertCount(5, $kit['proposed']['questions']);

        $answer = $kit['proposed']['questions'][0]['answers'][1];
        $this->send('POST', "/api/builds/{$id}/changes", ['title' => $answer['title'], 'edits' => $answer['edits']], ['If-Match' => '"1"'])->assertCreated();
        $after = $this->send('GET', "/api/builds/{$id}/kit")->json();
        self::assertCount(4, $after['proposed']['questions']);
        self::assertLessThan($all, count($after['proposed']['stands']), 'what the answer changed is no longer a proposal');

        // In a file it goes with the kit, and comes back the same.
        $file = (string) $this->get("/api/builds/{$id}/export")->getContent();
        $copy = $this->call('POST', '/api/builds?mode=copy', [], [], [], ['CONTENT_TYPE' => 'application/json'], $file)->assertCreated()->json('build.id');
        self::assertCount(count($after['proposed']['questions']), $this->send('GET', "/api/builds/{$copy}/kit")->json('proposed.questions'));
    }

    public function test_what_a_pack_holds_and_costs_is_said_once_for_several_paints(): void
    {
        $made = $this->send('POST', '/api/products/several', ['paints' => [['name' => 'Quay Ochre'], ['name' => 'old bronze', 'swatch' => '#8c6a3f'], ['name' => 'matt varnish'], ['name' => 'QUAY ochre']], 'keep' => true])->assertCreated()->json('products');
        self::assertSame([['Quay Ochre', 'colour', 'satin'], ['old bronze', 'metallic', 'satin'], ['matt varnish', 'varnish', 'matt']], array_map(static fn (array $p): array => [$p['name'], $p['role'], $p['sheen']], $made));
        self::assertSame([], $this->send('POST', '/api/products/several', ['paints' => [['name' => 'quay ochre']]])->assertOk()->json('products'), 'what is there is left out');
        $ids = array_column($made, 'id');
        foreach ([[['ml' => ''], 'ml'], [['ml' => 'a lot'], 'ml'], [['price' => ''], 'price'], [['price' => '-1'], 'price'], [['paints' => []], 'paints'], [['paints' => [self::ulid(3)]], 'paints']] as [$wrong, $path]) {
            $this->send('PUT', '/api/packs', ['paints' => $ids, 'ml' => '17', 'price' => '3,20', ...$wrong])->assertUnprocessable()->assertJsonPath('error.problems.0.path', $path);
        }
        $this->send('PUT', '/api/packs', ['paints' => $ids, 'ml' => '17', 'price' => '3,20'])->assertOk();
        foreach ($ids as $id) {
            self::assertEquals([17, 3.2], [Product::query()->findOrFail($id)->body['sizeMl'], Product::query()->findOrFail($id)->body['price']]);
        }
        $this->send('POST', '/api/products/several', ['paints' => [['name' => 'x', 'swatch' => 'blue']]])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'paints[0].swatch');
    }

    public function test_the_area_of_a_shape_is_the_handbooks_formula(): void
    {
        $sum = fn (string $query): array => $this->send('GET', "/api/area-shapes/{$query}")->assertOk()->json();
        self::assertCount(6, $this->send('GET', '/api/area-shapes')->assertOk()->json('shapes'));
        self::assertEqualsWithDelta(2 * 80 * 24 / 100, $sum('wing?m[halfSpan]=80&m[rootChord]=30&m[tipChord]=18')['cm2'], 0.01);
        self::assertEqualsWithDelta(M_PI * 3 * 12.5, $sum('tube?m[diameter]=30&m[length]=125')['cm2'], 0.01);
        self::assertEqualsWithDelta(30 * (4 + 2 * 2) * 0.8, $sum('hull?m[length]=300&m[beam]=40&m[depth]=20')['cm2'], 0.01);
        self::assertEqualsWithDelta((16 * 7 + 2 * 5 * (16 + 7)) * 0.7, $sum('body?m[length]=160&m[width]=70&m[height]=50')['cm2'], 0.01);
        self::assertEqualsWithDelta(3 * 2.54 * 4, $sum('plate?m[length]=1 in&m[width]=40&count=3')['cm2'], 0.01);
        self::assertSame('ball: π × 20² mm', $sum('ball?m[diameter]=20')['sum']);
        foreach (['wing?m[halfSpan]=80' => 'rootChord', 'ball?m[diameter]=wide' => 'diameter', 'ball?m[diameter]=0' => 'diameter', 'ball?m[diameter]=6000' => 'diameter', 'ball?m[diameter]=2&count=0' => 'count', 'ball?m=2' => 'diameter', 'cone?m[diameter]=2' => 'shape'] as $query => $path) {
            $this->send('GET', "/api/area-shapes/{$query}")->assertUnprocessable()->assertJsonPath('error.problems.0.path', $path);
        }
    }

    public function test_what_is_no_size_or_no_subject_is_said_and_nothing_is_begun(): void
    {
        $before = [Build::query()->count(), Product::query()->count()];
        foreach ([[['subject' => 'submarine'], 'subject'], [['length' => 3], 'length'], [['length' => 'long'], 'length'], [['width' => 90000], 'width'], [['scale' => 0], 'scale'], [['looks' => str_repeat('x', 1001)], 'looks'], [['owner' => 'me'], 'owner']] as [$wrong, $path]) {
            $this->send('POST', '/api/subjects', self::trainer($wrong))->assertUnprocessable()->assertJsonPath('error.problems.0.path', $path);
            $this->send('POST', '/api/builds/begin', self::trainer(['name' => 'x', ...$wrong]))->assertUnprocessable();
        }
        $this->send('POST', '/api/builds/begin', self::trainer())->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'name');
        self::assertSame($before, [Build::query()->count(), Product::query()->count()]);
    }
}
