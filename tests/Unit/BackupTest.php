<?php

declare(strict_types=1);

namespace Tests\Unit;

use App\Build\Backup;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PDO;

/** Copies of a real database file. */
final class BackupTest extends TestCase
{
    private string $folder = '';

    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require __DIR__.'/../../bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/amber-'.bin2hex(random_bytes(5));
        mkdir($this->folder);
        touch("{$this->folder}/a.sqlite");
        config(['database.connections.sqlite.database' => "{$this->folder}/a.sqlite"]);
        DB::purge('sqlite');
        Artisan::call('amber:upgrade');
    }

    protected function tearDown(): void
    {
        DB::purge('sqlite');
        array_map(unlink(...), array_filter([...(array) glob("{$this->folder}/backups/*"), ...(array) glob("{$this->folder}/a.sqlite*")], is_string(...)));
        parent::tearDown();
    }

    public function test_the_newest_five_are_kept_and_each_is_whole(): void
    {
        $made = [];
        for ($i = 0; $i < 7; $i++) {
            $made[] = (string) app(Backup::class)->take();
            self::assertFileExists($made[$i]);
        }
        $kept = (array) glob("{$this->folder}/backups/*.sqlite");

        self::assertSame(array_slice($made, 2), $kept);
        self::assertSame('ok', (new PDO('sqlite:'.$made[6]))->query('PRAGMA integrity_check')->fetchColumn());
    }

    public function test_an_upgrade_with_nothing_to_do_copies_nothing(): void
    {
        Artisan::call('amber:upgrade');

        self::assertSame([], glob("{$this->folder}/backups/*.sqlite"));
        self::assertTrue(DB::getSchemaBuilder()->hasTable('events'));
    }

    public function test_the_file_is_kept_safe_by_its_settings(): void
    {
        self::assertSame(['wal', 2, 1], [DB::scalar('PRAGMA journal_mode'), (int) DB::scalar('PRAGMA synchronous'), (int) DB::scalar('PRAGMA foreign_keys')]);
    }
}
