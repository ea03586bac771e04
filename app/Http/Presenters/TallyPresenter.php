<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Booklet\ColourNeed;
use AmberStep\Core\Booklet\Gluing;
use AmberStep\Core\Booklet\GluingStop;
use AmberStep\Core\Booklet\Tally;

/** What the colours need and what to buy, for the booklet's side and for amber:tally. */
final class TallyPresenter
{
    /** @return array<string, mixed> */
    public static function of(Tally $tally, Gluing $gluing): array
    {
        return [
            'colours' => array_map(self::need(...), $tally->needs),
            'counts' => $tally->counts(),
            'ml' => round($tally->ml(), 2),
            'price' => round($tally->price(), 2),
            'deadStop' => $gluing->deadStop() === null ? null : self::stop($gluing->deadStop()),
            'gluing' => array_map(self::stop(...), $gluing->stops),
        ];
    }

    /** @return array<string, mixed> */
    private static function need(ColourNeed $need): array
    {
        return [
            'id' => $need->colour, 'name' => $need->name, 'code' => $need->code, 'paint' => $need->paint, 'swatch' => $need->swatch,
            'lines' => $need->lines, 'parts' => $need->parts, 'counts' => $need->counts, 'cm2' => round($need->cm2, 1), 'coats' => $need->coats,
            'mlByArea' => round($need->mlByArea, 2), 'mlByCount' => round($need->mlByCount, 2), 'ml' => round($need->ml, 2),
            'levelMl' => $need->levelMl, 'buyMl' => round($need->buyMl, 2),
            'packs' => $need->packs?->words(), 'price' => $need->packs === null ? null : round($need->packs->price, 2),
            'firstStep' => $need->firstStep,
        ];
    }

    /** @return array<string, mixed> */
    private static function stop(GluingStop $stop): array
    {
        return ['step' => $stop->step, 'joint' => $stop->joint, 'name' => $stop->name, 'colours' => $stop->colours, 'sentence' => $stop->sentence, 'closesOver' => $stop->closesOver];
    }
}
