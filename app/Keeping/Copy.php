<?php

declare(strict_types=1);

namespace App\Keeping;

use PDO;
use PDOException;

/** One copy of the whole bench: a database file of its own, named by when and why it was made. */
final readonly class Copy
{
    private const NAME = '/\A(\d{8})-(\d{6})-(\d{6})(?:\.([a-z]+))?\.sqlite\z/';

    private function __construct(public string $path, public int $atEpoch, public ?Cause $cause)
    {
    }

    /** @return self|null null where the file is no copy of ours */
    public static function at(string $path): ?self
    {
        if (preg_match(self::NAME, basename($path), $m) !== 1) {
            return null;
        }
        $at = \DateTimeImmutable::createFromFormat('!YmdHis', $m[1].$m[2], new \DateTimeZone('UTC'));

        return $at === false ? null : new self($path, $at->getTimestamp(), Cause::tryFrom($m[4] ?? ''));
    }

    /** The name of a copy that is made now; two of one second differ. */
    public static function fresh(Cause $cause): string
    {
        return (new \DateTimeImmutable('now', new \DateTimeZone('UTC')))->format('Ymd-His-u').".{$cause->value}.sqlite";
    }

    public function name(): string
    {
        return basename($this->path, '.sqlite');
    }

    /**
     * What it holds, read from the file itself.
     *
     * @return array<string, array{name: string, events: int}>|null by build; null where it cannot be read
     */
    public function builds(): ?array
    {
        try {
            $builds = [];
            foreach (self::rows(self::open($this->path), 'select b.id as id, b.name as name, (select count(*) from events e where e.build_id = b.id) as events from builds b order by b.position, b.id') as $row) {
                $builds[(string) $row['id']] = ['name' => (string) $row['name'], 'events' => (int) $row['events']];
            }

            return $builds;
        } catch (PDOException) {
            return null;
        }
    }

    /** @return list<string> hashes of the photographs its builds have */
    public function photographs(): array
    {
        return self::photographsOf($this->path);
    }

    /** @return list<string> the same of a file that has not got its name yet */
    public static function photographsOf(string $path): array
    {
        try {
            $hashes = [];
            foreach (self::rows(self::open($path), 'select kit from builds') as $row) {
                preg_match_all('/"hash":"([0-9a-f]{64})"/', (string) $row['kit'], $m);
                $hashes += array_fill_keys($m[1], true);
            }

            return array_map(strval(...), array_keys($hashes));
        } catch (PDOException) {
            return [];
        }
    }

    /** Whole, by what SQLite itself says of it. */
    public function isSound(): bool
    {
        try {
            return (self::rows(self::open($this->path), 'pragma quick_check(1)')[0]['quick_check'] ?? '') === 'ok';
        } catch (PDOException) {
            return false;
        }
    }

    private static function open(string $path): PDO
    {
        // Nothing is written beside a copy, not even to read it.
        return new PDO('sqlite:file:'.str_replace('%2F', '/', rawurlencode($path)).'?immutable=1', null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::SQLITE_ATTR_OPEN_FLAGS => PDO::SQLITE_OPEN_READONLY]);
    }

    /** @return list<array<string, int|string|float|null>> */
    private static function rows(PDO $pdo, string $sql): array
    {
        $found = $pdo->query($sql);

        /** @var list<array<string, int|string|float|null>> $rows */
        $rows = $found === false ? [] : $found->fetchAll(PDO::FETCH_ASSOC);

        return $rows;
    }
}
