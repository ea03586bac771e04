<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Intent;
use AmberStep\Core\Kit\Part;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Step\Fix;

/** What a part may get that nobody gave a finish (for rule forgotten-part). */
final class MissingFinish
{
    /** @return non-empty-list<Fix> the colour its neighbour has, or bare */
    public static function fixes(Context $context, Part $part): array
    {
        $fixes = [];
        foreach ($context->kit->joints as $joint) {
            $other = array_values(array_diff($joint->parts, [$part->id]))[0] ?? '';
            foreach (in_array($part->id, $joint->parts, true) ? $context->kit->areas : [] as $area) {
                $colour = $context->kit->colour($area->intent->colour);
                if ($area->part === $other && $colour !== null && $fixes === []) {
                    $fixes[] = new Fix("Paint it {$colour->name}, as {$context->kit->partsById[$other]->name}", [self::area($part, $colour->name, $colour->id)]);
                }
            }
        }

        return [...$fixes, new Fix('It stays bare', [self::area($part, 'bare', null)])];
    }

    private static function area(Part $part, string $name, ?string $colour): Edit
    {
        return Edit::add('areas', (new Area(Id::from('finish', $part->id, (string) $colour), $part->position, $part->id, $name, new Intent($colour)))->toArray());
    }
}
