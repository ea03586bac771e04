<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Shelf;

/**
 * How a model shall look, in words: "sea grey and slate green over pale grey, yellow bands, decals, wash". Phrases with commas
 * between; in each, colours joined by "and", what they go over after "over", and a place at its end where it has one.
 */
final class Looks
{
    /** Places as they are said, and what they are called here. */
    private const PLACES = [
        'band' => 'band', 'bands' => 'band', 'stripe' => 'band', 'stripes' => 'band', 'top' => 'main', 'upper' => 'main', 'above' => 'main', 'hull' => 'main', 'body' => 'main', 'skin' => 'skin', 'face' => 'skin',
        'lower' => 'lower', 'below' => 'lower', 'belly' => 'lower', 'underside' => 'lower', 'boot' => 'lower', 'keel' => 'lower', 'deck' => 'deck', 'decks' => 'deck', 'house' => 'house', 'superstructure' => 'house', 'funnel' => 'funnel',
        'roof' => 'roof', 'inside' => 'inside', 'interior' => 'inside', 'cockpit' => 'inside', 'cabin' => 'inside', 'seat' => 'seat', 'seats' => 'seat', 'panel' => 'panel', 'tyres' => 'tyres', 'tracks' => 'tracks', 'wheels' => 'wheels',
        'coat' => 'coat', 'jacket' => 'coat', 'trousers' => 'trousers', 'boots' => 'boots', 'hair' => 'hair', 'trim' => 'trim', 'ground' => 'ground', 'tools' => 'tools', 'mosaic' => 'main', 'propeller' => 'propeller',
    ];

    private const SHEENS = ['matt', 'satin', 'semi-gloss', 'gloss'];

    /** @var array<string, array<string, string>> paint by name of its colour, by place */
    private array $on = [];

    /** @var array<string, array{swatch: string}> paints that are not on the shelf, by name */
    public array $missing = [];

    public bool $decals = true;

    public bool $wash = false;

    public bool $polish = false;

    public string $sheen = 'matt';

    public bool $isOver = false;

    public function __construct(string $words, private readonly Shelf $shelf, string $sheen = 'matt', bool $decals = true)
    {
        $this->sheen = $sheen;
        $this->decals = $decals;
        foreach (self::split('/[,;.\n]+/u', mb_strtolower(mb_scrub($words))) as $phrase) {
            $phrase = trim((string) preg_replace('/\s+/u', ' ', $phrase));
            if ($phrase !== '' && ! $this->isFinish($phrase)) {
                $this->phrase($phrase);
            }
        }
    }

    /**
     * @param  string  ...$usual  words of the paint that does where nobody said, best first
     * @return array<string, string> paint by the name of its colour
     */
    public function on(string $place, string ...$usual): array
    {
        if (isset($this->on[$place])) {
            return $this->on[$place];
        }
        foreach ($usual as $words) {
            $product = $this->find($words);
            if ($product !== null) {
                return $this->on[$place] = [$words => $product->name];
            }
        }

        return $this->on[$place] = [$usual[0] ?? $place => $this->paint($usual[0] ?? $place)];
    }

    public function has(string $place): bool
    {
        return isset($this->on[$place]);
    }

    private function isFinish(string $phrase): bool
    {
        $words = preg_replace('/\b(2k|two-part|hardened|clear|coat|finish|varnish|and|a|with)\b/u', '', $phrase) ?? '';
        $left = trim((string) preg_replace('/\s+/', ' ', $words));
        $is = true;
        match (true) {
            in_array($left, self::SHEENS, true) => $this->sheen = $left,
            $left === '' => $this->sheen = preg_match('/2k|two-part|clear/u', $phrase) === 1 ? 'gloss' : $this->sheen,
            $left === 'polish' || $left === 'polished' => $this->polish = true,
            $left === 'decals' => $this->decals = true,
            $left === 'no decals' => $this->decals = false,
            $left === 'wash' || $left === 'pin wash' || $left === 'weathered' => $this->wash = true,
            $left === 'no wash' => $this->wash = false,
            default => $is = false,
        };
        $this->sheen = $this->polish ? 'gloss' : $this->sheen;

        return $is;
    }

    private function phrase(string $phrase): void
    {
        $place = null;
        $words = explode(' ', (string) preg_replace('/\b(the|a|with|in|on|some|camouflage|of|tones?)\b/u', '', $phrase));
        $words = array_values(array_filter($words, static fn (string $w): bool => $w !== ''));
        $last = $words[count($words) - 1] ?? '';
        if (count($words) > 1 && isset(self::PLACES[$last]) && $this->find(implode(' ', $words)) === null) {
            $place = self::PLACES[$last];
            array_pop($words);
        }
        [$over, $under] = [...explode(' over ', implode(' ', $words), 2), null];
        $this->isOver = $this->isOver || $under !== null;
        $this->put($place ?? (isset($this->on['main']) ? 'trim' : 'main'), (string) $over);
        if ($under !== null) {
            $this->put('lower', $under);
        }
    }

    private function put(string $place, string $words): void
    {
        foreach (self::split('/\s+(?:and|&|\+|with)\s+|\s*\/\s*/u', trim($words)) as $name) {
            $name = trim($name);
            if ($name !== '') {
                $this->on[$place][$name] = $this->paint($name);
            }
        }
    }

    /** A paint of the shelf that the words mean, or one that is missing there under that name. */
    private function paint(string $words): string
    {
        $product = $this->find($words);
        if ($product !== null) {
            return $product->name;
        }
        $name = mb_convert_case($words, MB_CASE_TITLE);
        $this->missing[$name] = ['swatch' => ColourWords::swatch($words)];

        return '"'.str_replace('"', '', $name).'"';
    }

    private function find(string $words): ?Product
    {
        $wanted = explode(' ', mb_strtolower($words));
        $best = null;
        foreach ($this->shelf->products as $product) {
            $has = self::split('/[\s-]+/u', mb_strtolower($product->name));
            $fits = in_array($product->role, [Role::Colour, Role::Metallic, Role::TintedClear], true) && array_diff($wanted, $has) === [];
            // The one with least besides what was said; a mix that is still to be mixed comes last.
            if ($fits && ($best === null || self::excess($product, $has) < self::excess($best, self::split('/[\s-]+/u', mb_strtolower($best->name))))) {
                $best = $product;
            }
        }

        return $best;
    }

    /** @param  list<string>  $words */
    private static function excess(Product $product, array $words): int
    {
        return count($words) + ($product->mix !== null ? 10 : 0);
    }

    /** @return list<string> */
    private static function split(string $at, string $words): array
    {
        $parts = preg_split($at, $words);

        return $parts === false ? [] : $parts;
    }
}
