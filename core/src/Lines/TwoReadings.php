<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\NotRead;

/** What can be meant in more than one way is not guessed: each way is said as it would be written. */
final readonly class TwoReadings
{
    private const PAIR = '/\A(.+?)\s*(?:\/|&|\+|\band\b|\bwith\b|\bover\b|\bon\b)\s*(.+)\z/iu';

    private const ATTACHED = '/\A(?:attach|attached|glue|glued|goes|fits|stuck)\b\s*(?:on|onto|to|in|into)?\s*(.*?)(?:\s+with\s+(.+))?\z/iu';

    public function __construct(private ColourFinder $colours)
    {
    }

    /**
     * A colour beside the one the line has already.
     *
     * @param  string  $first  the colour that stands before it
     */
    public function second(Phrase $phrase, string $first): NotRead
    {
        return new NotRead("an area has one colour, and {$first} stands before it", "for a part of the area in {$phrase->text} write a line of its own with its edge, such as \"band, S, {$phrase->text}, hard 120 mm to …\"; for what lies under {$first} write \"on {$phrase->text}\", for shadows \"preshade {$phrase->text}\"");
    }

    /**
     * A phrase no word and no paint answers to.
     *
     * @param  string  $name  of the area the line is about
     * @return NotRead|null null where it is no such thing
     */
    public function of(Phrase $phrase, string $name): ?NotRead
    {
        if (preg_match(self::ATTACHED, $phrase->text, $m) === 1) {
            $to = $m[1] === '' ? 'hull' : $m[1];
            $glue = isset($m[2]) && isset(Vocabulary::joint()[mb_strtolower($m[2])]) ? mb_strtolower($m[2]) : 'superglue';

            return new NotRead('what a thing is glued to is a joint, a line of its own', "write \"{$name} to {$to}: {$name} + {$to}, line, after paint, {$glue}\", or before paint where it is painted with it");
        }
        $ground = $phrase->behind('ground');
        if ($ground !== null) {
            return new NotRead("\"{$phrase->text}\" is no paint", "for a ground under the colour write \"on {$ground->text}\"; a paint of that name is added to the shelf first");
        }
        if (preg_match(self::PAIR, $phrase->text, $m) === 1 && $this->isColour($m[1], $phrase) && $this->isColour($m[2], $phrase)) {
            return new NotRead('an area has one colour', "for two areas write two lines with the edge between them: \"{$name}, M, {$m[1]}, hard 120 mm to {$name} in {$m[2]}\"; for one over the other write \"{$m[1]}, on {$m[2]}\"");
        }

        return null;
    }

    private function isColour(string $text, Phrase $at): bool
    {
        try {
            return ! $this->colours->isNone(new Phrase(trim($text), $at->start, $at->length));
        } catch (NotRead) {
            // The name of several paints is one of a paint.
            return true;
        }
    }
}
