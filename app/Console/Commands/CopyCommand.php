<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Answers\Tidy;
use App\Build\Row;
use App\Keeping\Cause;
use App\Keeping\Copies;
use Illuminate\Console\Command;

/** Copies the whole bench. */
final class CopyCommand extends Command
{
    protected $signature = 'amber:copy {--day : the copy of the day, where there is none yet, and what has lain in the bin for thirty days goes}';

    protected $description = 'Copy the whole bench; amber:restore lists the copies';

    public function handle(Copies $copies, Row $row, Tidy $tidy): int
    {
        if ($this->option('day') !== true) {
            $copy = $copies->take(Cause::Asked);
            $this->line($copy === null ? 'There is nothing to copy yet.' : "Copied: {$copy->name()}");

            return self::SUCCESS;
        }
        $known = $copies->ofToday();
        $copy = $known ?? $copies->take(Cause::Day);
        $gone = $row->emptyBin();
        $tidy->up();
        $said = match (true) {
            $known !== null => 'The copy of today is there.',
            $copy !== null => "Copied: {$copy->name()}",
            default => 'There is nothing to copy yet.',
        };
        $this->line($said.($gone === 0 ? '' : " {$gone} gone out of the bin."));

        return self::SUCCESS;
    }
}
