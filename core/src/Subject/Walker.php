<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

/** A walker, or any craft of fiction: a closed body, a cabin with glass, limbs that move, a tone or three over all of it. */
final readonly class Walker
{
    public function __construct(private Draft $draft, private float $height, private float $width)
    {
    }

    public function draft(): void
    {
        $d = $this->draft;
        $tones = array_slice($d->colours('main', 'sea grey', 'grey'), 0, 6);
        $trim = $d->colour('trim', 'buoy red', 'red');
        $steel = $d->colour('joints', 'tool steel', 'steel');
        [$h, $w] = [$this->height, $this->width];
        $body = Sum::body($w * 0.9, $w * 0.7, $h * 0.35);
        $d->part('Body front', 'styrene', 'moulded grey', 'no A1', 'step 2');
        $d->part('Body back', 'styrene', 'moulded grey', 'no A2', 'step 2');
        foreach ($tones as $i => $tone) {
            $d->area('Body front', 'body in '.$tone, $body->share(round(1 / count($tones), 3)), $tone, 'flat', $d->finish($i === 0), $i === 0 ? '' : $d->edge($w * 1.6, 'body in '.$tones[$i - 1]), $i < 2 ? '' : $d->edge($w, 'body in '.$tones[$i - 2]));
        }
        $d->part('Cabin tub', 'styrene', 'moulded grey', 'no B1', 'step 1', 'inside Body front');
        $d->area('Cabin tub', 'cabin walls', Sum::body($w * 0.3, $w * 0.3, $h * 0.1)->share(0.7), $d->colour('inside', 'interior dark', 'dark grey', 'black'), 'bent', 'inside');
        $d->part('Legs', 'styrene', 'moulded grey', 'no A5', 'step 4', 'x2', 'grip hole');
        $d->area('Legs', 'leg plates', Sum::tube($w * 0.16, $h * 0.5)->times(2)->share(0.7), $tones[0], 'bent', $d->finish());
        $d->area('Legs', 'leg rods', Sum::tube($w * 0.05, $h * 0.5)->times(2), $steel, 'fiddly', $d->edge($h * 0.6, 'leg plates'));
        $d->part('Arms', 'styrene', 'moulded grey', 'no A6', 'step 5', 'x2', 'grip hole');
        $d->area('Arms', 'arm plates', Sum::tube($w * 0.12, $h * 0.3)->times(2)->share(0.8), $tones[count($tones) - 1], 'bent', $d->finish());
        $d->area('Arms', 'arm stripes', Sum::tube($w * 0.12, $h * 0.3)->times(2)->share(0.2), $trim, 'bent', $d->finish(), $d->edge($w * 0.8, 'arm plates', 'hard', 'bent'));
        $d->part('Visor', 'clear styrene', 'no C1', 'step 3', 'grip tab');
        $d->area('Visor', 'visor pane', Sum::plate($w * 0.3, $h * 0.06), 'pane', 'bent');
        $d->area('Visor', 'visor rim', Sum::plate($w * 0.3, $h * 0.06)->share(0.35), $trim, 'fiddly', $d->edge($w * 0.7, 'visor pane', 'hard', 'bent'));
        $d->joint('cabin seat', 'Body front', 'Cabin tub', 'line', 'before paint', 'thin cement', 'step 1');
        $d->joint('body halves', 'Body front', 'Body back', 'seam', 'before paint', 'thin cement', 'blocks Cabin tub / cabin walls', 'gap 0.2 mm', max(1, (int) round(2 * ($h * 0.35 + $w * 0.9) / 10)).' cm long', 'fill solvent putty', 'step 2');
        $d->joint('visor seat', 'Body front', 'Visor', 'line', 'after paint', 'clear glue', 'step 3');
        $d->joint('hip sockets', 'Body front', 'Legs', 'line', 'after paint', 'clear glue', 'step 4');
        $d->joint('shoulder sockets', 'Body front', 'Arms', 'line', 'after paint', 'clear glue', 'step 5');
        $d->piece('Body front', 'Body', 'on a clip', 'dowel in the hip');
    }
}
