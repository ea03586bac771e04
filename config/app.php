<?php

declare(strict_types=1);

return [
    'name' => 'Amber Step',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => 'http://127.0.0.1',
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    // No cookies, no sessions, nothing encrypted: a key is only there because the framework asks for one.
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY', 'base64:QW1iZXJTdGVwTmVlZHNOb1NlY3JldHNBdEFsbEhlcmU='),
    'maintenance' => ['driver' => 'file'],

    // The zone of new builds and of the bench, where a build says nothing else.
    'bench_zone' => env('AMBER_ZONE', 'Europe/Lisbon'),
    // Freezes the clock, for screenshots and tests: an instant such as 2026-03-02T19:05:00Z.
    'now' => env('AMBER_NOW'),
    'port' => (int) env('AMBER_PORT', 8087),
];
