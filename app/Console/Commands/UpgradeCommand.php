<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use App\Clock\BenchZone;
use App\Keeping\Cause;
use App\Keeping\Copies;
use App\Keeping\Place;
use App\Keeping\Soundness;
use Illuminate\Console\Command;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;

/** Brings the database up to date: one at a time, in one transaction; a file with data is looked over and copied first. */
final class UpgradeCommand extends Command
{
    protected $signature = 'amber:upgrade';

    protected $description = 'Create or bring up to date the database';

    public function handle(Copies $copies, Place $place, Soundness $soundness): int
    {
        $file = $place->database();
        if (! is_file($file)) {
            @mkdir(dirname($file), 0o755, true);
            touch($file);
        }
        try {
            BenchZone::name();
        } catch (BadDocument $bad) {
            $this->line($bad->problems[0]->sentence());

            return self::FAILURE;
        }
        $wrong = $soundness->check();
        if ($wrong !== null) {
            $this->line("The bench's file is damaged ({$wrong}). Nothing was touched; php artisan amber:restore lists the copies.");

            return self::FAILURE;
        }
        // Who comes second waits here, and finds nothing left to do.
        $lock = fopen($file.'.upgrade', 'c');
        if ($lock !== false) {
            flock($lock, LOCK_EX);
        }
        try {
            return $this->upgrade($copies);
        } finally {
            if ($lock !== false) {
                fclose($lock);
            }
        }
    }

    private function upgrade(Copies $copies): int
    {
        /** @var Migrator $migrator */
        $migrator = app('migrator');
        $files = array_keys($migrator->getMigrationFiles(database_path('migrations')));
        $ran = $migrator->repositoryExists() ? $migrator->getRepository()->getRan() : [];
        if (array_diff($files, $ran) === []) {
            return self::SUCCESS;
        }
        $copies->take(Cause::Upgrade);
        DB::transaction(static function () use ($migrator): void {
            if (! $migrator->repositoryExists()) {
                $migrator->getRepository()->createRepository();
            }
            $migrator->run([database_path('migrations')]);
        });

        return self::SUCCESS;
    }
}
