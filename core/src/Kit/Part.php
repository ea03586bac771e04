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
     * @param  int  $count  how many alike, such as 14 road wheels: each wants its own holder
     * @param  Grip|null  $grip  what there is to hold it by; null: nobody said
     * @param  bool  $hollow  vinyl: stuffed before it is heated or glued
     * @param  string|null  $option  the choice it belongs to, as "canopy=open"
     * @param  string|null  $inside  the part it lies inside of: it has to be in before that one is closed
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
        public int $count = 1,
        public ?Grip $grip = null,
        public Origin $origin = Origin::Kit,
        public bool $hollow = false,
        public ?string $option = null,
        public ?string $inside = null,
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
            $in->whole('count', 1, 500, 1),
            $in->optionalOneOf('grip', Grip::class),
            $in->oneOf('origin', Origin::class, Origin::Kit),
            $in->flag('hollow'),
            KitOption::mark($in, 'option'),
            $in->optionalId('inside'),
        );
        $in->refuseTheRest();

        return $part;
    }

    public function isClear(): bool
    {
        return $this->substrate === Substrate::ClearStyrene;
    }

    /** Fits either way round, or in one of several places: a test fit marks it. */
    public function isHanded(): bool
    {
        return $this->slot !== null || $this->hand !== null;
    }

    /** Where it belongs, in words: "left, slot 3". */
    public function place(): string
    {
        return implode(', ', array_filter([$this->hand ?? '', $this->slot === null ? '' : "slot {$this->slot}"], static fn (string $s): bool => $s !== ''));
    }

    /** Whether somebody's words for a place mean the one it belongs in: "slot 3, port" is "left 3". */
    public function isPlace(string $said): bool
    {
        return self::placeWords($said) === self::placeWords($this->place());
    }

    /** @return list<string> */
    private static function placeWords(string $said): array
    {
        $same = ['l' => 'left', 'port' => 'left', 'p' => 'left', 'r' => 'right', 'starboard' => 'right', 'stbd' => 'right', 'fore' => 'front', 'forward' => 'front', 'aft' => 'rear', 'back' => 'rear', 'upper' => 'top', 'lower' => 'bottom'];
        $said = preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($said), -1, PREG_SPLIT_NO_EMPTY);
        $words = array_diff(is_array($said) ? $said : [], ['slot', 'no', 'nr', 'number', 'hand', 'side', 'position', 'place', 'in', 'on', 'the']);
        $words = array_map(static fn (string $w): string => $same[$w] ?? ltrim($w, '0'), $words);
        sort($words);

        return array_values(array_unique($words));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'position' => $this->position, 'name' => $this->name, 'substrate' => $this->substrate->value,
            'number' => $this->number, 'bookletStep' => $this->bookletStep, 'mouldedColour' => $this->mouldedColour,
            'slot' => $this->slot, 'hand' => $this->hand, 'fragile' => $this->fragile, 'stressed' => $this->stressed, 'letsLight' => $this->letsLight,
            'count' => $this->count, 'grip' => $this->grip?->value, 'origin' => $this->origin->value, 'hollow' => $this->hollow, 'option' => $this->option, 'inside' => $this->inside,
        ];
    }
}
