<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use App\Answers\Timetables;
use App\Http\Answer;
use App\Repositories\Grits;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The register of what is to be made good, and the grits that take it there. */
final readonly class SurfaceController
{
    public function __construct(private Timetables $timetables, private Grits $grits, private Answer $answer)
    {
    }

    public function show(Request $request, string $build): Response
    {
        return $this->answer->kept($this->timetables->ask($build, 'surface'), $request);
    }

    /** @throws BadDocument where one is no grit */
    public function grits(Request $request): JsonResponse
    {
        $given = $request->json()->all()['owned'] ?? null;
        if (! is_array($given) || count($given) > 60) {
            throw BadDocument::at('owned', 'is not a list of up to 60 grits', 'write it as ["P400", "P600"]');
        }

        return $this->answer->json(['owned' => $this->grits->own(array_values($given))]);
    }
}
