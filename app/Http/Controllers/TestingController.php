<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use App\Clock\BenchClock;
use App\Http\Answer;
use App\Repositories\Settings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Sets the clock; routed in the testing environment alone. */
final readonly class TestingController
{
    public function __construct(private Settings $settings, private Answer $answer)
    {
    }

    public function clock(Request $request): JsonResponse
    {
        $problems = new Problems;
        $epoch = Reader::of($request->json()->all(), '', $problems)->instant('now');
        $problems->throwIfAny();
        $this->settings->set(BenchClock::TESTING, ['epoch' => $epoch]);

        return $this->answer->json([]);
    }
}
