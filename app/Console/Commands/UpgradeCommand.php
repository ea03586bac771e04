<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Build\Backup;
use Illuminate\Console\Command;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;

/** Brings the database up to date; a file with data is copied first. */
final class UpgradeCommand extends Command
{
    protected $signature = 'amber:upgrade';

    protected $description = 'Create or bring up to date the database';

    public function handle(Backup $backup): int
    {
        $file = DB::connection()->getDatabaseName();
        if (! is_file($file)) {
            @mkdir(dirname($file), 0o755, true);
            touch($file);
        }
        /** @var Migrator $migrator */
        $migrator = app('migrator');
        $files = array_keys($migrator->getMigrationFiles(database_path('migrations')));
        $ran = $migrator->repositoryExists() ? $migrator->getRepository()->getRan() : [];
        if (array_diff($files, $ran) === []) {
            return self::SUCCESS;
        }
        $backup->take();

        return $this->callSilent('migrate', ['--force' => true]);
    }
}
