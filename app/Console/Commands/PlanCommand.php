<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\Instant;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Telling\Words;
use App\Clock\BenchClock;
use App\Http\Presenters\PlanPresenter;

/** Prints the plan of a build file. */
final class PlanCommand extends Speaks
{
    protected $signature = 'amber:plan {file : a build file} {--at= : plan as of this instant, UTC} {--json : print JSON}';

    protected $description = 'Plan what is left to do in a build file';

    public function handle(BenchClock $clock): int
    {
        return $this->speak(function () use ($clock): int {
            $file = $this->file();
            $plan = $this->planOf($file, $this->at($clock));
            if ($this->option('json') === true) {
                $this->output->writeln(self::json(PlanPresenter::plan($plan)), \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
            } else {
                $this->inWords($plan, $file->readings === []);
            }

            return self::SUCCESS;
        });
    }

    private function inWords(Plan $plan, bool $assumed): void
    {
        if ($assumed) {
            $this->line('The file holds no readings: planned for 20 °C and 50 % RH.');
        }
        foreach ($plan->atTheBench() as $planned) {
            $this->line(sprintf('%-14s %s: %s', Instant::wall($planned->startEpoch, $plan->nowEpoch, $plan->context->kit->zone), Words::title($planned->step, $plan->context), Words::where($planned->step, $plan->context)));
        }
        foreach ($plan->holds as $hold) {
            $this->line("Hold: {$hold->label}");
        }
        foreach ($plan->findings as $finding) {
            $this->line(strtoupper($finding->severity->value).' '.$finding->rule.': '.$finding->title.'. '.$finding->sentence);
        }
    }
}
