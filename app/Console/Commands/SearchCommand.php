<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Answers\Chances;
use App\Answers\RunUps;
use App\Keeping\Logs;
use App\Models\Build;
use App\Search\Searcher;
use Illuminate\Console\Command;

/**
 * Searches for a better timetable of all builds. bin/up starts it beside the server, at low priority; no request does.
 * Killed at any moment it loses nothing: what it found is written in one short transaction, or not at all.
 */
final class SearchCommand extends Command
{
    /** Seconds without a write before it begins. */
    private const QUIET = 2;

    /** Rounds of a second and more after which logs are looked at. */
    private const TIDY = 600;

    protected $signature = 'amber:search {--watch : go on, and search anew whenever something has changed}';

    protected $description = 'Search for a better order of all that is to be done';

    public function handle(Searcher $searcher, RunUps $runUps, Chances $chances): int
    {
        $lock = fopen($this->lock(), 'c');
        if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB)) {
            $this->line('another search is at work');

            return self::SUCCESS;
        }
        // It lives for days, and is started as the server is, of which each request is short.
        gc_enable();
        for ($round = 0; $round === 0 || $this->option('watch') === true; $round++) {
            if ($round % self::TIDY === self::TIDY - 1) {
                Logs::turn();
            }
            $state = $searcher->state();
            // Many plans: while nobody writes, and no longer. What is found in the minutes after changes them little, and they are counted again.
            if ($this->option('watch') === true && $searcher->areWaysFound($state) && ! $chances->now()['counted']) {
                $chances->count(static fn (): bool => $searcher->state() === $state);
            }
            if ($searcher->isSearched($state)) {
                $this->say('nothing has changed');
            } elseif ($this->isQuiet($searcher, $state)) {
                $found = $searcher->search($state, static fn (): bool => $searcher->state() === $state);
                $this->say($found ?? 'given up: something has changed');
                if ($found !== null) {
                    // So that the frame knows who is late before anybody has looked.
                    $runUps->ask();
                }
            }
            if ($this->option('watch') === true) {
                sleep(1);
            }
        }

        return self::SUCCESS;
    }

    /** One search a bench: beside its database. */
    private function lock(): string
    {
        $database = (new Build)->getConnection()->getDatabaseName();

        return $database === ':memory:' ? base_path('var/search.lock') : $database.'.search-lock';
    }

    private function isQuiet(Searcher $searcher, string $state): bool
    {
        if ($this->option('watch') !== true) {
            return true;
        }
        sleep(self::QUIET);

        return $searcher->state() === $state;
    }

    private function say(string $words): void
    {
        if ($this->option('watch') !== true) {
            $this->line($words);
        }
    }
}
