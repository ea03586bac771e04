<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Http\Presenters\CopyPresenter;
use App\Keeping\Copies;
use App\Keeping\Copy;
use App\Keeping\Restore;

/** Lists the copies of the whole bench, or brings one back. */
final class RestoreCommand extends Speaks
{
    protected $signature = 'amber:restore {copy? : the name of a copy; none lists them} {--json : as JSON}';

    protected $description = 'List the copies of the whole bench, or bring one back';

    public function handle(Copies $copies, Restore $restore): int
    {
        return $this->speak(function () use ($copies, $restore): int {
            $name = $this->argument('copy');
            if (! is_string($name)) {
                $rows = array_map(CopyPresenter::of(...), $copies->all());
                $this->line($this->option('json') === true ? self::json(['copies' => $rows]) : ($rows === [] ? 'There are no copies yet.' : implode("\n", array_map(self::row(...), $copies->all()))));

                return self::SUCCESS;
            }
            $kept = $restore->bringBack($copies->named($name));
            $this->line($this->option('json') === true ? self::json(['restored' => $name, 'kept' => $kept]) : "{$name} is back.".($kept === null ? '' : " What was there is kept as {$kept}."));

            return self::SUCCESS;
        });
    }

    private static function row(Copy $copy): string
    {
        $builds = $copy->builds();

        return $copy->name().'  '.($copy->cause?->words() ?? 'an earlier copy').': '.($builds === null ? 'cannot be read' : ($builds === [] ? 'no builds' : implode(', ', array_map(static fn (array $b): string => "{$b['name']} ({$b['events']})", $builds))));
    }
}
