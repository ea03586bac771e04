<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

/** A standing figure: body in a coat, trousers and boots, head and hands apart so that skin needs no mask. */
final readonly class Figure
{
    public function __construct(private Draft $draft, private float $height)
    {
    }

    public function draft(): void
    {
        $d = $this->draft;
        $h = $this->height;
        $coat = $d->looks()->has('coat') ? $d->colour('coat') : $d->colour('main', 'slate green', 'green');
        $trousers = $d->colour('trousers', 'deck buff', 'buff', 'brown');
        $boots = $d->colour('boots', 'seat leather', 'leather', 'black');
        $skin = $d->colour('skin', 'flesh', 'roof cream', 'harbour cream');
        $d->part('Front half', 'styrene', 'moulded grey', 'no 1', 'step 1');
        $d->part('Back half', 'styrene', 'moulded grey', 'no 2', 'step 1');
        $d->area('Front half', 'coat', Sum::tube($h * 0.2, $h * 0.36), $coat, 'compound', $d->finish());
        $d->area('Front half', 'trousers', Sum::tube($h * 0.085, $h * 0.3)->times(2), $trousers, 'compound', $d->finish(), $trousers === $coat ? '' : $d->edge($h * 0.6, 'coat', 'hard', 'compound'));
        $d->area('Front half', 'boots', Sum::tube($h * 0.08, $h * 0.18)->times(2), $boots, 'compound', $d->finish(), $boots === $trousers ? '' : $d->edge($h * 0.5, 'trousers', 'hard', 'compound'));
        $d->part('Arms', 'styrene', 'moulded grey', 'no 3', 'step 2', 'x2', 'grip hole');
        $d->area('Arms', 'sleeves', Sum::tube($h * 0.075, $h * 0.36)->times(2), $coat, 'compound', $d->finish());
        $d->part('Head', 'styrene', 'moulded grey', 'no 4', 'step 3', 'grip hole');
        $d->area('Head', 'face', Sum::ball($h * 0.13)->share(0.7), $skin, 'compound');
        $d->area('Head', 'hair', Sum::ball($h * 0.13)->share(0.3), $d->colour('hair', 'track brown', 'hull rust', 'brown'), 'compound', $d->edge($h * 0.25, 'face', 'hard', 'fiddly'));
        $d->joint('body halves', 'Front half', 'Back half', 'seam', 'before paint', 'thin cement', 'gap 0.1 mm', max(1, (int) round(2 * $h / 10)).' cm long', 'fill solvent putty', 'step 1');
        $d->joint('arm sockets', 'Front half', 'Arms', 'line', 'after paint', 'clear glue', 'step 2');
        $d->joint('neck', 'Front half', 'Head', 'line', 'after paint', 'clear glue', 'step 3');
        $d->piece('Front half', 'Body', 'on a clip', 'pin in the boot');
    }
}
