<?php

declare(strict_types=1);

namespace AmberStep\Core\Work;

/** What a hold waits for, and so what it forbids (architecture, Log and plan). */
enum HoldKind: string
{
    case Flash = 'flash';
    case Recoat = 'recoat';
    /** A recoat window that has closed and opens again, or something else that may be done too late. */
    case Window = 'window';
    case Touch = 'touch';
    case TapeSafe = 'tape-safe';
    case SandSafe = 'sand-safe';
    case Ready = 'ready';
    case Cured = 'cured';
    case Handle = 'handle';
    case Full = 'full';
    case Dry = 'dry';
    case Room = 'room';
    case NotBefore = 'not-before';

    public function forbids(): string
    {
        return match ($this) {
            self::Flash => 'next coat',
            self::Recoat => 'other paint on it',
            self::Window => 'recoating',
            self::Touch => 'handling',
            self::TapeSafe => 'tape',
            self::SandSafe, self::Ready => 'sanding',
            self::Cured => 'polish, strong solvents, packing',
            self::Handle => 'masking and handling at the joint',
            self::Full => 'sanding and load',
            self::Dry => 'next step on it',
            self::Room => 'spraying',
            self::NotBefore => 'start',
        };
    }

    /** Trouble shows at once or not at all: once the time is over it is only worth knowing. */
    public function passes(): bool
    {
        return in_array($this, [self::Flash, self::Touch, self::Handle, self::Room, self::NotBefore], true);
    }
}
