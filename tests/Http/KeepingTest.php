<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Clock\BenchClock;
use App\Clock\Drift;
use App\Clock\Uptime;
use App\Http\Trouble;
use App\Models\Build;
use App\Models\Change;
use App\Models\Event;
use App\Models\Product;
use App\Models\Setting;
use App\Repositories\Settings;
use Illuminate\Database\QueryException;
use Illuminate\Testing\TestResponse;
use PDOException;
use Tests\Support\AppTestCase;

/** Nothing is lost: what is replaced, changed, put away or thrown away can be had back. */
final class KeepingTest extends AppTestCase
{
    public function test_a_file_over_a_build_counts_its_revision_on_and_is_taken_back_with_its_log(): void
    {
        $id = $this->buildId();
        $file = (string) $this->get("/api/builds/{$id}/export")->getContent();
        $events = Event::query()->where('build_id', $id)->count();
        $this->send('POST', "/api/builds/{$id}/changes", ['title' => 'Another name', 'edits' => [['op' => 'set', 'list' => 'kit', 'field' => 'name', 'value' => 'The one at hand']]], ['If-Match' => '"1"'])->assertCreated();
        $this->send('POST', "/api/builds/{$id}/events", ['id' => self::ulid(1), 'kind' => 'note', 'at' => self::NOW, 'note' => 'Not in the file'])->assertCreated();
        $bench = $this->send('GET', "/api/builds/{$id}/bench")->json('build.revision');
        $this->import($file)->assertConflict()->assertJsonPath('error.there.choices', ['replace', 'copy']);
        $this->import($file, '?mode=replace')->assertCreated();

        self::assertSame([2, 3], [$bench, Build::query()->findOrFail($id)->revision]);
        self::assertSame([$events, 3], [Event::query()->where('build_id', $id)->count(), $this->send('GET', "/api/builds/{$id}/bench")->json('build.revision')]);
        $undo = $this->send('GET', "/api/builds/{$id}/plan")->json('undoable');
        self::assertSame('Replaced by a file', $undo['title']);
        $first = Change::query()->where('title', 'Another name')->firstOrFail();
        $this->undo($id, $first->id, 3)->assertUnprocessable()->assertJsonFragment(['wrong' => 'cannot be taken back: "Replaced by a file" changed the same thing later']);
        $this->undo($id, $undo['id'], 3)->assertCreated();
        self::assertSame([$events + 1, 'The one at hand'], [Event::query()->where('build_id', $id)->count(), Build::query()->findOrFail($id)->name]);
        $this->undo($id, $first->id, 4)->assertCreated();
        self::assertNotSame('The one at hand', Build::query()->findOrFail($id)->name);
    }

    public function test_a_digest_may_be_missing_and_a_wrong_one_is_asked_about(): void
    {
        $id = $this->buildId();
        $file = json_decode((string) $this->get("/api/builds/{$id}/export")->getContent(), true);
        $wrong = ['kit' => [...$file['kit'], 'subject' => 'Somebody wrote here']] + $file;
        $this->import((string) json_encode($wrong), '?mode=copy')->assertConflict()->assertJsonPath('error.there.choices', ['anyway']);
        $this->import((string) json_encode($wrong), '?mode=copy&changed=anyway')->assertCreated();
        $this->import((string) json_encode(array_diff_key($wrong, ['digest' => 1])), '?mode=copy')->assertCreated();
        // Laid out otherwise it is the same file.
        $this->import((string) json_encode($file), '?mode=copy')->assertCreated();
    }

    public function test_builds_are_put_in_order_put_away_and_thrown_away_and_each_is_taken_back(): void
    {
        $ids = array_column(array_filter($this->row()['builds'], static fn (array $b): bool => ! $b['away']), 'id');
        $order = [$ids[2], $ids[0], $ids[1], $ids[3], $ids[4]];
        $change = $this->send('PUT', '/api/builds/order', ['order' => $order])->assertOk()->json('change.id');
        self::assertSame($order, array_column($this->send('GET', '/api/frame')->json('builds'), 'id'));
        $this->send('PUT', '/api/builds/order', ['order' => $order])->assertOk()->assertJsonPath('change', null);
        foreach ([[$ids[0]], [...$order, $ids[0]], [$ids[0], $ids[0], $ids[1], $ids[2], $ids[3]]] as $wrong) {
            $this->send('PUT', '/api/builds/order', ['order' => $wrong])->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'order');
        }
        $this->send('POST', "/api/changes/{$change}/undo", [])->assertCreated();
        self::assertSame($ids, array_column($this->send('GET', '/api/frame')->json('builds'), 'id'));
        $away = $this->send('PUT', "/api/builds/{$ids[1]}/away", ['away' => true])->assertOk()->json('change.id');
        $frame = $this->send('GET', '/api/frame')->json();
        self::assertSame([4, 2], [count($frame['builds']), $frame['away']], 'it has no tab, and is not forgotten');
        $this->send('GET', "/api/builds/{$ids[1]}/log")->assertOk();
        $binned = $this->send('PUT', "/api/builds/{$ids[2]}/bin", ['binned' => true])->assertOk()->json('change');
        self::assertStringEndsWith(', into the bin', $binned['title']);
        $this->send('GET', "/api/builds/{$ids[2]}/bench")->assertNotFound();
        self::assertSame('2026-04-02T19:05:00Z', array_column($this->row()['builds'], 'goneAt', 'id')[$ids[2]], 'thirty days on');
        $this->send('POST', "/api/changes/{$binned['id']}/undo", [])->assertCreated();
        $this->send('POST', "/api/changes/{$binned['id']}/undo", [])->assertUnprocessable()->assertJsonFragment(['wrong' => 'was taken back already']);
        $this->send('POST', "/api/changes/{$away}/undo", [])->assertCreated();
        self::assertCount(5, $this->send('GET', '/api/frame')->json('builds'));
        $this->send('PUT', "/api/builds/{$ids[2]}/bin", ['binned' => true])->assertOk();
        $this->at('2026-04-02T19:00:00Z');
        $this->artisan('amber:copy', ['--day' => true]);
        self::assertSame(6, Build::query()->count());
        $this->at('2026-04-02T19:06:00Z');
        $this->artisan('amber:copy', ['--day' => true]);
        self::assertNull(Build::query()->find($ids[2]));
        foreach ([['PUT', "/api/builds/{$ids[0]}/away", []], ['PUT', '/api/builds/'.self::ulid(3).'/bin', ['binned' => true]], ['PUT', '/api/builds/order', ['order' => 'x']]] as [$method, $path, $body]) {
            $this->send($method, $path, $body)->assertUnprocessable();
        }
        $this->send('POST', '/api/changes/'.self::ulid(4).'/undo', [])->assertNotFound();
    }

    public function test_what_was_brought_in_goes_to_the_bin_when_it_is_taken_back(): void
    {
        $copy = $this->import((string) $this->get("/api/builds/{$this->buildId()}/export")->getContent(), '?mode=copy')->assertCreated()->json('build');
        $change = $this->row()['changes'][0];
        self::assertSame([$copy['name'].', brought in', 'builds', false], [$change['title'], $change['scope'], $change['undone']]);
        $this->send('POST', "/api/changes/{$change['id']}/undo", [])->assertCreated();

        self::assertCount(5, $this->send('GET', '/api/frame')->json('builds'));
        self::assertTrue($this->row()['changes'][0]['undone']);
        $this->import((string) $this->get("/api/builds/{$this->buildId()}/export")->getContent())->assertConflict();
    }

    public function test_a_paint_a_level_and_a_recipe_are_taken_back_field_by_field(): void
    {
        $grey = Product::query()->where('body->name', 'Linnet Sea Grey')->firstOrFail();
        $was = $grey->body;
        $this->send('PUT', "/api/jars/{$grey->id}", ['level' => '9.5'])->assertOk();
        $this->send('PUT', "/api/jars/{$grey->id}", ['drops' => '26'])->assertOk();
        $this->send('PUT', "/api/jars/{$grey->id}", ['level' => '8'])->assertOk();
        [$second, $drops, $first] = $this->row()['changes'];
        self::assertSame(['Linnet Sea Grey, level', 'Linnet Sea Grey, drops per', 'Linnet Sea Grey, level'], array_column([$second, $drops, $first], 'title'));
        $this->send('POST', "/api/changes/{$first['id']}/undo", [])->assertUnprocessable()->assertJsonFragment(['right' => 'take that back first']);
        $this->send('POST', "/api/changes/{$drops['id']}/undo", [])->assertCreated();
        $this->send('POST', "/api/changes/{$second['id']}/undo", [])->assertCreated();
        self::assertEquals(9.5, Product::query()->findOrFail($grey->id)->body['levelMl']);
        $this->send('POST', "/api/changes/{$first['id']}/undo", [])->assertCreated();
        self::assertEquals($was, Product::query()->findOrFail($grey->id)->body);
        $fresh = $this->send('POST', '/api/products', ['name' => 'Quay Ochre', 'family' => 'lacquer', 'role' => 'colour', 'swatch' => '#AA8844'])->assertCreated()->json('product.id');
        $this->send('POST', "/api/changes/{$this->row()['changes'][0]['id']}/undo", [])->assertCreated();
        self::assertNull(Product::query()->find($fresh));
        $this->send('POST', '/api/products.csv', ['csv' => "id,name,family,role\n{$grey->id},Sea,water-acrylic,colour\n,Quay Ochre,lacquer,colour\n"])->assertCreated();
        $this->send('POST', "/api/changes/{$this->row()['changes'][0]['id']}/undo", [])->assertCreated();
        self::assertSame(['Linnet Sea Grey', null], [Product::query()->findOrFail($grey->id)->body['name'], Product::query()->where('body->name', 'Quay Ochre')->first()]);
    }

    public function test_a_recipe_is_taken_back(): void
    {
        $parts = $this->send('POST', '/api/recipes/read', ['text' => '3 sea grey + 1 ground white + 2 thinner'])->assertOk()->json('parts');
        $id = $this->send('POST', '/api/recipes', ['name' => 'Haze', 'parts' => $parts])->assertCreated()->json('product.id');
        $change = $this->row()['changes'][0];
        self::assertSame(['Haze on the shelf', 'shelf'], [$change['title'], $change['scope']]);
        $this->send('POST', "/api/changes/{$change['id']}/undo", [])->assertCreated();

        self::assertNull(Product::query()->find($id));
    }

    public function test_the_whole_bench_goes_out_and_in_at_a_press_and_asks_before_it_replaces_anything(): void
    {
        $zip = (string) $this->get('/api/bench.zip')->assertOk()->assertHeader('Content-Type', 'application/zip')->getContent();
        $this->send('PUT', "/api/builds/{$this->buildId()}/away", ['away' => true])->assertOk();
        $put = fn (string $body, string $query = ''): TestResponse => $this->call('POST', "/api/bench{$query}", [], [], [], ['CONTENT_TYPE' => 'application/zip'], $body);
        $put($zip)->assertConflict()->assertJsonPath('error.there.choices', ['replace']);
        $put('PK no zip', '?mode=replace')->assertUnprocessable();
        self::assertCount(4, $this->send('GET', '/api/frame')->json('builds'), 'nothing was touched');
        $put($zip, '?mode=replace')->assertCreated();

        self::assertCount(5, $this->send('GET', '/api/frame')->json('builds'));
        self::assertSame($zip, (string) $this->get('/api/bench.zip')->getContent());
    }

    public function test_a_paint_a_build_uses_does_not_go(): void
    {
        $id = $this->send('POST', '/api/products', ['name' => 'Quay Ochre', 'family' => 'lacquer', 'role' => 'colour', 'swatch' => '#AA8844'])->assertCreated()->json('product.id');
        $change = $this->row()['changes'][0]['id'];
        $this->send('POST', "/api/builds/{$this->buildId()}/events", ['id' => self::ulid(1), 'kind' => 'note', 'at' => self::NOW, 'note' => 'Tried it', 'product' => $id])->assertCreated();
        $this->send('POST', "/api/changes/{$change}/undo", [])->assertUnprocessable()->assertJsonPath('error.problems.0.right', 'give that build another paint first');

        self::assertNotNull(Product::query()->find($id));
    }

    public function test_a_house_rule_is_taken_back(): void
    {
        $was = app(Settings::class)->house()->positions;
        $this->send('PUT', '/api/house', ['question' => 'gloss-before-decals', 'position' => 'always'])->assertUnprocessable();
        $question = $this->send('GET', "/api/builds/{$this->buildId()}/house")->json('questions.0');
        $other = array_values(array_filter($question['positions'], static fn (array $p): bool => $p['id'] !== $question['yours']))[0]['id'];
        $this->send('PUT', '/api/house', ['question' => $question['id'], 'position' => $other])->assertOk();
        $change = $this->row()['changes'][0];
        self::assertSame(['house', 'House rule: '.$question['title']], [$change['scope'], $change['title']]);
        $this->send('POST', "/api/changes/{$change['id']}/undo", [])->assertCreated();
        app(Settings::class)->forget();

        self::assertSame($was, app(Settings::class)->house()->positions);
    }

    public function test_a_kept_answer_is_never_of_the_build_before(): void
    {
        $id = $this->buildId();
        $file = (string) $this->get("/api/builds/{$id}/export")->getContent();
        $this->send('GET', "/api/builds/{$id}/plan")->assertOk();
        Build::query()->whereKey($id)->delete();
        $other = json_decode($file, true);
        unset($other['digest']);
        $other['kit']['name'] = 'The same number, another build';
        $other['events'] = array_slice($other['events'], 0, 1);
        $this->import((string) json_encode($other))->assertCreated();

        self::assertSame('The same number, another build', $this->send('GET', "/api/builds/{$id}/plan")->assertOk()->json('build.name'));
    }

    public function test_a_build_that_cannot_be_read_is_shown_as_such_and_the_others_work(): void
    {
        $id = $this->buildId();
        $build = Build::query()->findOrFail($id);
        $build->update(['kit' => [...$build->kit, 'zone' => 'Mars/Base']]);
        $frame = $this->send('GET', '/api/frame')->assertOk()->json();

        self::assertSame([['id' => $id, 'name' => $build->name, 'wrong' => 'zone: is not a time zone; give an IANA name such as Europe/Lisbon']], $frame['unreadable']);
        self::assertCount(4, $frame['builds']);
        $this->send('GET', "/api/builds/{$id}/bench")->assertUnprocessable()->assertJsonPath('error.problems.0.path', 'zone');
        $this->send('GET', "/api/builds/{$frame['builds'][0]['id']}/bench")->assertOk();
        $this->send('GET', "/api/builds/{$frame['builds'][0]['id']}/mix")->assertOk();
        $this->get('/api/holds.ics')->assertOk();
        self::assertCount(4, $this->send('GET', '/api/runup')->assertOk()->json('builds'));
        $this->send('GET', '/api/builds')->assertOk();
    }

    public function test_what_the_machine_refuses_is_said_for_what_it_is(): void
    {
        $told = static function (int $code, string $words = ''): ?array {
            $e = new PDOException($words);
            $e->errorInfo = $words === '' ? ['HY000', $code, 'as SQLite has it'] : null;
            $response = Trouble::answer(new QueryException('sqlite', 'select 1', [], $e));

            return $response === null ? null : [$response->getStatusCode(), json_decode((string) $response->getContent(), true)['error']['kind'], $response->headers->get('Retry-After')];
        };

        self::assertSame([503, 'busy', '2'], $told(5));
        self::assertSame([507, 'read-only', null], $told(8));
        self::assertSame([507, 'read-only', null], $told(0, 'SQLSTATE[HY000] [14] unable to open database file'));
        self::assertSame([507, 'full', null], $told(13));
        self::assertSame([503, 'damaged', null], $told(11));
        self::assertNull($told(1), 'what nobody foresaw is no trouble of the machine');
    }

    public function test_a_clock_that_jumped_is_said_until_somebody_says_that_it_is_right(): void
    {
        Setting::query()->whereKey(BenchClock::TESTING)->delete();
        $seen = tempnam(sys_get_temp_dir(), 'amber');
        file_put_contents((string) $seen, json_encode(['epoch' => time() + 3600, 'up' => (new Uptime)->seconds(), 'start' => (new Uptime)->start()]));
        $this->app->instance(BenchClock::class, new BenchClock(null, true, new Drift((string) $seen, new Uptime)));

        self::assertSame(-60, $this->send('GET', '/api/frame')->json('clockJumpedMinutes'));
        $this->send('PUT', '/api/clock', ['right' => false])->assertUnprocessable();
        $this->send('PUT', '/api/clock', ['right' => true])->assertOk();
        self::assertNull($this->send('GET', '/api/frame')->json('clockJumpedMinutes'));
        unlink((string) $seen);
    }

    public function test_an_unknown_zone_of_the_bench_is_one_sentence(): void
    {
        config(['app.bench_zone' => 'Mars/Base']);
        $this->send('POST', '/api/builds/blank', ['name' => 'Glider', 'scale' => 72])->assertUnprocessable()->assertJsonPath('error.problems.0.right', 'set it to one such as Europe/Lisbon');
        $this->get('/')->assertOk();
        $this->artisan('amber:upgrade')->expectsOutput('AMBER_ZONE: is "Mars/Base", which is no time zone here; set it to one such as Europe/Lisbon')->assertFailed();
    }

    private function import(string $file, string $query = ''): TestResponse
    {
        return $this->call('POST', "/api/builds{$query}", [], [], [], ['CONTENT_TYPE' => 'application/json'], $file);
    }

    private function undo(string $build, string $change, int $revision): TestResponse
    {
        return $this->send('POST', "/api/builds/{$build}/changes/{$change}/undo", [], ['If-Match' => "\"{$revision}\""]);
    }

    /** @return array<string, mixed> */
    private function row(): array
    {
        return $this->send('GET', '/api/builds')->assertOk()->json();
    }
}
