<?php

declare(strict_types=1);

namespace App\Answers;

use App\Keeping\Logs;
use App\Models\Build;
use App\Photos\Photographs;
use Illuminate\Support\Facades\DB;

/** What nobody needs any more goes: logs that grew, answers of builds that are gone, photographs nothing shows. */
final readonly class Tidy
{
    public function __construct(private Store $store, private Photographs $photographs)
    {
    }

    public function up(): void
    {
        Logs::turn();
        $this->store->tidy(array_values(array_filter(Build::query()->pluck('id')->all(), is_string(...))));
        $this->photographs->tidy($this->shown());
    }

    /**
     * The photographs a build shows, also in the bin, or an undo would bring back.
     *
     * @return list<string> hashes
     */
    private function shown(): array
    {
        $hashes = [];
        foreach ([['builds', 'kit'], ['events', 'body'], ['changes', 'edits'], ['changes', 'inverse']] as [$table, $column]) {
            foreach (DB::table($table)->where($column, 'like', '%hash%')->pluck($column) as $text) {
                preg_match_all('/[0-9a-f]{64}/', is_string($text) ? $text : '', $found);
                $hashes += array_fill_keys($found[0], true);
            }
        }

        return array_map(strval(...), array_keys($hashes));
    }
}
