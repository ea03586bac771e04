<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** What a show forbids or asks for. */
enum ShowDemand: string
{
    case NoBase = 'no-base';
    case KitOnly = 'kit-only';
    case Photographs = 'photographs';

    public function word(): string
    {
        return match ($this) {
            self::NoBase => 'no base',
            self::KitOnly => 'kit parts only',
            self::Photographs => 'photographs of the work',
        };
    }

    /** Whether a part of this origin stays away. */
    public function parks(Origin $origin): bool
    {
        return ($this === self::NoBase && $origin === Origin::Base) || ($this === self::KitOnly && $origin === Origin::Added);
    }
}
