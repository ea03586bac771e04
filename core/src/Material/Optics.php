<?php

declare(strict_types=1);

namespace AmberStep\Core\Material;

use AmberStep\Core\Document\Instant;
use AmberStep\Core\Document\Reader;

/** How a paint hides and tints as it was seen, or as its recipe has it: takes the place of its opacity class (handbook 4, Colour). */
final readonly class Optics
{
    /** Beyond these a spoon was misread: no paint scatters or tints so little, or so much. */
    public const SCATTERS = [0.05, 6.0];

    public const STRENGTH = [0.1, 10.0];

    /**
     * @param  float  $scatters  S of a reference coat, 0.05 to 6
     * @param  float  $strength  tinting strength in a mix, 0.1 to 10; 1 as usual
     * @param  int|null  $spoonEpoch  when a spoon was read back; null: from its recipe
     * @param  string|null  $note  what the spoon showed
     */
    public function __construct(public float $scatters, public float $strength = 1.0, public ?int $spoonEpoch = null, public ?string $note = null)
    {
    }

    public static function read(Reader $in): self
    {
        $optics = new self($in->number('scatters', ...self::SCATTERS), $in->number('strength', self::STRENGTH[0], self::STRENGTH[1], 1.0), $in->optionalInstant('spoon'), $in->optionalText('note', 400));
        $in->refuseTheRest();

        return $optics;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['scatters' => $this->scatters, 'strength' => $this->strength, 'spoon' => $this->spoonEpoch === null ? null : Instant::format($this->spoonEpoch), 'note' => $this->note];
    }
}
