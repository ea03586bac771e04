<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule\Paint;

use AmberStep\Core\Colour\Spectrum;
use AmberStep\Core\Document\Names;
use AmberStep\Core\Kit\Area;
use AmberStep\Core\Kit\Colour;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\Grounds;
use AmberStep\Core\Layering\Hiding;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Role;
use AmberStep\Core\Mixing\Coverage;
use AmberStep\Core\Rule\Judges;
use AmberStep\Core\Rule\Outlook;
use AmberStep\Core\Rule\Say;
use AmberStep\Core\Rule\Says;
use AmberStep\Core\Step\Finding;
use AmberStep\Core\Work\Operation;
use AmberStep\Core\Work\Severity;

#[Says(
    'The coats planned do not hide what lies under them: more coats, or a better ground.',
    speaks: [Severity::Think],
    rests: 'Handbook 4, Colour: what still shows, in CIEDE2000, against the house rule',
)]
final class GroundShows implements Judges
{
    public function id(): string
    {
        return 'ground-shows';
    }

    public function judge(Outlook $outlook): iterable
    {
        $context = $outlook->context;
        $shows = $known = [];
        foreach ($context->kit->areas as $area) {
            $found = $this->look($outlook, $area, $known);
            if ($found !== null) {
                [$product, $ground, $difference] = $found;
                $key = $product->id.$ground;
                $shows[$key] ??= [$product, $ground, 0.0, []];
                $shows[$key][2] = max($shows[$key][2], $difference);
                $shows[$key][3][] = $area;
            }
        }
        foreach ($shows as [$product, $ground, $difference, $areas]) {
            yield $this->finding($outlook, $product, $ground, $difference, $areas);
        }
    }

    /**
     * @param  array<string, float>  $known  how much of a ground shows through so much of a paint, as far as it was asked
     * @return array{Product, string, float}|null the colour, the swatch under it, and how much of it shows; null where it is hidden
     */
    private function look(Outlook $outlook, Area $area, array &$known): ?array
    {
        $stack = $outlook->stack($area->id);
        $at = array_key_last(array_filter($stack, static fn (Layer $l): bool => $l->operation === Operation::Colour && $l->purpose === $area->intent->colour));
        $layer = $stack[$at ?? -1] ?? null;
        // What is under a real layer has been seen and judged already.
        $covered = $at !== null && count($outlook->context->surface->area($area->id)->layers) > $at + 1;
        if ($layer?->product?->swatch === null || $layer->product->role !== Role::Colour || $covered) {
            return null;
        }
        [, $ground] = Grounds::ofArea($area, $outlook->final, $outlook->context->kit);
        $film = array_sum(array_map(static fn ($c): float => $c->filmMicrons, $layer->coats)) / $layer->product->family->figures()->referenceFilmMicrons;
        $difference = $known["{$layer->product->id} {$ground} {$film}"] ??= (new Coverage($layer->product))->differs($film, Spectrum::of($ground));

        return $difference < Hiding::threshold($outlook->context->house) ? null : [$layer->product, $ground, $difference];
    }

    /** @param  non-empty-list<Area>  $areas */
    private function finding(Outlook $outlook, Product $product, string $ground, float $difference, array $areas): Finding
    {
        $context = $outlook->context;
        $needed = $this->needed($outlook, $product, $ground, $areas);
        $names = Names::listed(array_map(static fn (Area $a): string => $a->name, $areas));
        $sentence = sprintf('What lies under %s still shows by ΔE00 %.1f on %s; %s. This predicts; a spoon decides.', $product->name, $difference, $names, $needed === null ? 'twelve coats do not hide it' : ($needed === 2 ? 'a mist and a light coat would hide it' : $needed.' coats would hide it'));

        return new Finding($this->id(), Severity::Think, "The ground shows through {$product->name}", $sentence, array_map(static fn (Area $a): string => $a->id, $areas), [], Say::fixes([
            $needed === null ? null : GroundFixes::coats($context, $areas, $needed),
            GroundFixes::ground($context, $product, $areas),
        ]), rests: $ground.round($difference, 1));
    }

    /**
     * Coats in all, those that are on counted with the film they left.
     *
     * @param  non-empty-list<Area>  $areas
     * @return int|null null where twelve do not hide it
     */
    private function needed(Outlook $outlook, Product $product, string $ground, array $areas): ?int
    {
        $context = $outlook->context;
        [$coverage, $under, $hidden] = [new Coverage($product), Spectrum::of($ground), Hiding::threshold($context->house)];
        $most = 2;
        foreach ($areas as $area) {
            [$on, $film] = self::laid($context, $area, $product);
            $each = self::each($outlook, $area, $product);
            $n = max(2, $on);
            while ($n <= Coverage::NEVER) {
                if ($coverage->differs($film + $each * ($n - $on) - ($on === 0 && $each > 0.5 ? 0.5 : 0), $under) < $hidden) {
                    break;
                }
                $n++;
            }
            $most = max($most, $n);
        }

        return $most > Coverage::NEVER ? null : $most;
    }

    /** A coat as it is planned there, in reference coats: half where it takes mists only. */
    private static function each(Outlook $outlook, Area $area, Product $product): float
    {
        $each = 1.0;
        foreach ($outlook->stack($area->id) as $layer) {
            if ($layer->operation === Operation::Colour && $layer->purpose === $area->intent->colour) {
                $each = $layer->lastCoat()->filmMicrons / $product->family->figures()->referenceFilmMicrons;
            }
        }

        return $each;
    }

    /** @return array{int, float} coats of the colour that are on an area, and in reference coats the film of those nothing lies on */
    public static function laid(Context $context, Area $area, Product $product): array
    {
        $on = 0;
        $film = 0.0;
        foreach ($context->surface->area($area->id)->layers as $layer) {
            $own = $layer->operation === Operation::Colour && $layer->purpose === $area->intent->colour;
            $on += $own ? count($layer->coats) : 0;
            // What something else has come over hides nothing of that.
            $film = $own ? array_sum(array_map(static fn ($c): float => $c->filmMicrons, $layer->coats)) / $product->family->figures()->referenceFilmMicrons : 0.0;
        }

        return [$on, $film];
    }
}
