<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Clock\BenchClock;
use App\Demo\Demo;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** The application on a database file of its own, with all that lies beside it. */
abstract class FileTestCase extends TestCase
{
    protected string $folder = '';

    protected string $file = '';

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
        $this->useFile('a.sqlite');
    }

    protected function tearDown(): void
    {
        DB::purge('sqlite');
        (new Filesystem)->deleteDirectory($this->folder);
        parent::tearDown();
    }

    /** From now on the bench is this file, made where it is not there. */
    protected function useFile(string $name): void
    {
        $this->file = "{$this->folder}/{$name}";
        if (! is_file($this->file)) {
            (new Filesystem)->ensureDirectoryExists(dirname($this->file));
            touch($this->file);
        }
        config(['database.connections.sqlite.database' => $this->file]);
        DB::purge('sqlite');
        app(Settings::class)->forget();
        app(ShelfRepository::class)->forget();
        Artisan::call('amber:upgrade');
    }

    protected function demo(): void
    {
        app(Settings::class)->set(BenchClock::TESTING, ['epoch' => (int) strtotime('2026-03-03T19:05:00Z')]);
        app(Demo::class)->loadOnce();
    }
}
