<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Instant;
use App\Answers\Chances;
use App\Answers\Levers;
use App\Answers\RunUps;
use App\Http\Answer;
use App\Repositories\Shows;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** All builds on their way to a date, and the shows they are made for. */
final readonly class RunUpController
{
    public function __construct(private RunUps $runUps, private Levers $levers, private Chances $chances, private Shows $shows, private Answer $answer)
    {
    }

    /** At a glance where the page asks for that: what the rules say of it is asked next. */
    public function show(Request $request): Response
    {
        return $this->answer->kept($request->query->has('glance') ? $this->runUps->glance() : $this->runUps->ask(), $request);
    }

    /** One session as it is worked: named by the moment it ends, for that stays while it runs. */
    public function session(Request $request): Response
    {
        $until = $request->query('until');

        return $this->answer->kept($this->runUps->session($until === null ? null : Instant::parse(is_string($until) ? $until : '') ?? throw BadDocument::at('until', 'is no moment', 'write it such as 2026-03-03T21:00:00Z')), $request);
    }

    /** Asked after the picture: each is priced by planning all builds. */
    public function levers(Request $request): Response
    {
        return $this->answer->kept($this->levers->ask(), $request);
    }

    /** As it was counted beside the search; not yet, where it was not. */
    public function chance(): JsonResponse
    {
        return $this->answer->json($this->chances->now());
    }

    public function shows(): JsonResponse
    {
        return $this->answer->json(['shows' => $this->shows->rows()]);
    }

    public function set(Request $request): JsonResponse
    {
        $body = $request->json()->all();
        if (array_keys($body) !== ['shows']) {
            throw BadDocument::at('shows', array_key_exists('shows', $body) ? 'does not stand alone' : 'is missing', 'send shows and nothing else');
        }

        return $this->answer->json(['change' => $this->shows->set($body['shows'])]);
    }
}
