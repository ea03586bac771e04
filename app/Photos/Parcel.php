<?php

declare(strict_types=1);

namespace App\Photos;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Kit;
use RuntimeException;
use ZipArchive;

/** A build, or the whole bench, with its photographs in one zip: build.amber.json or bench.amber.json, and photos/HASH.jpg. The same content gives the same bytes. */
final readonly class Parcel
{
    public const BUILD = 'build.amber.json';

    public const BENCH = 'bench.amber.json';

    private const MOST_ENTRIES = 20000;

    private const MOST_BYTES = 200 * 1024 * 1024;

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
     */
    public function packed(string $name, string $json, array $hashes): string
    {
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
     * Keeps the photographs and answers the file in it: a build, or the whole bench.
     *
     * @throws BadDocument where it is no parcel of ours; nothing is kept then
     */
    public function unpack(string $bytes, string $name = self::BUILD): string
    {
        return self::inFile(function (string $file, ZipArchive $zip) use ($bytes, $name): string {
            file_put_contents($file, $bytes);
            if ($zip->open($file, ZipArchive::RDONLY) !== true || $zip->numFiles > self::MOST_ENTRIES) {
                throw BadDocument::at('file', 'is not a zip this product wrote', 'export the build again, with its photographs');
            }
            $json = self::entry($zip, $name) ?? throw BadDocument::at($name, 'is not in the zip', 'export it again, with its photographs');
            $pictures = [];
            for ($i = 0; $i < $zip->numFiles; $i++) {
                $each = (string) $zip->getNameIndex($i);
                if (preg_match('~\Aphotos/([0-9a-f]{64})\.jpg\z~', $each, $m) === 1) {
                    $pictures[$m[1]] = self::entry($zip, $each) ?? '';
                } elseif ($each !== $name) {
                    throw BadDocument::at($each, 'does not belong into the zip', 'export it again, with its photographs');
                }
            }
            foreach ($pictures as $hash => $picture) {
                $this->photographs->restore($hash, $picture);
            }

            return $json;
        });
    }

    /** What an entry holds; null where it is not there or larger than any of ours. */
    private static function entry(ZipArchive $zip, string $name): ?string
    {
        $stat = $zip->statName($name);
        $bytes = $stat === false || $stat['size'] > self::MOST_BYTES ? false : $zip->getFromName($name, self::MOST_BYTES);

        return $bytes === false ? null : $bytes;
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
