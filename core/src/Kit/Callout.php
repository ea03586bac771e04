<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** What the booklet says of one part number at one step: which colour, how large, on which faces, how many. */
final readonly class Callout
{
    /**
     * @param  int  $step  of the booklet, 1 to 999
     * @param  string  $number  of the part, as the booklet prints it
     * @param  string|null  $colour  colour of the build; null: it stays bare
     * @param  list<PaintedFace>  $faces  which of it is painted; none: all of it
     * @param  int  $count  how many of this number
     * @param  bool  $onceTogether  a test fit showed that it only shows after assembly
     * @param  bool  $letsLight  a test fit showed that light gets through
     * @param  string|null  $option  the choice it belongs to, as "canopy=open"
     */
    public function __construct(
        public string $id,
        public int $position,
        public int $step,
        public string $number,
        public ?string $colour,
        public Size $size = Size::M,
        public array $faces = [],
        public int $count = 1,
        public ?string $name = null,
        public bool $clear = false,
        public bool $onceTogether = false,
        public bool $letsLight = false,
        public ?string $option = null,
    ) {
    }

    public static function read(Reader $in): self
    {
        $callout = new self(
            $in->id('id'),
            $in->whole('position', 0, 100000, 0),
            $in->whole('step', 1, 999, 1),
            $in->text('number', 40),
            $in->optionalId('colour'),
            $in->oneOf('size', Size::class, Size::M),
            PaintedFace::listFrom($in),
            $in->whole('count', 1, 500, 1),
            $in->optionalText('name', 120),
            $in->flag('clear'),
            $in->flag('onceTogether'),
            $in->flag('letsLight'),
            KitOption::mark($in, 'option'),
        );
        $in->refuseTheRest();

        return $callout;
    }

    /** cm² of paint on all of them: the size letter's, half of it for a half face (handbook 4, Tally). */
    public function cm2(): float
    {
        return $this->size->cm2() * $this->count * ($this->isHalf() ? 0.5 : 1);
    }

    public function isHalf(): bool
    {
        return in_array(PaintedFace::Half, $this->faces, true);
    }

    public function called(): string
    {
        return $this->name === null ? $this->number : "{$this->number} {$this->name}";
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'position' => $this->position, 'step' => $this->step, 'number' => $this->number, 'colour' => $this->colour,
            'size' => $this->size->value, 'faces' => array_map(static fn (PaintedFace $f): string => $f->value, $this->faces), 'count' => $this->count,
            'name' => $this->name, 'clear' => $this->clear, 'onceTogether' => $this->onceTogether, 'letsLight' => $this->letsLight, 'option' => $this->option,
        ];
    }
}
