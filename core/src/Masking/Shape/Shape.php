<?php

declare(strict_types=1);

namespace AmberStep\Core\Masking\Shape;

/** What is cut out of the sheet: its outlines, what is only marked on it, and where the callipers go. All in mm. */
final readonly class Shape
{
    /**
     * @param  non-empty-list<Path>  $cuts
     * @param  list<Path>  $marks
     * @param  array<string, float>  $figures  worked out, with their names and units as words: "outer radius, mm"
     * @param  list<array{array{float, float}, array{float, float}, string}>  $measured  from, to, and what was measured there
     * @param  string  $label  what stands on it
     */
    public function __construct(public array $cuts, public array $marks = [], public array $figures = [], public array $measured = [], public string $label = '')
    {
    }

    public function mirrored(): self
    {
        return new self(
            array_map(static fn (Path $p): Path => $p->mirrored(), $this->cuts), array_map(static fn (Path $p): Path => $p->mirrored(), $this->marks), $this->figures,
            array_map(static fn (array $m): array => [[-$m[0][0], $m[0][1]], [-$m[1][0], $m[1][1]], $m[2]], $this->measured), $this->label,
        );
    }

    public function labelled(string $label): self
    {
        return new self($this->cuts, $this->marks, $this->figures, $this->measured, $label);
    }

    /** Turned to the left about its origin, then moved. */
    public function placed(float $radians, float $x, float $y): self
    {
        $place = static fn (Path $p): Path => $p->turned($radians)->moved($x, $y);

        return new self(array_map($place, $this->cuts), array_map($place, $this->marks), $this->figures, [], $this->label);
    }

    /** @return array{float, float, float, float} left, bottom, right, top; with what is marked */
    public function box(): array
    {
        $boxes = array_map(static fn (Path $p): array => $p->box(), [...$this->cuts, ...$this->marks]);

        return [min(array_column($boxes, 0)), min(array_column($boxes, 1)), max(array_column($boxes, 2)), max(array_column($boxes, 3))];
    }

    /** mm² that are cut out: outlines, less those that lie inside another. */
    public function area(): float
    {
        $area = 0.0;
        foreach ($this->cuts as $i => $path) {
            $inside = false;
            [$l, $b, $r, $t] = $path->box();
            foreach ($this->cuts as $j => $other) {
                $box = $other->box();
                $inside = $inside || ($i !== $j && $box[0] < $l && $box[1] < $b && $box[2] > $r && $box[3] > $t);
            }
            $area += $path->closed ? ($inside ? -1 : 1) * $path->area() : 0.0;
        }

        return $area;
    }
}
