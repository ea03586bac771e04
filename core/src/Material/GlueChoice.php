<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** Which glue a joint wants, how it is dosed and what it does besides (handbook 2, Glues). */
final class GlueChoice
{
    /**
     * PETG, vinyl, resin, metal: never cement. Panes want glue without vapour, load wants epoxy where it is not plastic.
     *
     * @return array{Glue, string} the glue, and why
     */
    public static function for(Substrate $a, Substrate $b, bool $carriesLoad, bool $removable, bool $isSeam): array
    {
        $clear = ($a === Substrate::ClearStyrene) !== ($b === Substrate::ClearStyrene);

        return match (true) {
            $removable => [Glue::ClearGlue, 'it comes off again with water'],
            $clear && $carriesLoad, ! self::cements($a, $b) && $carriesLoad => [Glue::Epoxy, $clear ? 'a pane that carries load, and no vapour to fog it' : "cement does not hold {$a->word()} on {$b->word()}, and it carries load"],
            $clear => [Glue::ClearGlue, 'no vapour near a pane'],
            ! self::cements($a, $b) => [Glue::Superglue, "cement does not hold {$a->word()} on {$b->word()}"],
            $isSeam => [Glue::SlowCement, 'a long joint gives time to align, and its bead fills the gap'],
            default => [Glue::ThinCement, 'styrene on styrene: it flows in by itself'],
        };
    }

    public static function cements(Substrate $a, Substrate $b): bool
    {
        return $a->takesCement() && $b->takesCement();
    }

    /** Whether a glue holds these two at all. */
    public static function holds(Glue $glue, Substrate $a, Substrate $b): bool
    {
        return ! $glue->isCement() || self::cements($a, $b);
    }

    /** Whether a glue will do: it holds, fogs no pane, bears the load, comes off where it shall. */
    public static function fits(Glue $glue, Substrate $a, Substrate $b, bool $carriesLoad, bool $removable): bool
    {
        $clear = ($a === Substrate::ClearStyrene) !== ($b === Substrate::ClearStyrene);

        return self::holds($glue, $a, $b)
            && ! ($clear && in_array($glue, [Glue::Superglue, Glue::SlowCement], true))
            && ! ($carriesLoad && in_array($glue, [Glue::Superglue, Glue::ClearGlue], true))
            && (! $removable || $glue === Glue::ClearGlue);
    }

    /** How it is dosed, one sentence. */
    public static function dose(Glue $glue): string
    {
        return match ($glue) {
            Glue::ThinCement => 'Hold the parts together, touch the brush to the joint, let it run; a touch every 2 cm, no more.',
            Glue::SlowCement => 'A thin line on one face, inside edge, parts together at once; press until a bead shows.',
            Glue::Superglue => 'From the tip of a wire, a drop the size of a pinhead; clamp nothing, hold 20 s.',
            Glue::ClearGlue => 'A thin line from a pointed stick, parts in, a damp bud for what is too much.',
            Glue::Epoxy => 'Equal beads, stirred a full minute on card; it is worked for five minutes.',
        };
    }

    /** @return list<string> what to look out for */
    public static function lookOut(Glue $glue): array
    {
        return match ($glue) {
            Glue::ThinCement => ['It creeps under clamp, tape and finger: keep them off the line.', 'In quantity it fogs panes.'],
            Glue::SlowCement => ['It sinks for days: sand the seam after 48 h.', 'Wipe no squeeze-out: cut the bead off when it is hard.'],
            Glue::Superglue => ['It fogs panes and closed hulls; brittle under load.'],
            Glue::ClearGlue => ['Light parts and panes only; it comes off with water.'],
            Glue::Epoxy => ['It runs while it is warm: lay the joint level.'],
        };
    }
}
