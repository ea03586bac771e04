<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Kit\PaintedFace;
use AmberStep\Core\Kit\Size;
use AmberStep\Core\Lines\Phrase;
use AmberStep\Core\Lines\Ref;

/** The words of a call-out that are not its colour. */
final class CalloutFields
{
    /** @var list<string> */
    private array $faces = [];

    private Size $size = Size::M;

    private int $count = 1;

    private ?string $name = null;

    private bool $clear = false;

    private bool $bare = false;

    private bool $onceTogether = false;

    private bool $letsLight = false;

    private ?string $option = null;

    /**
     * @param  list<Phrase>  $tokens
     * @return array{int, string}|null how many tokens it took, and what they mean; null where it is none of these
     *
     * @throws NotRead where it is, and is wrong
     */
    public function take(array $tokens, int $at): ?array
    {
        $token = $tokens[$at];
        $word = $token->word();
        $two = $word.' '.(isset($tokens[$at + 1]) ? $tokens[$at + 1]->word() : '');
        if ($word === 'called') {
            $this->name = Ref::read($tokens[$at + 1] ?? throw new NotRead('no name follows', 'write called "mirror base"'), 'a part')->name;

            return [2, "called {$this->name}"];
        }
        if (in_array($two, ['once together', 'when assembled'], true)) {
            $this->onceTogether = true;

            return [2, 'shows only once it is together'];
        }
        if ($two === 'lets light') {
            $this->letsLight = true;

            return [2, 'light gets through'];
        }
        if ($word === 'option') {
            return $this->option($tokens[$at + 1] ?? null);
        }

        return $this->word($word) ?? $this->size($word) ?? $this->count($token->text);
    }

    public function wantsNoColour(): bool
    {
        return $this->clear || $this->bare;
    }

    /** Whether a word would be read as one of these: a colour of that name stands in quotes. */
    public static function isTaken(string $word): bool
    {
        try {
            return (new self)->take([new Phrase($word, 0, mb_strlen($word))], 0) !== null || in_array(mb_strtolower($word), ['once', 'when', 'lets'], true);
        } catch (NotRead) {
            return true;
        }
    }

    /** @return array{size: string, faces: list<string>, count: int, name: string|null, clear: bool, onceTogether: bool, letsLight: bool, option: string|null, bare: bool} */
    public function fields(): array
    {
        return ['size' => $this->size->value, 'faces' => $this->faces, 'count' => $this->count, 'name' => $this->name, 'clear' => $this->clear, 'onceTogether' => $this->onceTogether, 'letsLight' => $this->letsLight, 'option' => $this->option, 'bare' => $this->bare];
    }

    /** @return array{int, string}|null */
    private function word(string $word): ?array
    {
        $face = PaintedFace::tryFrom($word);
        if ($face !== null) {
            $this->faces = array_values(array_unique([...$this->faces, $face->value]));

            return [1, $face === PaintedFace::Half ? 'half of it' : $face->value];
        }
        if ($word === 'clear') {
            $this->clear = true;

            return [1, 'stays clear'];
        }
        if ($word === 'bare') {
            $this->bare = true;

            return [1, 'no paint'];
        }

        return null;
    }

    /** @return array{int, string}|null */
    private function size(string $word): ?array
    {
        $size = Size::tryFrom(mb_strtoupper($word));
        if ($size === null) {
            return null;
        }
        $this->size = $size;

        return [1, "about {$size->cm2()} cm²"];
    }

    /** @return array{int, string}|null */
    private function count(string $text): ?array
    {
        if (preg_match('/\A[x×](\d{1,6})\z/iu', $text, $m) !== 1) {
            return null;
        }
        if ((int) $m[1] < 1 || (int) $m[1] > 500) {
            throw new NotRead("{$m[1]} is not how many there are", 'write a number from 1 to 500, such as x14');
        }
        $this->count = (int) $m[1];

        return [1, "{$this->count} of each"];
    }

    /** @return array{int, string} */
    private function option(?Phrase $mark): array
    {
        $text = $mark === null ? '' : Ref::read($mark, 'an option')->name;
        if (preg_match('/\A[^=]{1,40}=[^=]{1,40}\z/u', $text) !== 1) {
            throw new NotRead('the option does not say which', 'write option canopy=open');
        }
        $this->option = $text;

        return [2, 'only with '.str_replace('=', ' ', $text)];
    }
}
