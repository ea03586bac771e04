<?php

declare(strict_types=1);

namespace App\Keeping;

use AmberStep\Core\Document\BadDocument;
use Illuminate\Support\Facades\DB;

/**
 * Where the database lies, and where its copies go: a folder beside it, or one the user chose. That is written in a
 * file beside the database and not in it, so that the copies are found when it cannot be read.
 */
final class Place
{
    public function database(): string
    {
        return DB::connection()->getDatabaseName();
    }

    /** A database in memory has no copies. */
    public function isFile(): bool
    {
        $file = $this->database();

        return $file !== '' && $file !== ':memory:' && is_file($file);
    }

    public function copies(): string
    {
        $chosen = $this->chosen();

        return $chosen !== null && is_dir($chosen) ? $chosen : $this->beside('backups');
    }

    /** The folder the user chose, whether it is there now or not. */
    public function chosen(): ?string
    {
        $kept = json_decode((string) @file_get_contents($this->beside('copies.json')), true);

        return is_array($kept) && is_string($kept['folder'] ?? null) && $kept['folder'] !== '' ? $kept['folder'] : null;
    }

    /** @throws BadDocument where copies cannot be written there */
    public function choose(?string $folder): void
    {
        if ($folder !== null && (! str_starts_with($folder, '/') || ! is_dir($folder) || ! is_writable($folder))) {
            throw BadDocument::at('folder', 'is no folder this product can write to', 'give the whole path of one that is there, such as /media/stick/amber-step');
        }
        $this->write('copies.json', (string) json_encode(['folder' => $folder], JSON_UNESCAPED_SLASHES));
    }

    public function beside(string $name): string
    {
        return dirname($this->database()).'/'.$name;
    }

    /** Whole or not at all. */
    public function write(string $name, string $bytes): void
    {
        $fresh = $this->beside($name).'.'.bin2hex(random_bytes(4));
        if (@file_put_contents($fresh, $bytes) === strlen($bytes)) {
            rename($fresh, $this->beside($name));
        } else {
            @unlink($fresh);
        }
    }
}
