<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use App\Build\Porter;

/** Brings a build in from a file. */
final class ImportCommand extends Speaks
{
    protected $signature = 'amber:import {file : a build file} {--replace : over the build that is here} {--copy : beside it, under new ids}';

    protected $description = 'Bring a build in from a file';

    public function handle(Porter $porter): int
    {
        return $this->speak(function () use ($porter): int {
            if ($this->option('replace') === true && $this->option('copy') === true) {
                throw BadDocument::at('--replace, --copy', 'contradict each other', 'give one of them');
            }
            $file = $this->file();
            $mode = match (true) {
                $this->option('replace') === true => Porter::REPLACE,
                $this->option('copy') === true => Porter::COPY,
                default => null,
            };
            $this->line("{$file->kit->name} is in: ".$porter->import($file, $mode));

            return self::SUCCESS;
        });
    }
}
