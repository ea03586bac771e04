<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Material\Access;
use AmberStep\Core\Material\FillerAdvice;
use AmberStep\Core\Material\Gap;
use AmberStep\Core\Material\Shim;
use Symfony\Component\Console\Output\OutputInterface;

/** Which filler for a gap, why, and how it is put in. */
final class FillerCommand extends Speaks
{
    private const MM_PER_THOU = 0.0254;

    protected $signature = 'amber:filler {--gap= : width, such as 0.9mm or 35thou} {--access=open : open, tight, detail or none} {--length= : cm} {--crooked : a shim does not go in} {--shaped : it is modelled} {--pane : a pane is beside it} {--rescribe : a line runs through it} {--tonight : to be sanded this evening} {--json : print JSON}';

    protected $description = 'Choose a filler for a gap';

    public function handle(): int
    {
        return $this->speak(function (): int {
            $advice = FillerAdvice::for(new Gap($this->gap(), $this->access(), $this->option('crooked') !== true, $this->option('shaped') === true, $this->option('pane') === true, $this->option('rescribe') === true, $this->option('tonight') === true, $this->length()));
            if ($this->option('json') === true) {
                $this->output->writeln(self::json([
                    'filler' => $advice->filler->value, 'word' => $advice->filler->word(), 'why' => $advice->why,
                    'runnerUp' => $advice->runnerUp === null ? null : ['filler' => $advice->runnerUp[0]->value, 'word' => $advice->runnerUp[0]->word(), 'why' => $advice->runnerUp[1]],
                    'shimMm' => $advice->shim === null ? null : $advice->shim->card, 'restMm' => $advice->shim?->rest, 'how' => $advice->how,
                ]), OutputInterface::OUTPUT_RAW);
            } else {
                $this->line(ucfirst($advice->filler->word()).": {$advice->why}.");
                array_map($this->line(...), $advice->how);
                if ($advice->runnerUp !== null) {
                    $this->line("Else {$advice->runnerUp[0]->word()}: {$advice->runnerUp[1]}.");
                }
            }

            return self::SUCCESS;
        });
    }

    /** mm: a number without its unit can be read two ways, and is asked about. */
    private function gap(): float
    {
        $text = $this->option('gap');
        $text = is_string($text) ? trim($text) : '';
        if (preg_match('/\A([\d.,]+)\s*(mm|thou|in)?\z/i', $text, $m) !== 1) {
            throw BadDocument::at('--gap', $text === '' ? 'is missing' : "\"{$text}\" is no width", 'give it as 0.9mm or 35thou');
        }
        try {
            $number = TypedNumber::read($m[1]);
        } catch (NotRead $not) {
            throw BadDocument::at('--gap', $not->wrong, $not->right);
        }
        $unit = strtolower($m[2] ?? '');
        if ($unit === '') {
            throw BadDocument::at('--gap', "{$text} has no unit", sprintf('write %smm, or %sthou if it is %s', $m[1], $m[1], Shim::words($number * self::MM_PER_THOU)));
        }
        $mm = $number * ['mm' => 1.0, 'thou' => self::MM_PER_THOU, 'in' => 25.4][$unit];
        if ($mm <= 0 || $mm > 20) {
            throw BadDocument::at('--gap', Shim::words($mm).($mm > 20 ? ' is a missing part, not a gap' : ' is no gap'), 'give a width above 0 and up to 20 mm; 0.9 mm is 35 thou');
        }

        return $mm;
    }

    private function access(): Access
    {
        $text = $this->option('access');

        return Access::tryFrom(is_string($text) ? $text : '') ?? throw BadDocument::at('--access', 'is not known', 'use open, tight, detail or none');
    }

    private function length(): float
    {
        $text = $this->option('length');
        try {
            return is_string($text) ? TypedNumber::read($text) : 0.0;
        } catch (NotRead $not) {
            throw BadDocument::at('--length', $not->wrong, $not->right);
        }
    }
}
