<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Subject\Kind;
use AmberStep\Core\Subject\Proposal;
use AmberStep\Core\Subject\Question;
use AmberStep\Core\Subject\Questions;

/** What a build can be begun from, what is proposed for it, and what of that is still as it was proposed. */
final class SubjectPresenter
{
    /** @return list<array<string, mixed>> */
    public static function kinds(): array
    {
        return array_map(static fn (Kind $k): array => ['id' => $k->value, 'name' => $k->word(), 'along' => $k->along(), 'across' => $k->across(), 'usual' => $k->usual(), 'looks' => $k->looks()], Kind::cases());
    }

    /** @return array<string, mixed> */
    public static function proposal(Proposal $proposal): array
    {
        return [
            'lines' => $proposal->lines,
            'sums' => array_map(static fn (string $of, string $sum): array => ['of' => $of, 'sum' => $sum], array_keys($proposal->sums), array_values($proposal->sums)),
            'missing' => array_map(static fn (string $name, array $known): array => ['name' => $name, 'swatch' => $known['swatch']], array_keys($proposal->missing), array_values($proposal->missing)),
        ];
    }

    /** @return array<string, mixed> */
    public static function of(Kit $kit): array
    {
        $stands = [];
        foreach ($kit->proposed as $proposed) {
            if ($proposed->stands($kit)) {
                $stands[] = ['id' => $proposed->id, 'of' => $proposed->of, 'sum' => $proposed->sum];
            }
        }

        return [
            'stands' => $stands,
            'questions' => array_map(static fn (Question $q): array => [
                'id' => $q->id, 'asks' => $q->asks, 'changes' => $q->changes,
                'answers' => array_map(static fn (Fix $f): array => ['title' => $f->title, 'edits' => array_map(static fn (Edit $e): array => $e->toArray(), $f->edits)], $q->answers),
            ], Questions::open($kit)),
        ];
    }
}
