<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Layering\ColourOrder;
use AmberStep\Core\Layering\ModelColours;
use AmberStep\Core\Masking\Order\BestOrders;
use AmberStep\Core\Masking\Order\Ordered;
use App\Clock\BenchClock;
use Symfony\Component\Console\Output\OutputInterface;

/** Prints which colour is best sprayed first, with what the best orders and the plan's own cost. */
final class OrderCommand extends Speaks
{
    protected $signature = 'amber:order {file : a build file} {--at= : as of this instant, UTC} {--json : print JSON}';

    protected $description = 'Which colour first: the three best orders over the whole model and what the plan has, with what each costs';

    public function handle(BenchClock $clock): int
    {
        return $this->speak(function () use ($clock): int {
            $context = $this->planOf($this->file(), $this->at($clock))->context;
            $colours = new ModelColours($context->kit, $context->house, $context->shelf, $context->breakdown, $context->surface);
            $best = new BestOrders($colours->problem);
            $order = new ColourOrder($context->kit, $context->shelf, $context->house);
            $own = array_keys($colours->colours);
            usort($own, static fn (int $a, int $b): int => $order->place($colours->colours[$a]->id) <=> $order->place($colours->colours[$b]->id));
            $plan = Ordered::of($colours->problem, $own);
            if ($this->option('json') === true) {
                $this->output->writeln(self::json(['proven' => $best->isProven, 'boundMinutes' => round($best->bound, 1), 'best' => array_map(static fn (Ordered $o): array => self::told($o, $colours), $best->orders), 'plan' => self::told($plan, $colours)]), OutputInterface::OUTPUT_RAW);

                return self::SUCCESS;
            }
            $n = count($colours->colours);
            $this->line($n === 0 ? 'No colour is sprayed.' : ($best->isProven ? "Best orders of {$n} colours, proven:" : sprintf('Best order found of %d colours; none is under %.0f min:', $n, $best->bound)));
            foreach ($n === 0 ? [] : [...$best->orders, $plan] as $i => $one) {
                $this->line(($i < count($best->orders) ? ($i + 1).'. ' : 'As planned: ').self::inWords($one, $colours));
            }

            return self::SUCCESS;
        });
    }

    private static function inWords(Ordered $one, ModelColours $colours): string
    {
        $told = self::told($one, $colours);

        return sprintf('%s: %.0f min, %d coats, %d masks, %.0f cm of edge, %.0f cm² of field, %d loadings, tape waited for %s%s', implode(', ', $told['colours']), $one->minutes, $one->coats, $one->masks, $one->edgeCm, $one->fieldCm2, $one->changes, $one->waits === 1 ? 'once' : "{$one->waits} times", $told['shades'] === [] ? '' : ', with '.implode(' and ', $told['shades']));
    }

    /** @return array{colours: list<string>, shades: list<string>, minutes: float, coats: int, masks: int, edgeCm: float, fieldCm2: float, loadings: int, waits: int} */
    private static function told(Ordered $one, ModelColours $colours): array
    {
        $shades = [];
        foreach ($colours->shades as $i => $shade) {
            if ($shade !== null && ($one->shades >> $i & 1) === 1) {
                $shades[] = $shade->name;
            }
        }

        return [
            'colours' => array_map(static fn (int $e): string => $colours->colours[$e]->name, $one->order), 'shades' => $shades, 'minutes' => round($one->minutes, 1), 'coats' => $one->coats, 'masks' => $one->masks,
            'edgeCm' => round($one->edgeCm, 1), 'fieldCm2' => round($one->fieldCm2, 1), 'loadings' => $one->changes, 'waits' => $one->waits,
        ];
    }
}
