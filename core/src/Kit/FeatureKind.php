<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** Detail that sanding takes away, and that is put back before primer. */
enum FeatureKind: string
{
    case PanelLine = 'panel-line';
    case Rivets = 'rivets';
    case Weld = 'weld';

    public function word(): string
    {
        return match ($this) {
            self::PanelLine => 'panel line',
            self::Rivets => 'rivet row',
            self::Weld => 'weld seam',
        };
    }

    /** How it is put back (handbook 1, step 5). */
    public function how(): string
    {
        return match ($this) {
            self::PanelLine => 'Along a guide, several light strokes; over filler with half the pressure.',
            self::Rivets => 'Along a strip of tape, evenly spaced; over filler with half the pressure.',
            self::Weld => 'A thread of epoxy putty or soft plastic, stippled while it is soft.',
        };
    }
}
