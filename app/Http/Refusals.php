<?php

declare(strict_types=1);

namespace App\Http;

use AmberStep\Core\Document\BadDocument;
use App\Build\Conflict;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Request;
use PDOException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** How what goes wrong is answered. */
final class Refusals
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([BadDocument::class, Conflict::class]);
        $exceptions->render(static fn (BadDocument $e): Response => Refusal::of(422, 'This cannot be taken as it is.', $e->problems));
        $exceptions->render(static fn (Conflict $e): Response => Refusal::json(409, ['message' => $e->getMessage(), 'problems' => [], 'there' => $e->there]));
        $exceptions->render(static function (Throwable $e, Request $request): ?Response {
            if (! $request->is('api/*')) {
                return null;
            }
            $trouble = $e instanceof PDOException ? Trouble::answer($e) : null;
            if ($trouble !== null) {
                return $trouble;
            }
            if ($e instanceof HttpExceptionInterface) {
                return Refusal::of($e->getStatusCode(), $e->getStatusCode() === 404 ? 'There is nothing here.' : 'This is not possible here.', []);
            }

            return Refusal::of(500, 'Something broke inside. Nothing was changed; the log on this machine says more.', []);
        });
    }
}
