<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;
use Closure;

/** A shape that is worked out from a few measures (handbook 7, Templates). */
final readonly class Template
{
    /** mm by which an outline may be grown or shrunk. */
    public const GROWN = [-5.0, 20.0];

    /**
     * @param  list<Field>  $fields
     * @param  Closure(Measures): non-empty-list<Shape>  $make
     * @param  bool  $grows  its outline can be made larger or smaller all round
     */
    public function __construct(public string $name, public string $title, public string $for, public array $fields, private Closure $make, public bool $grows = true)
    {
    }

    /**
     * @param  array<string, float|string>  $given  mm, degrees, counts and texts, by field
     * @param  float  $grow  mm, to the outside
     * @return non-empty-list<Shape>
     *
     * @throws BadDocument where a measure is missing, out of its range, or they make no shape
     */
    public function shapes(array $given, float $grow = 0.0): array
    {
        $values = [];
        foreach ($this->fields as $field) {
            $value = $given[$field->name] ?? $field->default ?? throw BadDocument::at($field->name, 'is missing', "measure it: {$field->label}");
            if ($field->unit !== Field::TEXT && (! is_float($value) || $value < $field->least || $value > $field->most)) {
                throw BadDocument::at($field->name, 'is out of range', sprintf('give %s to %s%s', (string) $field->least, (string) $field->most, $field->unit === '' ? '' : ' '.$field->unit));
            }
            if ($field->unit === Field::COUNT && $value !== floor((float) $value)) {
                throw BadDocument::at($field->name, 'is not a whole number', 'count them');
            }
            $values[$field->name] = $value;
        }
        if ($grow < self::GROWN[0] || $grow > self::GROWN[1] || ($grow !== 0.0 && ! $this->grows)) {
            throw BadDocument::at('grow', $this->grows ? 'is out of range' : 'does not apply to it', $this->grows ? sprintf('give %.0f to %.0f mm', ...self::GROWN) : 'leave it out');
        }
        foreach (array_keys(array_diff_key($given, $values)) as $name) {
            throw BadDocument::at((string) $name, "is no measure of {$this->title}", 'use '.implode(', ', array_map(static fn (Field $f): string => $f->name, $this->fields)));
        }

        return ($this->make)(new Measures($values, $grow));
    }
}
