<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\Instant;
use AmberStep\Core\RunUp\Run;
use App\Answers\RunUps;
use App\Clock\BenchClock;
use App\Clock\BenchZone;
use App\Http\Presenters\RunUpPresenter;
use App\Repositories\Evenings;
use Symfony\Component\Console\Output\OutputInterface;

/** Prints how the builds in hand stand to their shows. */
final class RunUpCommand extends Speaks
{
    protected $signature = 'amber:runup {--json : print JSON}';

    protected $description = 'How all builds in hand stand to their shows: ready when, with how much to spare, session by session';

    public function handle(RunUps $runUps, Evenings $evenings, BenchClock $clock): int
    {
        return $this->speak(function () use ($runUps, $evenings, $clock): int {
            $zone = BenchZone::zone();
            $read = $runUps->read();
            if ($this->option('json') === true) {
                $this->output->writeln(self::json(['now' => Instant::format($clock->epoch()), ...($read === null ? ['settled' => true, 'shows' => [], 'eveningMinutes' => 0, 'soonest' => null, 'overBestMinutes' => 0, 'builds' => [], 'columns' => []] : RunUpPresenter::of($read[0], $evenings->dates(), $zone, true))]), OutputInterface::OUTPUT_RAW);

                return self::SUCCESS;
            }
            if ($read === null) {
                $this->line('No build is in hand.');

                return self::SUCCESS;
            }
            foreach ($read[0]->runs as $run) {
                $this->line($this->told($run, $clock->epoch()));
            }
            $this->line(sprintf('All are ready within %.1f h at the bench of the best possible.', $read[0]->overBest / 3600));
            foreach ($read[0]->columns as $column) {
                $what = array_map(static fn ($b): string => $b->paint === null ? $b->titles[0] : "{$b->paint->name}: ".implode(', ', $b->pieces), $column->blocks);
                $this->line(sprintf('%-14s %3d of %d min  %s', Instant::wall($column->fromEpoch, $clock->epoch(), $zone), round($column->worked()), intdiv($column->untilEpoch - $column->fromEpoch, 60), $what === [] ? '-' : implode('; ', $what)));
            }

            return self::SUCCESS;
        });
    }

    private function told(Run $run, int $now): string
    {
        $zone = BenchZone::zone();
        $ready = $run->readyEpoch === null ? 'is done' : 'is ready '.Instant::wall($run->readyEpoch, $now, $zone);
        if ($run->show === null) {
            return "{$run->name} {$ready}.";
        }
        $due = Instant::wall($run->show->dueEpoch, $now, $zone);
        $spare = $run->isLate() ? "late by {$run->daysLate()} d" : sprintf('%d min at the bench to spare', intdiv((int) $run->spareSeconds, 60));

        return "{$run->name} {$ready}; for {$run->show->name} it has to be by {$due}: {$spare}.";
    }
}
