<?php

declare(strict_types=1);

namespace App\Keeping;

/** What the server and the application write about themselves does not grow for ever: three older ones are kept. */
final class Logs
{
    public const MOST_BYTES = 5 * 1024 * 1024;

    private const KEPT = 3;

    /** Those of this installation, as far as they have grown too large. */
    public static function turn(): void
    {
        foreach ([storage_path('logs/amberstep.log'), base_path('var/server.log'), base_path('var/search.log')] as $file) {
            self::rotate($file);
        }
    }

    /** Copied and emptied, not moved: who writes has it open, and goes on at its end. */
    public static function rotate(string $file): void
    {
        clearstatcache(true, $file);
        if (! is_file($file) || filesize($file) <= self::MOST_BYTES) {
            return;
        }
        for ($n = self::KEPT; $n > 1; $n--) {
            if (is_file("{$file}.".($n - 1))) {
                rename("{$file}.".($n - 1), "{$file}.{$n}");
            }
        }
        if (copy($file, "{$file}.1")) {
            file_put_contents($file, '');
        }
    }
}
