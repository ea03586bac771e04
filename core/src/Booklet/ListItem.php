<?php

declare(strict_types=1);

namespace AmberStep\Core\Booklet;

use AmberStep\Core\Kit\PaintedFace;
use AmberStep\Core\Kit\Size;

/** One line of a colour's list: a part, or some of its faces, to tick once it has that colour. */
final readonly class ListItem
{
    /**
     * @param  string  $id  of the call-out, or of the area nobody called out
     * @param  int|null  $step  of the booklet
     * @param  string|null  $piece  name of the piece it is on; null: on none
     * @param  list<PaintedFace>  $faces
     * @param  float  $cm2  of paint on all of them
     * @param  string|null  $tickedBy  the event that ticked it
     * @param  bool  $sprayed  the log has this colour on all of it
     */
    public function __construct(
        public string $id,
        public string $colour,
        public string $name,
        public ?string $number,
        public ?int $step,
        public ?string $piece,
        public array $faces,
        public Size $size,
        public float $cm2,
        public int $count,
        public bool $onceTogether,
        public bool $letsLight,
        public bool $inside,
        public ?string $tickedBy,
        public bool $sprayed,
        public bool $isCallout,
    ) {
    }

    /** Ticked by hand, or sprayed by the log: a face or half a face is only known by looking. */
    public function isDone(): bool
    {
        return $this->tickedBy !== null || ($this->sprayed && $this->faces === []);
    }

    /** "B7 mirror base, step 9, left half" */
    public function words(): string
    {
        $faces = implode(' ', array_map(static fn (PaintedFace $f): string => $f->value, $this->faces));

        return implode(', ', array_filter([$this->called(), $this->step === null ? '' : "step {$this->step}", $faces], static fn (string $s): bool => $s !== ''));
    }

    public function called(): string
    {
        return $this->number === null || $this->number === $this->name ? $this->name : "{$this->number} {$this->name}";
    }
}
