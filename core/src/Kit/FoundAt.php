<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Log\Surface;
use AmberStep\Core\Plan\Operation;

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

    /**
     * What lies on parts: the furthest that any of their outer areas has come.
     *
     * @param  list<string>  $parts
     */
    public static function on(array $parts, Kit $kit, Surface $surface): self
    {
        $furthest = self::Bare;
        foreach ($kit->areas as $area) {
            $top = $area->face === Face::Outside && in_array($area->part, $parts, true) ? $surface->area($area->id)->top() : null;
            $at = $top === null ? $furthest : self::under($top->operation);
            $furthest = $at->isLaterThan($furthest) ? $at : $furthest;
        }

        return $furthest;
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
