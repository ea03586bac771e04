<?php

declare(strict_types=1);

namespace AmberStep\Core\Telling;

use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Part;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Stuff;
use AmberStep\Core\Material\WashFigures;
use AmberStep\Core\Mixing\Jar;
use AmberStep\Core\Mixing\Recipe;
use AmberStep\Core\Mixing\Tones;
use AmberStep\Core\Spray\SetUp;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** How a step is done by the house rules (handbook 5), one sentence each: shown with the step, and when a rule is changed. */
final class Manner
{
    /** @return list<string> */
    public static function of(Step $step, Context $context): array
    {
        return match (true) {
            $step->operation->cleansTheGun() => self::cleaning($step, $context->house),
            $step->operation === Operation::Mask => MaskCard::laid($step, $context),
            $step->operation === Operation::Unmask => MaskCard::lifted($step, $context),
            $step->operation->joins(), $step->operation === Operation::Fill, $step->operation === Operation::CutBack => SeamCard::of($step, $context),
            $step->operation === Operation::Polish => [...SeamCard::of($step, $context), ...self::sanding($step, $context->house)],
            $step->operation === Operation::Cabinet => self::drying($step, $context->house),
            $step->operation->sands() => self::sanding($step, $context->house),
            $step->operation === Operation::Mix => self::mixing($step, $context),
            $step->operation->isWash() => self::panels($step),
            $step->isSprayed() => [...PrimerCard::saved($step, $context), ...CoatCard::why($step, $context), ...CoatCard::gun($step, $context), ...self::cup($step, $context), ...self::tones($step, $context), ...CoatCard::faces($step, $context)],
            default => [],
        };
    }

    /** @return list<string> */
    private static function cleaning(Step $step, HouseRules $house): array
    {
        $hardened = in_array($step->product?->family, [Family::HardenedEnamel, Family::TwoPart], true);

        return [
            $house->says('back-flush', 'yes') ? 'Back-flush once at 0.5 bar: cup under a quarter full, lid and nozzle cap on, a folded cloth over the tip, eyes covered.' : 'No back-flush: thinner forward until it comes clear.',
            match (true) {
                $hardened => 'What is left has hardener in it: it hardens open and small, never capped, never back in a jar.',
                $house->says('leftover', 'jar') => 'What is left goes back to its jar if it is clean; write on it how thin it is.',
                default => 'What is left goes in the bin, not down a drain.',
            },
        ];
    }

    /**
     * One panel in hand, one clock (handbook 9).
     *
     * @return list<string>
     */
    private static function panels(Step $step): array
    {
        $figures = WashFigures::of($step->operation === Operation::Filter, $step->product->family ?? Family::Enamel);
        [$panel, $closes] = [$figures->panelCm2(), $figures->closes];
        if ($panel === null || $closes === null) {
            return [];
        }
        $until = $closes % 60 === 0 ? intdiv($closes, 60).' h' : "{$closes} min";

        return [sprintf('A panel of %d cm² at a time: %s until %s after it is laid.', $panel, $figures->opens === 0 ? 'wiped at once,' : "wiped from {$figures->opens} min", $until)];
    }

    /** @return list<string> */
    private static function drying(Step $step, HouseRules $house): array
    {
        $warm = [sprintf('At %g °C, not above.', $step->cabinetC ?? $step->inserted->cabinetC ?? 45)];

        return $step->cabinetC === null ? $warm : [...$warm, ...match ($house->position('drying')) {
            'box-then-cabinet' => ['A night in a closed box without heat comes first: no dust, and the solvent is out before the heat.'],
            'warm-place' => ['An airing cupboard or a warm shelf, covered from dust: warm, not hot, no flame or heater near it.'],
            default => ['As soon as it may: touch dry, and the hours its solvent needs.'],
        }];
    }

    /** @return list<string> */
    private static function sanding(Step $step, HouseRules $house): array
    {
        $polish = $step->operation === Operation::Polish;

        return [match ($house->position('sanding')) {
            'wet' => 'Wet throughout, a drop of dish soap in the water; let it dry before you judge it.',
            'dry' => $polish ? 'Clear is cut wet whatever the rule; dry paper clogs and burns through.' : 'Dry throughout: wipe, look, go on; mask on.',
            default => $polish ? 'Wet, from the first stroke.' : 'Dry until the last grit; the last one wet.',
        }];
    }

    /** cm² of one colour on a piece that is nothing else outside: a large ship or tank. */
    private const LARGE_CM2 = 150;

    /**
     * The last coat of a large piece in one colour: in tones, or not (house rule).
     *
     * @return list<string>
     */
    private static function tones(Step $step, Context $context): array
    {
        $piece = $context->breakdown->byId[$step->pieceId] ?? null;
        if ($step->operation !== Operation::Colour || ! $step->isLastCoat() || $step->product === null || $piece === null) {
            return [];
        }
        $outside = array_filter($piece->areas, static fn ($a): bool => $a->isPainted() && $a->face === \AmberStep\Core\Kit\Face::Outside);
        $cm2 = array_sum(array_map(static fn ($a): float => $a->cm2(), $outside));
        $shaded = ! $context->house->says('shading', 'flat');
        if ((! $shaded && $cm2 < self::LARGE_CM2) || array_filter($outside, static fn ($a): bool => $a->intent->colour !== $step->counted()) !== []) {
            return [];
        }
        if (! $shaded && $context->house->says('tones', 'uniform')) {
            return ['One tone throughout, from one mix.'];
        }
        $said = [];
        $places = $context->house->says('shading', 'panels') ? ['lighter in the middle of each panel' => true] : ['lighter on what faces up' => true, 'darker below and in the recesses' => false];
        foreach ($places as $where => $lighter) {
            $tone = Tones::towards($step->product, $context->shelf, $lighter);
            if ($tone !== null) {
                $said[] = sprintf('%s, %d : 1 with %s (ΔE00 %.1f)', $where, $tone[1], $tone[0]->name, $tone[2]);
            }
        }

        return $said === [] ? [] : ['This coat in tones: '.implode('; ', $said).'. Keep what is left of each.'];
    }

    /** @return list<string> */
    private static function cup(Step $step, Context $context): array
    {
        if ($step->product?->family === Family::Aerosol) {
            return $step->n === 1 ? ['Shake the can two minutes after the ball comes free.'] : [];
        }
        $need = SetUp::of($step, $context->kit, $context->house, $context->experience->uses)?->need;
        if ($need === null || $step->product === null) {
            return [];
        }

        return [
            'Of the mix: '.implode(' and ', self::poured($step->product, $need->totalMl, $need->thinnerPerPaint, $context->house)).'.',
            $context->house->says('lid', 'off') ? 'Lid off: watch the level.' : 'Lid on: look at the level before each pass.',
        ];
    }

    /** @return list<string> */
    private static function mixing(Step $step, Context $context): array
    {
        if ($step->product === null || $step->cup === null) {
            return [];
        }
        $cup = $step->cup;

        return [
            sprintf('Into the cup, for %s: ', $cup->coats === 1 ? 'one coat' : "{$cup->coats} coats").implode(', then ', self::poured($step->product, $cup->measuredMl(), $cup->thinnerPerPaint, $context->house)).'.',
            ...($cup->livesMinutes === null ? [] : [sprintf('With hardener it lives about %g h in this room, half as long 10 °C warmer.', round($cup->livesMinutes / 60, 1))]),
        ];
    }

    /** @return list<string> "1.20 ml water", in the order they are poured */
    private static function poured(Product $product, float $ml, float $thinnerPerPaint, HouseRules $house): array
    {
        if ($product->isOwnMix() && (new Jar($product))->isEnough($ml)) {
            return [sprintf('%.2f ml %s out of its jar', $ml, $product->name)];
        }
        $recipe = $product->mix !== null ? Recipe::kept($product->mix) : new Recipe([new Part('paint', Stuff::Paint, 1), ...($thinnerPerPaint > 0 ? [new Part('thinner', Stuff::thinning($product->family), $thinnerPerPaint)] : [])]);
        $batch = $recipe->total($ml);

        return array_map(static fn (array $p): string => sprintf('%.2f ml %s', $batch->ml[$p[0]], $recipe->parts[$p[0]]->name), $batch->pouring($house->says('pouring', 'thinner-first')));
    }
}
