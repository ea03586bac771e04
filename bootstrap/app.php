<?php

declare(strict_types=1);

use App\Http\Middleware\Compressed;
use App\Http\Middleware\HostDoor;
use App\Http\Middleware\JsonDoor;
use App\Http\Middleware\OriginDoor;
use App\Http\Middleware\ReadOnDoor;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\SoundDoor;
use App\Http\Refusals;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull;
use Illuminate\Foundation\Http\Middleware\TrimStrings;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Middleware\ValidatePostSize;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        api: __DIR__.'/../routes/api.php',
        apiPrefix: 'api',
        commands: __DIR__.'/../routes/console.php',
        then: static function (): void {
            require __DIR__.'/../routes/page.php';
        },
    )
    ->withMiddleware(static function (Middleware $middleware): void {
        // One origin serves page and API; what is typed is stored as it was typed; our own door says what is too large.
        $middleware->remove([HandleCors::class, ValidatePostSize::class, TrimStrings::class, ConvertEmptyStringsToNull::class]);
        $middleware->prepend([HostDoor::class, OriginDoor::class, SecurityHeaders::class, Compressed::class]);
        $middleware->group('api', [JsonDoor::class, SoundDoor::class, ReadOnDoor::class]);
    })
    ->withExceptions(static function (Exceptions $exceptions): void {
        Refusals::register($exceptions);
    })
    ->create();
