<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Clock\BenchClock;
use App\Http\Presenters\OrdersPresenter;
use Symfony\Component\Console\Output\OutputInterface;

/** Prints which colour is best sprayed first, with what the best orders and the plan's own cost. */
final class OrderCommand extends Speaks
{
    protected $signature = 'amber:order {file : a build file} {--at= : as of this instant, UTC} {--json : print JSON}';

    protected $description = 'Which colour first: the three best orders over the whole model and what the plan has, with what each costs';

    public function handle(BenchClock $clock): int
    {
        return $this->speak(function () use ($clock): int {
            $orders = OrdersPresenter::of($this->planOf($this->file(), $this->at($clock)));
            if ($this->option('json') === true) {
                $this->output->writeln(self::json($orders), OutputInterface::OUTPUT_RAW);

                return self::SUCCESS;
            }
            $n = count($orders['entries']);
            $this->line($n === 0 ? 'No colour is sprayed.' : ($orders['proven'] === true ? "Best orders of {$n} colours, proven:" : sprintf('Best order found of %d colours; none is under %.0f min:', $n, $orders['boundMinutes'])));
            foreach ($n === 0 ? [] : [...$orders['best'], $orders['planned']] as $i => $one) {
                $this->line(($i < count($orders['best']) ? ($i + 1).'. ' : 'As planned: ').self::inWords($one));
            }

            return self::SUCCESS;
        });
    }

    /** @param  array<string, mixed>  $one */
    private static function inWords(array $one): string
    {
        return sprintf(
            '%s: %.0f min, %d coats, %d areas capped, %.0f cm of edge, %.0f cm² of field, %d loadings, tape waited for %s%s%s', implode('; ', $one['names']), $one['minutes'], $one['coats'], $one['masks'], $one['edgeCm'], $one['fieldCm2'], $one['loadings'],
            $one['evenings'] === 1 ? 'once' : "{$one['evenings']} times", $one['shades'] === [] ? '' : ', with '.implode(' and ', $one['shades']), $one['decides'] === '' ? '' : ". {$one['decides']}",
        );
    }
}
