<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use App\Build\BenchFile;
use App\Build\Porter;
use App\Photos\Parcel;
use App\Repositories\BuildRepository;

/** Writes a build to a file, or to standard output. */
final class ExportCommand extends Speaks
{
    protected $signature = 'amber:export {build? : id of the build; the first where none is given} {--to= : file to write; .zip takes its photographs along} {--all : the whole bench: builds, shelf, settings, readings, photographs}';

    protected $description = 'Write a build to a file';

    public function handle(BuildRepository $builds, Porter $porter, Parcel $parcel, BenchFile $bench): int
    {
        return $this->speak(function () use ($builds, $porter, $parcel, $bench): int {
            if ($this->option('all') === true) {
                return $this->write($bench->toJson(), static fn (string $json): string => $parcel->packed(Parcel::BENCH, $json, $bench->photographs()));
            }
            $id = $this->argument('build');
            $build = is_string($id) ? $builds->find($id) : ($builds->all()[0] ?? null);
            if ($build === null) {
                throw BadDocument::at('build', 'is not here', 'give the id of a build; amber:export without one takes the first');
            }

            return $this->write($porter->export($build)->toJson(), static fn (string $json): string => $parcel->pack($json, $build->kit));
        });
    }

    /**
     * @param  callable(string): string  $pack
     *
     * @throws BadDocument where it cannot be written
     */
    private function write(string $json, callable $pack): int
    {
        $to = $this->option('to');
        if (! is_string($to)) {
            $this->output->write($json, false, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);

            return self::SUCCESS;
        }
        $out = str_ends_with(strtolower($to), '.zip') ? $pack($json) : $json;
        // Whole under its name, or not there: a full disk leaves the file of last time as it was.
        $part = $to.'.part';
        if (! is_dir(dirname($to)) || @file_put_contents($part, $out) !== strlen($out) || ! @rename($part, $to)) {
            @unlink($part);
            throw BadDocument::at('--to', 'cannot be written', 'name a file in a folder that is there, with room for '.ceil(strlen($out) / 1024).' kB');
        }

        return self::SUCCESS;
    }
}
