<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Refusal;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Answers only to this machine's own names: a page elsewhere cannot reach the bench by a name of its own. */
final class HostDoor
{
    private const NAMES = ['127.0.0.1', 'localhost', '[::1]'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $host = (string) $request->headers->get('host', '');
        $port = (int) $request->server->get('SERVER_PORT', config('app.port'));
        $allowed = [];
        foreach (self::NAMES as $name) {
            $allowed[] = $name.':'.$port;
            if ($port === 80) {
                $allowed[] = $name;
            }
        }

        return in_array(strtolower($host), $allowed, true)
            ? $next($request)
            : Refusal::of(421, 'This address is not served here.', [], 'host', 'is not one this server answers to', 'use http://127.0.0.1:'.$port);
    }
}
