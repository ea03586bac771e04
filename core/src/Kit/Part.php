<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;
use AmberStep\Core\Material\Substrate;

/** A moulding, with its number and step in the booklet. */
final readonly class Part
{
    /**
     * @param  string|null  $mouldedColour  sRGB of the bare material
     * @param  bool  $fragile  aerials, rails, rods, etch that sticks out: broken by masking and handling
     * @param  bool  $stressed  banded, bent or thin: lowers what heat it may take
     * @param  bool  $letsLight  a grille, a gap or a lamp: light gets through to what is behind it
     */
    public function __construct(
        public string $id,
        public int $position,
        public string $name,
        public Substrate $substrate,
        public ?string $number = null,
        public ?int $bookletStep = null,
        public ?string $mouldedColour = null,
        public ?string $slot = null,
        public ?string $hand = null,
        public bool $fragile = false,
        public bool $stressed = false,
        public bool $letsLight = false,
    ) {
    }

    public static function read(Reader $in): self
    {
        $step = $in->optionalNumber('bookletStep', 1, 999);
        $part = new self(
            $in->id('id'),
            $in->whole('position', 0, 100000, 0),
            $in->text('name', 120),
            $in->oneOf('substrate', Substrate::class, Substrate::Styrene),
            $in->optionalText('number', 40),
            $step === null ? null : (int) $step,
            $in->optionalText('mouldedColour', 7),
            $in->optionalText('slot', 40),
            $in->optionalText('hand', 10),
            $in->flag('fragile'),
            $in->flag('stressed'),
            $in->flag('letsLight'),
        );
        $in->refuseTheRest();

        return $part;
    }

    public function isClear(): bool
    {
        return $this->substrate === Substrate::ClearStyrene;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'position' => $this->position, 'name' => $this->name, 'substrate' => $this->substrate->value,
            'number' => $this->number, 'bookletStep' => $this->bookletStep, 'mouldedColour' => $this->mouldedColour,
            'slot' => $this->slot, 'hand' => $this->hand, 'fragile' => $this->fragile, 'stressed' => $this->stressed, 'letsLight' => $this->letsLight,
        ];
    }
}
