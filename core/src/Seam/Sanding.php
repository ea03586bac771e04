<?php

declare(strict_types=1);

namespace AmberStep\Core\Seam;

use AmberStep\Core\Kit\FoundAt;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Material\Access;
use AmberStep\Core\Material\Grit;

/** From which grit to which a place is taken, and how (handbook 2, Abrasives; handbook 1, step 5). */
final readonly class Sanding
{
    /** @param  list<string>  $how  sentences */
    private function __construct(public Grit $from, public Grit $to, public string $why, public array $how, private bool $isClear = false)
    {
    }

    /**
     * The grits of it in order, the first the scratch that is there; null where no grit leads there.
     *
     * @param  list<Grit>  $owned
     */
    public function ladder(array $owned): ?Ladder
    {
        return $this->isClear ? Ladder::settled([$this->from, Grit::read('P3000'), $this->to], $owned) : Ladder::between($this->from, $this->to, $owned);
    }

    public static function of(Place $place, HouseRules $house): self
    {
        if ($place->isClear) {
            return new self(Grit::read('P2000'), Grit::read('P4000'), 'what clear plastic is polished from; never coarser than the scratch that is there', [
                'Wet, a drop of soap, light pressure, another direction with each grit; no primer grit ever.',
                'Then compound on a soft cloth, and a dip or a gloss coat.',
            ], true);
        }
        [$to, $why] = match (true) {
            $place->foundAt === FoundAt::Clear => ['P2000', 'the last grit before clear goes on again'],
            $house->says('primer', 'never') => ['P1500', 'the last grit where no primer follows'],
            default => ['P600', 'the last grit before primer'],
        };

        return new self(Grit::read($place->kind?->startGrit() ?? 'P400'), Grit::read($to), $why, [
            ...($place->access === Access::Open ? [] : ['Tape on either side as a guard; cut back to the tape, then take it off for the last grit.']),
            $place->access === Access::Tight ? 'A stick cut to the width of the grit, in one direction.' : 'Grit on a bar, never on a finger: keep the curve, one direction, then across it with the next.',
            match (true) {
                $house->says('sanding', 'dry') => 'Dry: wipe, do not blow.',
                $house->says('sanding', 'wet') => 'Wet throughout: a drop of soap in the water.',
                default => 'Dry, and wet for the last grit.',
            },
            ...($place->foundAt === FoundAt::Bare ? [] : ['Feather 5 mm beyond the place, off the edges: they carry half the film.']),
        ]);
    }
}
