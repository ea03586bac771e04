<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\Nearest;
use AmberStep\Core\Document\NotRead;

/** Reads the phrases that say what a part is. */
final readonly class PartWords
{
    /** What plastic is usually moulded in, by the word people use. */
    private const MOULDED = [
        'white' => '#F2F1EC', 'grey' => '#9B9B98', 'light grey' => '#C9C9C6', 'dark grey' => '#5E5F60', 'black' => '#232325', 'red' => '#B01A20', 'blue' => '#2B4C8C',
        'green' => '#4E6B4A', 'yellow' => '#E8BE28', 'sand' => '#C8B084', 'tan' => '#C8B084', 'brown' => '#6A4A34', 'silver' => '#B4B6B8', 'orange' => '#D8641E',
    ];

    public function __construct(private Draft $draft)
    {
    }

    /**
     * @return string|null what it means; null where the phrase is not about a part
     *
     * @throws NotRead where it is, and is wrong
     */
    public function read(Phrase $phrase, string $partId): ?string
    {
        $word = Vocabulary::part()[$phrase->word()] ?? null;
        if ($word !== null) {
            $this->draft->set('parts', $partId, $word[0], $word[1]);

            return $word[2];
        }
        foreach (['no' => ['number', 'number', 40], 'slot' => ['slot', 'slot', 40], 'hand' => ['hand', 'hand', 10]] as $lead => [$field, $says, $most]) {
            $text = $phrase->behind($lead);
            if ($text !== null) {
                $value = Ref::read($text, "a {$says}")->name;
                if (mb_strlen($value) > $most) {
                    throw new NotRead("the {$says} is longer than {$most} characters", 'make it shorter');
                }
                $this->draft->set('parts', $partId, $field, $value);

                return "{$says} {$value}";
            }
        }

        return $this->inside($phrase, $partId) ?? $this->step($phrase, $partId) ?? $this->moulded($phrase, $partId) ?? $this->count($phrase, $partId) ?? $this->option($phrase, $partId);
    }

    /** Whether a phrase says in which part this one lies. */
    public function isInside(Phrase $phrase): bool
    {
        $text = $phrase->behind('inside');

        return $text !== null && $this->draft->find('parts', Ref::read($text, 'a part')) !== null;
    }

    private function inside(Phrase $phrase, string $partId): ?string
    {
        $text = $phrase->behind('inside');
        if ($text === null) {
            return null;
        }
        $name = Ref::read($text, 'a part');
        $around = $this->draft->find('parts', $name);
        if ($around === null) {
            $near = Nearest::to($name->name, $this->draft->names('parts'));
            throw new NotRead("no part is called \"{$text->text}\"", $near === null ? 'name the part that closes round it, such as inside hull' : "did you mean {$near}");
        }
        if ($around === $partId) {
            throw new NotRead('a part does not lie inside itself', 'name the part that closes round it');
        }
        $this->draft->set('parts', $partId, 'inside', $around);

        return "inside {$name->name}: in before that is closed";
    }

    private function count(Phrase $phrase, string $partId): ?string
    {
        if (preg_match('/\A[x×]\s?(\d{1,5})\z/iu', $phrase->text, $m) !== 1) {
            return null;
        }
        if ((int) $m[1] < 1 || (int) $m[1] > 500) {
            throw new NotRead("{$m[1]} is not how many there are", 'write a number from 1 to 500, such as x14');
        }
        $this->draft->set('parts', $partId, 'count', (int) $m[1]);

        return (int) $m[1] === 1 ? 'one of it' : "{$m[1]} alike";
    }

    private function option(Phrase $phrase, string $partId): ?string
    {
        $text = $phrase->behind('option');
        if ($text === null) {
            return null;
        }
        $value = Ref::read($text, 'an option')->name;
        if (preg_match('/\A[^=]{1,40}=[^=]{1,40}\z/', $value) !== 1) {
            throw new NotRead("\"{$text->text}\" is not a choice", 'write the option and the choice, such as option canopy=open');
        }
        $this->draft->set('parts', $partId, 'option', $value);

        return 'only with '.str_replace('=', ' ', $value);
    }

    private function step(Phrase $phrase, string $partId): ?string
    {
        $text = $phrase->behind('step');
        if ($text === null) {
            return null;
        }
        if (preg_match('/\A[1-9]\d{0,2}\z/', $text->text) !== 1) {
            throw new NotRead("\"{$text->text}\" is not a step of the booklet", 'write a whole number from 1 to 999, such as step 12');
        }
        $this->draft->set('parts', $partId, 'bookletStep', (int) $text->text);

        return "booklet step {$text->text}";
    }

    private function moulded(Phrase $phrase, string $partId): ?string
    {
        $text = $phrase->behind('moulded');
        if ($text === null) {
            return null;
        }
        $swatch = self::MOULDED[$text->word()] ?? (preg_match('/\A#[0-9A-Fa-f]{6}\z/', $text->text) === 1 ? strtoupper($text->text) : null);
        if ($swatch === null) {
            throw new NotRead("\"{$text->text}\" is not a moulded colour", 'write one of '.implode(', ', array_keys(self::MOULDED)).', or #C9C9C6');
        }
        $this->draft->set('parts', $partId, 'mouldedColour', $swatch);

        return 'moulded in '.$text->text;
    }
}
