<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Answer;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What goes out is compressed where the reader takes it, and says how long it is: without that the server's caller waits for more. */
final class Compressed
{
    /** Bytes under which it is not worth the while. */
    private const LEAST = 800;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $body = $response->getContent();
        if (! is_string($body) || $request->isMethod('HEAD') || $response->headers->has('Content-Encoding')) {
            return $response;
        }
        $texts = str_contains((string) $response->headers->get('Content-Type'), 'json') || str_starts_with((string) $response->headers->get('Content-Type'), 'text/');
        if ($texts && strlen($body) >= self::LEAST && Answer::takes($request, 'gzip')) {
            $body = (string) gzencode($body, 3);
            $response->setContent($body);
            $response->headers->add(['Content-Encoding' => 'gzip', 'Vary' => 'Accept-Encoding']);
        }
        if ($response->getStatusCode() !== 304) {
            $response->headers->set('Content-Length', (string) strlen($body));
        }

        return $response;
    }
}
