<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\Instant;
use App\Clock\BenchClock;
use App\Http\Presenters\MasksPresenter;
use DateTimeImmutable;
use DateTimeZone;
use Symfony\Component\Console\Output\OutputInterface;

/** Prints the story of the masks: colour by colour what is laid, what is covered, and what comes off when. */
final class MasksCommand extends Speaks
{
    protected $signature = 'amber:masks {file : a build file} {--at= : as of this instant, UTC} {--json : print JSON}';

    protected $description = 'What is covered with what while which colour is sprayed';

    public function handle(BenchClock $clock): int
    {
        return $this->speak(function () use ($clock): int {
            $file = $this->file();
            $page = (new MasksPresenter($this->planOf($file, $this->at($clock))))->whole();
            if ($this->option('json') === true) {
                $this->output->writeln(self::json($page), OutputInterface::OUTPUT_RAW);

                return self::SUCCESS;
            }
            $head = $page['head'];
            $this->line(sprintf('%d colours, %d masks, %.1f m of edge', $head['colours'], $head['masks'], $head['edgeCm'] / 100));
            $masks = array_column($page['masks'], null, 'key');
            foreach ($page['frames'] as $i => $frame) {
                $this->frame($i + 1, $frame, $masks, $file->kit->zone);
            }

            return self::SUCCESS;
        });
    }

    /**
     * @param  array<string, mixed>  $frame
     * @param  array<string, array<string, mixed>>  $masks
     */
    private function frame(int $n, array $frame, array $masks, DateTimeZone $zone): void
    {
        $this->line(sprintf('%d %s, %s%s%s', $n, $frame['colour'] === null ? 'Masks off' : $frame['colour']['name'].($frame['inside'] === true ? ', inside' : ''), $frame['done'] === true ? 'done, ' : '', self::wall($frame['from'], $zone), $frame['colour'] === null ? '' : sprintf(': %d coats%s', $frame['coats'], $frame['oneSitting'] === true ? ', one sitting' : '')));
        foreach ($frame['on'] as $key) {
            $mask = $masks[$key];
            $this->line(sprintf('    on   %s: %s%s, %s. %s.', $mask['name'], $mask['medium']['word'], $mask['edgeCm'] > 0 ? " {$mask['edgeCm']} cm" : '', self::wall($mask['on'], $zone), $mask['why']));
        }
        if ($frame['open'] !== '') {
            $this->line("    open though finished: {$frame['open']}");
        }
        foreach ($frame['off'] as $off) {
            $this->line(sprintf('    off  %s: %s, %s', $off['name'], $off['medium'], self::wall($off['at'], $zone)));
        }
    }

    private static function wall(?string $utc, DateTimeZone $zone): string
    {
        $epoch = $utc === null ? null : Instant::parse($utc);

        return $epoch === null ? 'when its last colour is on' : (new DateTimeImmutable('@'.$epoch))->setTimezone($zone)->format('D j M H:i');
    }
}
