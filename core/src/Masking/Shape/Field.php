<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

/** A measure a template asks for. */
final readonly class Field
{
    public const MM = 'mm';

    public const DEGREES = '°';

    public const COUNT = '';

    public const TURNS = 'turns';

    public const PERCENT = '%';

    public const TEXT = 'text';

    /**
     * @param  string  $unit  one of the constants
     * @param  float|string|null  $default  null: it has to be given
     */
    public function __construct(public string $name, public string $label, public string $unit, public float|string|null $default, public float $least = 0.1, public float $most = 2000)
    {
    }
}
