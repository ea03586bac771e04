<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\TypedNumber;

/** Reads the phrases that say what a joint is. */
final readonly class JointWords
{
    public function __construct(private Draft $draft, private AreaFinder $areas)
    {
    }

    /**
     * @return string|null what it means; null where the phrase is not about a joint
     *
     * @throws NotRead where it is, and is wrong
     */
    public function read(Phrase $phrase, string $jointId): ?string
    {
        $word = Vocabulary::joint()[$phrase->word()] ?? null;
        if ($word !== null) {
            $this->draft->set('joints', $jointId, $word[0], $word[1]);

            return $word[2];
        }

        return $this->gap($phrase, $jointId) ?? $this->long($phrase, $jointId) ?? $this->filler($phrase, $jointId) ?? $this->blocks($phrase, $jointId) ?? $this->bestSide($phrase, $jointId) ?? $this->step($phrase, $jointId);
    }

    private function step(Phrase $phrase, string $jointId): ?string
    {
        $text = $phrase->behind('step');
        if ($text === null) {
            return null;
        }
        if (preg_match('/\A[1-9]\d{0,2}\z/', $text->text) !== 1) {
            throw new NotRead("\"{$text->text}\" is not a step of the booklet", 'write a whole number from 1 to 999, such as step 12');
        }
        $this->draft->set('joints', $jointId, 'step', (int) $text->text);

        return "glued at step {$text->text}";
    }

    private function bestSide(Phrase $phrase, string $jointId): ?string
    {
        $text = $phrase->behind('best side');
        if ($text === null) {
            return null;
        }
        $side = Ref::read($text, 'a side')->name;
        if (mb_strlen($side) > 80) {
            throw new NotRead('the best side is longer than 80 characters', 'make it shorter, such as best side port');
        }
        $this->draft->set('joints', $jointId, 'bestSide', $side);

        return "{$side} is made perfect";
    }

    private function gap(Phrase $phrase, string $jointId): ?string
    {
        $text = $phrase->behind('gap');
        if ($text === null) {
            return null;
        }
        $read = TypedNumber::length($text->text);
        if ($read === null || $read[1] !== '') {
            throw new NotRead("\"{$text->text}\" is not the width of a gap", 'write it as gap 0.3 mm');
        }
        if ($read[0] > 20) {
            throw new NotRead('a gap of '.TypedNumber::text($read[0]).' mm is a missing part', 'give up to 20 mm; 0.012 in is 0.3 mm');
        }
        $this->draft->set('joints', $jointId, 'gapMm', $read[0]);

        return 'gap '.TypedNumber::text($read[0]).' mm';
    }

    private function long(Phrase $phrase, string $jointId): ?string
    {
        $read = TypedNumber::lengthCm($phrase->text);
        if ($read === null) {
            return null;
        }
        if ($read[1] !== '' && $read[1] !== 'long') {
            throw new NotRead("\"{$phrase->text}\" is not the length of a joint", 'write it as 18 cm long');
        }
        $cm = $read[0];
        if ($cm > 1000) {
            throw new NotRead(TypedNumber::text($cm).' cm is longer than any model', 'give up to 1000 cm');
        }
        $this->draft->set('joints', $jointId, 'lengthCm', $cm);

        return TypedNumber::text($cm).' cm long';
    }

    private function filler(Phrase $phrase, string $jointId): ?string
    {
        $text = $phrase->behind('fill');
        if ($text === null) {
            return null;
        }
        $fillers = Vocabulary::fillers();
        $filler = $fillers[$text->word()] ?? throw new NotRead("\"{$text->text}\" is not a filler", 'use one of '.implode(', ', array_values(array_filter(array_keys($fillers), static fn (string $f): bool => ! str_contains($f, '-')))));
        $this->draft->set('joints', $jointId, 'filler', $filler);

        return "filled with {$text->text}";
    }

    private function blocks(Phrase $phrase, string $jointId): ?string
    {
        $text = $phrase->behind('blocks');
        if ($text === null) {
            return null;
        }
        $area = $this->areas->find($text, null);
        $known = $this->draft->get('joints', $jointId, 'blocks');
        $known = is_array($known) ? $known : [];
        if (! in_array($area, $known, true)) {
            $this->draft->set('joints', $jointId, 'blocks', [...$known, $area]);
        }

        return "hides {$text->text} once closed";
    }
}
