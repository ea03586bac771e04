<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** The waits a coat of paint starts; each is a different one (handbook 1, Vocabulary). */
enum WaitKind: string
{
    case Flash = 'flash';
    case Recoat = 'recoat';
    case TouchDry = 'touch';
    case TapeSafe = 'tape-safe';
    case SandSafe = 'sand-safe';
    case Cured = 'cured';

    /** Flash and touch dry follow this coat alone; the others the whole layer. */
    public function followsTheCoat(): bool
    {
        return $this === self::Flash || $this === self::Recoat || $this === self::TouchDry;
    }
}
