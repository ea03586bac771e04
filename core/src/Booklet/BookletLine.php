<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Lines\ColourFinder;
use AmberStep\Core\Lines\LineProblem;
use AmberStep\Core\Lines\LineSplitter;
use AmberStep\Core\Lines\Phrase;
use AmberStep\Core\Lines\ReadLine;
use AmberStep\Core\Lines\ReadPhrase;
use AmberStep\Core\Lines\Ref;
use AmberStep\Core\Material\Shelf;

/** Takes one line of the booklet into a draft: a call-out, a gluing, what a code means, or a choice. */
final readonly class BookletLine
{
    private ColourFinder $colours;

    private CalloutWords $callouts;

    private GluingWords $gluing;

    public function __construct(private BookletDraft $draft, Shelf $shelf)
    {
        $this->colours = new ColourFinder($shelf, $draft->kit);
        $this->callouts = new CalloutWords($draft, $this->colours);
        $this->gluing = new GluingWords($draft);
    }

    public function take(ReadLine $line): void
    {
        $text = rtrim($line->text);
        $whole = new Phrase(ltrim($text), mb_strlen($text) - mb_strlen(ltrim($text)), mb_strlen(ltrim($text)));
        if ($whole->text === '') {
            return;
        }
        if (str_starts_with($whole->text, '#')) {
            $line->about = 'note';

            return;
        }
        try {
            $rest = $this->step($line, $whole);
            if ($rest->text === '') {
                throw new NotRead('nothing follows the step', "write what it paints, such as {$whole->text} B4 B5 sea grey M");
            }
            $choice = $rest->behind('choose');
            match (true) {
                $choice !== null => $this->choose($line, $choice),
                LineSplitter::cut($rest, '+') !== null => $this->gluing->take($line, $rest),
                LineSplitter::cut($rest, '=') !== null && $rest->start === $whole->start && ! str_contains(mb_strtolower($rest->text), 'option ') => $this->code($line, $rest),
                default => $this->callouts->take($line, $rest),
            };
        } catch (NotRead $not) {
            $line->problems[] = new LineProblem($whole->start, $whole->length, $not->wrong, $not->right);
        }
    }

    /** "12: ...": the step, which then holds for the lines below. */
    private function step(ReadLine $line, Phrase $whole): Phrase
    {
        if (preg_match('/\A(\d{1,6})\s*:/', $whole->text, $m) !== 1) {
            return $whole;
        }
        $step = (int) $m[1];
        if ($step < 1 || $step > 999) {
            throw new NotRead("{$m[1]} is not a step of the booklet", 'write a whole number from 1 to 999, such as 12:');
        }
        $this->draft->step = $step;
        $line->phrases[] = new ReadPhrase($whole->start, strlen($m[1]), "step {$step}");

        return $whole->after(strlen($m[0]));
    }

    /** "H8 = Linnet Sea Grey": what a code of the booklet means. */
    private function code(ReadLine $line, Phrase $phrase): void
    {
        [$code, $paint] = LineSplitter::cut($phrase, '=') ?? [$phrase, $phrase];
        $name = Ref::read($code, 'a code')->name;
        if (mb_strlen($name) > 12 || preg_match('/[\s,:+]/u', $name) === 1) {
            throw new NotRead("\"{$code->text}\" is not a code", 'write it as the booklet prints it, up to 12 characters without spaces, such as H8 = sea grey');
        }
        if ($paint->text === '') {
            throw new NotRead('no paint follows the code', "write {$code->text} = sea grey");
        }
        $id = $this->colours->find($paint);
        if ($id === null) {
            throw new NotRead("no colour and no paint is called \"{$paint->text}\"", $this->callouts->near($paint->text, 'use a colour of the build or a paint on the shelf'));
        }
        foreach ($this->draft->kit->all('colours') as $other) {
            if ($other['id'] !== $id && is_string($other['code'] ?? null) && strcasecmp($other['code'], $name) === 0) {
                $this->draft->kit->set('colours', is_string($other['id']) ? $other['id'] : '', 'code', null);
            }
        }
        $this->draft->kit->set('colours', $id, 'code', $name);
        $line->about = 'code';
        $line->swatch = $this->colours->swatch($id);
        $line->title = "{$name} is {$this->callouts->nameOf($id)}";
        $line->phrases[] = new ReadPhrase($phrase->start, $phrase->length, $line->title);
    }

    /** "choose canopy = open". */
    private function choose(ReadLine $line, Phrase $phrase): void
    {
        $cut = LineSplitter::cut($phrase, '=');
        if ($cut === null || $cut[1]->text === '') {
            throw new NotRead('a choice says what is built', 'write choose canopy = open');
        }
        [$name, $choice] = [Ref::read($cut[0], 'an option')->name, Ref::read($cut[1], 'a choice')->name];
        if (mb_strlen($name) > 40 || mb_strlen($choice) > 40 || str_contains($name.$choice, '=')) {
            throw new NotRead('an option and its choice have up to 40 characters each', 'make them shorter');
        }
        $this->draft->choose($name, $choice);
        $line->about = 'option';
        $line->title = "{$name}: {$choice} is built";
        $line->phrases[] = new ReadPhrase($phrase->start, $phrase->length, $line->title);
    }
}
