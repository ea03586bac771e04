<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Masking\Register;
use AmberStep\Core\Material\Shelf;

/**
 * Tones over one another through masks that all begin at one mark (handbook 7, Register): how much of each, and out of
 * which jars, for all it goes on, since a tone of several parts of the model is mixed once.
 */
final readonly class Pattern
{
    /** Colours from which masks of one start mark are a pattern, and no pair. */
    private const TONES = 2;

    /**
     * @param  string  $start  mark all of its masks begin at
     * @param  list<string>  $pieces  ids of those its masks lie on
     * @param  list<Tone>  $tones
     * @param  list<JarNeed>  $jars  what the tones come out of, for all of the pattern
     */
    private function __construct(public string $start, public array $pieces, public array $tones, public array $jars)
    {
    }

    /**
     * @param  Tally  $tally  of the kit
     * @return list<self> in the order of the register
     */
    public static function all(Kit $kit, Register $register, Breakdown $breakdown, Tally $tally, Shelf $shelf): array
    {
        $marks = [];
        foreach ($kit->masks as $mask) {
            if ($mask->start !== '' && $mask->area !== null && ! $mask->lost) {
                $marks[mb_strtolower($mask->start)][$mask->area] = $mask->start;
            }
        }
        $patterns = [];
        foreach ($marks as $areas) {
            $pieces = [];
            foreach (array_keys($areas) as $area) {
                $piece = $breakdown->pieceAt($area);
                if ($piece !== null) {
                    $pieces[$piece->id] = true;
                }
            }
            $tones = self::tones($kit, $breakdown, array_keys($pieces), $tally, $shelf);
            if (count($tones) > self::TONES) {
                $needs = array_map(static fn (Tone $t): ColourNeed => $t->need, $tones);
                $patterns[] = new self(array_values($areas)[0], array_map(strval(...), array_keys($pieces)), $tones, JarNeed::all($needs, $shelf));
            }
        }

        return $patterns;
    }

    /**
     * @param  list<string>  $pieces  ids
     * @return list<Tone> in the order of the kit's colours
     */
    private static function tones(Kit $kit, Breakdown $breakdown, array $pieces, Tally $tally, Shelf $shelf): array
    {
        $on = $all = [];
        foreach ($kit->areas as $area) {
            $colour = $area->intent->colour;
            $piece = $breakdown->pieceAt($area->id);
            if ($colour !== null && $piece !== null && $breakdown->blocks($area->id) === null) {
                $all[$colour][$piece->id] = $piece->name;
                if (in_array($piece->id, $pieces, true)) {
                    $on[$colour] = ($on[$colour] ?? 0.0) + $area->cm2();
                }
            }
        }
        $needs = array_column($tally->needs, null, 'colour');
        $tones = [];
        foreach ($kit->colours as $colour) {
            if (isset($on[$colour->id], $needs[$colour->id])) {
                $need = $needs[$colour->id];
                $tones[] = new Tone($need, $on[$colour->id], array_values($all[$colour->id]), JarNeed::all([$need], $shelf));
            }
        }

        return $tones;
    }
}
