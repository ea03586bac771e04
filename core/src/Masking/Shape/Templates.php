<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

use AmberStep\Core\Document\BadDocument;

/** All templates there are, by name. */
final class Templates
{
    /** @return array<string, Template> */
    public static function all(): array
    {
        $all = [...Panes::templates(), ...Plain::templates(), ...Rolled::templates(), ...Wings::templates(), ...Repeated::templates(), ...Letters::templates(), ...Rubbing::templates()];

        return array_column($all, null, 'name');
    }

    /** @throws BadDocument where there is none of that name */
    public static function named(string $name): Template
    {
        $all = self::all();

        return $all[$name] ?? throw BadDocument::at('template', '"'.mb_scrub($name).'" is no template', 'use '.implode(', ', array_keys($all)));
    }
}
