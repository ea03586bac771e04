<?php

declare(strict_types=1);

namespace AmberStep\Core\Subject;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Proposed;
use AmberStep\Core\Lines\LineReader;
use AmberStep\Core\Material\Shelf;
use Closure;
use LogicException;

/** A kit begun from a proposal: everything in it is marked as proposed until it is touched, and what matters most is asked. */
final class Begun
{
    /**
     * @param  Kit  $blank  a name, a scale, and nothing in it
     * @param  Shelf  $shelf  with the paints that were missing
     * @param  Closure(): string  $newId
     */
    public static function kit(Proposal $proposal, Kit $blank, Shelf $shelf, Closure $newId): Kit
    {
        $reading = LineReader::read($proposal->lines, $blank, $shelf, $newId);
        foreach ($reading->unread() as $line) {
            throw new LogicException("A proposed line cannot be read: {$line->text}: {$line->problems[0]->wrong}");
        }
        $kit = $reading->kit;
        $proposed = [];
        foreach ([...$kit->parts, ...$kit->joints, ...$kit->areas] as $thing) {
            $sum = $thing instanceof Area ? $proposal->sums[$kit->partsById[$thing->part]->name.' / '.$thing->name] ?? '' : '';
            $proposed[] = new Proposed($newId(), $thing->id, Proposed::mark($thing->toArray()), $sum);
        }
        foreach (Questions::ofKit($kit) as [$of, $ask]) {
            $proposed[] = new Proposed($newId(), $of, $ask);
        }

        return Kit::fromArray([...$kit->toArray(), 'proposed' => array_map(static fn (Proposed $p): array => $p->toArray(), $proposed)]);
    }
}
