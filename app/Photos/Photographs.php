<?php

declare(strict_types=1);

namespace App\Photos;

use AmberStep\Core\Document\BadDocument;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/**
 * Pictures beside the database, named by their hash. Each is encoded anew, which drops where it was taken and
 * whatever else a camera writes into it.
 */
final readonly class Photographs
{
    public const MOST_BYTES = 10 * 1024 * 1024;

    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /** Larger than this nothing at a bench needs; more pixels than that are not unpacked. */
    private const SIDE = 2000;

    private const MOST_PIXELS = 40_000_000;

    /** Seconds a picture may lie about before something shows it: it is sent before the place it belongs to is. */
    private const UNUSED = 7 * 86400;

    private const QUALITY = 85;

    /**
     * @param  list<string>  $fresh  gets its hash where it was not here yet
     * @return string its hash
     *
     * @throws BadDocument where it is no picture that can be kept
     */
    public function keep(string $bytes, array &$fresh = []): string
    {
        if (strlen($bytes) > self::MOST_BYTES) {
            throw BadDocument::at('photo', 'is over 10 MB', 'send a smaller picture');
        }
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], self::TYPES, true)) {
            throw BadDocument::at('photo', 'is not a picture', 'send a JPEG, PNG or WebP');
        }
        if ($size[0] < 1 || $size[1] < 1 || $size[0] * $size[1] > self::MOST_PIXELS) {
            throw BadDocument::at('photo', "is {$size[0]} by {$size[1]} pixels", 'send one of up to 40 million');
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            throw BadDocument::at('photo', 'is damaged', 'take it again, or send another');
        }
        $scale = min(1, self::SIDE / max($size[0], $size[1]));
        [$width, $height] = [max(1, (int) round($size[0] * $scale)), max(1, (int) round($size[1] * $scale))];
        $flat = imagecreatetruecolor($width, $height);
        if ($flat === false) {
            throw new RuntimeException('no picture could be made');
        }
        imagefill($flat, 0, 0, (int) imagecolorallocate($flat, 255, 255, 255));
        imagecopyresampled($flat, $image, 0, 0, 0, 0, $width, $height, $size[0], $size[1]);
        $upright = Upright::of($flat, $size[2] === IMAGETYPE_JPEG ? Upright::orientation($bytes) : 1);
        ob_start();
        imagejpeg($upright, null, self::QUALITY);

        return $this->store((string) ob_get_clean(), $fresh);
    }

    /**
     * A picture of a parcel: through the same door as one that is sent. One that carries nothing but its picture, as
     * we write them, stays as it is and keeps its name; any other is encoded anew and gets another.
     *
     * @param  list<string>  $fresh  gets its hash where it was not here yet
     * @return string its hash
     *
     * @throws BadDocument where it is not the one its name says, or no picture that can be kept
     */
    public function restore(string $hash, string $bytes, array &$fresh): string
    {
        if (hash('sha256', $bytes) !== $hash) {
            throw BadDocument::at("photos/{$hash}.jpg", 'is not the picture that was kept', 'export the build again');
        }
        $size = strlen($bytes) > self::MOST_BYTES ? false : @getimagesizefromstring($bytes);
        if ($size !== false && $size[2] === IMAGETYPE_JPEG && max($size[0], $size[1]) <= self::SIDE && PlainJpeg::is($bytes) && @imagecreatefromstring($bytes) !== false) {
            return $this->store($bytes, $fresh);
        }

        return $this->keep($bytes, $fresh);
    }

    /** @return string|null where it lies */
    public function file(string $hash): ?string
    {
        $file = $this->folder()."/{$hash}.jpg";

        return preg_match('/\A[0-9a-f]{64}\z/', $hash) === 1 && is_file($file) ? $file : null;
    }

    /**
     * Puts those that are not there yet into a folder of copies.
     *
     * @param  list<string>  $hashes
     */
    public function copyTo(string $folder, array $hashes): void
    {
        foreach ($hashes as $hash) {
            $file = $this->file($hash);
            if ($file !== null && ! is_file("{$folder}/{$hash}.jpg")) {
                (new Filesystem)->ensureDirectoryExists($folder);
                $part = "{$folder}/{$hash}.".bin2hex(random_bytes(4));
                if (@copy($file, $part)) {
                    rename($part, "{$folder}/{$hash}.jpg");
                }
            }
        }
    }

    /**
     * Takes those of a folder of copies in that are not here.
     *
     * @param  list<string>  $hashes
     */
    public function bringBack(string $folder, array $hashes): void
    {
        foreach ($hashes as $hash) {
            $bytes = $this->file($hash) === null ? @file_get_contents("{$folder}/{$hash}.jpg") : false;
            if ($bytes !== false && hash('sha256', $bytes) === $hash) {
                $this->store($bytes);
            }
        }
    }

    /**
     * Throws away what no copy needs any more.
     *
     * @param  list<string>  $needed  hashes
     */
    public function sweep(string $folder, array $needed): void
    {
        foreach ((array) glob($folder.'/*.jpg') as $file) {
            if (is_string($file) && ! in_array(basename($file, '.jpg'), $needed, true)) {
                @unlink($file);
            }
        }
    }

    /**
     * Throws away what nothing shows, and what a kill left half written.
     *
     * @param  list<string>  $shown  hashes
     */
    public function tidy(array $shown): void
    {
        foreach ((array) glob($this->folder().'/*') as $file) {
            if (is_string($file) && ! in_array(basename($file, '.jpg'), $shown, true) && time() - (int) @filemtime($file) > self::UNUSED) {
                @unlink($file);
            }
        }
    }

    /** @param  list<string>  $hashes  of pictures that came with a parcel that was refused after all */
    public function forget(array $hashes): void
    {
        foreach ($hashes as $hash) {
            @unlink($this->folder()."/{$hash}.jpg");
        }
    }

    /** @param  list<string>  $fresh  gets its hash where it was not here yet */
    private function store(string $bytes, array &$fresh = []): string
    {
        $hash = hash('sha256', $bytes);
        $file = $this->folder()."/{$hash}.jpg";
        if (! is_file($file)) {
            if (! is_dir($this->folder()) && ! @mkdir($this->folder(), 0o755, true) && ! is_dir($this->folder())) {
                throw new RuntimeException('the folder for pictures cannot be made');
            }
            // Whole or not at all: it is written beside, and moved to its name.
            $part = $file.'.'.bin2hex(random_bytes(4));
            if (@file_put_contents($part, $bytes) !== strlen($bytes) || ! @rename($part, $file)) {
                @unlink($part);
                throw new RuntimeException('the picture could not be written: the disk may be full');
            }
            $fresh[] = $hash;
        }

        return $hash;
    }

    private function folder(): string
    {
        $database = DB::connection()->getDatabaseName();

        return ($database === ':memory:' ? sys_get_temp_dir().'/amber-memory' : dirname($database)).'/photos';
    }
}
