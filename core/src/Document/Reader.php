<?php

declare(strict_types=1);

namespace AmberStep\Core\Document;

use BackedEnum;

/**
 * Reads one object of a decoded document field by field. A wrong field is noted with its path and
 * read as its default, so that reading goes on and all problems are reported together.
 */
final class Reader
{
    use ReadsLists;

    /** Control characters, breaks of line and paragraph, and marks that turn the direction of what follows: a name would hide what it is. */
    public const NOT_IN_NAMES = '/[\p{Cc}\x{2028}\x{2029}\x{202A}-\x{202E}\x{2066}-\x{2069}\x{FEFF}]/u';

    private const ONE_LINE = 400;

    /** @var array<string, true> */
    private array $asked = [];

    /** @param  array<mixed>  $fields */
    private function __construct(private readonly array $fields, private readonly string $path, public readonly Problems $problems)
    {
    }

    public static function of(mixed $value, string $path, Problems $problems): self
    {
        if (! is_array($value) || ($value !== [] && array_is_list($value))) {
            $problems->add($path, 'is not an object', 'write it as {"field": value}');
            $value = [];
        }

        return new self($value, $path, $problems);
    }

    public function path(string $field): string
    {
        return $this->path === '' ? $field : $this->path.'.'.$field;
    }

    public function has(string $field): bool
    {
        $this->asked[$field] = true;

        return ($this->fields[$field] ?? null) !== null;
    }

    public function raw(string $field): mixed
    {
        $this->asked[$field] = true;

        return $this->fields[$field] ?? null;
    }

    /** Text of 1 to $most characters on one line, in valid UTF-8, without control characters and without what turns its direction. */
    public function text(string $field, int $most = 200): string
    {
        $value = $this->raw($field);
        if (is_string($value) && trim($value) !== '' && self::clean($value, $most, oneLine: true)) {
            return $value;
        }
        $this->problems->add($this->path($field), $value === null ? 'is missing' : 'is not a usable text', "give 1 to {$most} printable characters");

        return '?';
    }

    /** The same, or nothing; a long one, such as a note, may have several lines. */
    public function optionalText(string $field, int $most = 2000): ?string
    {
        $value = $this->raw($field);
        if ($value === null || $value === '') {
            return null;
        }
        if (is_string($value) && self::clean($value, $most, oneLine: $most <= self::ONE_LINE)) {
            return $value;
        }
        $this->problems->add($this->path($field), 'is not a usable text', "give up to {$most} printable characters or leave it out");

        return null;
    }

    /** A ULID: 26 characters of Crockford base 32. */
    public function id(string $field): string
    {
        return $this->optionalId($field) ?? $this->missingId($field);
    }

    public function optionalId(string $field): ?string
    {
        $value = $this->raw($field);
        if ($value === null) {
            return null;
        }
        if (is_string($value) && Id::isValid($value)) {
            return $value;
        }
        $this->problems->add($this->path($field), 'is not an id', 'give a ULID of 26 characters, 0-9 and A-Z without I, L, O, U');

        return Id::NONE;
    }

    public function flag(string $field, bool $default = false): bool
    {
        $value = $this->raw($field) ?? $default;
        if (! is_bool($value)) {
            $this->problems->add($this->path($field), 'is neither true nor false', 'give true or false');

            return $default;
        }

        return $value;
    }

    public function number(string $field, float $least, float $most, ?float $default = null): float
    {
        $value = $this->optionalNumber($field, $least, $most) ?? $default;
        if ($value === null) {
            if (! $this->has($field)) {
                $this->problems->add($this->path($field), 'is missing', "give a number from {$least} to {$most}");
            }

            return $least;
        }

        return $value;
    }

    public function optionalNumber(string $field, float $least, float $most): ?float
    {
        $value = $this->raw($field);
        if ($value === null) {
            return null;
        }
        if ((is_int($value) || is_float($value)) && is_finite((float) $value) && $value >= $least && $value <= $most) {
            return (float) $value;
        }
        $this->problems->add($this->path($field), 'is not a number in range', "give a number from {$least} to {$most}");

        return null;
    }

    public function whole(string $field, int $least, int $most, int $default): int
    {
        $value = $this->raw($field) ?? $default;
        if (is_int($value) && $value >= $least && $value <= $most) {
            return $value;
        }
        $this->problems->add($this->path($field), 'is not a whole number in range', "give a whole number from {$least} to {$most}");

        return $default;
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @param  T  $default
     * @return T
     */
    public function oneOf(string $field, string $enum, BackedEnum $default): BackedEnum
    {
        if (! $this->has($field)) {
            return $default;
        }

        return $this->optionalOneOf($field, $enum) ?? $default;
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T|null
     */
    public function optionalOneOf(string $field, string $enum): ?BackedEnum
    {
        $value = $this->raw($field);
        if ($value === null) {
            return null;
        }
        $case = is_string($value) ? $enum::tryFrom($value) : null;
        if ($case === null) {
            $words = implode(', ', array_map(static fn (BackedEnum $c): string => (string) $c->value, $enum::cases()));
            $this->problems->add($this->path($field), is_string($value) ? 'is "'.mb_substr($value, 0, 40).'", which is not known' : 'is not a word', "use one of {$words}");
        }

        return $case;
    }

    /** An instant written in UTC, such as 2026-03-02T19:05:00Z, as epoch seconds. */
    public function instant(string $field): int
    {
        $epoch = $this->optionalInstant($field);
        if ($epoch === null && ! $this->has($field)) {
            $this->problems->add($this->path($field), 'is missing', 'give an instant in UTC such as 2026-03-02T19:05:00Z');
        }

        return $epoch ?? 0;
    }

    public function optionalInstant(string $field): ?int
    {
        $value = $this->raw($field);
        if ($value === null) {
            return null;
        }
        $epoch = is_string($value) ? Instant::parse($value) : null;
        if ($epoch === null) {
            $this->problems->add($this->path($field), 'is not an instant', 'give it in UTC such as 2026-03-02T19:05:00Z');
        }

        return $epoch;
    }

    public function object(string $field): self
    {
        return self::of($this->raw($field) ?? [], $this->path($field), $this->problems);
    }

    /** Names what nobody asked for: a misspelt field must not be lost in silence. */
    public function refuseTheRest(): void
    {
        foreach (array_keys($this->fields) as $field) {
            if (! isset($this->asked[$field])) {
                $this->problems->add($this->path(self::shown((string) $field)), 'is not a field here', 'use one of '.implode(', ', array_keys($this->asked)));
            }
        }
    }

    private function missingId(string $field): string
    {
        $this->problems->add($this->path($field), 'is missing', 'give a ULID of 26 characters');

        return Id::NONE;
    }

    private static function clean(string $value, int $most, bool $oneLine): bool
    {
        return mb_check_encoding($value, 'UTF-8') && mb_strlen($value) <= $most && preg_match($oneLine ? self::NOT_IN_NAMES : '/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', $value) === 0;
    }

    private static function shown(string $field): string
    {
        return mb_substr(mb_scrub($field, 'UTF-8'), 0, 60);
    }
}
