<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Nothing is loaded from anywhere else, framed by anyone, or guessed at. */
final class SecurityHeaders
{
    public const NONCE = 'amber.nonce';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $nonce = bin2hex(random_bytes(12));
        $request->attributes->set(self::NONCE, $nonce);
        $response = $next($request);
        $response->headers->add([
            'Content-Security-Policy' => "default-src 'self'; style-src 'self' 'nonce-{$nonce}'; style-src-attr 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self' data:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
            ...(array) config('headers'),
        ]);
        // A photograph goes by what is in it, and is kept for a year.
        if (str_starts_with($request->path(), 'api/') && ! $response->headers->hasCacheControlDirective('immutable')) {
            $response->headers->set('Cache-Control', 'no-store');
        }

        return $response;
    }
}
