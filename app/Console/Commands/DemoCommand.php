<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\Demo;
use Illuminate\Console\Command;

/** Loads the demo builds. */
final class DemoCommand extends Command
{
    protected $signature = 'amber:demo {--again : make the demo builds fresh}';

    protected $description = 'Load the demo builds, once; with --again make them fresh';

    public function handle(Demo $demo): int
    {
        if ($this->option('again') === true) {
            $demo->again();
            $this->line('The demo builds are fresh.');
        } else {
            $this->line($demo->loadOnce() ? 'The demo builds are loaded.' : 'There are builds already; nothing was touched.');
        }

        return self::SUCCESS;
    }
}
