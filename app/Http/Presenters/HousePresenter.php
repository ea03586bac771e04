<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\HouseBook;
use AmberStep\Core\Kit\HousePosition;
use AmberStep\Core\Kit\HouseQuestion;
use AmberStep\Core\Kit\HouseRules;
use App\Repositories\LoadedBuild;

/** House rules: every question with its positions, the user's, and the build's own. */
final class HousePresenter
{
    /** @return array<string, mixed> */
    public static function of(LoadedBuild $build, HouseRules $user): array
    {
        return [
            'build' => KitPresenter::name($build),
            'questions' => array_map(static fn (HouseQuestion $q): array => [
                'id' => $q->id, 'title' => $q->title, 'changes' => $q->changes,
                'yours' => $user->position($q->id),
                'here' => $build->kit->house->positions[$q->id] ?? null,
                'positions' => array_map(static fn (HousePosition $p): array => ['id' => $p->id, 'title' => $p->title, 'reason' => $p->reason], $q->positions),
            ], array_values(HouseBook::questions())),
        ];
    }
}
