<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Glue;

use AmberStep\Core\Document\Id;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Kit\Curve;
use AmberStep\Core\Kit\Edit;
use AmberStep\Core\Kit\Face;
use AmberStep\Core\Kit\Intent;
use AmberStep\Core\Kit\Joint;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Size;
use AmberStep\Core\Layering\ColourOrder;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Step\Fix;
use AmberStep\Core\Work\Severity;

#[Says(
    'Light comes through grilles, gaps and lamps: what lies behind them is dark before it is closed.',
    speaks: [Severity::Note],
    rests: 'Darker than L* 35',
)]
final class HiddenLight implements Judges
{
    /** CIE L*: darker than this swallows light. */
    private const DARK = 35;

    public function id(): string
    {
        return 'hidden-light';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        foreach ($context->kit->joints as $joint) {
            $open = array_values(array_filter($joint->parts, static fn (string $p): bool => self::letsLight($context->kit, $p)));
            if ($open === [] || $context->surface->joint($joint->id)->closedAt !== null || $this->isDarkBehind($context, $joint)) {
                continue;
            }
            $name = $context->kit->partsById[$open[0]]->name;
            yield new Finding($this->id(), Severity::Note, "Light comes through {$name}", "What lies behind {$joint->name} is not painted dark: bare plastic shines through once it is closed.", [$joint->id], [], [
                $this->dark($context, $joint, array_values(array_diff($joint->parts, $open))[0] ?? $open[0], $name),
            ]);
        }
    }

    /** Moulded so, or seen in a test fit and noted in the booklet. */
    private static function letsLight(Kit $kit, string $partId): bool
    {
        $part = $kit->partsById[$partId];

        return $part->letsLight || array_filter($kit->callouts, static fn ($c): bool => $c->letsLight && $part->number !== null && strcasecmp($c->number, $part->number) === 0) !== [];
    }

    /** An area behind it in the darkest colour there is, to be painted before the joint is closed. */
    private function dark(Context $context, Joint $joint, string $behind, string $name): Fix
    {
        [$colour, $edits] = $this->darkest($context);
        $area = new Area(Id::from('dark', $joint->id), count($context->kit->areas), $behind, "behind {$name}", new Intent($colour), null, Size::S, Curve::Flat, Face::Inside);

        return new Fix("Paint it dark behind {$name} before {$joint->name} is closed", [...$edits, Edit::add('areas', $area->toArray()), Edit::set('joints', $joint->id, 'blocks', [...$joint->blocks, $area->id])]);
    }

    /** @return array{string|null, list<Edit>} a dark colour of the build; else the darkest paint of the shelf, as a new one */
    private function darkest(Context $context): array
    {
        $best = null;
        foreach ($context->kit->colours as $colour) {
            $lightness = ColourOrder::lightness($context->shelf->find($colour->product));
            if ($lightness < self::DARK && ($best === null || $lightness < $best[0])) {
                $best = [$lightness, $colour->id];
            }
        }
        if ($best !== null) {
            return [$best[1], []];
        }
        $paints = array_values(array_filter($context->shelf->products, static fn (Product $p): bool => $p->role === Role::Colour && $p->swatch !== null));
        usort($paints, static fn (Product $a, Product $b): int => ColourOrder::lightness($a) <=> ColourOrder::lightness($b));
        $id = Id::from('dark-colour', $paints[0]->id ?? '');

        return $paints === [] ? [null, []] : [$id, [Edit::add('colours', (new Colour($id, count($context->kit->colours), $paints[0]->name, $paints[0]->id))->toArray())]];
    }

    private function isDarkBehind(Context $context, Joint $joint): bool
    {
        foreach ($context->kit->areas as $area) {
            // Light falls as far as it finds anything: what lies anywhere inside the piece behind counts.
            $pieces = array_map(static fn ($p): string => $p->id, $context->breakdown->sides($joint));
            $behind = $area->face === Face::Inside && (in_array($context->breakdown->pieceOfArea[$area->id], $pieces, true) || in_array($area->id, $joint->blocks, true));
            if ($behind && ColourOrder::lightness($context->shelf->find($context->kit->colour($area->intent->colour)?->product)) < self::DARK) {
                return true;
            }
        }

        return false;
    }
}
