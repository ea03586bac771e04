<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

/** A ship: hull halves glued before paint, red below the waterline; deck, house and boats apart; etched rails last. */
final readonly class Ship
{
    /** Depth of the hull to its beam. */
    private const DEEP = 0.8;

    public function __construct(private Draft $draft, private float $length, private float $beam)
    {
    }

    public function draft(): void
    {
        $d = $this->draft;
        $deep = $this->beam * self::DEEP;
        $hull = Sum::hull($this->length, $this->beam, $deep);
        $sides = $d->colour('main', 'pale grey', 'grey');
        $d->part('Port hull half', 'styrene', 'moulded grey', 'no 1', 'step 1', 'hand port');
        $d->part('Starboard hull half', 'styrene', 'moulded grey', 'no 2', 'step 1', 'hand starboard');
        $d->area('Port hull half', 'hull above the waterline', $hull->share(0.5), $sides, 'bent', $d->finish(true));
        $below = $d->colour('lower', 'buoy red', 'hull red', 'red');
        $d->area('Port hull half', 'hull below the waterline', $hull->share(0.5), $below, 'compound', $d->finish(), $below === $sides ? '' : $d->edge(2 * $this->length, 'hull above the waterline', 'hard', 'bent'));
        $d->part('Main deck', 'styrene', 'moulded grey', 'no 3', 'step 2', 'grip open below');
        $d->area('Main deck', 'deck planks', Sum::plate($this->length, $this->beam)->share(0.75, 'as it is pointed'), $d->colour('deck', 'deck buff', 'buff'), 'flat', $d->finish());
        $house = $d->colour('house', 'harbour cream', 'cream', 'white');
        $d->part('Deckhouse', 'styrene', 'moulded grey', 'no 4', 'step 3', 'grip open below');
        $d->area('Deckhouse', 'house sides', Sum::body($this->length * 0.3, $this->beam * 0.6, $this->beam * 0.5), $house, 'flat', $d->finish());
        $d->part('Funnel', 'styrene', 'moulded grey', 'no 5', 'step 4', 'grip hole');
        $d->area('Funnel', 'funnel casing', Sum::tube($this->beam * 0.22, $this->beam * 0.7), $d->looks()->has('funnel') ? $d->colour('funnel') : $house, 'bent', $d->finish());
        $d->area('Funnel', 'funnel top', Sum::tube($this->beam * 0.22, $this->beam * 0.12), $d->colour('top', 'tyre black', 'black'), 'bent', $d->edge(M_PI * $this->beam * 0.22, 'funnel casing', 'hard', 'bent'));
        $d->part('Boats', 'styrene', 'moulded grey', 'no 6', 'step 5', 'x2', 'grip open below');
        $d->area('Boats', 'boat hulls', Sum::hull($this->length * 0.07, $this->beam * 0.18, $this->beam * 0.12)->times(2), $house, 'compound', $d->finish());
        $d->part('Mast', 'styrene', 'moulded grey', 'no 7', 'step 6', 'fragile', 'grip tab');
        $d->area('Mast', 'mast', Sum::tube(max(0.8, $this->beam * 0.03), $this->beam * 2), $sides, 'fiddly');
        $d->part('Rails', 'brass', 'no E1', 'step 7', 'x2', 'fragile', 'added part', 'grip flat back');
        $d->area('Rails', 'rails', Sum::plate($this->length * 0.8, max(2.0, $this->beam * 0.07))->times(2)->share(0.3, 'as most of it is air'), $sides, 'fiddly');
        $cm = fn (float $share): string => max(1, (int) round($share * $this->length / 10)).' cm long';
        $d->joint('keel seam', 'Port hull half', 'Starboard hull half', 'seam', 'before paint', 'slow cement', 'gap 0.2 mm', $cm(1.1), 'fill solvent putty', 'step 1');
        $d->joint('deck line', 'Port hull half', 'Main deck', 'line', 'after paint', 'clear glue', 'step 2');
        $d->joint('house foot', 'Main deck', 'Deckhouse', 'line', 'after paint', 'clear glue', 'step 3');
        $d->joint('funnel foot', 'Deckhouse', 'Funnel', 'line', 'after paint', 'superglue', 'step 4');
        $d->joint('boat chocks', 'Main deck', 'Boats', 'line', 'after paint', 'superglue', 'step 5');
        $d->joint('mast step', 'Deckhouse', 'Mast', 'line', 'after paint', 'superglue', 'step 6');
        $d->joint('rail feet', 'Main deck', 'Rails', 'line', 'after paint', 'superglue', 'step 7');
        $d->piece('Port hull half', 'Hull', 'on a clip', 'screws in the keel');
    }
}
