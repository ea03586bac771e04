<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use App\Models\Build;
use App\Repositories\Shows;
use Symfony\Component\Console\Output\OutputInterface;

/** Lists the shows one builds for, writes one down, or lets one go. */
final class ShowCommand extends Speaks
{
    protected $signature = 'amber:show {name? : the show} {--date= : the day, such as 2026-03-28} {--by=08:00 : by when the builds must stand there} {--packing=60 : minutes} {--travel=0 : minutes} {--demand=* : no-base, kit-only, photographs} {--build=* : names of the builds that are entered} {--remove : let it go} {--json : print JSON}';

    protected $description = 'The shows one builds for: list them, write one down, let one go';

    public function handle(Shows $shows): int
    {
        return $this->speak(function () use ($shows): int {
            $name = $this->argument('name');
            if (is_string($name)) {
                $this->write($shows, $name);
            }
            if ($this->option('json') === true) {
                $this->output->writeln(self::json(['shows' => $shows->rows()]), OutputInterface::OUTPUT_RAW);

                return self::SUCCESS;
            }
            foreach ($shows->rows() as $show) {
                $builds = Build::query()->whereIn('id', $show['builds'])->orderBy('position')->pluck('name')->all();
                $this->line(sprintf('%s %02d:%02d  %s: %s', $show['date'], intdiv($show['by'], 60), $show['by'] % 60, $show['name'], $builds === [] ? 'no build' : implode(', ', $builds)));
            }

            return self::SUCCESS;
        });
    }

    private function write(Shows $shows, string $name): void
    {
        $rows = $shows->rows();
        $at = array_search($name, array_column($rows, 'name'), true);
        if ($this->option('remove') === true) {
            if ($at === false) {
                throw BadDocument::at('name', "names no show: \"{$name}\" is not written down", 'see them with amber:show');
            }
            unset($rows[$at]);
            $shows->set(array_values($rows));

            return;
        }
        $was = $at === false ? null : $rows[$at];
        $date = $this->option('date');
        $show = [
            ...($was === null ? [] : ['id' => $was['id']]), 'name' => $name, 'date' => is_string($date) ? $date : $was['date'] ?? throw BadDocument::at('--date', 'is missing', 'say --date=2026-03-28'),
            'by' => self::minutes(is_string($by = $this->option('by')) ? $by : ''), 'packing' => (int) $this->option('packing'), 'travel' => (int) $this->option('travel'),
            'demands' => (array) $this->option('demand'), 'builds' => self::builds((array) $this->option('build')),
        ];
        $others = array_values(array_filter($rows, static fn (array $r): bool => $r['name'] !== $name));
        // A build is made for one show: entered here, it leaves the other.
        $others = array_map(static fn (array $r): array => [...$r, 'builds' => array_values(array_diff($r['builds'], $show['builds']))], $others);
        $shows->set([...$others, $show]);
    }

    private static function minutes(string $wall): int
    {
        return preg_match('/\A([01]?\d|2[0-3]):([0-5]\d)\z/', $wall, $m) === 1 ? 60 * (int) $m[1] + (int) $m[2] : throw BadDocument::at('--by', "is \"{$wall}\"", 'write it as 08:00');
    }

    /**
     * @param  array<mixed>  $names
     * @return list<string>
     */
    private static function builds(array $names): array
    {
        $ids = [];
        foreach ($names as $name) {
            $id = Build::query()->whereNull('binned')->where('name', $name)->value('id');
            $ids[] = is_string($id) ? $id : throw BadDocument::at('--build', 'names no build: "'.(is_string($name) ? $name : '').'"', 'use the name as it stands in the frame');
        }

        return $ids;
    }
}
