<?php

declare(strict_types=1);

namespace App\Http;

use App\Keeping\Soundness;
use PDOException;
use Symfony\Component\HttpFoundation\Response;

/** What the machine under it refuses, said for what it is. Nothing of it was written: every write is one transaction. */
final class Trouble
{
    private const BUSY = [5, 6];

    private const READ_ONLY = [8];

    private const FULL = [10, 13];

    private const CANNOT_OPEN = [14];

    public static function answer(PDOException $e): ?Response
    {
        $code = Soundness::codeOf($e);

        return match (true) {
            Soundness::isOf($e) => self::found(),
            in_array($code, self::BUSY, true) => self::told(503, 'busy', 'Something else writes just now. Nothing was changed: try again.', true),
            in_array($code, self::READ_ONLY, true), in_array($code, self::CANNOT_OPEN, true) => self::told(507, 'read-only', 'The file of the bench cannot be written: it, its folder or its disk is read-only. Nothing was changed; what is there can still be read.'),
            in_array($code, self::FULL, true) => self::told(507, 'full', 'The disk is full. Nothing was changed; what is there can still be read. Make room, then try again.'),
            default => null,
        };
    }

    /** Met while it was read: looked over, so that nothing more is written until a copy is back. */
    private static function found(): Response
    {
        app(Soundness::class)->check();

        return self::damaged();
    }

    public static function damaged(): Response
    {
        return self::told(503, 'damaged', 'The file of the bench is damaged. Nothing more is written into it; the copies are whole.');
    }

    private static function told(int $status, string $kind, string $message, bool $again = false): Response
    {
        $response = Refusal::json($status, ['message' => $message, 'problems' => [], 'kind' => $kind]);
        if ($again) {
            $response->headers->set('Retry-After', '2');
        }

        return $response;
    }
}
