<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Trouble;
use App\Keeping\Soundness;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** While the file is known to be damaged only its copies are shown, and one can be brought back. */
final readonly class SoundDoor
{
    private const OPEN = ['api/health', 'api/copies', 'api/copies/*'];

    public function __construct(private Soundness $soundness)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        return ! $request->is(...self::OPEN) && $this->soundness->isDamaged() ? Trouble::damaged() : $next($request);
    }
}
