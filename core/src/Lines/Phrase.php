<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

/** A stretch of a line between separators, with its place in the line in characters. */
final readonly class Phrase
{
    public function __construct(public string $text, public int $start, public int $length)
    {
    }

    /** The rest of it after so many characters, without leading spaces. */
    public function after(int $characters): self
    {
        $rest = mb_substr($this->text, $characters);
        $trimmed = ltrim($rest);
        $skipped = $characters + mb_strlen($rest) - mb_strlen($trimmed);

        return new self($trimmed, $this->start + $skipped, max(0, $this->length - $skipped));
    }

    /** Lower case, single spaces: what words are looked up by. A quoted phrase is a name and no word. */
    public function word(): string
    {
        return str_starts_with($this->text, '"') ? '' : mb_strtolower((string) preg_replace('/\s+/u', ' ', $this->text));
    }

    /**
     * What follows a leading word, or null where it does not begin with it.
     *
     * @param  string  ...$words  in lower case
     */
    public function behind(string ...$words): ?self
    {
        foreach ($words as $word) {
            if (str_starts_with(mb_strtolower($this->text), $word.' ')) {
                return $this->after(mb_strlen($word));
            }
        }

        return null;
    }
}
