<?php

declare(strict_types=1);

namespace Tests\Unit;

use AmberStep\Core\Document\BadDocument;
use App\Build\BenchFile;
use App\Build\Row;
use App\Keeping\Cause;
use App\Keeping\Copies;
use App\Keeping\Copy;
use App\Keeping\Place;
use App\Keeping\Restore;
use App\Keeping\Soundness;
use App\Models\Build;
use App\Models\Event;
use App\Models\Product;
use App\Photos\Parcel;
use App\Photos\Photographs;
use App\Repositories\Settings;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PDO;
use Tests\Support\FileTestCase;

/** Copies of a real database file, and the way back from them. */
final class CopiesTest extends FileTestCase
{
    public function test_nothing_is_copied_where_nothing_would_be_lost(): void
    {
        self::assertNull(app(Copies::class)->take(Cause::Asked));
        Artisan::call('amber:upgrade');
        self::assertSame([], glob("{$this->folder}/backups/*"));
        self::assertTrue(DB::getSchemaBuilder()->hasTable('events'));
        config(['database.connections.sqlite.database' => ':memory:']);
        DB::purge('sqlite');
        self::assertNull(app(Copies::class)->take(Cause::Asked), 'a database in memory has no copies');
    }

    public function test_the_file_is_kept_safe_by_its_settings(): void
    {
        self::assertSame(['wal', 2, 1], [DB::scalar('PRAGMA journal_mode'), (int) DB::scalar('PRAGMA synchronous'), (int) DB::scalar('PRAGMA foreign_keys')]);
    }

    public function test_one_cause_never_pushes_out_another(): void
    {
        $copies = [];
        $name = static fn (int $day, string $cause): string => sprintf('/x/%s-120000-000000.%s.sqlite', gmdate('Ymd', strtotime('2026-03-31') - 86400 * $day), $cause);
        for ($day = 0; $day < 60; $day++) {
            foreach (['day', 'replace'] as $cause) {
                $copies[] = Copy::at($name($day, $cause)) ?? self::fail($cause);
            }
        }
        $copies[] = Copy::at('/x/20250101-120000-000000.demo.sqlite') ?? self::fail('demo');
        $kept = Copies::kept($copies);
        $days = array_map(static fn (int $d): string => $name($d, 'day'), [0, 1, 2, 3, 4, 5, 6]);

        self::assertSame(array_map(static fn (int $d): string => $name($d, 'replace'), range(0, 4)), array_values(preg_grep('/replace/', $kept) ?: []));
        self::assertContains('/x/20250101-120000-000000.demo.sqlite', $kept);
        $ofDay = array_values(preg_grep('/day/', $kept) ?: []);
        self::assertSame($days, array_slice($ofDay, 0, 7), 'seven days');
        // 31 March 2026 is a Tuesday: the last of its week and of the three before, two of them among the seven days.
        self::assertSame([$name(9, 'day'), $name(16, 'day')], array_slice($ofDay, 7), 'and four weeks');
    }

    public function test_the_first_start_of_a_day_copies_once_with_the_photographs_and_sweeps_those_no_copy_needs(): void
    {
        $this->demo();
        $hash = self::photographed(Build::query()->firstOrFail());
        $build = Build::query()->firstOrFail();
        self::assertStringStartsWith('Copied: ', $this->say('amber:copy', ['--day' => true]));
        self::assertSame('The copy of today is there.', $this->say('amber:copy', ['--day' => true]));
        self::assertFileExists("{$this->folder}/backups/photos/{$hash}.jpg");
        self::assertSame([], glob("{$this->folder}/backups/*.part"));
        foreach ([Cause::Asked, Cause::Demo] as $cause) {
            for ($i = 0; $i < 6; $i++) {
                self::assertNotNull(app(Copies::class)->take($cause));
            }
        }
        self::assertCount(11, app(Copies::class)->all());
        self::assertCount(1, (array) glob("{$this->folder}/backups/photos/*"), 'twelve copies have it once');
        unlink("{$this->folder}/photos/{$hash}.jpg");
        app(Restore::class)->bringBack(app(Copies::class)->all()[0]);
        self::assertFileExists("{$this->folder}/photos/{$hash}.jpg", 'it comes back with its build');
        $build->fresh()?->update(['kit' => [...$build->kit, 'photos' => []]]);
        array_map(unlink(...), array_map(strval(...), (array) glob("{$this->folder}/backups/*.sqlite")));
        for ($i = 0; $i < 6; $i++) {
            app(Copies::class)->take(Cause::Asked);
        }
        self::assertSame([], glob("{$this->folder}/backups/photos/*"), 'no copy needs it any more');
    }

    public function test_copies_go_where_the_user_says(): void
    {
        $this->demo();
        mkdir("{$this->folder}/stick");
        app(Place::class)->choose("{$this->folder}/stick");
        app(Copies::class)->take(Cause::Asked);
        self::assertCount(1, (array) glob("{$this->folder}/stick/*.asked.sqlite"));
        try {
            app(Place::class)->choose("{$this->folder}/nowhere");
            self::fail('it is not there');
        } catch (BadDocument $bad) {
            self::assertSame('folder', $bad->problems[0]->path);
        }
        rename("{$this->folder}/stick", "{$this->folder}/away");
        app(Copies::class)->take(Cause::Asked);
        self::assertCount(1, (array) glob("{$this->folder}/backups/*.asked.sqlite"), 'with the stick away they lie beside the file');
    }

    public function test_a_copy_is_brought_back_in_one_move_and_what_was_there_is_kept(): void
    {
        $this->demo();
        $was = $this->everything();
        $copy = app(Copies::class)->take(Cause::Asked) ?? self::fail('it was not copied');
        $build = Build::query()->firstOrFail();
        $build->update(['name' => 'Another name']);
        Event::query()->where('build_id', $build->id)->delete();
        Product::query()->limit(1)->delete();
        $changed = $this->everything();
        // Somebody else has the file open, with a log beside it.
        $other = new PDO('sqlite:'.$this->file);
        self::assertSame('Another name', $other->query("select name from builds where id = '{$build->id}'")->fetchColumn());
        self::assertFileExists($this->file.'-wal');
        self::assertContains(['id' => $build->id, 'name' => $copy->builds()[$build->id]['name'], 'here' => 0, 'then' => $copy->builds()[$build->id]['events']], app(Restore::class)->compare($copy));
        $kept = app(Restore::class)->bringBack($copy);

        self::assertSame($was, $this->everything());
        self::assertSame($copy->builds()[$build->id]['name'], $other->query("select name from builds where id = '{$build->id}'")->fetchColumn());
        self::assertSame('ok', $other->query('pragma integrity_check')->fetchColumn());
        self::assertSame([], $other->query('pragma foreign_key_check')->fetchAll());
        self::assertStringContainsString('.restore', (string) $kept);
        app(Restore::class)->bringBack(app(Copies::class)->named((string) $kept));
        self::assertSame($changed, $this->everything(), 'and the way back');
        self::assertSame([], glob("{$this->folder}/restoring*"));
    }

    public function test_a_damaged_file_is_set_aside_and_another_takes_its_name(): void
    {
        $this->demo();
        $was = $this->everything();
        $copy = app(Copies::class)->take(Cause::Asked) ?? self::fail('it was not copied');
        DB::statement('PRAGMA wal_checkpoint(TRUNCATE)');
        DB::purge('sqlite');
        file_put_contents($this->file, str_repeat('not a database ', 900));
        file_put_contents($this->file.'-wal', 'the log of another');
        self::assertNotNull(app(Soundness::class)->check());
        self::assertTrue(app(Soundness::class)->isDamaged());
        self::assertStringContainsString('damaged', $this->say('amber:upgrade', [], 1));
        self::assertStringContainsString($copy->name(), $this->say('amber:restore'));
        self::assertStringContainsString('kept as damaged-', $this->say('amber:restore', ['copy' => $copy->name()]));

        self::assertFalse(app(Soundness::class)->isDamaged());
        self::assertSame($was, $this->everything());
        self::assertNotEmpty(glob("{$this->folder}/backups/damaged-*/a.sqlite"));
        self::assertNotSame('the log of another', (string) @file_get_contents($this->file.'-wal'), 'the log of another file is not beside it');
    }

    public function test_an_old_copy_gets_the_tables_of_today_and_a_newer_or_damaged_one_is_refused(): void
    {
        $this->demo();
        // The tables of then knew no builds put away.
        Build::query()->update(['away' => false]);
        $copy = app(Copies::class)->take(Cause::Asked) ?? self::fail('it was not copied');
        $old = new PDO('sqlite:'.$copy->path);
        $old->exec("alter table builds drop column away; alter table builds drop column binned; drop table changes; create table changes (id char(26) primary key, build_id char(26), revision integer, title varchar, edits text, inverse text, undoes char(26), at integer); delete from migrations where migration like '%changes_of_anything'");
        $was = $this->everything();
        app(Restore::class)->bringBack($copy);
        self::assertSame($was, $this->everything());
        $old->exec("insert into migrations (migration, batch) values ('2030_01_01_000000_of_tomorrow', 9)");
        $this->refused($copy, 'newer version');
        file_put_contents($copy->path, 'nothing');
        $this->refused($copy, 'is damaged');
        self::assertSame($was, $this->everything());
    }

    public function test_the_whole_bench_in_one_file_comes_back_to_the_same_bytes(): void
    {
        $this->demo();
        $hash = self::photographed(Build::query()->firstOrFail());
        $build = Build::query()->firstOrFail();
        app(Row::class)->putAway(Build::query()->skip(1)->firstOrFail()->id, true);
        app(Row::class)->toBin(Build::query()->skip(2)->firstOrFail()->id);
        app(Settings::class)->set('grits', ['owned' => ['P600']]);
        DB::table('readings')->insert([['at' => 1772500000, 'temperature_c' => 19.25, 'humidity' => 0.61]]);
        self::assertSame('', $this->say('amber:export', ['--all' => true, '--to' => "{$this->folder}/all.zip"]));
        $this->useFile('fresh/b.sqlite');
        self::assertSame('The whole bench is in.', $this->say('amber:import', ['file' => "{$this->folder}/all.zip"]));
        self::assertFileExists("{$this->folder}/fresh/photos/{$hash}.jpg");
        $this->say('amber:export', ['--all' => true, '--to' => "{$this->folder}/again.zip"]);

        self::assertFileEquals("{$this->folder}/all.zip", "{$this->folder}/again.zip");
        self::assertSame(2, Build::query()->where('away', true)->count());
        self::assertSame(1, Build::query()->whereNotNull('binned')->count());
        $was = $this->everything();
        $this->say('amber:import', ['file' => "{$this->folder}/all.zip"], 2);
        self::assertSame($was, $this->everything(), 'what is here is asked about first');
        $this->say('amber:import', ['file' => "{$this->folder}/all.zip", '--replace' => true]);
        self::assertSame(1, count((array) glob("{$this->folder}/fresh/backups/*.replace.sqlite")));
        self::assertSame(app(BenchFile::class)->toJson(), app(Parcel::class)->json((string) file_get_contents("{$this->folder}/again.zip"), Parcel::BENCH));
    }

    /** @return string the hash of a picture its first joint has from now on */
    private static function photographed(Build $build): string
    {
        $image = imagecreatetruecolor(20, 20);
        ob_start();
        imagepng($image);
        $hash = app(Photographs::class)->keep((string) ob_get_clean());
        $build->update(['kit' => [...$build->kit, 'photos' => [['id' => '01T00000000000000000000001', 'target' => $build->kit['joints'][0]['id'], 'hash' => $hash, 'marks' => []]]]]);

        return $hash;
    }

    private function refused(Copy $copy, string $why): void
    {
        try {
            app(Restore::class)->bringBack($copy);
            self::fail('it was brought back');
        } catch (BadDocument $bad) {
            self::assertStringContainsString($why, $bad->problems[0]->wrong);
        }
    }

    /** @param  array<string, mixed>  $with */
    private function say(string $command, array $with = [], int $code = 0): string
    {
        $got = Artisan::call($command, $with);
        $said = trim(Artisan::output());
        self::assertSame($code, $got, $said);

        return $said;
    }

    /** @return array<string, mixed> all that is stored, but for what tells one bench from another */
    private function everything(): array
    {
        $tables = [];
        foreach (['builds', 'changes', 'events', 'products', 'readings'] as $table) {
            $tables[$table] = array_map(static fn ($r): array => (array) $r, DB::table($table)->orderBy($table === 'events' ? 'number' : 'id')->get()->all());
        }

        return [...$tables, 'settings' => DB::table('settings')->where('name', '!=', 'bench')->orderBy('name')->pluck('value', 'name')->all()];
    }
}
