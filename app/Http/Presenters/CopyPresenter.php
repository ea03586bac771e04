<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use App\Keeping\Copy;

/** A copy of the whole bench: when and why it was made, and what it holds. */
final class CopyPresenter
{
    /** @return array<string, mixed> */
    public static function of(Copy $copy): array
    {
        $builds = $copy->builds();

        return [
            'name' => $copy->name(), 'at' => Time::utc($copy->atEpoch), 'why' => $copy->cause?->words() ?? 'an earlier copy',
            'builds' => $builds === null ? null : array_map(static fn (string $id, array $b): array => ['id' => $id, ...$b], array_keys($builds), array_values($builds)),
        ];
    }
}
