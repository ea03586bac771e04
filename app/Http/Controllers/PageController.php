<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\SecurityHeaders;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The one page; the rest is drawn in the browser. */
final class PageController
{
    public function show(Request $request): View
    {
        return view('page', ['nonce' => $request->attributes->get(SecurityHeaders::NONCE)]);
    }
}
