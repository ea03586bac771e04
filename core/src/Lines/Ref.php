<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Document\NotRead;
use AmberStep\Core\Document\Reader;

/** A thing by its name; the second of one name is "name ~2". */
final readonly class Ref
{
    public function __construct(public string $name, public int $nth = 1)
    {
    }

    /** @throws NotRead where there is no name, or its quotes do not close */
    public static function read(Phrase $phrase, string $what): self
    {
        $text = $phrase->text;
        $nth = 1;
        if (preg_match('/\A(.*\S)\s*~(\d{1,4})\z/us', $text, $m) === 1 && ! self::endsInQuote($text)) {
            [$text, $nth] = [$m[1], max(1, (int) $m[2])];
        }
        if (str_starts_with($text, '"')) {
            if (preg_match('/\A"((?:[^"\\\\]|\\\\.)*)"\z/us', $text, $m) !== 1) {
                throw new NotRead("the quotes of {$text} do not close", 'put one " before and one after the name');
            }
            $text = strtr($m[1], ['\\\\' => '\\', '\\"' => '"', '\\n' => "\n", '\\r' => "\r", '\\t' => "\t"]);
        }
        if (trim($text) === '') {
            throw new NotRead("{$what} has no name", "name it, such as {$what} port float");
        }
        if (preg_match(Reader::NOT_IN_NAMES, $text) === 1) {
            throw new NotRead('a name holds a character that cannot be seen', 'write it anew, without line breaks and tabs');
        }
        if (mb_strlen($text) > 120) {
            throw new NotRead('a name has more than 120 characters', 'make it shorter');
        }

        return new self($text, $nth);
    }

    public function key(): string
    {
        return mb_strtolower($this->name);
    }

    /** As it is written in a line. */
    public function text(): string
    {
        return self::quoted($this->name).($this->nth > 1 ? " ~{$this->nth}" : '');
    }

    /** In quotes where it could be taken for something else. */
    public static function quoted(string $name): string
    {
        $plain = preg_match('/\A[\p{L}\d](?:[\p{L}\d .\'()&²-]*[\p{L}\d.\'()²-])?\z/u', $name) === 1 && ! str_contains($name, '  ') && ! Vocabulary::isTaken($name);

        return $plain ? $name : '"'.strtr($name, ['\\' => '\\\\', '"' => '\\"']).'"';
    }

    private static function endsInQuote(string $text): bool
    {
        return preg_match('/"\z/', $text) === 1;
    }
}
