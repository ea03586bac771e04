<?php

declare(strict_types=1);

namespace App\Http\Presenters;

use AmberStep\Core\Booklet\ColourNeed;
use AmberStep\Core\Booklet\Gluing;
use AmberStep\Core\Booklet\GluingStop;
use AmberStep\Core\Booklet\JarNeed;
use AmberStep\Core\Booklet\Tally;

/** What the colours need and what to buy, for the booklet's side and for amber:tally. */
final class TallyPresenter
{
    /** @return array<string, mixed> */
    public static function of(Tally $tally, Gluing $gluing): array
    {
        return [
            'colours' => array_map(self::need(...), $tally->needs),
            'jars' => array_map(self::jar(...), $tally->jars),
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
            'firstStep' => $need->firstStep,
        ];
    }

    /** @return array<string, mixed> */
    private static function jar(JarNeed $jar): array
    {
        return [
            'product' => $jar->product->id, 'paint' => $jar->product->name, 'colours' => $jar->colours, 'ml' => round($jar->ml, 2), 'levelMl' => $jar->product->levelMl, 'buyMl' => round($jar->buyMl, 2),
            'packs' => $jar->packs?->words(), 'price' => $jar->packs === null ? null : round($jar->packs->price, 2),
        ];
    }

    /** @return array<string, mixed> */
    private static function stop(GluingStop $stop): array
    {
        return ['step' => $stop->step, 'joint' => $stop->joint, 'name' => $stop->name, 'colours' => $stop->colours, 'sentence' => $stop->sentence, 'closesOver' => $stop->closesOver];
    }
}
