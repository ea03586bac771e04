<?php

declare(strict_types=1);

namespace App\Answers;

use AmberStep\Core\Document\Id;
use App\Models\Build;
use Illuminate\Filesystem\Filesystem;

/**
 * The folder of kept answers, beside no database and in no copy: what lies there can be worked out again. Each file is
 * written whole and then given its name, so that a reader sees the old one or the new.
 */
final class Store
{
    /** Folders that nobody wrote to for so many seconds are swept. */
    private const SWEPT_AFTER = 14 * 86400;

    /** Seconds after which nobody writes a file any more that has not got its name. */
    private const HALF_AFTER = 3600;

    /** The answers of a compile that are asked after each press, and those that may follow. */
    private const TOGETHER = ['timetable', 'timetable-rest'];

    private readonly string $folder;

    /** @var array<string, callable(): void> what is to be written yet, by build: each holds its build's lock */
    private array $later = [];

    public function __construct()
    {
        $database = (new Build)->getConnection()->getDatabaseName();
        // A database in memory belongs to its process.
        $this->folder = base_path('var/cache/').hash('xxh64', $database === ':memory:' ? $database.getmypid() : $database);
    }

    public function get(string $build, string $name): ?Kept
    {
        $bytes = @file_get_contents($this->path($build, $name));

        return $bytes === false ? null : Kept::fromBytes($bytes);
    }

    public function put(string $build, string $name, Kept $kept): void
    {
        $this->write($this->path($build, $name), $kept->bytes());
    }

    /** One of the answers that were written together. */
    public function slice(string $build, string $name): ?Kept
    {
        foreach (self::TOGETHER as $file) {
            $bytes = (string) @file_get_contents($this->path($build, $file));
            $end = (int) strpos($bytes, "\n");
            $places = json_decode(substr($bytes, 0, $end), true);
            $place = is_array($places) ? $places[$name] ?? null : null;
            if (is_array($place) && is_int($place[0] ?? null) && is_int($place[1] ?? null)) {
                return Kept::fromBytes(substr($bytes, $end + 1 + $place[0], $place[1]));
            }
        }

        return null;
    }

    /**
     * Answers of one compile, in one file: they are there together, or the ones before are.
     *
     * @param  array<string, Kept>  $slices  by name
     * @param  bool  $rest  those that followed
     */
    public function putTogether(string $build, array $slices, bool $rest = false): void
    {
        $places = [];
        $all = '';
        foreach ($slices as $name => $kept) {
            $bytes = $kept->bytes();
            $places[$name] = [strlen($all), strlen($bytes)];
            $all .= $bytes;
        }
        $this->write($this->path($build, self::TOGETHER[(int) $rest]), json_encode($places, JSON_THROW_ON_ERROR)."\n".$all);
    }

    public function read(string $build, string $name): ?string
    {
        $bytes = @file_get_contents($this->path($build, $name));

        return $bytes === false ? null : $bytes;
    }

    public function write(string $path, string $bytes): void
    {
        self::folder(dirname($path));
        $fresh = $path.'.'.bin2hex(random_bytes(4));
        // On a full disk nothing is kept, and nothing half.
        if (@file_put_contents($fresh, $bytes) === strlen($bytes)) {
            @rename($fresh, $path);
        } else {
            @unlink($fresh);
        }
    }

    private static function folder(string $path): void
    {
        if (! is_dir($path)) {
            @mkdir($path, 0o755, true);
        }
    }

    public function path(string $build, string $name): string
    {
        return "{$this->folder}/{$build}/".strtr($name, '/?&=', '----');
    }

    /**
     * One at a time for each build: who comes second finds what the first has written.
     *
     * @template T
     *
     * @param  callable(callable(callable(): void): void): T  $work  gets what puts work off until the answer has gone out: until then nobody else is let in
     * @return T
     */
    public function alone(string $build, callable $work): mixed
    {
        $this->finish($build);
        $path = $this->path($build, 'lock');
        self::folder(dirname($path));
        $lock = @fopen($path, 'c');
        $later = null;
        // Where nothing can be written, not even a lock, each reader works for itself.
        if ($lock !== false) {
            flock($lock, LOCK_EX);
        }
        try {
            return $work(static function (callable $rest) use (&$later): void {
                $later = $rest;
            });
        } finally {
            $open = static fn (): bool => $lock === false || fclose($lock);
            if ($later === null) {
                $open();
            } else {
                $this->later[$build] = static function () use ($later, $open): void {
                    try {
                        $later();
                    } finally {
                        $open();
                    }
                };
            }
        }
    }

    /** Writes what was put off, of one build or of all. */
    public function finish(?string $build = null): void
    {
        foreach ($build === null ? array_keys($this->later) : [$build] as $one) {
            $rest = $this->later[$one] ?? null;
            unset($this->later[$one]);
            if ($rest !== null) {
                $rest();
            }
        }
    }

    /** Throws away all that is kept for this database. */
    public function sweep(): void
    {
        (new Filesystem)->deleteDirectory($this->folder);
    }

    /**
     * Throws away what is kept of builds that are gone, what a kill left half written, and what other databases left behind.
     *
     * @param  list<string>  $builds  ids of those that are there
     */
    public function tidy(array $builds): void
    {
        $files = new Filesystem;
        foreach ((array) glob($this->folder.'/*', GLOB_ONLYDIR) as $folder) {
            // What is no id is kept for all of them.
            if (is_string($folder) && Id::isValid(basename($folder)) && ! in_array(basename($folder), $builds, true)) {
                $files->deleteDirectory($folder);
            }
        }
        foreach ((array) glob($this->folder.'/*/*.????????') as $half) {
            if (is_string($half) && time() - (int) @filemtime($half) > self::HALF_AFTER) {
                @unlink($half);
            }
        }
        foreach ((array) glob(base_path('var/cache/*'), GLOB_ONLYDIR) as $folder) {
            if (is_string($folder) && time() - (int) @filemtime($folder) > self::SWEPT_AFTER) {
                $files->deleteDirectory($folder);
            }
        }
    }
}
