<?php

declare(strict_types=1);

namespace AmberStep\Core\Telling;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Layering\Minutes;
use AmberStep\Core\Material\Family;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\Glue;
use AmberStep\Core\Material\Liquid;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\Substrate;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** Precautions shown with a step (handbook 5): short, exact, never in the way. */
final class Cautions
{
    public const FRAME = "The product's safety data sheet and local rules come first; this is general practice, not professional advice. For exposure limits, ventilation design, waste and medical questions ask the people licensed for it.";

    private const SPRAY = 'Extraction on, fitted organic-vapour and particle respirator; nobody else and no animals in the room.';

    private const ISOCYANATE = 'Hardener: isocyanates sensitise. Supplied air where its sheet says so or is unclear; gloves, eyes and skin covered.';

    private const NO_FLAME = 'No flame, heater or hair dryer while it is wet; solvent rags flat to dry or in water, in a metal bin.';

    private const BLADE = 'Blade: cut away from the hand, sharp; scoring is a light pull. Spent ones into the sharps box.';

    private const CABINET = "Below the plastic's limit, only touch-dry pieces, no wet solvent; never unattended until you know it. A food dryer is not made for vapour.";

    private const EPOXY_PUTTY = 'Epoxy putty sensitises skin: gloves.';

    private const NO_DRAIN = 'No solvent or paint down a drain: let leftovers harden, then the local collection.';

    /** Minutes of one step from which eyes and hands want a rest. */
    private const LONG = 45;

    /** @return list<string> */
    public static function of(Step $step, Kit $kit): array
    {
        return array_values(array_unique([...self::paint($step), ...self::work($step, $kit), ...self::long($step, $kit)]));
    }

    /** @return list<string> of a paint that leaves the gun */
    public static function ofSpraying(Product $product): array
    {
        return self::paint(new Step('', Operation::Colour, '', 1, 1, '', [], 0, 0, product: $product));
    }

    /** Said with every step it is true of, however often: isocyanates, and heat near solvent. */
    public static function isSaidEachTime(string $caution): bool
    {
        return $caution === self::ISOCYANATE || $caution === self::NO_FLAME || $caution === self::CABINET;
    }

    /** @return list<string> */
    private static function paint(Step $step): array
    {
        $product = $step->product;
        if ($product === null || (! $step->operation->leavesLayer() && ! $step->operation->cleansTheGun() && $step->operation !== Operation::Mix && $step->operation !== Operation::Discard)) {
            return [];
        }
        $solvent = $product->family->liquid() !== Liquid::WaterAcrylic;

        return [
            ...($step->isSprayed() || ($solvent && $step->operation->cleansTheGun()) ? [self::SPRAY] : []),
            ...(self::hasHardener($product) ? [self::ISOCYANATE] : []),
            ...($solvent && $step->operation !== Operation::Discard ? [self::NO_FLAME] : []),
            ...($solvent && $step->operation->isWash() ? ['White spirit vapour: air the room while it is worked.'] : []),
            ...($product->family === Family::Aerosol ? ['Propellant burns. Warm a cold can in 35 °C water only, never on a radiator.'] : []),
            ...($step->operation->cleansTheGun() ? ['Never a finger on the needle; air never at skin or eyes.', self::NO_DRAIN] : []),
            ...($step->operation === Operation::Discard ? ['It hardens with heat: open and small, never capped; then the local collection.'] : []),
        ];
    }

    private static function hasHardener(Product $product): bool
    {
        return $product->family === Family::TwoPart || $product->family === Family::HardenedEnamel;
    }

    /** @return list<string> */
    private static function work(Step $step, Kit $kit): array
    {
        $joint = $kit->jointsById[$step->jointId ?? ''] ?? null;

        return match ($step->operation) {
            Operation::CutBack, Operation::CheckSeam, Operation::Abrade, Operation::Flat, Operation::Polish, Operation::Scrape => [self::dust($step, $kit), ...($step->operation === Operation::Scrape ? [self::BLADE] : [])],
            Operation::Mask => [...($step->medium === Medium::Plug ? [] : [self::BLADE]), ...($step->medium === Medium::RubberCement ? ['Rubber cement: air the room. No flame.'] : [])],
            Operation::MaskFaces, Operation::Trim, Operation::Score => [self::BLADE],
            Operation::Wash, Operation::Wipe => self::wiped($step),
            Operation::TouchUp => ['Eyes covered: nipped gates fly.', self::BLADE],
            Operation::Glue, Operation::Attach => match ($joint?->glue) {
                Glue::Superglue => ['Superglue: fumes and eyes; it bonds skin in seconds and kicks hot in pools and on cotton.'],
                Glue::Epoxy => ['Epoxy sensitises skin: gloves.'],
                Glue::ThinCement, Glue::SlowCement => ['Cement vapour: air the room. No flame.'],
                default => [],
            },
            Operation::Fill => match ($step->placeId === null ? null : Place::find($step->placeId, $kit)?->filler()) {
                Filler::EpoxyPutty => [self::EPOXY_PUTTY],
                Filler::Superglue, Filler::SuperglueAccelerated => ['Superglue and accelerator: fumes, eyes, skin.'],
                Filler::LightCured => ['Light-cured filler: gloves; eyes away from the lamp.'],
                Filler::Shim => ['Cement vapour: air the room. No flame.', self::BLADE],
                Filler::SolventPutty => ['Solvent putty: air the room. No flame.'],
                default => [],
            },
            Operation::Cabinet => [self::CABINET],
            Operation::Soften, Operation::FitWarm => ['Hot water: tongs, lined gloves, a pot that stands firm.'],
            default => [],
        };
    }

    /** @return list<string> */
    private static function wiped(Step $step): array
    {
        $air = 'Blowing off: never at skin or eyes; bleed the tank first.';

        return match (true) {
            $step->operation === Operation::Wash, $step->inserted === null => [$air],
            $step->inserted->wipe === Liquid::WaterAcrylic => [],
            default => ['Solvent on a rag: gloves, air, no flame.'],
        };
    }

    private static function dust(Step $step, Kit $kit): string
    {
        $parts = Place::find($step->placeId ?? '', $kit)->parts ?? array_map(static fn (string $t): string => $kit->areasById[$t]->part ?? '', $step->targets);
        $made = array_map(static fn (string $p): ?Substrate => ($kit->partsById[$p] ?? null)?->substrate, $parts);

        return match (true) {
            in_array(Substrate::WhiteMetal, $made, true) => 'White metal may hold lead: no dry sanding, wash your hands, no food at the bench.',
            array_filter($made, static fn (?Substrate $s): bool => $s === Substrate::Resin || $s === Substrate::Printed || $s?->isMetal() === true) !== [] => 'Resin and metal dust: sand wet, particle mask, wipe, do not blow.',
            default => 'Sanding dust: wet where possible, particle mask; wipe, do not blow.',
        };
    }

    /** @return list<string> */
    private static function long(Step $step, Kit $kit): array
    {
        return ! $step->isSprayed() && Minutes::of($step, $kit) >= self::LONG ? ['Long work: good light, the right seat height, rest eyes and hands.'] : [];
    }
}
