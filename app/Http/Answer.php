<?php

declare(strict_types=1);

namespace App\Http;

use App\Answers\Kept;
use App\Answers\Packed;
use App\Clock\BenchClock;
use App\Http\Presenters\Time;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\AcceptHeader;

/** Every answer carries the server's now: the web keeps the offset and never counts by itself. */
final readonly class Answer
{
    /** How often the build was compiled up to this answer: readers of one number read one plan. */
    public const TIMETABLE = 'Amber-Timetable';

    public function __construct(private BenchClock $clock)
    {
    }

    /** @param  array<string, mixed>  $data */
    public function json(array $data, int $status = 200): JsonResponse
    {
        return new JsonResponse([...$data, 'now' => Time::utc($this->clock->epoch())], $status, options: JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    /** An answer that was kept: compressed already, with the server's now put in. */
    public function kept(Kept|Packed $answer, Request $request): Response
    {
        $packed = $answer instanceof Kept ? $answer->answer : $answer;
        $now = $this->clock->epoch();
        $deflated = self::takes($request, 'deflate');
        $body = $deflated ? $packed->deflated($now) : $packed->plain($now);

        return new Response($body, 200, ['Content-Type' => 'application/json', 'Content-Length' => (string) strlen($body), 'Vary' => 'Accept-Encoding', ...($answer instanceof Kept && $answer->serial > 0 ? [self::TIMETABLE => (string) $answer->serial] : []), ...($deflated ? ['Content-Encoding' => 'deflate'] : [])]);
    }

    /** Whether the reader takes an encoding: one of weight 0 is refused. */
    public static function takes(Request $request, string $encoding): bool
    {
        return (AcceptHeader::fromString($request->headers->get('Accept-Encoding'))->get($encoding)?->getQuality() ?? 0.0) > 0;
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
