<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Tool;
use AmberStep\Core\Mixing\Need;
use Symfony\Component\Console\Output\OutputInterface;

/** How much paint a surface needs, with the sum. */
final class AmountCommand extends Speaks
{
    protected $signature = 'amber:amount {--area= : cm²} {--coats=3 : a mist is a half} {--family=water-acrylic} {--film= : µm of one dry coat; by family where none is given} {--solids= : per cent by volume} {--thinner= : parts to one of paint} {--tool=airbrush : airbrush, airbrush-small, airbrush-rails, aerosol or brush} {--mixed : a mixed colour keeps a fifth} {--json : print JSON}';

    protected $description = 'Work out how much paint a surface needs';

    public function handle(): int
    {
        return $this->speak(function (): int {
            $family = Family::tryFrom((string) $this->text('family')) ?? throw BadDocument::at('--family', 'is not known', 'use one of '.implode(', ', array_map(static fn (Family $f): string => $f->value, Family::cases())));
            $tool = Tool::tryFrom((string) $this->text('tool')) ?? throw BadDocument::at('--tool', 'is not known', 'use one of '.implode(', ', array_map(static fn (Tool $t): string => $t->value, Tool::cases())));
            $figures = $family->figures();
            $solids = $this->number('solids', 100);
            $need = Need::of(
                $this->number('area', 100000) ?? throw BadDocument::at('--area', 'is missing', 'give cm², such as 196'),
                $this->number('coats', 40) ?? 3.0, $this->number('film', 200) ?? $figures->referenceFilmMicrons, $solids === null ? $figures->solidsByVolume : $solids / 100,
                $tool, $this->number('thinner', 20) ?? $figures->thinnerPerPaint->middle(), $this->option('mixed') === true,
            );
            if ($this->option('json') === true) {
                $this->output->writeln(self::json(['dryMl' => round($need->dryMl, 4), 'neatMl' => round($need->neatMl, 4), 'mixMl' => round($need->mixMl, 4), 'keptMl' => $need->keptMl, 'reserveMl' => round($need->reserveMl, 4), 'totalMl' => round($need->totalMl, 4)]), OutputInterface::OUTPUT_RAW);
            } else {
                foreach ($need->lines() as [$what, $ml, $origin]) {
                    $this->line(sprintf('%-46s %8.2f ml  %s', $what, $ml, $origin));
                }
                $this->line(sprintf('%-46s %8.2f ml', 'to mix', $need->totalMl));
            }

            return self::SUCCESS;
        });
    }

    private function text(string $option): ?string
    {
        $text = $this->option($option);

        return is_string($text) && trim($text) !== '' ? trim($text) : null;
    }

    private function number(string $option, float $most): ?float
    {
        $text = $this->text($option);
        if ($text === null) {
            return null;
        }
        try {
            $number = TypedNumber::read($text);
        } catch (NotRead $not) {
            throw BadDocument::at("--{$option}", $not->wrong, $not->right);
        }
        if ($number <= 0 || $number > $most) {
            throw BadDocument::at("--{$option}", "{$text} is no amount", "give one above 0 and up to {$most}");
        }

        return $number;
    }
}
