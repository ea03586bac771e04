<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Work\Operation;

/** Faults and remedies of handbook 2. */
enum Fault: string
{
    case Run = 'run';
    case Dust = 'dust';
    case Grain = 'grain';
    case OrangePeel = 'orange-peel';
    case Crawl = 'crawl';
    case Blush = 'blush';
    case Crazing = 'crazing';
    case Lifted = 'lifted';
    case Bleed = 'bleed';
    case Silvering = 'silvering';
    case BurnThrough = 'burn-through';
    case Dropped = 'dropped';

    public function word(): string
    {
        return match ($this) {
            self::Run => 'run or puddle',
            self::Dust => 'dust or finger mark',
            self::Grain => 'grain, tip dry',
            self::OrangePeel => 'orange peel',
            self::Crawl => 'crawl, fish-eye',
            self::Blush => 'blush',
            self::Crazing => 'crazing, wrinkles',
            self::Lifted => 'lifted with the tape',
            self::Bleed => 'bleed, overspray',
            self::Silvering => 'silvered decal',
            self::BurnThrough => 'burn-through',
            self::Dropped => 'dropped',
        };
    }

    /** What to do this minute. */
    public function now(): string
    {
        return match ($this) {
            self::Run => 'Leave it, lay the piece level, go on elsewhere.',
            self::Dust, self::OrangePeel => 'Leave it.',
            self::Grain => 'Stop and wipe the tip.',
            self::Crawl => 'Stop. Add nothing.',
            self::Blush => 'Leave it; bring the piece somewhere drier and warmer.',
            self::Crazing => 'Stop all coats.',
            self::Lifted => 'Do not press it back.',
            self::Bleed => 'Water acrylic: take it up with a damp bud at once.',
            self::Silvering => 'Leave it dry.',
            self::BurnThrough => 'Stop.',
            self::Dropped => 'Look at pins, rails and joints.',
        };
    }

    /**
     * The remedy's steps in order: operation, what to do, the wait before it. It goes back on what lies there, and ends in the
     * finish the place had (handbook 2, Faults and remedies).
     *
     * @return non-empty-list<array{Operation, string, WaitKind|null}>
     */
    public function remedy(Seen $seen = new Seen(Operation::Colour)): array
    {
        if ($seen->on === null) {
            return [$this === self::Dust ? [Operation::Wipe, 'Wipe it again: soapy water, or what this plastic takes', null] : [Operation::Look, 'Look at it: nothing is on there yet', null]];
        }
        $again = [$seen->again(), match (true) {
            $seen->again() === Operation::Prime => 'Prime again where it was cut',
            $seen->again()->isVarnish() => 'Clear again where it was cut, out to an edge',
            $seen->isMetallic => 'Recoat the whole panel: a patch shows in metallic',
            default => 'Recoat where it was cut, the rest behind a held card',
        }, null];
        $mist = [$seen->again(), $seen->isMetallic && $seen->again() === Operation::Colour ? $again[1] : 'Mist over the place, the rest behind a held card', null];
        $steps = match ($this) {
            self::Run => [[Operation::Flat, 'Flat the run: P1000, then P2000 wet', WaitKind::SandSafe], $again],
            self::Dust => [[Operation::Flat, 'Flat the speck: P2000 wet', WaitKind::SandSafe], $again],
            self::Grain => [[Operation::Flat, 'Flat the grain: P2000, then spray wetter and closer', WaitKind::SandSafe], $again],
            self::OrangePeel => [[Operation::Flat, 'P2000 wet and polish, if the film allows', WaitKind::Cured]],
            self::Crawl => [[Operation::Flat, 'Abrade and degrease the place', WaitKind::SandSafe], $mist],
            self::Blush => [[$seen->again(), 'Mist slow thinner over the blush, or recoat', WaitKind::Recoat]],
            self::Crazing => [[Operation::Flat, 'Flat or strip the place', WaitKind::Cured], [Operation::Barrier, 'Spray a barrier coat', null], $mist],
            self::Lifted => [[Operation::Flat, 'Feather the edge: P1500', WaitKind::SandSafe], [Operation::Prime, 'Spot prime', null], [Operation::Colour, $seen->isMetallic ? $again[1] : 'Mist the colour over the place', null]],
            self::Bleed => [[Operation::Flat, 'Scrape it back, or P2500', WaitKind::TapeSafe], [Operation::Colour, 'Touch it up with the paint that was kept', null]],
            self::Silvering => [[Operation::Look, 'Prick the film, setting solution, leave 24 h', null], [Operation::Gloss, 'Gloss over the decal', null]],
            self::BurnThrough => [[Operation::Prime, 'Spot prime to a panel edge', WaitKind::TouchDry], [Operation::Colour, 'Colour the whole panel', null]],
            self::Dropped => [[Operation::Look, 'Repair what broke, and enter it as found', null]],
        };
        // What was sprayed last over a finished place is not its finish: that goes on again.
        $last = $steps[count($steps) - 1][0];
        $restores = $seen->finish !== null && $last !== Operation::Final && ($last->sprays() || ($this === self::OrangePeel && ! $seen->isGlossy));

        return $restores ? [...$steps, [Operation::Final, 'Its own finish over the place again', null]] : $steps;
    }

    /** Twice the sand-safe time for a run: it is thickest where it sags. */
    public function waitFactor(): float
    {
        return $this === self::Run ? 2.0 : 1.0;
    }
}
