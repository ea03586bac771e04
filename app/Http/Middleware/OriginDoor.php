<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Refusal;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Unsafe methods come from our own page or from no page at all. */
final class OriginDoor
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethodSafe()) {
            return $next($request);
        }
        $origin = $request->headers->get('origin');
        $site = $request->headers->get('sec-fetch-site');
        $own = 'http://'.strtolower((string) $request->headers->get('host', ''));
        $foreign = ($origin !== null && strtolower($origin) !== $own) || ($site !== null && ! in_array($site, ['same-origin', 'none'], true));

        return $foreign
            ? Refusal::of(403, 'This was sent from another page.', [], 'origin', 'is not this application', 'use the application itself')
            : $next($request);
    }
}
