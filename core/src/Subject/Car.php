<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

/** A road car: body and lids in one colour and one spraying, taped in place; inside before glass, wheels apart. */
final readonly class Car
{
    private const HIGH = 0.32;

    public function __construct(private Draft $draft, private float $length, private float $width)
    {
    }

    public function draft(): void
    {
        $d = $this->draft;
        $looks = $d->looks();
        $main = $d->colour('main', 'signal red', 'red');
        $ground = $looks->has('lower') ? ', on '.$d->colour('lower') : '';
        $high = $this->length * self::HIGH;
        $shell = Sum::body($this->length, $this->width, $high);
        $roof = $looks->has('roof') ? $d->colour('roof') : null;
        $d->part('Body', 'styrene', 'moulded white', 'no A1', 'step 5');
        $d->area('Body', 'body sides', $shell->share($roof === null ? 0.8 : 0.7), $main.$ground, 'compound', $d->finish($looks->decals));
        $d->part('Bonnet', 'styrene', 'moulded white', 'no A2', 'step 8', 'grip flat back');
        $d->area('Bonnet', 'bonnet', $shell->share(0.2, 'with the boot'), $main.$ground, 'compound', $d->finish());
        if ($roof !== null) {
            $d->area('Body', 'roof', $shell->share(0.1), $roof, 'compound', $d->finish(), $d->edge(2 * $this->length * 0.45, 'body sides', 'hard', 'bent'));
        }
        $d->part('Floor', 'styrene', 'moulded black', 'no B1', 'step 1');
        $d->area('Floor', 'cabin', Sum::body($this->length * 0.45, $this->width * 0.8, $high * 0.4)->share(0.7), $d->colour('inside', 'interior dark', 'black'), 'bent');
        $d->area('Floor', 'seats', Sum::plate($this->width * 0.3, $this->width * 0.6)->times(4), $d->colour('seat', 'seat leather', 'leather'), 'bent', $d->edge($this->width * 1.5, 'cabin'));
        $wheel = $this->length * 0.15;
        $d->part('Wheels', 'styrene', 'moulded grey', 'no B5', 'step 7', 'x4', 'grip hole');
        $d->area('Wheels', 'rims', Sum::plate($wheel * 0.65, $wheel * 0.65)->times(4), $d->colour('wheels', 'tool steel', 'silver', 'steel'), 'bent');
        $d->part('Tyres', 'soft vinyl', 'no V1', 'step 7', 'x4', 'grip none');
        $d->part('Windows', 'clear styrene', 'no C1', 'step 4', 'grip tab');
        $d->area('Windows', 'panes', $shell->share(0.22), 'pane', 'bent');
        $d->area('Windows', 'window rubbers', $shell->share(0.02), $d->colour('tyres', 'tyre black', 'black'), 'fiddly', $d->edge($this->length * 1.6, 'panes', 'hard', 'bent'));
        $d->joint('window frame', 'Body', 'Windows', 'line', 'after paint', 'clear glue', 'step 4');
        $d->joint('floor pan', 'Body', 'Floor', 'line', 'after paint', 'clear glue', 'step 5');
        $d->joint('bonnet hinge', 'Body', 'Bonnet', 'line', 'after paint', 'clear glue', 'step 8');
        $d->joint('axles', 'Floor', 'Wheels', 'line', 'after paint', 'superglue', 'step 7');
        $d->joint('wheel rims', 'Wheels', 'Tyres', 'line', 'after paint', 'superglue', 'step 6');
        $d->piece('Body', 'Body', 'on a clip', 'dowel under the roof');
    }
}
