<?php

declare(strict_types=1);

namespace AmberStep\Core\Spray;

/** What the wall of the cup and a spoon show of a mix, and what puts it right (handbook 4, Consistency). */
enum Consistency: string
{
    case OpaqueSheet = 'opaque-sheet';
    case ThinFilm = 'thin-film';
    case RunsAndSeparates = 'runs-and-separates';
    case Beads = 'beads';
    case Grainy = 'grainy';
    case Even = 'even';
    case Spider = 'spider';
    case Runs = 'runs';

    /** A tenth of the paint goes in at a time: more cannot be taken back. */
    private const SHARE = 0.1;

    public function word(): string
    {
        return match ($this) {
            self::OpaqueSheet => 'wall: an opaque sheet',
            self::ThinFilm => 'wall: a film just see-through',
            self::RunsAndSeparates => 'wall: runs and separates',
            self::Beads => 'model: it beads',
            self::Grainy => 'spoon: dry and grainy',
            self::Even => 'spoon: even',
            self::Spider => 'spoon: a spider',
            self::Runs => 'spoon: it runs',
        };
    }

    public function isGood(): bool
    {
        return $this === self::ThinFilm || $this === self::Even;
    }

    /** @return float ml of thinner to add to a mix with so much paint */
    public function thinnerMl(float $paintMl): float
    {
        return $this === self::OpaqueSheet || $this === self::Grainy ? self::SHARE * $paintMl : 0.0;
    }

    /** @return float ml of paint to add */
    public function paintMl(float $paintMl): float
    {
        return $this === self::Spider || $this === self::Runs ? self::SHARE * $paintMl : 0.0;
    }

    /** What it means, and what to do, one or two sentences. */
    public function says(float $paintMl): string
    {
        $ml = sprintf('%.2f ml', round(self::SHARE * $paintMl / 0.05) * 0.05);

        return match ($this) {
            self::ThinFilm => 'A film one just sees through: it is right for the gun.',
            self::Even => 'It lies even: spray it.',
            self::OpaqueSheet => "Too thick: {$ml} of thinner, a tenth of the paint, and look again.",
            self::Grainy => "It dries before it lands: {$ml} of thinner, or closer.",
            self::Spider, self::Runs => "Too thin, or too much air: {$ml} of paint, or 0.2 bar less.",
            self::RunsAndSeparates => 'That thinner is not its own: throw it away, and mix anew with the family\'s own.',
            self::Beads => 'The model is greasy, not the mix wrong: degrease it.',
        };
    }
}
