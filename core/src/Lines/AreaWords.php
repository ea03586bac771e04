<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\Nearest;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\TypedNumber;
use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\Practice;

/** Reads the phrases that say what an area is and shall look like. */
final readonly class AreaWords
{
    public function __construct(private Draft $draft, private ColourFinder $colours, private AreaFinder $areas)
    {
    }

    /**
     * @return string|null what it means; null where the phrase is not about an area
     *
     * @throws NotRead where it is, and is wrong
     */
    public function read(Phrase $phrase, string $areaId, string $partId): ?string
    {
        $word = Vocabulary::area()[$phrase->word()] ?? null;
        if ($word !== null) {
            $this->draft->set('areas', $areaId, $word[0], $word[1]);
            if ($word[0] === 'size') {
                $this->draft->set('areas', $areaId, 'cm2', null);
            }

            return $word[2];
        }

        return $this->size($phrase, $areaId) ?? $this->edge($phrase, $areaId, $partId) ?? $this->led($phrase, $areaId, $partId);
    }

    /** A colour of its own, for the phrase nothing else knew. */
    public function colour(Phrase $phrase, string $areaId): ?string
    {
        $colour = $this->colours->find($phrase);
        if ($colour === null) {
            return null;
        }
        $this->draft->set('areas', $areaId, 'intent.colour', $colour);

        return 'colour '.$this->nameOf($colour);
    }

    private function size(Phrase $phrase, string $areaId): ?string
    {
        $read = preg_match('/\A[\d.,]+/', $phrase->text) === 1 ? TypedNumber::area($phrase->text) : null;
        if ($read === null) {
            return null;
        }
        [$cm2, $rest] = $read;
        if ($rest !== '') {
            throw new NotRead("\"{$rest}\" behind the size is not a unit of area", 'write 84 or 84 cm² (or mm², in²), and put a comma behind it');
        }
        if ($cm2 < 0.01 || $cm2 > 100000) {
            throw new NotRead(TypedNumber::text($cm2).' cm² is no size of a model', 'give 0.01 to 100000 cm², or a letter from XS to XL');
        }
        $this->draft->set('areas', $areaId, 'cm2', $cm2);

        return TypedNumber::text($cm2).' cm²';
    }

    private function led(Phrase $phrase, string $areaId, string $partId): ?string
    {
        foreach (['insideColour' => [['inside'], 'inside colour'], 'ground' => [['on'], 'on a ground of'], 'preshade' => [['preshade', 'pre-shade'], 'pre-shaded with']] as $field => [$leads, $says]) {
            $name = $phrase->behind(...$leads);
            if ($name !== null) {
                if ($field === 'insideColour' && $this->colours->isNone($name) && $this->draft->find('parts', Ref::read($name, 'a part')) !== null) {
                    // "inside hull": where the part lies, not what colour is seen through its pane.
                    return null;
                }
                $colour = $this->colours->find($name) ?? throw new NotRead("no colour or paint is called \"{$name->text}\"", $this->near($name->text));
                $this->draft->set('areas', $areaId, 'intent.'.$field, $colour);

                return "{$says} {$this->nameOf($colour)}";
            }
        }
        $pane = $phrase->behind('seen through');
        if ($pane !== null) {
            $this->draft->set('areas', $areaId, 'seenThrough', $this->areas->find($pane, $partId));

            return "seen through {$pane->text}";
        }

        return null;
    }

    /** "soft 240 mm 2 mm wide bent subject sprayed to upper B"; "also" in front for another edge of the same two. */
    private function edge(Phrase $phrase, string $areaId, string $partId): ?string
    {
        $also = $phrase->behind('also');
        $phrase = $also ?? $phrase;
        $kind = EdgeKind::tryFrom(explode(' ', $phrase->word())[0]);
        // "soft vinyl" is what a part is made of.
        if ($kind === null || isset(Vocabulary::part()[$phrase->word()])) {
            return null;
        }
        $about = $phrase->behind($kind->value) ?? throw new NotRead("a {$kind->value} edge to what, and how long", "write {$kind->value} 240 mm to upper B");
        $read = TypedNumber::length($about->text) ?? throw new NotRead("the {$kind->value} edge has no length", "write {$kind->value} 240 mm to {$about->text}");
        [$mm, $rest] = $read;
        if ($mm < 0.1 || $mm > 100000) {
            throw new NotRead(TypedNumber::text($mm).' mm is no length of an edge', 'give 0.1 to 100000 mm');
        }
        $fields = ['kind' => $kind->value, 'mm' => $mm];
        if (preg_match('/\A([\d.,]+)\s*(mm|in|thou)?\s+wide\b\s*(.*)\z/us', $rest, $m) === 1) {
            $wide = TypedNumber::length($m[1].' '.$m[2]);
            $fields['softMm'] = $wide[0] ?? 2.0;
            if ($fields['softMm'] > 50) {
                throw new NotRead('a soft edge of '.TypedNumber::text($fields['softMm']).' mm is wider than any', 'give up to 50 mm, usually 1 to 3');
            }
            $rest = $m[3];
        }
        if (preg_match('/\A(flat|bent|compound|fiddly)\s+(.*)\z/us', $rest, $m) === 1) {
            [$fields['curve'], $rest] = [$m[1], $m[2]];
        }
        if (preg_match('/\Asubject (sprayed|taped)\s+(.*)\z/us', $rest, $m) === 1) {
            [$fields['subject'], $rest] = [Practice::from($m[1])->value, $m[2]];
        }
        $rest = (string) preg_replace('/\Ato\s+/u', '', $rest);
        if ($rest === '' || $rest === 'to') {
            throw new NotRead("the {$kind->value} edge leads nowhere", 'name the area on its other side, such as to upper B');
        }
        $other = $this->areas->find(new Phrase($rest, $phrase->start, $phrase->length), $partId);
        if ($other === $areaId) {
            throw new NotRead('an area has no edge to itself', 'name the area on the other side');
        }
        $edge = $this->draft->edge($areaId, $other, $also !== null);
        foreach ($fields as $field => $value) {
            $this->draft->set('edges', $edge, $field, $value);
        }

        return "{$kind->value} edge, ".TypedNumber::text($mm)." mm, to {$rest}";
    }

    public function near(string $word): string
    {
        $nearest = Nearest::to($word, $this->colours->names());

        return $nearest === null ? 'use a colour of the build or a paint on the shelf, or add the paint first' : "did you mean {$nearest}, or add the paint first";
    }

    private function nameOf(string $colourId): string
    {
        $name = $this->draft->get('colours', $colourId, 'name');

        return is_string($name) ? $name : '';
    }
}
