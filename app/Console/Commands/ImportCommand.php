<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use App\Build\BenchFile;
use App\Build\BuildFile;
use App\Build\Porter;
use App\Photos\Parcel;

/** Brings a build in from a file. */
final class ImportCommand extends Speaks
{
    protected $signature = 'amber:import {file : a build file, or a file of the whole bench} {--replace : over what is here} {--copy : beside it, under new ids} {--anyway : though it was changed since it was written}';

    protected $description = 'Bring a build in from a file';

    public function handle(Porter $porter, BenchFile $bench, Parcel $parcel): int
    {
        return $this->speak(function () use ($porter, $bench, $parcel): int {
            if ($this->option('replace') === true && $this->option('copy') === true) {
                throw BadDocument::at('--replace, --copy', 'contradict each other', 'give one of them');
            }
            $whole = $this->bytes();
            if (Parcel::isBench($whole) || BenchFile::isIn($whole)) {
                $parcel->take($whole, Parcel::BENCH, function (string $json, array $names) use ($bench): void {
                    $bench->take(strtr($json, $names), $this->option('replace') === true);
                });
                $this->line('The whole bench is in.');

                return self::SUCCESS;
            }
            $mode = match (true) {
                $this->option('replace') === true => Porter::REPLACE,
                $this->option('copy') === true => Porter::COPY,
                default => null,
            };
            $parcel->take($whole, Parcel::BUILD, function (string $json, array $names) use ($porter, $mode): void {
                $file = BuildFile::parse($json)->renamed($names);
                $this->line("{$file->kit->name} is in: ".$porter->import($file, $mode, anyway: $this->option('anyway') === true));
            });

            return self::SUCCESS;
        });
    }
}
