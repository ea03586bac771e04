<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

/** What the user found when a wait was said to be over, an inspection was done, or a place was looked at. */
enum Verdict: string
{
    case Soft = 'soft';
    case Fine = 'fine';
    case Clean = 'clean';
    case Found = 'found';
    case Good = 'good';
    case Fill = 'fill';
    case Sand = 'sand';
    case Rescribe = 'rescribe';
    /** A ring in the primer round the filler: gap, stain or nothing, nobody knows yet. */
    case Halo = 'halo';
    case RealDetail = 'real-detail';
    /** Looked at from inside and in the booklet: it does not belong there. */
    case NoDetail = 'no-detail';
    case Accept = 'accept';

    /** It is said of a place to be made good. */
    public function isOfPlace(): bool
    {
        return ! in_array($this, [self::Soft, self::Fine, self::Clean, self::Found], true);
    }

    /** Nothing more is done to the place. */
    public function closes(): bool
    {
        return $this === self::Good || $this === self::RealDetail || $this === self::Accept;
    }

    /** There is more to do at the place: it counts as found in its round. */
    public function asksForMore(): bool
    {
        return in_array($this, [self::Fill, self::Sand, self::Rescribe, self::Halo], true);
    }

    public function word(): string
    {
        return match ($this) {
            self::RealDetail => 'real detail',
            self::NoDetail => 'not a detail',
            self::Accept => 'accepted as it is',
            default => $this->value,
        };
    }
}
