<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

use AmberStep\Core\Material\Access;
use AmberStep\Core\Material\Filler;
use AmberStep\Core\Material\FillerAdvice;
use AmberStep\Core\Material\Gap;
use AmberStep\Core\Work\Operation;

/** One place of the register: a joint that must vanish, or a flaw of a part. Both are made good the same way. */
final readonly class Place
{
    /** What is filled and wiped wet, where sanding would kill the detail beside it. */
    public const WIPED = [Filler::ClearGlue, Filler::AcrylicFiller];

    /**
     * @param  FlawKind|null  $kind  null: a joint
     * @param  non-empty-list<string>  $parts
     * @param  float  $widthMm  the wider of width and depth, 0 where there is nothing to fill
     * @param  Filler|null  $chosen  null: as advised
     * @param  bool  $isClear  it lies in clear plastic: polished, never primed
     */
    private function __construct(
        public string $id,
        public string $name,
        public ?FlawKind $kind,
        public array $parts,
        public float $widthMm,
        public float $depthMm,
        public float $lengthCm,
        public Access $access,
        public bool $crossed,
        public bool $besidePane,
        public ?Filler $chosen,
        public FoundAt $foundAt,
        public bool $isClear = false,
    ) {
    }

    public static function find(string $id, Kit $kit): ?self
    {
        $joint = $kit->jointsById[$id] ?? null;
        $flaw = $kit->flawsById[$id] ?? null;

        return match (true) {
            $joint !== null => self::ofJoint($joint, $kit),
            $flaw !== null => self::ofFlaw($flaw, $kit),
            default => null,
        };
    }

    /** @return list<self> joints that must vanish or gape, then flaws, each in the user's order */
    public static function all(Kit $kit): array
    {
        $joints = array_filter($kit->joints, static fn (Joint $j): bool => $j->isSeam() || $j->gapMm > 0);

        return [...array_map(static fn (Joint $j): self => self::ofJoint($j, $kit), array_values($joints)), ...array_map(static fn (Flaw $f): self => self::ofFlaw($f, $kit), $kit->flaws)];
    }

    public static function ofJoint(Joint $joint, Kit $kit): self
    {
        // What the kit says is filled with glue is wiped: it was chosen because sanding would kill detail.
        // Between two clear parts nothing is sanded: it is run full of clear glue and wiped.
        $clear = array_filter($joint->parts, static fn (string $p): bool => ($kit->partsById[$p] ?? null)?->isClear() !== true) === [];
        $access = in_array($joint->filler, self::WIPED, true) || $clear ? Access::None : $joint->access;

        return new self($joint->id, $joint->name, null, $joint->parts, $joint->gapMm, 0, $joint->lengthCm, $access, $joint->crossed, self::hasPane($joint->parts, $kit), $joint->filler, FoundAt::Bare);
    }

    public static function ofFlaw(Flaw $flaw, Kit $kit): self
    {
        return new self($flaw->id, $flaw->name($kit), $flaw->kind, [$flaw->part], max($flaw->widthMm, $flaw->depthMm), $flaw->depthMm, $flaw->lengthMm / 10, $flaw->access, $flaw->crossed, self::hasPane([$flaw->part], $kit), $flaw->filler, $flaw->foundAt, self::hasPane([$flaw->part], $kit));
    }

    /** Whether a dark coat may be brushed on it to show what remains: it is sanded off again, and never goes on clear plastic. */
    public function takesCheckCoat(): bool
    {
        return $this->access !== Access::None && ! $this->besidePane;
    }

    public function isJoint(): bool
    {
        return $this->kind === null;
    }

    /** A line where no joint is, or on clear plastic: it may belong there (rule real-detail). */
    public function mayBeDetail(): bool
    {
        return $this->kind === FlawKind::Seam;
    }

    public function gap(): Gap
    {
        return new Gap(max(0.01, $this->widthMm), $this->access, straight: in_array($this->kind, [null, FlawKind::Gap, FlawKind::Seam], true), shaped: $this->kind?->isShaped() === true, paneBeside: $this->besidePane, rescribed: $this->crossed, lengthCm: $this->lengthCm);
    }

    public function advice(): FillerAdvice
    {
        return FillerAdvice::for($this->gap());
    }

    /** What goes in: the one chosen, else the one advised. */
    public function filler(): Filler
    {
        return $this->chosen ?? $this->advice()->filler;
    }

    /** Hands-on minutes: filling 5 and 1 a cm, sanding 2 a cm, rescribing 1 a cm (handbook 2); a place nobody measured counts as one. */
    public static function minutes(Operation $operation, ?self $place): float
    {
        $cm = $place->lengthCm ?? 0;

        return match ($operation) {
            Operation::Fill => 5 + $cm,
            Operation::CutBack => 2 * max(1, $cm),
            Operation::Rescribe => max(2, $cm),
            Operation::CheckCoat => 1,
            default => 3,
        };
    }

    /** @param  list<string>  $parts */
    private static function hasPane(array $parts, Kit $kit): bool
    {
        return array_filter($parts, static fn (string $p): bool => ($kit->partsById[$p] ?? null)?->isClear() === true) !== [];
    }
}
