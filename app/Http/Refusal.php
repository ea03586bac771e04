<?php

declare(strict_types=1);

namespace App\Http;

use AmberStep\Core\Document\Problem;
use Illuminate\Http\JsonResponse;

/** The one shape of an error: what is wrong, where, and what would be right. */
final class Refusal
{
    /** @param  list<Problem>  $problems */
    public static function of(int $status, string $message, array $problems, ?string $path = null, string $wrong = '', string $right = ''): JsonResponse
    {
        if ($path !== null) {
            $problems[] = new Problem($path, $wrong, $right);
        }

        return self::json($status, ['message' => $message, 'problems' => array_map(static fn (Problem $p): array => ['path' => $p->path, 'wrong' => $p->wrong, 'right' => $p->right], $problems)]);
    }

    /** @param  array<string, mixed>  $error */
    public static function json(int $status, array $error): JsonResponse
    {
        return new JsonResponse(['error' => $error], $status, options: JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE);
    }
}
