<?php

declare(strict_types=1);

namespace App\Keeping;

use AmberStep\Core\Document\BadDocument;
use App\Photos\Photographs;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;

/**
 * Copies of the whole bench. Kept are the last of each of seven days and of four weeks, and five of every other cause,
 * so that one cause never pushes out another. Photographs lie beside them once, by their hash.
 */
final readonly class Copies
{
    private const DAYS = 7;

    private const WEEKS = 4;

    private const OF_EACH_CAUSE = 5;

    public function __construct(private Place $place, private Photographs $photographs)
    {
    }

    /** @return Copy|null null where there is nothing to lose yet */
    public function take(Cause $cause): ?Copy
    {
        if (! $this->place->isFile() || self::isEmpty()) {
            return null;
        }
        $folder = $this->place->copies();
        (new Filesystem)->ensureDirectoryExists($folder);
        $copy = Copy::at($folder.'/'.Copy::fresh($cause)) ?? throw new \LogicException('a copy has a name of ours');
        // Whole under its name, or not there: what a kill leaves behind has another.
        $part = $copy->path.'.part';
        try {
            DB::statement('VACUUM INTO ?', [$part]);
            $this->photographs->copyTo($folder.'/photos', Copy::photographsOf($part));
            rename($part, $copy->path);
        } finally {
            // On a full disk it is there by half.
            @unlink($part);
        }
        $this->sweep($folder);

        return $copy;
    }

    /** The copy of the first start of today. */
    public function ofToday(): ?Copy
    {
        $today = gmdate('Ymd');
        foreach ($this->all() as $copy) {
            if ($copy->cause === Cause::Day && gmdate('Ymd', $copy->atEpoch) === $today) {
                return $copy;
            }
        }

        return null;
    }

    /** @return list<Copy> the newest first */
    public function all(): array
    {
        return self::in($this->place->copies());
    }

    /** @throws BadDocument where there is none of that name */
    public function named(string $name): Copy
    {
        foreach ($this->all() as $copy) {
            if ($copy->name() === $name) {
                return $copy;
            }
        }
        throw BadDocument::at('copy', "\"{$name}\" is none of the copies", 'give one of the names that amber:restore lists');
    }

    private static function isEmpty(): bool
    {
        $schema = DB::getSchemaBuilder();
        foreach (['builds', 'products', 'events', 'readings'] as $table) {
            if ($schema->hasTable($table) && DB::table($table)->exists()) {
                return false;
            }
        }

        return true;
    }

    private function sweep(string $folder): void
    {
        $kept = self::kept(self::in($folder));
        $gone = array_filter(self::in($folder), static fn (Copy $c): bool => ! in_array($c->path, $kept, true));
        foreach ($gone as $copy) {
            // Another process may have taken it away in between: it is gone, which is all that is wanted.
            @unlink($copy->path);
        }
        if ($gone !== []) {
            $needed = array_merge(...array_map(static fn (Copy $c): array => $c->photographs(), self::in($folder)));
            $this->photographs->sweep($folder.'/photos', $needed);
        }
    }

    /**
     * @param  list<Copy>  $copies  the newest first
     * @return list<string> paths
     */
    public static function kept(array $copies): array
    {
        $kept = $days = $weeks = $count = [];
        foreach ($copies as $copy) {
            if ($copy->cause === Cause::Day) {
                $day = gmdate('Ymd', $copy->atEpoch);
                $week = gmdate('oW', $copy->atEpoch);
                $isOfDay = ! isset($days[$day]) && count($days) < self::DAYS;
                $isOfWeek = ! isset($weeks[$week]) && count($weeks) < self::WEEKS;
                if ($isOfDay || $isOfWeek) {
                    $kept[] = $copy->path;
                }
                $days[$day] = true;
                $weeks[$week] = true;

                continue;
            }
            $cause = $copy->cause->value ?? '';
            $count[$cause] = ($count[$cause] ?? 0) + 1;
            if ($count[$cause] <= self::OF_EACH_CAUSE) {
                $kept[] = $copy->path;
            }
        }

        return $kept;
    }

    /** @return list<Copy> the newest first */
    private static function in(string $folder): array
    {
        $copies = array_values(array_filter(array_map(static fn (mixed $path): ?Copy => is_string($path) ? Copy::at($path) : null, (array) glob($folder.'/*.sqlite'))));
        usort($copies, static fn (Copy $a, Copy $b): int => $b->path <=> $a->path);

        return $copies;
    }
}
