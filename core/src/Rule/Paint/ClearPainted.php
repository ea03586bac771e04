<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Intent;
use AmberStep\Core\Kit\Part;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Severity;

#[Says(
    'A clear part that is painted all over in a body colour is asked about: a pane that was painted is not clear again.',
    speaks: [Severity::Think],
    rests: 'What the part is made of, and what other parts have its colour',
)]
final class ClearPainted implements Judges
{
    public function id(): string
    {
        return 'clear-painted';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->kit->parts as $part) {
            $areas = $context->kit->areasOf($part->id);
            if (! $part->isClear() || $areas === [] || array_filter($areas, static fn (Area $a): bool => ! $a->isPainted()) !== []) {
                continue;
            }
            $body = array_values(array_filter($areas, fn (Area $a): bool => $this->isBodyColour($a, $part, $context)));
            $untouched = array_filter($areas, static fn (Area $a): bool => $context->surface->area($a->id)->layers !== []) === [];
            if ($body !== [] && $untouched) {
                $clear = array_merge(...array_map(static fn (Area $a): array => [Edit::set('areas', $a->id, 'intent', (new Intent)->toArray()), Edit::set('areas', $a->id, 'face', Face::Pane->value)], $body));
                yield new Finding($this->id(), Severity::Think, "{$part->name} is clear, and painted all over", 'It has a colour of the body and no pane: what is primed once is not clear again.', [$part->id], [], [
                    new Fix("{$part->name} stays clear", $clear),
                    new Fix("{$part->name} is no clear part", [Edit::set('parts', $part->id, 'substrate', Substrate::Styrene->value)]),
                ]);
            }
        }
    }

    /** A colour that other, opaque parts have on their outside too. */
    private function isBodyColour(Area $area, Part $part, Context $context): bool
    {
        $product = $context->shelf->find($context->kit->colour($area->intent->colour)?->product);
        if ($product === null || $product->role === Role::TintedClear) {
            return false;
        }
        foreach ($context->kit->areas as $other) {
            if ($other->part !== $part->id && $other->face === Face::Outside && $other->intent->colour === $area->intent->colour && ! $context->kit->partsById[$other->part]->isClear()) {
                return true;
            }
        }

        return false;
    }
}
