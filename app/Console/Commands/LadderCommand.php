<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Material\Grit;
use AmberStep\Core\Seam\Ladder;
use Symfony\Component\Console\Output\OutputInterface;

/** The abrasive ladder from a scratch to a finish with the grits one owns; exit 1 where something has to be bought. */
final class LadderCommand extends Speaks
{
    protected $signature = 'amber:ladder {--from= : deepest scratch, such as P320} {--to= : last grit the next layer needs, such as P2000} {--own= : grits owned, with commas between} {--json : print JSON}';

    protected $description = 'Work out the grits from one scratch to the next layer';

    public function handle(): int
    {
        return $this->speak(function (): int {
            [$from, $to] = [$this->grit('from'), $this->grit('to')];
            $own = $this->option('own');
            $owned = array_map(fn (string $text): Grit => $this->read('--own', $text), array_values(array_filter(array_map(trim(...), explode(',', is_string($own) ? $own : '')), static fn (string $t): bool => $t !== '')));
            $ladder = Ladder::between($from, $to, $owned) ?? throw BadDocument::at('--to', "{$to->label()} is not reached from {$from->label()}", 'give a grit finer than the scratch that is there');
            if ($this->option('json') === true) {
                $this->output->writeln(self::json(['steps' => array_map(self::shown(...), $ladder->steps), 'worst' => round($ladder->worst, 3), 'missing' => array_map(self::shown(...), $ladder->missing)]), OutputInterface::OUTPUT_RAW);
            } else {
                foreach ($ladder->steps as $i => $grit) {
                    $ratio = $i === 0 ? '' : sprintf(', %.3f of the one before', $grit->microns / $ladder->steps[$i - 1]->microns);
                    $this->line(sprintf('%-22s %5.1f µm%s%s', $grit->label(), $grit->microns, $ratio, in_array($grit, $ladder->missing, true) ? ': to buy' : ''));
                }
            }

            return $ladder->missing === [] ? self::SUCCESS : self::FAILURE;
        });
    }

    private function grit(string $option): Grit
    {
        $text = $this->option($option);

        return is_string($text) && trim($text) !== '' ? $this->read("--{$option}", $text) : throw BadDocument::at("--{$option}", 'is missing', 'give a grit such as P320');
    }

    private function read(string $option, string $text): Grit
    {
        try {
            return Grit::read($text);
        } catch (NotRead $not) {
            throw BadDocument::at($option, $not->wrong, $not->right);
        }
    }

    /** @return array<string, mixed> */
    private static function shown(Grit $grit): array
    {
        return ['grit' => $grit->label(), 'scale' => $grit->scale->value, 'microns' => $grit->microns];
    }
}
