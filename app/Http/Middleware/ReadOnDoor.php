<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Keeping\Place;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PDO;
use Symfony\Component\HttpFoundation\Response;

/**
 * On a disk that is full or read-only SQLite cannot even make what it reads through. What was written is whole, as long as
 * no log lies beside it: then it is read as it stands, as a file nobody changes.
 */
final readonly class ReadOnDoor
{
    public function __construct(private Place $place)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if ($response->getStatusCode() !== 507 || ! $request->isMethodSafe() || ! $this->place->isFile() || (int) @filesize($this->place->database().'-wal') > 0) {
            return $response;
        }
        DB::purge();
        $pdo = new PDO('sqlite:file:'.str_replace('%2F', '/', rawurlencode($this->place->database())).'?immutable=1', null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::SQLITE_ATTR_OPEN_FLAGS => PDO::SQLITE_OPEN_READONLY]);
        DB::connection()->setPdo($pdo)->setReadPdo($pdo);

        return $next($request);
    }
}
