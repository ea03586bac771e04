<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** Fillers of handbook 2 and when they may be cut back. */
enum Filler: string
{
    case Surfacer = 'surfacer';
    case SolventPutty = 'solvent-putty';
    case Superglue = 'superglue-powder';
    case SuperglueAccelerated = 'superglue-accelerated';
    case WaterPutty = 'water-putty';
    case EpoxyPutty = 'epoxy-putty';
    case ClearGlue = 'clear-glue';
    case AcrylicFiller = 'acrylic-filler';
    case LightCured = 'light-cured';
    case Shim = 'shim';

    /**
     * Minutes until it may be sanded, at 20 °C and 50 % RH.
     *
     * @param  float  $gapMm width of the gap in mm
     */
    public function readyMinutes(float $gapMm): int
    {
        return match ($this) {
            self::Surfacer => 4 * 60,
            self::SolventPutty => $gapMm <= 0.15 ? 2 * 60 : 12 * 60,
            self::Superglue, self::SuperglueAccelerated => 2,
            self::WaterPutty => $gapMm <= 0.5 ? 2 * 60 : 12 * 60,
            self::EpoxyPutty => 24 * 60,
            self::ClearGlue, self::AcrylicFiller => 4 * 60,
            self::LightCured => 1,
            self::Shim => 12 * 60,
        };
    }

    /** Minutes after which it is harder than the plastic round it; null where that never comes. */
    public function shutMinutes(): ?int
    {
        return match ($this) {
            self::Superglue => 5,
            self::SuperglueAccelerated => 30,
            default => null,
        };
    }

    /** What comes of sanding it before it is through, one sentence. */
    public function tooEarly(): string
    {
        return match ($this) {
            self::Surfacer, self::AcrylicFiller => 'It balls up under the grit and tears out of the joint.',
            self::SolventPutty => 'Its skin feels dry and drags out underneath: the place sinks again under the paint.',
            self::Superglue, self::SuperglueAccelerated => 'It is still soft: it smears and clogs the grit.',
            self::WaterPutty => 'It is damp underneath and breaks out in crumbs.',
            self::EpoxyPutty => 'It smears, and pulls away from the edges.',
            self::ClearGlue => 'It pulls out of the joint in a string.',
            self::LightCured => 'It is cured only where the lamp reached: it smears.',
            self::Shim => 'The cement is soft: the card moves, and sinks for days after.',
        };
    }

    public function driesBy(): DriesBy
    {
        return match ($this) {
            self::Surfacer, self::SolventPutty, self::Shim => DriesBy::Solvent,
            self::WaterPutty, self::ClearGlue, self::AcrylicFiller => DriesBy::Water,
            self::Superglue, self::EpoxyPutty => DriesBy::CrossLinking,
            self::SuperglueAccelerated, self::LightCured => DriesBy::Itself,
        };
    }

    /** First that applies for a gap of so many mm, nothing else known (handbook 2, Fillers). */
    public static function forGap(float $gapMm): self
    {
        return match (true) {
            $gapMm <= 0.05 => self::Surfacer,
            $gapMm <= 0.3 => self::SolventPutty,
            default => self::WaterPutty,
        };
    }

    public function word(): string
    {
        return match ($this) {
            self::Surfacer => 'surfacer',
            self::SolventPutty => 'solvent putty',
            self::Superglue => 'superglue with powder',
            self::SuperglueAccelerated => 'superglue with accelerator',
            self::WaterPutty => 'water putty',
            self::EpoxyPutty => 'epoxy putty',
            self::ClearGlue => 'clear glue',
            self::AcrylicFiller => 'acrylic filler',
            self::LightCured => 'light-cured filler',
            self::Shim => 'card shim',
        };
    }
}
