<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** A region of a piece with one final colour and sheen. */
final readonly class Area
{
    /**
     * @param  float|null  $measuredCm2  cm²; null where only a size letter is known
     * @param  string|null  $seenThrough  the pane an inside face is seen through
     */
    public function __construct(
        public string $id,
        public int $position,
        public string $part,
        public string $name,
        public Intent $intent,
        public ?float $measuredCm2 = null,
        public Size $size = Size::M,
        public Curve $curve = Curve::Flat,
        public Face $face = Face::Outside,
        public ?string $seenThrough = null,
    ) {
    }

    public static function read(Reader $in): self
    {
        $area = new self(
            $in->id('id'),
            $in->whole('position', 0, 100000, 0),
            $in->id('part'),
            $in->text('name', 120),
            Intent::read($in->object('intent')),
            $in->optionalNumber('cm2', 0.01, 100000),
            $in->oneOf('size', Size::class, Size::M),
            $in->oneOf('curve', Curve::class, Curve::Flat),
            $in->oneOf('face', Face::class, Face::Outside),
            $in->optionalId('seenThrough'),
        );
        $in->refuseTheRest();

        return $area;
    }

    /** cm², measured, else estimated from the size letter. */
    public function cm2(): float
    {
        return $this->measuredCm2 ?? $this->size->cm2();
    }

    public function isPane(): bool
    {
        return $this->face === Face::Pane;
    }

    public function isPainted(): bool
    {
        return ! $this->intent->isClear() && $this->face !== Face::Pane && $this->face !== Face::JointFace;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'position' => $this->position, 'part' => $this->part, 'name' => $this->name,
            'cm2' => $this->measuredCm2, 'size' => $this->size->value, 'curve' => $this->curve->value,
            'face' => $this->face->value, 'seenThrough' => $this->seenThrough, 'intent' => $this->intent->toArray(),
        ];
    }
}
