<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** What a test is sprayed on. */
enum TestSurface: string
{
    case Spoon = 'spoon';
    case SparePlastic = 'spare-plastic';
    case Paper = 'paper';

    public function word(): string
    {
        return match ($this) {
            self::Spoon => 'a spoon',
            self::SparePlastic => 'spare plastic',
            self::Paper => 'paper',
        };
    }
}
