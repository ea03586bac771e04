<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Change;

/** A change as it stands in a build's row of changes. */
final readonly class Applied
{
    private function __construct(public string $id, public string $title, public int $revision)
    {
    }

    public static function of(Change $change): self
    {
        return new self($change->id, $change->title, $change->revision);
    }

    /** @return array{id: string, title: string} */
    public function toArray(): array
    {
        return ['id' => $this->id, 'title' => $this->title];
    }
}
