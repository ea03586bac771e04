<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Work\Operation;

/** What lay on the place when it was found: the remedy goes back through it, and puts it on again. */
enum FoundAt: string
{
    case Bare = 'bare';
    case Primer = 'primer';
    case Colour = 'colour';
    case Clear = 'clear';

    /** What a place is found through, by the layer that lies on top. */
    public static function under(Operation $top): self
    {
        return match (true) {
            $top === Operation::Prime => self::Primer,
            $top->isVarnish(), $top === Operation::Decal, $top === Operation::PinWash, $top === Operation::Filter => self::Clear,
            default => self::Colour,
        };
    }

    public function isLaterThan(self $other): bool
    {
        return array_search($this, self::cases(), true) > array_search($other, self::cases(), true);
    }

    public function word(): string
    {
        return match ($this) {
            self::Bare => 'on bare plastic',
            self::Primer => 'in primer',
            self::Colour => 'in colour',
            self::Clear => 'under clear',
        };
    }
}
