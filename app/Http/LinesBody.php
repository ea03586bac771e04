<?php

declare(strict_types=1);

namespace App\Http;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\Problems;
use AmberStep\Core\Document\Reader;
use Illuminate\Http\Request;

/** A request that carries lines of text. */
final class LinesBody
{
    /**
     * @return array{string, bool} the text, and whether it is the whole of it
     *
     * @throws BadDocument where it is no text, or longer than 200 000 characters
     */
    public static function of(Request $request): array
    {
        $problems = new Problems;
        $in = Reader::of($request->json()->all(), '', $problems);
        $text = $in->raw('text');
        if (! is_string($text) || mb_strlen($text) > 200_000) {
            $problems->add('text', 'is not a text of up to 200 000 characters', 'send the lines as one text');
        }
        $whole = $in->flag('whole');
        $in->flag('plan');
        $in->refuseTheRest();
        $problems->throwIfAny();

        return [is_string($text) ? $text : '', $whole];
    }
}
