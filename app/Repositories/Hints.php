<?php

declare(strict_types=1);

namespace App\Repositories;

use AmberStep\Core\Timing\Hints as Found;
use AmberStep\Core\Timing\Loading;
use App\Models\Hint;

/** What the search found last. */
final readonly class Hints
{
    public function now(): Found
    {
        /** @var Hint|null $row */
        $row = Hint::query()->find(Hint::ONLY);

        return new Found($row->hints['order'] ?? [], $row->hints['putOffs'] ?? [], Loading::tryFrom($row->hints['loading'] ?? '') ?? Loading::AsItComes);
    }
}
