<?php

declare(strict_types=1);

namespace AmberStep\Core\Telling;

use AmberStep\Core\Kit\Curve;
use AmberStep\Core\Kit\Edge;
use AmberStep\Core\Kit\EdgeKind;
use AmberStep\Core\Kit\Hand;
use AmberStep\Core\Kit\Mask;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Masking\Cover;
use AmberStep\Core\Masking\MaskFor;
use AmberStep\Core\Masking\Register;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Step\Step;

/** How a mask is laid, what lies on the field behind its edge, and how it comes off (handbook 7, Laying and lifting). */
final class MaskCard
{
    /** µm of dry film over an edge from which film is scored before it is lifted. */
    private const SCORED_FROM = 25.0;

    /** @return list<string> */
    public static function laid(Step $step, Context $context): array
    {
        if ($step->purpose === MaskFor::OPENING) {
            return [];
        }

        return [...self::own($step, $context), ...self::how($step, $context), ...self::counted($step, $context), ...self::field($step, $context), ...(self::hasTab($step) ? ['A small tab of it beside, where nobody looks: that is lifted first.'] : [])];
    }

    /** What holds by its glue on paint is tried on a tab before all of it is lifted (handbook 7, Test tab). */
    private static function hasTab(Step $step): bool
    {
        return ! MaskFor::all($step->purpose) && in_array($step->medium, [Medium::PaperTape, Medium::VinylTape, Medium::CutFilm, Medium::LiquidMask], true);
    }

    /** @return list<string> the masks of the register that are laid, which hand, and where each begins */
    private static function own(Step $step, Context $context): array
    {
        $register = new Register($context->kit, $context->surface);

        return array_map(static fn (Mask $mask): string => ucfirst($mask->name()).' on '.$context->areaName((string) $mask->area).($mask->hand === Hand::None ? '' : ", {$mask->hand->word()} hand").($mask->start === '' ? '' : ", begins at {$mask->start}").'.', $register->laid($step->targets, $step->counted()));
    }

    /** @return list<string> */
    private static function how(Step $step, Context $context): array
    {
        $house = $context->house;
        $panes = $step->purpose === MaskFor::PANES;

        return match ($step->medium) {
            Medium::PaperTape => ['A fresh edge, cut on glass. Burnish the edge only; where the line matters seal it with a mist of the ground colour or clear.'],
            Medium::VinylTape => ['Start on a wrap, lay it without pull; paper behind it.'],
            Medium::CutFilm => match (true) {
                $panes => [$house->says('bought-masks', 'tack-off') ? 'Take the tack off on the back of the hand first.' : 'As they come off the sheet, tack and all.'],
                self::isFine($step, $context) => [$house->says('patterns', 'on-model') ? 'Lay it whole, carrier and all; weed it on the model.' : 'Weed it on the sheet and lay it piece by piece.'],
                default => ['Tack off on the hand where the paint is young; leave a long side as a grip.'],
            },
            Medium::LiquidMask => [
                ...($panes ? ['Old glue out of the corners first.'] : []),
                $house->says('liquid-mask', 'brush') ? 'Three coats with a soft brush, 20 min between them, an hour before it is cut or painted over.' : 'Spray it, wash the gun at once; an hour before it is cut.',
                $panes ? 'Cut the frames free along the moulding: several light cuts.' : 'Cut along the edge, lightly.',
            ],
            Medium::Putty => [
                'Laid on, not pressed down: the roll stands off, and that makes the edge soft.',
                ...($step->n < $step->of ? ['For the next colour only: lifted once that is touch dry and laid again, as its oil marks the paint after a day.'] : []),
            ],
            Medium::RubberCement => ['1.5 mm thick; do not turn the model until it has stopped running, 20 min.'],
            Medium::HeldCard => ['Held by hand, off the surface, moved along with the gun.'],
            default => [],
        };
    }

    /**
     * What is counted before the gun is taken up (rule uncovered): areas, and the corners, where two runs of tape meet or one
     * laid round a body meets itself. A corner is where it opens.
     *
     * @return list<string>
     */
    private static function counted(Step $step, Context $context): array
    {
        if (! in_array($step->medium, [Medium::PaperTape, Medium::VinylTape, Medium::CutFilm], true) || $step->purpose === MaskFor::PANES) {
            return $step->purpose === MaskFor::PANES && count($step->targets) > 1 ? [sprintf('Count them: %d panes.', count($step->targets))] : [];
        }
        $corners = 0;
        foreach ($step->targets as $area) {
            $edges = array_filter($context->kit->edgesOf($area), static fn (Edge $e): bool => ! in_array($e->areas[$e->areas[0] === $area ? 1 : 0], $step->targets, true));
            $round = array_filter($edges, static fn (Edge $e): bool => $e->curve !== Curve::Flat);
            $corners += count($edges) > 1 ? count($edges) : count($round);
        }
        $parts = [...(count($step->targets) > 1 ? [count($step->targets).' areas'] : []), ...($corners > 0 ? [$corners.($corners === 1 ? ' corner' : ' corners').' where tape meets tape'] : [])];

        return $parts === [] ? [] : ['Count before you spray: '.implode(', ', $parts).'.'];
    }

    /** @return list<string> what covers the field, and how much of it there is */
    private static function field(Step $step, Context $context): array
    {
        if ($step->medium === Medium::HeldCard || $step->purpose === MaskFor::PANES) {
            return [];
        }
        $cm2 = array_sum(array_map(static fn (string $id): float => ($context->kit->areasById[$id] ?? null)?->cm2() ?? 0.0, $step->targets));
        $with = match (true) {
            Cover::with($step, $context->house) === Medium::RubberCement => 'rubber cement, 1.5 mm thick; it runs while it is wet',
            $step->medium === Medium::CutFilm, $step->medium === Medium::LiquidMask, $step->medium === Medium::RubberCement => null,
            $step->medium === Medium::Putty => 'film, paper or damp tissue',
            default => 'paper and tape',
        };

        return $with === null || $cm2 < 1 ? [] : [sprintf('The field behind it, %d cm², under %s.', (int) round($cm2), $with)];
    }

    /** @return list<string> */
    public static function lifted(Step $step, Context $context): array
    {
        if ($step->purpose === MaskFor::OPENING) {
            return [];
        }
        $microns = self::filmOver($step, $context);

        return [
            ...(self::hasTab($step) ? ['The tab first: clean, the rest comes off; torn, say it is still soft and wait as long again.'] : []),
            ...match ($step->medium) {
                Medium::VinylTape => ['Slowly; warm it where it resists.'],
                Medium::LiquidMask => ['Scored round every edge, then lift a corner with a pick: it comes as one skin, the corners with a damp bud.'],
                Medium::Putty => ['Roll it off from one end.'],
                Medium::RubberCement => ['Roll it off with a finger.'],
                default => [],
            },
            ...($step->medium === Medium::CutFilm && $microns >= self::SCORED_FROM ? [sprintf('%d µm of paint lie over its edge: score along it first, lightly.', (int) round($microns))] : []),
        ];
    }

    /** µm of dry film that is planned over a mask while it is on. */
    private static function filmOver(Step $unmask, Context $context): float
    {
        $mask = $context->steps->find("{$unmask->target}/mask/{$unmask->purpose}/{$unmask->n}");
        $microns = [];
        foreach ($context->steps->ofPiece($unmask->pieceId) as $step) {
            if ($step->isSprayed() && ! $step->isRemedy() && $step->phase === $unmask->phase && $step->product !== null && $step->rank > ($mask->rank ?? 0) && $step->rank < $unmask->rank) {
                foreach (array_diff($step->targets, $unmask->targets) as $area) {
                    $microns[$area] = ($microns[$area] ?? 0) + ($step->coatKind ?? CoatKind::Light)->filmMicrons($step->product->family->figures()->referenceFilmMicrons);
                }
            }
        }

        return $microns === [] ? 0.0 : max($microns);
    }

    private static function isFine(Step $step, Context $context): bool
    {
        foreach ($step->targets as $target) {
            foreach ($context->kit->edgesOf($target) as $edge) {
                if ($edge->kind === EdgeKind::Hard && $edge->curve === Curve::Fiddly) {
                    return true;
                }
            }
        }

        return false;
    }
}
