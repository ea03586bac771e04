<?php

declare(strict_types=1);

namespace App\Photos;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Kit\Kit;
use RuntimeException;
use ZipArchive;

/** A build file with its photographs in one zip: build.amber.json and photos/HASH.jpg. */
final readonly class Parcel
{
    private const BUILD = 'build.amber.json';

    private const MOST_ENTRIES = 400;

    public function __construct(private Photographs $photographs)
    {
    }

    /** @return string the bytes of the zip */
    public function pack(string $json, Kit $kit): string
    {
        return self::inFile(function (string $file, ZipArchive $zip) use ($json, $kit): string {
            $zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE);
            $zip->addFromString(self::BUILD, $json);
            foreach (array_unique(array_map(static fn ($p): string => $p->hash, $kit->photos)) as $hash) {
                $picture = $this->photographs->file($hash);
                if ($picture !== null) {
                    $zip->addFile($picture, "photos/{$hash}.jpg");
                }
            }
            $zip->close();

            return (string) file_get_contents($file);
        });
    }

    /**
     * Keeps the photographs and answers the build file in it.
     *
     * @throws BadDocument where it is no parcel of ours; nothing is kept then
     */
    public function unpack(string $bytes): string
    {
        return self::inFile(function (string $file, ZipArchive $zip) use ($bytes): string {
            file_put_contents($file, $bytes);
            if ($zip->open($file, ZipArchive::RDONLY) !== true || $zip->numFiles > self::MOST_ENTRIES) {
                throw BadDocument::at('file', 'is not a zip this product wrote', 'export the build again, with its photographs');
            }
            $json = self::entry($zip, self::BUILD) ?? throw BadDocument::at(self::BUILD, 'is not in the zip', 'export the build again, with its photographs');
            $pictures = [];
            for ($i = 0; $i < $zip->numFiles; $i++) {
                $name = (string) $zip->getNameIndex($i);
                if (preg_match('~\Aphotos/([0-9a-f]{64})\.jpg\z~', $name, $m) === 1) {
                    $pictures[$m[1]] = self::entry($zip, $name) ?? '';
                } elseif ($name !== self::BUILD) {
                    throw BadDocument::at($name, 'does not belong into the zip', 'export the build again, with its photographs');
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
        $bytes = $stat === false || $stat['size'] > Photographs::MOST_BYTES ? false : $zip->getFromName($name, Photographs::MOST_BYTES);

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
