<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** A side of a part that a call-out paints, where it does not paint all of it. */
enum PaintedFace: string
{
    case Top = 'top';
    case Bottom = 'bottom';
    case Left = 'left';
    case Right = 'right';
    case Front = 'front';
    case Back = 'back';
    case Inside = 'inside';
    case Outside = 'outside';
    case Rim = 'rim';
    /** Half of a face, such as the lower half of a lamp base. */
    case Half = 'half';

    /** @return list<self> */
    public static function listFrom(Reader $in): array
    {
        $given = $in->raw('faces') ?? [];
        $faces = [];
        foreach (is_array($given) ? $given : [null] as $word) {
            $face = is_string($word) ? self::tryFrom($word) : null;
            if ($face === null) {
                $in->problems->add($in->path('faces'), 'holds something that is no face', 'use '.implode(', ', array_map(static fn (self $f): string => $f->value, self::cases())));

                return [];
            }
            $faces[] = $face;
        }

        return $faces;
    }
}
