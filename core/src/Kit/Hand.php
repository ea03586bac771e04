<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** For which side of the subject a mask is cut. */
enum Hand: string
{
    case None = 'none';
    case Port = 'port';
    case Starboard = 'starboard';

    public function word(): string
    {
        return $this === self::None ? 'either hand' : $this->value;
    }
}
