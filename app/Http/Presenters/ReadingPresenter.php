<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\EditOp;
use AmberStep\Core\Lines\LineProblem;
use AmberStep\Core\Lines\Reading;
use AmberStep\Core\Lines\ReadLine;
use AmberStep\Core\Lines\ReadPhrase;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Step\Finding;

/** What lines were read as, and what would come of them. */
final class ReadingPresenter
{
    /**
     * @param  list<Edit>  $edits
     * @return array<string, mixed>
     */
    public static function of(Reading $reading, array $edits, ?Plan $plan): array
    {
        return [
            'lines' => array_map(self::line(...), $reading->lines),
            'understood' => $reading->understood(),
            'unread' => count($reading->unread()),
            'adds' => count(array_filter($edits, static fn (Edit $e): bool => $e->op === EditOp::Add)),
            'sets' => count(array_filter($edits, static fn (Edit $e): bool => $e->op === EditOp::Set)),
            'removes' => count(array_filter($edits, static fn (Edit $e): bool => $e->op === EditOp::Remove)),
            'pieces' => $plan === null ? null : count($plan->context->breakdown->pieces),
            'steps' => $plan === null ? null : count($plan->left),
            'stops' => $plan === null ? [] : array_map(static fn (Finding $f): string => $f->title, $plan->stops()),
            'finish' => Time::utc($plan?->finishEpoch()),
        ];
    }

    /** @return array<string, mixed> */
    private static function line(ReadLine $line): array
    {
        return [
            'number' => $line->number, 'about' => $line->about, 'title' => $line->title, 'swatch' => $line->swatch, 'isNew' => $line->isNew,
            'phrases' => array_map(static fn (ReadPhrase $p): array => ['start' => $p->start, 'length' => $p->length, 'meaning' => $p->meaning], $line->phrases),
            'problems' => array_map(static fn (LineProblem $p): array => ['start' => $p->start, 'length' => $p->length, 'sentence' => $p->sentence()], $line->problems),
        ];
    }
}
