<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Layering\HolderNeed;
use AmberStep\Core\Layering\Holding;
use AmberStep\Core\Plan\JointAdvice;
use AmberStep\Core\Plan\Plan;
use App\Clock\BenchClock;
use App\Http\Presenters\BreakdownPresenter;
use Symfony\Component\Console\Output\OutputInterface;

/** What of a build file is glued when and with what, and what each piece is held by. */
final class BreakdownCommand extends Speaks
{
    protected $signature = 'amber:breakdown {file : a build file} {--at= : as of this instant, UTC} {--json : print JSON}';

    protected $description = 'Propose the break-down of a build file; exit 1 when a stop is open';

    public function handle(BenchClock $clock): int
    {
        return $this->speak(function () use ($clock): int {
            $plan = $this->planOf($this->file(), $this->at($clock));
            if ($this->option('json') === true) {
                $this->output->writeln(self::json(BreakdownPresenter::of($plan)), OutputInterface::OUTPUT_RAW);
            } else {
                $this->inWords($plan);
            }

            return $plan->stops() === [] ? self::SUCCESS : self::FAILURE;
        });
    }

    private function inWords(Plan $plan): void
    {
        $context = $plan->context;
        foreach ($context->breakdown->pieces as $piece) {
            $held = Holding::of($piece, $context);
            $this->line(sprintf('Piece %s: %s%s', $piece->name, $held->holder === null ? 'nothing to hold it by' : "{$held->holder->word()} {$held->where}", $held->pieces > 1 ? " ({$held->pieces})" : ''));
        }
        foreach ($context->kit->joints as $joint) {
            $advice = JointAdvice::of($joint, $context);
            $this->line(sprintf('Joint %s: %s with %s, %s. %s', $joint->name, $advice->beforePaint ? 'glue before paint' : 'paint apart, attach after', $joint->glue->word(), $advice->because, implode(' ', [...$advice->align, ...($advice->fit === null ? [] : [$advice->fit])])));
        }
        foreach (HolderNeed::all($context, $plan->left) as $need) {
            $this->line(sprintf('%d %s at one time, of %d%s', $need->atOnce, $need->holder->plural(), $need->owned, $need->short() > 0 ? ": {$need->short()} too few" : ''));
        }
    }
}
