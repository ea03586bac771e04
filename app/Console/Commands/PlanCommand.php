<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Instant;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Telling\Words;
use App\Answers\AllBuilds;
use App\Clock\BenchClock;
use App\Http\Presenters\PlanPresenter;
use App\Http\Presenters\TimetablePresenter;
use Symfony\Component\Console\Output\OutputInterface;

/** Prints the plan of a build file, or the one timetable of all builds in hand. */
final class PlanCommand extends Speaks
{
    protected $signature = 'amber:plan {file? : a build file} {--all : all builds in hand, in one pair of hands} {--at= : plan as of this instant, UTC} {--json : print JSON}';

    protected $description = 'Plan what is left to do in a build file, or in all builds';

    public function handle(BenchClock $clock, AllBuilds $builds): int
    {
        return $this->speak(function () use ($clock, $builds): int {
            if ($this->option('all') === true) {
                return $this->all($builds, $clock);
            }
            if ($this->argument('file') === null) {
                throw BadDocument::at('file', 'is missing', 'name a build file, or say --all');
            }
            $file = $this->file();
            $plan = $this->planOf($file, $this->at($clock));
            if ($this->option('json') === true) {
                $this->output->writeln(self::json(PlanPresenter::plan($plan)), OutputInterface::OUTPUT_RAW);
            } else {
                $this->inWords($plan, $file->readings === []);
            }

            return self::SUCCESS;
        });
    }

    private function all(AllBuilds $builds, BenchClock $clock): int
    {
        if ($this->argument('file') !== null || $this->option('at') !== null) {
            throw BadDocument::at('--all', 'is of the builds on this bench, now', 'leave the file and --at out');
        }
        $lines = TimetablePresenter::lines($builds->all(), $clock->epoch());
        if ($this->option('json') === true) {
            $this->output->writeln(self::json(['now' => Instant::format($clock->epoch()), 'steps' => $lines]), OutputInterface::OUTPUT_RAW);

            return self::SUCCESS;
        }
        foreach ($lines as $line) {
            $this->line(sprintf('%-14s %-24s %s: %s%s', $line['wall'], $line['build'], $line['title'], $line['where'], $line['held'] === null ? '' : " ({$line['held']})"));
        }

        return self::SUCCESS;
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
