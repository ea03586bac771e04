<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Document\Nearest;
use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Kit\Size;
use AmberStep\Core\Lines\ColourFinder;
use AmberStep\Core\Lines\LineProblem;
use AmberStep\Core\Lines\Phrase;
use AmberStep\Core\Lines\ReadLine;
use AmberStep\Core\Lines\ReadPhrase;

/** Reads a call-out: "B4 B5 sea grey M left x2". Part numbers first, the rest in any order. */
final readonly class CalloutWords
{
    public function __construct(private BookletDraft $draft, private ColourFinder $colours)
    {
    }

    /** @throws NotRead where the line as a whole makes no sense */
    public function take(ReadLine $line, Phrase $phrase): void
    {
        $tokens = Token::all($phrase);
        $numbers = $this->numbers($line, $tokens);
        if ($numbers === []) {
            throw new NotRead("\"{$phrase->text}\" names no part", 'begin with part numbers, such as 12: B4 B5 sea grey M x2');
        }
        if ($this->draft->step === null) {
            throw new NotRead('no step was named yet', 'begin with the step of the booklet, such as 12: '.$phrase->text);
        }
        $fields = ['step' => $this->draft->step, 'size' => Size::M->value, 'faces' => [], 'count' => 1, 'name' => null, 'clear' => false, 'onceTogether' => false, 'letsLight' => false, 'option' => null];
        $colour = $this->words($line, $tokens, $fields);
        if ($line->problems !== []) {
            return;
        }
        if ($colour === null && ! $fields['clear'] && ! $fields['bare']) {
            throw new NotRead('the line names no colour', 'add its code or its paint, or bare, or clear');
        }
        $bare = $fields['bare'];
        unset($fields['bare']);
        foreach ($numbers as $number) {
            $line->isNew = $this->draft->callout([...$fields, 'number' => $number, 'colour' => $colour], $line->number) === 'new' || $line->isNew;
        }
        if ($fields['option'] !== null) {
            $this->draft->choose(explode('=', $fields['option'])[0], null);
        }
        $line->about = 'call-out';
        $line->swatch = $colour === null ? null : $this->colours->swatch($colour);
        $line->title = $this->title($numbers, $fields, $colour, $bare);
    }

    public function nameOf(string $colourId): string
    {
        $name = $this->draft->kit->get('colours', $colourId, 'name');

        return is_string($name) ? $name : '';
    }

    /** @param  string  $else  what to say where nothing is near */
    public function near(string $word, string $else = 'say what the code means first, such as H8 = sea grey'): string
    {
        $nearest = Nearest::to($word, [...$this->codes(), ...$this->colours->names()]);

        return $nearest === null ? $else : "did you mean {$nearest}";
    }

    /**
     * Takes the part numbers off the front: a token that is a code of the booklet ends them.
     *
     * @param  list<Phrase>  $tokens
     * @return list<string>
     */
    private function numbers(ReadLine $line, array &$tokens): array
    {
        $numbers = [];
        while ($tokens !== []) {
            $found = Token::numbers($tokens[0]->text);
            if ($found === [] || ($numbers !== [] && $this->code($tokens[0]->text) !== null)) {
                break;
            }
            $line->phrases[] = new ReadPhrase($tokens[0]->start, $tokens[0]->length, count($found) === 1 ? "part {$found[0]}" : count($found).' parts');
            array_push($numbers, ...$found);
            array_shift($tokens);
        }

        return array_values(array_unique($numbers));
    }

    /**
     * @param  list<Phrase>  $tokens
     * @param  array<string, mixed>  $fields
     *
     * @param-out array{step: int, size: string, faces: list<string>, count: int, name: string|null, clear: bool, onceTogether: bool, letsLight: bool, option: string|null, bare: bool} $fields
     *
     * @return string|null id of the colour
     */
    private function words(ReadLine $line, array $tokens, array &$fields): ?string
    {
        $read = new CalloutFields;
        $rest = [];
        $coded = null;
        for ($i = 0; $i < count($tokens); $i++) {
            // A code is a code before it is a size: booklets call colours M and L.
            if ($coded === null && $this->code($tokens[$i]->text) !== null && ! $this->hasColour(array_slice($tokens, 0, $i))) {
                $coded = $tokens[$i];

                continue;
            }
            try {
                $used = $read->take($tokens, $i);
            } catch (NotRead $not) {
                $line->problems[] = new LineProblem($tokens[$i]->start, $tokens[$i]->length, $not->wrong, $not->right);

                continue;
            }
            if ($used === null) {
                $rest[] = $tokens[$i];

                continue;
            }
            $line->phrases[] = new ReadPhrase($tokens[$i]->start, Token::join([$tokens[$i], ...array_slice($tokens, $i + 1, $used[0] - 1)])->length, $used[1]);
            $i += $used[0] - 1;
        }
        $fields = ['step' => (int) $this->draft->step, ...$read->fields()];

        if ($coded !== null && CalloutFields::isTaken($coded->text) && ($rest !== [] || $read->wantsNoColour())) {
            $meaning = $read->take([$coded], 0);
            $line->phrases[] = new ReadPhrase($coded->start, $coded->length, $meaning[1] ?? '');
            $fields = ['step' => (int) $this->draft->step, ...$read->fields()];
        } elseif ($coded !== null) {
            array_unshift($rest, $coded);
        }

        return $rest === [] ? null : $this->colour($line, Token::join($rest));
    }

    /**
     * Whether these tokens name a colour already: then what follows is no code.
     *
     * @param  list<Phrase>  $tokens
     */
    private function hasColour(array $tokens): bool
    {
        $words = array_values(array_filter($tokens, static fn (Phrase $t): bool => ! CalloutFields::isTaken($t->text)));
        try {
            return $words !== [] && $this->colours->find(Token::join($words)) !== null;
        } catch (NotRead) {
            return true;
        }
    }

    private function colour(ReadLine $line, Phrase $phrase): ?string
    {
        try {
            $id = $this->code($phrase->text) ?? $this->colours->find($phrase);
            if ($id === null) {
                throw new NotRead("\"{$phrase->text}\" is no code, no colour and no paint", $this->near($phrase->text));
            }
            $line->phrases[] = new ReadPhrase($phrase->start, $phrase->length, $this->nameOf($id));

            return $id;
        } catch (NotRead $not) {
            $line->problems[] = new LineProblem($phrase->start, $phrase->length, $not->wrong, $not->right);

            return null;
        }
    }

    private function code(string $text): ?string
    {
        foreach ($this->draft->kit->all('colours') as $colour) {
            if (is_string($colour['code'] ?? null) && strcasecmp($colour['code'], $text) === 0 && is_string($colour['id'])) {
                return $colour['id'];
            }
        }

        return null;
    }

    /** @return list<string> */
    private function codes(): array
    {
        return array_values(array_filter(array_map(static fn (array $c): string => is_string($c['code'] ?? null) ? $c['code'] : '', $this->draft->kit->all('colours')), static fn (string $c): bool => $c !== ''));
    }

    /**
     * @param  list<string>  $numbers
     * @param  array{step: int, size: string, faces: list<string>, count: int, clear: bool, ...}  $fields
     */
    private function title(array $numbers, array $fields, ?string $colour, bool $bare): string
    {
        $what = match (true) {
            $colour !== null => $this->nameOf($colour),
            $bare => 'bare',
            default => 'clear',
        };
        $faces = $fields['faces'] === [] ? '' : ', '.implode(' ', $fields['faces']);
        $many = $fields['count'] > 1 ? (count($numbers) > 1 ? ", {$fields['count']} of each: ".$fields['count'] * count($numbers).' parts' : ", {$fields['count']} of it") : '';

        return "step {$fields['step']}, ".(count($numbers) > 4 ? count($numbers).' parts' : implode(' ', $numbers)).": {$what}, {$fields['size']}{$faces}{$many}";
    }
}
