<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

/** Mask media of handbook 2. */
enum Medium: string
{
    case PaperTape = 'paper-tape';
    case VinylTape = 'vinyl-tape';
    case CutFilm = 'cut-film';
    case LiquidMask = 'liquid-mask';
    case Putty = 'putty';
    case RubberCement = 'rubber-cement';
    case Tissue = 'tissue';
    case HeldCard = 'held-card';
    case Plug = 'plug';

    /** Dowel, foam and pegs mark nothing. */
    private const NO_LIMIT_DAYS = 3650;

    /** It moves, dries out or marks what it lies on: it is laid for what is sprayed in one go. */
    public function isSoft(): bool
    {
        return $this === self::Putty || $this === self::Tissue || $this === self::HeldCard;
    }

    /** Longest stay in minutes, on paint or on a bare pane. */
    public function longestStayMinutes(bool $onBarePane): int
    {
        $days = match ($this) {
            self::PaperTape => $onBarePane ? 30 : 14,
            self::VinylTape, self::LiquidMask => $onBarePane ? 14 : 3,
            self::CutFilm => $onBarePane ? 60 : 7,
            self::Putty => $onBarePane ? 7 : 1,
            self::RubberCement => $onBarePane ? 3 : 1,
            self::Plug => self::NO_LIMIT_DAYS,
            self::Tissue, self::HeldCard => 0,
        };

        return $days > 0 ? $days * 1440 : 120;
    }

    /**
     * Hands-on minutes for one cm of edge.
     *
     * @param  'flat'|'bent'|'compound'|'fiddly'  $curve
     */
    public function minutesPerCm(string $curve): float
    {
        $column = match ($curve) {
            'flat' => 0,
            'bent' => 1,
            default => 2,
        };

        $row = match ($this) {
            self::PaperTape => [0.2, 0.4, 0.8],
            self::VinylTape => [0.3, 0.4, 0.7],
            self::CutFilm => [0.2, 0.3, 0.6],
            self::LiquidMask => [0.5, 0.5, 0.5],
            self::Putty => [0.1, 0.1, 0.1],
            self::RubberCement, self::Tissue, self::HeldCard, self::Plug => [0.0, 0.0, 0.0],
        };

        return $row[$column];
    }

    public function word(): string
    {
        return match ($this) {
            self::PaperTape => 'paper tape',
            self::VinylTape => 'vinyl tape',
            self::CutFilm => 'cut film',
            self::LiquidMask => 'liquid mask',
            self::Putty => 'rolled putty',
            self::RubberCement => 'rubber cement',
            self::Tissue => 'damp tissue',
            self::HeldCard => 'held card',
            self::Plug => 'plugs',
        };
    }
}
