<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Plan\Operation;
use AmberStep\Core\Plan\Plan;
use AmberStep\Core\Plan\Words;
use AmberStep\Core\Surface\FillerAdvice;
use AmberStep\Core\Surface\Grit;
use AmberStep\Core\Surface\GritScale;
use AmberStep\Core\Surface\Ladder;
use AmberStep\Core\Surface\SeamStrip;

/** The seams of a build with how far each has come, what fills it, and the grits from filler to the next layer. */
final class SurfacePresenter
{
    /** Start for filler (handbook 2, Abrasives). */
    private const FROM = 'P400';

    /**
     * @param  list<Grit>  $owned
     * @return array<string, mixed>
     */
    public static function page(Plan $plan, array $owned): array
    {
        return [
            'seams' => array_map(static fn (SeamStrip $s): array => self::strip($s, $plan), SeamStrip::all($plan)),
            'ladder' => self::ladder($plan->context->house, $owned),
            'owned' => array_map(static fn (Grit $g): string => $g->label(), $owned),
            'sold' => array_map(static fn (Grit $g): string => $g->label(), array_values(array_filter(Grit::all(GritScale::Fepa), static fn (Grit $g): bool => $g->microns <= 40.5))),
        ];
    }

    /** @return array<string, mixed> */
    private static function strip(SeamStrip $strip, Plan $plan): array
    {
        $next = $strip->next;

        return [
            'id' => $strip->joint->id, 'name' => $strip->joint->name, 'piece' => $strip->piece,
            'gapMm' => $strip->joint->gapMm, 'lengthCm' => $strip->joint->lengthCm, 'good' => $strip->isGood(),
            'stages' => array_map(static fn (array $s): array => ['stage' => $s[0]->value, 'word' => self::word($s[0]), 'done' => $s[1]], $strip->stages),
            'next' => $next === null ? null : Words::title($next->step, $plan->context),
            'nextAt' => Time::utc($next?->startEpoch),
            'holdUntil' => Time::utc($strip->hold?->untilEpoch), 'holdFrom' => Time::utc($strip->hold?->fromEpoch), 'because' => $strip->hold?->because,
            'closes' => Time::utc($strip->closing?->fromEpoch),
            'filledWith' => $plan->context->surface->joint($strip->joint->id)->filler?->word(),
            'advice' => self::advice($strip->advice),
        ];
    }

    /** @return array<string, mixed> */
    private static function advice(FillerAdvice $advice): array
    {
        return [
            'filler' => $advice->filler->value, 'word' => $advice->filler->word(), 'why' => $advice->why, 'how' => $advice->how,
            'runnerUp' => $advice->runnerUp === null ? null : ['filler' => $advice->runnerUp[0]->value, 'word' => $advice->runnerUp[0]->word(), 'why' => $advice->runnerUp[1]],
        ];
    }

    /**
     * From filler to what the next layer needs: primer, or no primer at all (house rule).
     *
     * @param  list<Grit>  $owned
     * @return array<string, mixed>
     */
    private static function ladder(HouseRules $house, array $owned): array
    {
        $to = $house->says('primer', 'never') ? 'P1500' : 'P600';
        $ladder = Ladder::between(Grit::read(self::FROM), Grit::read($to), $owned);
        $missing = array_map(static fn (Grit $g): string => $g->label(), $ladder->missing ?? []);

        return [
            'to' => $to, 'why' => $to === 'P600' ? 'the last grit before primer' : 'the last grit where no primer follows',
            'steps' => array_map(static fn (Grit $g): array => ['grit' => $g->label(), 'microns' => $g->microns, 'missing' => in_array($g->label(), $missing, true)], $ladder->steps ?? []),
        ];
    }

    private static function word(Operation $operation): string
    {
        return match ($operation) {
            Operation::Glue => 'glued',
            Operation::Fill => 'filled',
            Operation::CutBack => 'cut back',
            default => 'checked',
        };
    }
}
