<?php

declare(strict_types=1);

namespace App\Keeping;

use AmberStep\Core\Document\BadDocument;
use App\Photos\Photographs;
use App\Repositories\Settings;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;

/**
 * Brings a copy back in one move, and keeps what was there. Into a sound file it goes as one transaction, so that nobody
 * who has it open, and no log beside it, can mix the two; a damaged one is set aside whole and another takes its name.
 */
final readonly class Restore
{
    private const CONNECTION = 'restoring';

    public function __construct(private Place $place, private Copies $copies, private Soundness $soundness, private Photographs $photographs, private Settings $settings)
    {
    }

    /**
     * What is there now against what would be.
     *
     * @return list<array{id: string, name: string, here: int|null, then: int|null}> events of each build; null: it is not there
     */
    public function compare(Copy $copy): array
    {
        $then = $copy->builds() ?? [];
        $here = $this->soundness->isDamaged() ? [] : array_column(array_map(static fn (object $b): array => (array) $b, DB::select('select id, name, (select count(*) from events where build_id = builds.id) as events from builds order by position, id')), null, 'id');
        $rows = [];
        foreach ($here + $then as $id => $build) {
            $rows[] = ['id' => (string) $id, 'name' => (string) ($then[$id]['name'] ?? $build['name']), 'here' => isset($here[$id]) ? (int) $here[$id]['events'] : null, 'then' => isset($then[$id]) ? (int) $then[$id]['events'] : null];
        }

        return $rows;
    }

    /**
     * @return string|null name of the copy, or of the folder, that keeps what was there; null where there was nothing
     *
     * @throws BadDocument where the copy is damaged, or of a newer version
     */
    public function bringBack(Copy $copy): ?string
    {
        if (! $copy->isSound()) {
            throw BadDocument::at('copy', 'is damaged itself', 'take another one');
        }
        $fresh = $this->place->beside('restoring.'.bin2hex(random_bytes(4)).'.sqlite');
        try {
            copy($copy->path, $fresh);
            $this->upToDate($fresh);
            $this->photographs->bringBack(dirname($copy->path).'/photos', $copy->photographs());
            if ($this->soundness->check() === null) {
                $kept = $this->copies->take(Cause::Restore)?->name();
                $this->pour($fresh);
            } else {
                $kept = $this->setAside();
                rename($fresh, $this->place->database());
                DB::purge();
                $this->settings->renew();
            }
            $this->soundness->check();

            return $kept;
        } finally {
            DB::purge(self::CONNECTION);
            foreach (['', '-wal', '-shm', '-journal'] as $tail) {
                @unlink($fresh.$tail);
            }
        }
    }

    /** An old copy gets the tables of today before anything is touched. */
    private function upToDate(string $file): void
    {
        config(['database.connections.'.self::CONNECTION => [...(array) config('database.connections.sqlite'), 'database' => $file, 'journal_mode' => 'DELETE']]);
        /** @var Migrator $migrator */
        $migrator = app('migrator');
        $migrator->usingConnection(self::CONNECTION, static function () use ($migrator): void {
            $known = array_keys($migrator->getMigrationFiles(database_path('migrations')));
            $ran = $migrator->repositoryExists() ? $migrator->getRepository()->getRan() : [];
            if ($ran === [] || array_diff($ran, $known) !== []) {
                throw BadDocument::at('copy', $ran === [] ? 'is none of this product' : 'was made by a newer version of the product', 'take another one, or bring the product up to date');
            }
            $migrator->run([database_path('migrations')]);
        });
        DB::purge(self::CONNECTION);
    }

    private function pour(string $from): void
    {
        DB::statement('ATTACH DATABASE ? AS copied', [$from]);
        try {
            DB::transaction(function (): void {
                DB::statement('PRAGMA defer_foreign_keys = ON');
                $tables = array_map(static fn (object $t): string => (string) ((array) $t)['name'], DB::select("select name from sqlite_master where type = 'table' and name not like 'sqlite_%' and name != 'migrations'"));
                foreach ($tables as $table) {
                    DB::statement("DELETE FROM main.\"{$table}\"");
                }
                foreach ($tables as $table) {
                    $columns = implode(', ', array_map(static fn (object $c): string => '"'.((array) $c)['name'].'"', DB::select("pragma copied.table_info(\"{$table}\")")));
                    DB::statement("INSERT INTO main.\"{$table}\" ({$columns}) SELECT {$columns} FROM copied.\"{$table}\"");
                }
                $this->settings->renew();
            });
        } finally {
            DB::statement('DETACH DATABASE copied');
        }
    }

    /** Moves a damaged file away with all that lies beside it. The log goes first: beside another file it would be taken for its own. */
    private function setAside(): string
    {
        $folder = $this->place->copies().'/damaged-'.gmdate('Ymd-His');
        (new Filesystem)->ensureDirectoryExists($folder);
        DB::purge();
        $file = $this->place->database();
        foreach (['-wal', '-shm'] as $tail) {
            if (is_file($file.$tail)) {
                @copy($file.$tail, $folder.'/'.basename($file).$tail);
                @unlink($file.$tail);
            }
        }
        // The damaged one stays under its name until the whole one takes it.
        @copy($file, $folder.'/'.basename($file));

        return basename($folder);
    }
}
