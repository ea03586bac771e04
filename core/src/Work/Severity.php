<?php

declare(strict_types=1);

namespace AmberStep\Core\Work;

/** Stop: it would fail. Think: costly or risky. Note: worth knowing. */
enum Severity: string
{
    case Stop = 'stop';
    case Think = 'think';
    case Note = 'note';

    public function rank(): int
    {
        return match ($this) {
            self::Stop => 0,
            self::Think => 1,
            self::Note => 2,
        };
    }
}
