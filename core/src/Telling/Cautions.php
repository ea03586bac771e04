<?php

declare(strict_types=1);

namespace AmberStep\Core\Telling;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\Glue;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** Precautions shown with a step (handbook 5): short, exact, never in the way. */
final class Cautions
{
    public const FRAME = "The product's safety data sheet and local rules come first; this is general practice, not professional advice. For exposure limits, ventilation design, waste and medical questions ask the people licensed for it.";

    /** @return list<string> */
    public static function of(Step $step, Kit $kit): array
    {
        return array_values(array_unique([...self::paint($step), ...self::work($step, $kit)]));
    }

    /** @return list<string> */
    private static function paint(Step $step): array
    {
        $family = $step->product?->family;
        if ($family === null || (! $step->operation->leavesLayer() && $step->operation !== Operation::Mix)) {
            return [];
        }
        $out = [];
        if ($step->operation->sprays()) {
            $out[] = 'Extraction on, fitted organic-vapour and particle respirator; nobody else and no animals in the room.';
        }
        if ($family === Family::TwoPart || $family === Family::HardenedEnamel) {
            $out[] = 'Hardener sensitises: supplied air where its sheet says so, gloves, eyes and skin covered.';
        }
        if ($family->liquid() !== Liquid::WaterAcrylic) {
            $out[] = 'No flame, heater or hair dryer while it is wet; solvent rags flat to dry or in water, in a metal bin.';
        }
        if ($family === Family::Aerosol) {
            $out[] = 'Warm a cold can in 35 °C water only, never on a radiator.';
        }

        return $out;
    }

    /** @return list<string> */
    private static function work(Step $step, Kit $kit): array
    {
        $joint = $kit->jointsById[$step->jointId ?? ''] ?? null;

        return match ($step->operation) {
            Operation::CutBack, Operation::Abrade, Operation::Flat, Operation::Polish, Operation::Scrape => [self::dust($step, $kit), ...($step->operation === Operation::Scrape ? [self::BLADE] : [])],
            Operation::Mask, Operation::MaskFaces => [self::BLADE],
            Operation::Glue, Operation::Attach => match ($joint?->glue) {
                Glue::Superglue => ['Superglue: fumes and eyes; it bonds skin in seconds and kicks hot in pools and on cotton.'],
                Glue::Epoxy => ['Epoxy sensitises skin: gloves.'],
                Glue::ThinCement, Glue::SlowCement => ['Cement vapour: air the room. No flame.'],
                default => [],
            },
            Operation::Fill => match ($step->placeId === null ? null : Place::find($step->placeId, $kit)?->filler()) {
                Filler::EpoxyPutty => ['Epoxy putty sensitises skin: gloves.'],
                Filler::Superglue, Filler::SuperglueAccelerated => ['Superglue and accelerator: fumes, eyes, skin.'],
                Filler::LightCured => ['Light-cured filler: gloves; eyes away from the lamp.'],
                Filler::Shim => ['Cement vapour: air the room. No flame.', self::BLADE],
                Filler::SolventPutty => ['Solvent putty: air the room. No flame.'],
                default => [],
            },
            Operation::Cabinet => ["Below the plastic's limit, only touch-dry pieces, never unattended until you know it; a food dryer is not made for vapour."],
            Operation::Soften, Operation::FitWarm => ['Hot water: tongs, lined gloves, a pot that stands firm.'],
            Operation::Trim => [self::BLADE],
            Operation::Wipe => $step->inserted?->wipe === Liquid::WaterAcrylic ? [] : ['Solvent on a rag: gloves, air, no flame.'],
            default => [],
        };
    }

    private const BLADE = 'Blade: cut away from the hand, sharp; scoring is a light pull.';

    private static function dust(Step $step, Kit $kit): string
    {
        foreach ($step->targets as $target) {
            $part = $kit->partsById[$kit->areasById[$target]->part ?? ''] ?? null;
            if ($part !== null && ($part->substrate === Substrate::Resin || $part->substrate === Substrate::Printed || $part->substrate->isMetal())) {
                return 'Resin and metal dust: sand wet, particle mask, wipe, do not blow.';
            }
        }

        return 'Sanding dust: wet where possible, particle mask; wipe, do not blow.';
    }
}
