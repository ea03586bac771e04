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
    /** Lines at once, and characters of one: more is no kit that anybody typed. */
    private const LINES = 1000;

    private const LONG = 2000;

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
        foreach (self::tooMuch(is_string($text) ? $text : '') as [$wrong, $right]) {
            $problems->add('text', $wrong, $right);
        }
        $whole = $in->flag('whole');
        $in->flag('plan');
        $in->refuseTheRest();
        $problems->throwIfAny();

        return [is_string($text) ? $text : '', $whole];
    }

    /** @return iterable<array{string, string}> what is too much of it, and what would be right */
    private static function tooMuch(string $text): iterable
    {
        $lines = explode("\n", str_replace(["\r\n", "\r"], "\n", $text));
        if (count($lines) > self::LINES) {
            yield ['has '.count($lines).' lines', 'send up to '.self::LINES.' at a time'];
        }
        foreach ($lines as $i => $line) {
            if (strlen($line) > self::LONG && mb_strlen($line) > self::LONG) {
                yield ['has '.mb_strlen($line).' characters in line '.($i + 1), 'write up to '.self::LONG.' on a line'];

                return;
            }
        }
    }
}
