<?php

declare(strict_types=1);

namespace App\Http;

use App\Clock\BenchClock;
use App\Http\Presenters\Time;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Every answer carries the server's now: the web keeps the offset and never counts by itself. */
final readonly class Answer
{
    public function __construct(private BenchClock $clock)
    {
    }

    /** @param  array<string, mixed>  $data */
    public function json(array $data, int $status = 200): JsonResponse
    {
        return new JsonResponse([...$data, 'now' => Time::utc($this->clock->epoch())], $status, options: JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    /**
     * An answer that is JSON already, with the server's now put in.
     *
     * @param  string  $json  an object with at least one field
     */
    public function kept(string $json): Response
    {
        return new Response(substr($json, 0, -1).',"now":"'.Time::utc($this->clock->epoch()).'"}', 200, ['Content-Type' => 'application/json']);
    }

    /** A whole number from the query, kept in range; anything else is the default. */
    public static function whole(Request $request, string $name, int $default, int $least, int $most): int
    {
        $value = $request->query($name);

        return is_string($value) && preg_match('/\A\d{1,7}\z/', $value) === 1 ? max($least, min($most, (int) $value)) : $default;
    }

    /** @return int the revision an edit says it was made on */
    public static function revision(Request $request): int
    {
        $match = (string) $request->headers->get('if-match', '');
        if (preg_match('/\A"?(\d{1,9})"?\z/', $match, $m) !== 1) {
            throw \AmberStep\Core\Document\BadDocument::at('If-Match', 'is missing', 'send the revision the edit was made on');
        }

        return (int) $m[1];
    }
}
