<?php

declare(strict_types=1);

namespace App\Build;

use Illuminate\Support\Facades\DB;

/** Copies of the database file, made before something is replaced or migrated; the newest five are kept. */
final class Backup
{
    private const KEPT = 5;

    public function take(): ?string
    {
        $file = DB::connection()->getDatabaseName();
        if ($file === '' || $file === ':memory:' || ! is_file($file) || filesize($file) === 0) {
            return null;
        }
        $folder = dirname($file).'/backups';
        if (! is_dir($folder)) {
            mkdir($folder, 0o755, true);
        }
        $copy = sprintf('%s/%s.sqlite', $folder, (new \DateTimeImmutable('now', new \DateTimeZone('UTC')))->format('Ymd-His-u'));
        DB::statement('VACUUM INTO ?', [$copy]);
        $all = glob($folder.'/*.sqlite');
        $all = $all === false ? [] : $all;
        sort($all);
        foreach (array_slice($all, 0, -self::KEPT) as $old) {
            // Another process may have taken it away in between: it is gone, which is all that is wanted.
            @unlink($old);
        }

        return $copy;
    }
}
