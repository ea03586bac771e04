<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Document\Reader;

/** The border two areas of one piece share. */
final readonly class Edge
{
    /**
     * @param  array{string, string}  $areas
     * @param  float  $mm  length, mm
     * @param  float  $softMm  width of a soft edge, mm
     * @param  Practice|null  $subject  how the border was made on the real subject; null: nobody said
     */
    public function __construct(
        public string $id,
        public array $areas,
        public float $mm,
        public EdgeKind $kind = EdgeKind::Hard,
        public float $softMm = 2,
        public Curve $curve = Curve::Flat,
        public ?Practice $subject = null,
    ) {
    }

    public static function read(Reader $in): self
    {
        $areas = $in->ids('areas', 2);
        if (count($areas) !== 2 || $areas[0] === $areas[1]) {
            $in->problems->add($in->path('areas'), 'does not name two different areas', 'give the ids of the two areas that meet');
            $areas = ['', ''];
        }
        $edge = new self(
            $in->id('id'),
            [$areas[0], $areas[1]],
            $in->number('mm', 0.1, 100000),
            $in->oneOf('kind', EdgeKind::class, EdgeKind::Hard),
            $in->number('softMm', 0, 50, 2),
            $in->oneOf('curve', Curve::class, Curve::Flat),
            $in->optionalOneOf('subject', Practice::class),
        );
        $in->refuseTheRest();

        return $edge;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'areas' => $this->areas, 'mm' => $this->mm, 'kind' => $this->kind->value, 'softMm' => $this->softMm, 'curve' => $this->curve->value, 'subject' => $this->subject?->value];
    }
}
