<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use App\Build\Porter;
use App\Photos\Parcel;
use App\Repositories\BuildRepository;

/** Writes a build to a file, or to standard output. */
final class ExportCommand extends Speaks
{
    protected $signature = 'amber:export {build? : id of the build; the first where none is given} {--to= : file to write; .zip takes its photographs along}';

    protected $description = 'Write a build to a file';

    public function handle(BuildRepository $builds, Porter $porter, Parcel $parcel): int
    {
        return $this->speak(function () use ($builds, $porter, $parcel): int {
            $id = $this->argument('build');
            $build = is_string($id) ? $builds->find($id) : ($builds->all()[0] ?? null);
            if ($build === null) {
                throw BadDocument::at('build', 'is not here', 'give the id of a build; amber:export without one takes the first');
            }
            $json = $porter->export($build)->toJson();
            $to = $this->option('to');
            $out = is_string($to) && str_ends_with(strtolower($to), '.zip') ? $parcel->pack($json, $build->kit) : $json;
            if (! is_string($to)) {
                $this->output->write($json, false, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
            } elseif (! is_dir(dirname($to)) || @file_put_contents($to, $out) === false) {
                throw BadDocument::at('--to', 'cannot be written', 'name a file in a folder that is there');
            }

            return self::SUCCESS;
        });
    }
}
