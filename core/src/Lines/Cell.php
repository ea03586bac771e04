<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\BadDocument;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Holder;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\KitDiff;
use AmberStep\Core\Material\Shelf;
use Closure;

/** One cell of a table, typed over: read with the words of the lines. */
final class Cell
{
    private const LEADS = [
        'areas' => ['insideColour' => 'inside', 'ground' => 'on', 'preshade' => 'preshade', 'seenThrough' => 'seen through'],
        'parts' => ['number' => 'no', 'bookletStep' => 'step', 'mouldedColour' => 'moulded', 'slot' => 'slot', 'hand' => 'hand', 'grip' => 'grip', 'option' => 'option', 'inside' => 'inside'],
        'joints' => ['gapMm' => 'gap', 'filler' => 'fill', 'step' => 'step', 'bestSide' => 'best side'],
    ];

    private const FLAGS = ['decals', 'polish', 'fragile', 'stressed', 'letsLight', 'carriesLoad', 'mustMatch', 'hollow', 'pins', 'removable'];

    private const INTENT = ['colour', 'insideColour', 'ground', 'preshade', 'decals', 'wash', 'sheen', 'polish'];

    /** What an emptied cell means where it is not simply nothing. */
    private const EMPTY = ['curve' => 'flat', 'face' => 'outside', 'gapMm' => 0.0, 'lengthCm' => 0.0, 'softMm' => 2.0, 'count' => 1, 'origin' => 'kit'];

    /**
     * @param  Closure(): string  $newId
     * @return list<Edit>
     *
     * @throws BadDocument saying what would be right
     */
    public static function edits(Kit $kit, Shelf $shelf, string $list, string $id, string $field, string $text, Closure $newId): array
    {
        $draft = new Draft($kit, $newId);
        try {
            if ($list === 'flaws') {
                return FlawCell::edits($kit, $id, $field, trim($text));
            }
            self::take($draft, $shelf, $list, $id, $field, trim($text));
        } catch (NotRead $not) {
            throw BadDocument::at($field, $not->wrong, $not->right);
        }

        return KitDiff::edits($kit, $draft->kit());
    }

    /** @throws NotRead|BadDocument */
    public static function take(Draft $draft, Shelf $shelf, string $list, string $id, string $field, string $text): void
    {
        if ($list === 'pieces' && $draft->get('parts', $id, 'id') !== null) {
            $draft->piece($id);
        }
        if (! in_array($list, Draft::LISTS, true) || $draft->get($list, $id, 'id') === null) {
            throw BadDocument::at($list, 'holds no such thing', 'load the build again');
        }
        match (true) {
            $field === 'name' => $draft->set($list, $id, 'name', Ref::read(new Phrase(Ref::quoted($text), 0, 0), 'a thing')->name),
            $field === 'holder' => $draft->set($list, $id, 'holder', self::holder($text)),
            $field === 'code' => $draft->set($list, $id, 'code', $text === '' ? null : (mb_strlen($text) <= 12 ? $text : throw new NotRead('a code has up to 12 characters', 'write it as the booklet prints it, such as H8'))),
            $field === 'heldBy' => $draft->set($list, $id, 'heldBy', $text === '' ? null : $text),
            in_array($field, self::FLAGS, true) => $draft->set($list, $id, self::path($list, $field), self::flag($text)),
            $text === '' && $field !== 'size' && $field !== 'product' && $field !== 'mm' => $draft->set($list, $id, self::path($list, $field), self::EMPTY[$field] ?? null),
            default => self::words($draft, $shelf, $list, $id, $field, new Phrase($text, 0, mb_strlen($text))),
        };
    }

    private static function words(Draft $draft, Shelf $shelf, string $list, string $id, string $field, Phrase $phrase): void
    {
        $areas = new AreaFinder($draft);
        $colours = new ColourFinder($shelf, $draft);
        $areaWords = new AreaWords($draft, $colours, $areas);
        $lead = self::LEADS[$list][$field] ?? null;
        $led = match (true) {
            $lead !== null => new Phrase("{$lead} {$phrase->text}", 0, $phrase->length),
            $field === 'count' => new Phrase('x'.ltrim($phrase->text, 'x×'), 0, $phrase->length),
            $field === 'origin' => new Phrase("{$phrase->text} part", 0, $phrase->length),
            default => $phrase,
        };
        $part = $draft->get($list, $id, 'part');
        $read = match ($list) {
            'areas' => $field === 'colour' ? $areaWords->colour($phrase, $id) : $areaWords->read($led, $id, is_string($part) ? $part : ''),
            'parts' => (new PartWords($draft))->read($led, $id),
            'joints' => (new JointWords($draft, $areas))->read($led, $id),
            'edges' => EdgeCell::read($draft, $id, $field, $phrase),
            default => self::paint($draft, $colours, $id, $field, $phrase),
        };
        if ($read === null || ! $draft->isSaid($list, $id, self::path($list, $field)) && ! ($field === 'size' && $draft->isSaid($list, $id, 'cm2'))) {
            throw new NotRead("\"{$phrase->text}\" does not fit here", self::right($list, $field, $areaWords, $phrase));
        }
    }

    private static function paint(Draft $draft, ColourFinder $colours, string $id, string $field, Phrase $phrase): ?string
    {
        $product = $field === 'product' ? $colours->product($phrase) : null;
        if ($product === null) {
            return null;
        }
        $draft->set('colours', $id, 'product', $product->id);

        return $product->name;
    }

    private static function path(string $list, string $field): string
    {
        return $list === 'areas' && in_array($field, self::INTENT, true) ? "intent.{$field}" : $field;
    }

    private static function holder(string $text): ?string
    {
        $holder = Holder::tryFrom(mb_strtolower($text));
        if ($text !== '' && $holder === null) {
            throw new NotRead("\"{$text}\" is no holder", 'use one of '.implode(', ', array_map(static fn (Holder $h): string => $h->value, Holder::cases())));
        }

        return $holder?->value;
    }

    private static function flag(string $text): bool
    {
        return match (mb_strtolower($text)) {
            '', 'no', 'n', '0', '-', 'false' => false,
            'yes', 'y', '1', 'x', 'true' => true,
            default => throw new NotRead("\"{$text}\" is neither yes nor no", 'write yes or no'),
        };
    }

    private static function right(string $list, string $field, AreaWords $words, Phrase $phrase): string
    {
        if ($list === 'colours' || in_array($field, ['colour', 'insideColour', 'ground', 'preshade'], true)) {
            return $words->near($phrase->text);
        }
        $vocabulary = match ($list) {
            'areas' => Vocabulary::area(),
            'parts' => Vocabulary::part(),
            'joints' => Vocabulary::joint(),
            default => [],
        };
        $path = self::path($list, $field);
        $fits = array_keys(array_filter($vocabulary, static fn (array $w): bool => $w[0] === $path && $w[1] !== null && $w[1] !== false));

        return $fits === [] ? 'leave it empty, or look how another row says it' : 'use one of '.implode(', ', $fits);
    }
}
