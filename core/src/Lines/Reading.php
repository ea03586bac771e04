<?php

declare(strict_types=1);

namespace AmberStep\Core\Lines;

use AmberStep\Core\Kit\Kit;

/** Lines as they were read, and the kit with them taken in. Lines with a problem are left out of the kit. */
final readonly class Reading
{
    /** @param  list<ReadLine>  $lines */
    public function __construct(public array $lines, public Kit $kit)
    {
    }

    /** @return list<ReadLine> */
    public function unread(): array
    {
        return array_values(array_filter($this->lines, static fn (ReadLine $l): bool => $l->problems !== []));
    }

    /** @return int lines that say something and were understood */
    public function understood(): int
    {
        return count(array_filter($this->lines, static fn (ReadLine $l): bool => $l->problems === [] && $l->about !== null && $l->about !== 'note'));
    }
}
