<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Refusal;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What is sent is one JSON object, not too large and not too deep, but for pictures and zips at their own doors; the framework would read malformed JSON as nothing. */
final class JsonDoor
{
    private const MOST_BYTES = 10 * 1024 * 1024;

    private const DEPTH = 32;

    /** What comes as it is: pictures, and a build file with its pictures. */
    private const RAW = ['api/photos' => ['image/jpeg', 'image/png', 'image/webp'], 'api/builds' => ['application/zip'], 'api/bench' => ['application/zip']];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isMethodSafe()) {
            return $next($request);
        }
        if ((int) $request->headers->get('content-length', '0') > self::MOST_BYTES || strlen((string) $request->getContent()) > self::MOST_BYTES) {
            return Refusal::of(413, 'This is too large.', [], 'body', 'is over 10 MB', 'send less');
        }
        $raw = self::RAW[$request->path()] ?? [];
        $type = strtolower(trim(explode(';', (string) $request->headers->get('content-type', ''))[0]));
        if (in_array($type, $raw, true)) {
            return $next($request);
        }
        if ($type !== 'application/json') {
            return Refusal::of(415, 'This is not JSON.', [], 'content-type', 'is not application/json', 'send JSON');
        }
        $content = (string) $request->getContent();
        if (! mb_check_encoding($content, 'UTF-8')) {
            return Refusal::of(400, 'This is not valid UTF-8.', [], 'body', 'holds broken characters', 'send UTF-8');
        }
        $data = json_decode($content, true, self::DEPTH);
        if (json_last_error() !== JSON_ERROR_NONE) {
            return Refusal::of(400, 'This is not valid JSON.', [], 'body', 'cannot be read: '.json_last_error_msg(), 'send one JSON object, at most '.self::DEPTH.' deep');
        }
        if (! is_array($data) || ($data !== [] && array_is_list($data))) {
            return Refusal::of(400, 'This is not a JSON object.', [], 'body', 'is not an object', 'send {"field": value}');
        }

        return $next($request);
    }
}
