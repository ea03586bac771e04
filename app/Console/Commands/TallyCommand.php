<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Log\Log;
use AmberStep\Core\Material\Shelf;
use App\Clock\BenchClock;
use App\Http\Presenters\BookletPresenter;
use Symfony\Component\Console\Output\OutputInterface;

/** What the colours of a build file need, by both schools, and what to buy. */
final class TallyCommand extends Speaks
{
    protected $signature = 'amber:tally {file : a build file} {--at= : as of this instant, UTC} {--json : print JSON}';

    protected $description = 'Tally the paint a build file needs, and the cheapest packs';

    public function handle(BenchClock $clock): int
    {
        return $this->speak(function () use ($clock): int {
            $file = $this->file();
            $shelf = new Shelf($file->products);
            /** @var array{colours: list<array{name: string, code: string|null, parts: int, counts: int, mlByArea: float, mlByCount: float, firstStep: int|null}>, jars: list<array{paint: string, colours: list<string>, ml: float, buyMl: float, packs: string|null, price: float|null}>, counts: int, ml: float, price: float, deadStop: array{sentence: string}|null} $tally */
            $tally = BookletPresenter::tally($file->kit, $shelf, new HouseRules, Log::replay($file->events, $file->kit, $shelf, $this->at($clock)));
            if ($this->option('json') === true) {
                $this->output->writeln(self::json($tally), OutputInterface::OUTPUT_RAW);

                return self::SUCCESS;
            }
            foreach ($tally['colours'] as $c) {
                $this->line(sprintf('%-20s %-4s %-8s %3d parts %4d counts  %6.2f ml by area, %6.2f ml by counting', $c['name'], $c['code'] ?? '', $c['firstStep'] === null ? '' : "step {$c['firstStep']}", $c['parts'], $c['counts'], $c['mlByArea'], $c['mlByCount']));
            }
            foreach ($tally['jars'] as $jar) {
                if ($jar['buyMl'] > 0) {
                    $this->line(sprintf('%s for %s: %.2f ml; buy %s', $jar['paint'], implode(', ', $jar['colours']), $jar['ml'], ($jar['packs'] ?? sprintf('%.2f ml', $jar['buyMl'])).($jar['price'] === null ? '' : sprintf(' for %.2f', $jar['price']))));
                }
            }
            $this->line(sprintf('%d counts, %.2f ml, to buy for %.2f', $tally['counts'], $tally['ml'], $tally['price']));
            if ($tally['deadStop'] !== null) {
                $this->line($tally['deadStop']['sentence']);
            }

            return self::SUCCESS;
        });
    }
}
