<?php

declare(strict_types=1);

namespace App\Photos;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Kit;
use RuntimeException;
use Throwable;
use ZipArchive;

/** A build, or the whole bench, with its photographs in one zip: build.amber.json or bench.amber.json, and photos/HASH.jpg. The same content gives the same bytes. */
final readonly class Parcel
{
    public const BUILD = 'build.amber.json';

    public const BENCH = 'bench.amber.json';

    /** Photographs of a parcel. */
    public const MOST_PHOTOGRAPHS = 200;

    /** All that is in it, unpacked. */
    public const MOST_BYTES = 200 * 1024 * 1024;

    /** A zip writes down when; what is in it says that by itself. */
    private const WHEN = 315532800;

    public function __construct(private Photographs $photographs)
    {
    }

    /** @return string the bytes of the zip */
    public function pack(string $json, Kit $kit): string
    {
        return $this->packed(self::BUILD, $json, array_values(array_unique(array_map(static fn ($p): string => $p->hash, $kit->photos))));
    }

    /**
     * @param  list<string>  $hashes  of the photographs that go with it
     * @return string the bytes of the zip
     *
     * @throws BadDocument where there are more than come in again
     */
    public function packed(string $name, string $json, array $hashes): string
    {
        if (count($hashes) > self::MOST_PHOTOGRAPHS) {
            throw BadDocument::at('photographs', 'are '.count($hashes).', and a parcel holds '.self::MOST_PHOTOGRAPHS, 'keep builds one by one, each with its photographs, or the whole bench as a file without');
        }

        return self::inFile(function (string $file, ZipArchive $zip) use ($name, $json, $hashes): string {
            $zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE);
            $zip->addFromString($name, $json);
            $zip->setMtimeName($name, self::WHEN);
            foreach ($hashes as $hash) {
                $picture = $this->photographs->file($hash);
                if ($picture !== null) {
                    $zip->addFile($picture, "photos/{$hash}.jpg");
                    $zip->setMtimeName("photos/{$hash}.jpg", self::WHEN);
                }
            }
            $zip->close();

            return (string) file_get_contents($file);
        });
    }

    /** Whether it is a zip of the whole bench. */
    public static function isBench(string $bytes): bool
    {
        return str_starts_with($bytes, 'PK') && str_contains($bytes, self::BENCH);
    }

    /**
     * The file in it, for who wants to read it and keeps nothing.
     *
     * @throws BadDocument where it is no parcel of ours
     */
    public function json(string $bytes, string $name = self::BUILD): string
    {
        return str_starts_with($bytes, 'PK') ? self::opened($bytes, $name, static fn (ZipArchive $zip): string => self::entry($zip, $name)) : $bytes;
    }

    /**
     * Keeps the photographs and hands on the file in it: a build, or the whole bench; or what is no zip as it is. Where
     * it is refused after all, nothing of it stays.
     *
     * @template T
     *
     * @param  callable(string, array<string, string>): T  $work  gets the file, and the new names of those that were encoded anew, by their old ones
     * @return T
     *
     * @throws BadDocument where it is no parcel of ours
     */
    public function take(string $bytes, string $name, callable $work): mixed
    {
        if (! str_starts_with($bytes, 'PK')) {
            return $work($bytes, []);
        }
        $names = $fresh = [];
        try {
            $json = self::opened($bytes, $name, function (ZipArchive $zip) use ($name, &$names, &$fresh): string {
                for ($i = 0; $i < $zip->numFiles; $i++) {
                    $hash = self::hashOf((string) $zip->getNameIndex($i));
                    if ($hash !== null) {
                        $picture = self::entry($zip, "photos/{$hash}.jpg");
                        $known = $this->photographs->file($hash) !== null;
                        $names[$hash] = $known && hash('sha256', $picture) === $hash ? $hash : $this->photographs->restore($hash, $picture, $fresh);
                    }
                }

                return self::entry($zip, $name);
            });

            return $work($json, array_filter($names, static fn (string $is, string $was): bool => $is !== $was, ARRAY_FILTER_USE_BOTH));
        } catch (Throwable $wrong) {
            $this->photographs->forget($fresh);
            throw $wrong;
        }
    }

    private static function hashOf(string $entry): ?string
    {
        return preg_match('~\Aphotos/([0-9a-f]{64})\.jpg\z~', $entry, $m) === 1 ? $m[1] : null;
    }

    /**
     * @param  callable(ZipArchive): string  $read
     *
     * @throws BadDocument where it is no zip of ours, or holds more than ours do: before anything is unpacked
     */
    private static function opened(string $bytes, string $name, callable $read): string
    {
        return self::inFile(static function (string $file, ZipArchive $zip) use ($bytes, $name, $read): string {
            if (file_put_contents($file, $bytes) !== strlen($bytes)) {
                throw new RuntimeException('the parcel could not be written: the disk may be full');
            }
            if ($zip->open($file, ZipArchive::RDONLY) !== true) {
                throw BadDocument::at('file', 'is not a zip this product wrote', 'export the build again, with its photographs');
            }
            // Open it is read to its end; a kill leaves nothing behind.
            unlink($file);
            if ($zip->numFiles > self::MOST_PHOTOGRAPHS + 1) {
                throw BadDocument::at('file', "holds {$zip->numFiles} files", 'a parcel holds up to '.self::MOST_PHOTOGRAPHS.' photographs: export builds one by one');
            }
            $sum = 0;
            for ($i = 0; $i < $zip->numFiles; $i++) {
                $stat = $zip->statIndex($i);
                $each = (string) $zip->getNameIndex($i);
                $sum += $stat === false ? self::MOST_BYTES + 1 : $stat['size'];
                if ($each !== $name && self::hashOf($each) === null) {
                    throw BadDocument::at(mb_substr(mb_scrub($each), 0, 80), 'does not belong into the zip', 'export it again, with its photographs');
                }
                if ($each !== $name && $stat !== false && $stat['size'] > Photographs::MOST_BYTES) {
                    throw BadDocument::at($each, 'is over 10 MB', 'send a smaller picture');
                }
            }
            if ($sum > self::MOST_BYTES) {
                throw BadDocument::at('file', 'holds over 200 MB', 'export builds one by one, or without photographs');
            }
            if ($zip->locateName($name) === false) {
                throw BadDocument::at($name, 'is not in the zip', 'export it again, with its photographs');
            }

            return $read($zip);
        });
    }

    /** @throws BadDocument where it is damaged, or larger than its head says */
    private static function entry(ZipArchive $zip, string $name): string
    {
        $stat = $zip->statName($name);
        $bytes = $stat === false ? false : $zip->getFromName($name, $stat['size'] + 1);
        if ($stat === false || $bytes === false || strlen($bytes) !== $stat['size']) {
            throw BadDocument::at($name, 'is damaged', 'export it again, with its photographs');
        }

        return $bytes;
    }

    /** @param  callable(string, ZipArchive): string  $work */
    private static function inFile(callable $work): string
    {
        $file = tempnam(sys_get_temp_dir(), 'amber');
        if ($file === false) {
            throw new RuntimeException('no temporary file could be made');
        }
        try {
            return $work($file, new ZipArchive);
        } finally {
            @unlink($file);
        }
    }
}
