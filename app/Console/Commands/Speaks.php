<?php

declare(strict_types=1);

namespace App\Console\Commands;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Instant;
use AmberStep\Core\Document\Problem;
use AmberStep\Core\Drying\DailyCycle;
use AmberStep\Core\Drying\Room;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Timing\Calendar;
use App\Build\BuildFile;
use App\Build\Conflict;
use App\Clock\BenchClock;
use App\Photos\Parcel;
use Illuminate\Console\Command;
use JsonException;

/** What the commands have in common: exit 0 fine, 1 stop found, 2 bad input; errors as JSON on stderr with --json. */
abstract class Speaks extends Command
{
    protected const BAD_INPUT = 2;

    /** @param  callable(): int  $do */
    protected function speak(callable $do): int
    {
        try {
            return $do();
        } catch (BadDocument $e) {
            return $this->refuse($this->hasArgument('file') ? 'The file cannot be taken as it is.' : 'That cannot be worked out as it is.', $e->problems);
        } catch (Conflict $e) {
            return $this->refuse($e->getMessage(), array_key_exists('digest', $e->there) ? [new Problem('digest', 'does not fit what is in the file', 'say --anyway where you know who changed it')] : [new Problem('', 'is here already', isset($e->there['builds']) ? 'say --replace' : 'say --replace or --copy')]);
        }
    }

    /** @param  list<Problem>  $problems */
    protected function refuse(string $message, array $problems): int
    {
        $err = fopen('php://stderr', 'w');
        if ($err !== false) {
            if ($this->hasOption('json') && $this->option('json') === true) {
                fwrite($err, self::json(['error' => ['message' => $message, 'problems' => array_map(static fn (Problem $p): array => ['path' => $p->path, 'wrong' => $p->wrong, 'right' => $p->right], $problems)]])."\n");
            } else {
                fwrite($err, $message."\n".implode('', array_map(static fn (Problem $p): string => '  '.$p->sentence()."\n", $problems)));
            }
            fclose($err);
        }

        return self::BAD_INPUT;
    }

    /** @throws BadDocument */
    protected function file(): BuildFile
    {
        return BuildFile::parse(app(Parcel::class)->json($this->bytes()));
    }

    /** @throws BadDocument */
    protected function bytes(): string
    {
        $name = $this->argument('file');
        $name = is_string($name) ? $name : '';
        $bytes = is_file($name) && is_readable($name) ? file_get_contents($name) : false;

        return $bytes === false ? throw BadDocument::at($name, 'cannot be read', 'give the name of a build file') : $bytes;
    }

    /** @throws BadDocument when --at is no instant */
    protected function at(BenchClock $clock): int
    {
        $at = $this->option('at');
        if ($at === null) {
            return $clock->epoch();
        }

        return (is_string($at) ? Instant::parse($at) : null) ?? throw BadDocument::at('--at', 'is not an instant', 'give it in UTC such as 2026-03-02T19:05:00Z');
    }

    /** The plan of a file by itself: its own products, its own readings, else 20 °C and 50 %. */
    protected function planOf(BuildFile $file, int $now): Plan
    {
        $cycle = $file->readings === [] ? new DailyCycle(20, 20, 0.5, 0.5, $file->kit->zone) : null;

        return Plan::compile($file->kit, new HouseRules, new Shelf($file->products), $file->events, new Room($file->readings, $now, $cycle), Calendar::usual($file->kit->zone), $now);
    }

    /** @param  array<string, mixed>  $data */
    protected static function json(array $data): string
    {
        try {
            return json_encode($data, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            return '{}';
        }
    }
}
