<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use AmberStep\Core\Document\BadDocument;
use App\Clock\BenchZone;
use App\Http\Middleware\SecurityHeaders;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The one page; the rest is drawn in the browser. */
final class PageController
{
    public function show(Request $request): View
    {
        try {
            $zone = BenchZone::name();
        } catch (BadDocument) {
            // The page says what is wrong with it as soon as it asks for anything.
            $zone = 'UTC';
        }

        return view('page', ['nonce' => $request->attributes->get(SecurityHeaders::NONCE), 'zone' => $zone]);
    }
}
