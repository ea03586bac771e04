<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** Which filler for a place, why, and what comes next best (handbook 2, Fillers: the first that applies). */
final readonly class FillerAdvice
{
    /** cm of superglue with powder one cuts back before it has set. */
    private const FAST_SECTION_CM = 3;

    /** mm of water putty that dry in one go. */
    private const WATER_LAYER_MM = 0.5;

    /**
     * @param  string  $why  without a full stop
     * @param  array{Filler, string}|null  $runnerUp  and why
     * @param  list<string>  $how  sentences
     */
    private function __construct(public Filler $filler, public string $why, public ?array $runnerUp, public ?Shim $shim, public array $how)
    {
    }

    public static function for(Gap $gap): self
    {
        $choices = self::inOrder($gap);
        [$filler, $why] = $choices[0];
        $shim = $filler === Filler::Shim ? Shim::of($gap->mm) : null;
        $runnerUp = array_values(array_filter($choices, static fn (array $c): bool => $c[0] !== $filler))[0] ?? null;

        return new self($filler, $why, $runnerUp, $shim, self::laid($filler, $gap, $shim));
    }

    /**
     * All that apply, the first of them first.
     *
     * @return non-empty-list<array{Filler, string}>
     */
    private static function inOrder(Gap $gap): array
    {
        $all = [];
        if ($gap->access === Access::None) {
            return [[Filler::ClearGlue, 'sanding would kill the detail: it is wiped wet'], [Filler::AcrylicFiller, 'wiped wet as well, and covers more in one go']];
        }
        if ($gap->straight && ! $gap->shaped && $gap->mm >= Shim::LEAST_GAP) {
            $all[] = [Filler::Shim, 'a straight gap of 0.3 mm or more: card does not shrink'];
        }
        if ($gap->shaped) {
            $all[] = [Filler::EpoxyPutty, 'it is modelled, and keeps its shape'];
        }
        if ($gap->rescribed) {
            array_push($all, ...($gap->paneBeside ? [] : [[Filler::Superglue, 'a line is scribed through it: putty chips']]), ...[[Filler::EpoxyPutty, 'a line is scribed through it: putty chips']]);
        }
        if ($gap->tonight) {
            $all[] = $gap->paneBeside ? [Filler::LightCured, 'ready at once under its lamp, and no vapour near the pane'] : [Filler::SuperglueAccelerated, 'it can be cut back two minutes later'];
        }
        $all[] = match (true) {
            $gap->mm <= 0.05 => [Filler::Surfacer, 'up to 0.05 mm a brushed coat fills it'],
            $gap->mm <= 0.3 => [Filler::SolventPutty, 'up to 0.3 mm it bites into the plastic'],
            default => [Filler::WaterPutty, 'over 0.3 mm it dries without shrinking much'],
        };
        $all[] = $gap->mm <= 0.05 ? [Filler::SolventPutty, 'thinned and brushed on it does as well'] : ($gap->paneBeside ? [Filler::EpoxyPutty, 'no vapour near the pane'] : [Filler::Superglue, 'where it has to be hard at once']);

        return $all;
    }

    /**
     * How a filler is laid in a gap, and when it may be sanded.
     *
     * @param  Shim|null  $shim  null: as the gap asks for
     * @return list<string> sentences
     */
    public static function laid(Filler $filler, Gap $gap, ?Shim $shim = null): array
    {
        $shim ??= $filler === Filler::Shim ? Shim::of($gap->mm) : null;
        $ready = $filler->readyMinutes($gap->mm);
        $how = match ($filler) {
            Filler::Shim => ['Card of '.implode(' and ', array_map(Shim::words(...), $shim->card ?? [])).', cemented in proud'.(($shim->rest ?? 0) > 0 ? ', then a skim for '.Shim::words($shim->rest ?? 0).'.' : '.')],
            Filler::Superglue => ['In sections of '.self::FAST_SECTION_CM.' cm: mix, fill, cut back at once'.($gap->lengthCm > self::FAST_SECTION_CM ? ', '.(int) ceil($gap->lengthCm / self::FAST_SECTION_CM).' of them.' : '.')],
            Filler::SuperglueAccelerated => ['Accelerator on a brush, not sprayed; never near panes or paint.'],
            Filler::WaterPutty => [...($gap->mm > self::WATER_LAYER_MM ? ['In '.(int) ceil($gap->mm / self::WATER_LAYER_MM).' layers, each dry before the next.'] : []), 'It is porous: a sealing coat over it, or it ghosts through the paint.'],
            Filler::SolventPutty => ['The first squeeze of a tube is dry: wipe it off.', ...($gap->mm > 0.15 ? ['It shrinks by 5 to 10 %: plan a second pass.'] : [])],
            Filler::EpoxyPutty => ['Tool it wet before it sets.'],
            Filler::ClearGlue, Filler::AcrylicFiller => ['Run it in, wipe across the joint with a damp bud; judge by eye and raking light, for a dark line may be a filled joint.'],
            Filler::LightCured => ['Waxy: wipe it with alcohol before sanding, or it clogs the grit.'],
            Filler::Surfacer => ['Brush it along the line, a little proud.'],
        };
        $time = $ready < 60 ? "{$ready} min" : sprintf('%g h', $ready / 60);
        $how[] = match (true) {
            in_array($filler, [Filler::ClearGlue, Filler::AcrylicFiller], true) => "Paint over it after {$time}.",
            $filler === Filler::LightCured => 'Sand it at once.',
            $filler->shutMinutes() !== null => "Cut back from {$time} on, and before {$filler->shutMinutes()} min: later it is harder than the plastic, then file.",
            default => "Sand it after {$time}.",
        };

        return [...$how, ...($gap->access === Access::Open || $gap->access === Access::None ? [] : ['Tape on either side as a guard; cut back to the tape.'])];
    }
}
