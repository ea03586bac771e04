<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

/** Vehicles on tracks or on wheels with a cab: hull in a colour or two, running gear apart, glass last. */
final readonly class Vehicle
{
    private const HIGH = 0.33;

    public function __construct(private Draft $draft, private Kind $kind, private float $length, private float $width)
    {
    }

    public function draft(): void
    {
        $d = $this->draft;
        $tracked = $this->kind === Kind::Tracked;
        $colours = array_slice($d->colours('main', 'dune sand', 'sand'), 0, 3);
        $high = $this->length * self::HIGH;
        $upper = Sum::body($this->length, $this->width, $high * 0.55);
        $d->part('Lower hull', 'styrene', 'moulded tan', 'no A1', 'step 1');
        $d->area('Lower hull', 'lower hull', Sum::hull($this->length, $this->width * 0.8, $high * 0.35), $colours[0], 'flat', $d->finish());
        $d->part('Upper hull', 'styrene', 'moulded tan', 'no A2', 'step 3');
        foreach ($colours as $i => $colour) {
            $d->area('Upper hull', 'upper hull in '.$colour, $upper->share(round(1 / count($colours), 3)), $colour, 'flat', $d->finish($i === 0), $i === 0 ? '' : $d->edge($this->length * 1.2, 'upper hull in '.$colours[$i - 1], 'soft'));
        }
        $d->part('Cab interior', 'styrene', 'moulded tan', 'no B1', 'step 2', 'inside Upper hull');
        $d->area('Cab interior', 'cab walls', Sum::body($this->length * 0.25, $this->width * 0.7, $high * 0.4)->share(0.6), $d->colour('inside', 'interior dark', 'interior grey', 'grey'), 'bent', 'inside');
        $d->area('Cab interior', 'seats', Sum::plate($this->width * 0.25, $this->width * 0.4)->times(2), $d->colour('seat', 'seat leather', 'leather'), 'bent', 'inside', $d->edge($this->width * 0.8, 'cab walls'));
        $this->running($tracked, $colours[0]);
        $d->part('Glass', 'clear styrene', 'no C1', 'step 6', 'grip tab');
        $d->area('Glass', 'windscreen', Sum::plate($this->width * 0.7, $high * 0.25), 'pane', 'flat');
        $d->area('Glass', 'screen frame', Sum::plate($this->width * 0.7, $high * 0.25)->share(0.3), $colours[0], 'fiddly', $d->edge($this->width * 2, 'windscreen'));
        $d->part('Tools', 'styrene', 'moulded tan', 'no B8', 'step 7', 'grip tab');
        $d->area('Tools', 'tool heads', Sum::plate($this->length * 0.12, $this->length * 0.02)->times(2), $d->colour('tools', 'tool steel', 'steel'), 'fiddly');
        $d->joint('cab seat', 'Upper hull', 'Cab interior', 'line', 'before paint', 'thin cement', 'step 2');
        $d->joint('hull line', 'Lower hull', 'Upper hull', 'seam', 'before paint', 'thin cement', 'blocks Cab interior / cab walls', 'blocks Cab interior / seats', 'gap 0.2 mm', max(1, (int) round(2 * ($this->length + $this->width) / 10)).' cm long', 'fill solvent putty', 'step 3');
        $d->joint($tracked ? 'track run' : 'axles', 'Lower hull', $tracked ? 'Tracks' : 'Wheels', 'line', 'after paint', 'superglue', 'step 5');
        if ($tracked) {
            $d->joint('wheel axles', 'Lower hull', 'Road wheels', 'line', 'after paint', 'clear glue', 'step 4');
        }
        $d->joint('glass seat', 'Upper hull', 'Glass', 'line', 'after paint', 'clear glue', 'step 6');
        $d->joint('tool clips', 'Upper hull', 'Tools', 'line', 'after paint', 'superglue', 'step 7');
        $d->piece('Lower hull', 'Hull', 'on a clip', 'dowel in the floor');
    }

    private function running(bool $tracked, string $colour): void
    {
        $d = $this->draft;
        if ($tracked) {
            $wheel = $this->length * 0.09;
            $d->part('Road wheels', 'styrene', 'moulded tan', 'no A5', 'step 4', 'x12', 'grip hole');
            $d->area('Road wheels', 'wheel discs', Sum::plate($wheel, $wheel)->times(12), $colour, 'bent', $d->finish());
            $d->area('Road wheels', 'rubber rims', Sum::tube($wheel, $wheel * 0.3)->times(12), $d->colour('tyres', 'tyre black', 'black'), 'bent', $d->edge(M_PI * $wheel * 12, 'wheel discs', 'hard', 'bent'));
            $d->part('Tracks', 'styrene', 'moulded tan', 'no A6', 'step 5', 'x2', 'grip tab');
            $d->area('Tracks', 'track faces', Sum::plate($this->length * 2.1, $this->width * 0.16)->times(4), $d->colour('tracks', 'hull rust', 'track brown', 'rust'), 'fiddly');

            return;
        }
        $wheel = $this->length * 0.16;
        $d->part('Wheels', 'styrene', 'moulded tan', 'no A5', 'step 5', 'x4', 'grip hole');
        $d->area('Wheels', 'tyres', Sum::tube($wheel, $wheel * 0.3)->times(4), $d->colour('tyres', 'tyre black', 'black'), 'bent');
        $d->area('Wheels', 'rims', Sum::plate($wheel * 0.6, $wheel * 0.6)->times(8), $colour, 'bent', $d->edge(M_PI * $wheel * 0.6 * 4, 'tyres', 'hard', 'bent'));
    }
}
