<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Clock\BenchClock;
use App\Http\Presenters\PlanPresenter;

/** Says what the rules find in a build file; exit 1 when a stop is open. */
final class CheckCommand extends Speaks
{
    protected $signature = 'amber:check {file : a build file} {--at= : judge as of this instant, UTC} {--json : print JSON}';

    protected $description = 'Check a build file against the rules of the trade';

    public function handle(BenchClock $clock): int
    {
        return $this->speak(function () use ($clock): int {
            $plan = $this->planOf($this->file(), $this->at($clock));
            if ($this->option('json') === true) {
                $this->output->writeln(self::json(['stops' => count($plan->stops()), 'findings' => PlanPresenter::findings($plan)]), \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
            } else {
                foreach ($plan->findings as $finding) {
                    $this->line(strtoupper($finding->severity->value).' '.$finding->rule.': '.$finding->title.'. '.$finding->sentence.($finding->accepted === null ? '' : ' Accepted: '.$finding->accepted));
                }
                $this->line($plan->stops() === [] ? 'No stop.' : count($plan->stops()).' open.');
            }

            return $plan->stops() === [] ? self::SUCCESS : self::FAILURE;
        });
    }
}
