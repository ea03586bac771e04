<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Answers\Store;
use App\Answers\Tidy;
use App\Models\Build;
use App\Photos\Photographs;
use Tests\Support\AppTestCase;
use Tests\Support\Pictures;

/** Nothing grows for ever: answers of builds that are gone, photographs nothing shows, and files by what somebody asks. */
final class TidyTest extends AppTestCase
{
    public function test_what_is_invented_in_a_query_makes_no_file(): void
    {
        $id = $this->buildId();
        $files = fn (): int => count((array) glob(dirname(app(Store::class)->path($id, 'x')).'/*'));
        $this->get("/api/builds/{$id}/log?from=1")->assertOk();
        $all = $this->send('GET', "/api/builds/{$id}/log?from=0")->assertOk()->json('events');
        $this->get("/api/builds/{$id}/sheet?minutes=100")->assertOk();
        $this->get("/api/builds/{$id}/bench?minutes=101")->assertOk();
        $this->get("/api/builds/{$id}/plan?x=1")->assertOk();
        $before = $files();
        for ($n = 2; $n < 12; $n++) {
            self::assertSame($all[$n]['id'], $this->send('GET', "/api/builds/{$id}/log?from={$n}")->json('events.0.id'), 'and each gets what it asked for');
            $this->get("/api/builds/{$id}/sheet?minutes=".(100 + $n))->assertOk();
            $this->get("/api/builds/{$id}/bench?minutes=".(100 + $n))->assertOk();
            $this->get("/api/builds/{$id}/plan?x={$n}")->assertOk();
        }

        self::assertSame($before, $files());
    }

    public function test_answers_of_a_build_that_is_gone_are_swept_and_those_of_the_others_stay(): void
    {
        $store = app(Store::class);
        $id = $this->buildId();
        $gone = self::ulid(9);
        foreach ([$id, $gone, 'bench'] as $folder) {
            $store->write($store->path($folder, 'kept'), 'x');
            $store->write($store->path($folder, 'kept').'.0a1b2c3d', 'half');
        }
        touch($store->path($id, 'kept').'.0a1b2c3d', time() - 7200);
        app(Tidy::class)->up();

        self::assertFileDoesNotExist($store->path($gone, 'kept'));
        self::assertFileExists($store->path($id, 'kept'));
        self::assertFileExists($store->path('bench', 'kept'));
        self::assertFileDoesNotExist($store->path($id, 'kept').'.0a1b2c3d', 'left by a kill');
        self::assertFileExists($store->path('bench', 'kept').'.0a1b2c3d', 'being written, for all one knows');
    }

    public function test_a_photograph_goes_a_week_after_nothing_shows_it_and_never_while_an_undo_may_bring_it_back(): void
    {
        $photographs = app(Photographs::class);
        $id = (string) Build::query()->where('name', 'Dunmore Type 6')->value('id');
        [$shown, $out, $unused, $fresh] = array_map(static fn (int $width): string => $photographs->keep(Pictures::jpeg($width, 30)), [40, 50, 60, 70]);
        $target = $this->send('GET', "/api/builds/{$id}/surface")->json('places.0.id');
        foreach ([[1, $shown], [2, $out]] as [$n, $hash]) {
            $this->change($id, ['op' => 'add', 'list' => 'photos', 'value' => ['id' => self::ulid($n), 'target' => $target, 'hash' => $hash, 'marks' => []]]);
        }
        $this->change($id, ['op' => 'remove', 'list' => 'photos', 'id' => self::ulid(2)]);
        foreach ([$shown, $out, $unused] as $hash) {
            touch((string) $photographs->file($hash), time() - 8 * 86400);
        }
        app(Tidy::class)->up();

        self::assertSame([true, true, false, true], array_map(static fn (string $hash): bool => $photographs->file($hash) !== null, [$shown, $out, $unused, $fresh]));
    }

    public function test_the_first_start_of_a_day_tidies_up(): void
    {
        $store = app(Store::class);
        $store->write($store->path(self::ulid(9), 'kept'), 'x');
        $this->artisan('amber:copy', ['--day' => true])->assertSuccessful();

        self::assertFileDoesNotExist($store->path(self::ulid(9), 'kept'));
    }

    /** @param  array<string, mixed>  $edit */
    private function change(string $id, array $edit): void
    {
        $this->send('POST', "/api/builds/{$id}/changes", ['title' => 'A photograph', 'edits' => [$edit]], ['If-Match' => '"'.$this->send('GET', "/api/builds/{$id}/surface")->json('build.revision').'"'])->assertCreated();
    }
}
