<?php

declare(strict_types=1);

namespace App\Providers;

use App\Answers\Store;
use App\Clock\BenchClock;
use App\Clock\Drift;
use App\Clock\Uptime;
use App\Repositories\Settings;
use App\Repositories\ShelfRepository;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Support\ServiceProvider;
use Psr\Clock\ClockInterface;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor('sqlite', static fn ($pdo, $database, $prefix, $config): WritingFirst => new WritingFirst($pdo, $database, $prefix, $config));
        // One shelf for a request, and one set of settings: what is put there is seen by whoever looks next.
        $this->app->singleton(ShelfRepository::class);
        $this->app->singleton(Settings::class);
        $this->app->singleton(Store::class);
        // What was put off until the answer had gone out.
        $this->app->terminating(fn () => $this->app->resolved(Store::class) ? $this->app->make(Store::class)->finish() : null);
        $this->app->singleton(BenchClock::class, static function (Application $app): BenchClock {
            $now = config('app.now');

            $database = config('database.connections.sqlite.database');

            return new BenchClock(is_string($now) && $now !== '' ? $now : null, $app->environment() === 'testing', new Drift(is_string($database) && is_file($database) ? dirname($database).'/clock.json' : null, new Uptime));
        });
        $this->app->alias(BenchClock::class, ClockInterface::class);
    }
}
