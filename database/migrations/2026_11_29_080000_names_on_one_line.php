<?php

declare(strict_types=1);

use AmberStep\Core\Document\Reader;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Names are of one line: what could not be seen in them becomes a space, or the build could no longer be read. */
return new class extends Migration
{
    /** Texts that may have several lines. */
    private const LONG = ['note', 'measures'];

    public function up(): void
    {
        foreach (['builds' => 'kit', 'products' => 'body', 'events' => 'body'] as $table => $column) {
            $changed = [];
            foreach (DB::table($table)->select(['rowid', $column])->cursor() as $row) {
                $data = json_decode((string) $row->{$column}, true);
                $clean = is_array($data) ? self::clean($data) : $data;
                if ($clean !== $data) {
                    $changed[$row->rowid] = json_encode($clean, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
                }
            }
            foreach ($changed as $row => $json) {
                DB::table($table)->where('rowid', $row)->update([$column => $json]);
            }
        }
    }

    /**
     * @param  array<mixed>  $data
     * @return array<mixed>
     */
    private static function clean(array $data): array
    {
        foreach ($data as $key => $value) {
            if (is_array($value)) {
                $data[$key] = self::clean($value);
            } elseif (is_string($value) && ! in_array($key, self::LONG, true)) {
                $data[$key] = preg_replace(Reader::NOT_IN_NAMES, ' ', $value) ?? $value;
            }
        }

        return $data;
    }
};
