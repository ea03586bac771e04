<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** Which parts lie inside which, and which joints shut them in: what has to be in before what is closed (handbook 3, enclosed). */
final class Enclosure
{
    /** @var array<string, list<Joint>> joints of each part */
    private array $jointsOf = [];

    /** @var array<string, list<Part>> parts said to lie directly inside of one */
    private array $within = [];

    /** @var array<string, list<Joint>> */
    private array $closers = [];

    public function __construct(private readonly Kit $kit)
    {
        foreach ($kit->parts as $part) {
            if ($part->inside !== null) {
                $this->within[$part->inside][] = $part;
            }
        }
        foreach ($this->within === [] ? [] : $kit->joints as $joint) {
            foreach ($joint->parts as $part) {
                $this->jointsOf[$part][] = $joint;
            }
        }
    }

    /** Whether anything lies inside of anything. */
    public function isEmpty(): bool
    {
        return $this->within === [];
    }

    /** @return list<Part> parts that lie in a part, and in those */
    public function contentsOf(string $partId): array
    {
        $parts = [];
        foreach ($this->within[$partId] ?? [] as $part) {
            array_push($parts, $part, ...$this->contentsOf($part->id));
        }

        return $parts;
    }

    /** @return list<string> the parts a part lies in, the nearest first */
    public function around(string $partId): array
    {
        $around = [];
        for ($in = $this->kit->partsById[$partId]->inside ?? null; $in !== null; $in = $this->kit->partsById[$in]->inside) {
            $around[] = $in;
        }

        return $around;
    }

    /**
     * The joints by which a part that lies inside is put in: with what is round it, or with what lies there too.
     *
     * @return list<Joint>
     */
    public function joinsOf(string $partId): array
    {
        $around = $this->around($partId);
        if ($around === []) {
            return [];
        }
        $outer = $around[count($around) - 1];

        return array_values(array_filter($this->jointsOf[$partId] ?? [], function (Joint $joint) use ($partId, $around, $outer): bool {
            $other = $joint->parts[0] === $partId ? $joint->parts[1] : $joint->parts[0];
            // A part that lies in this one is put in by its own joint, not by this one's.
            $isContent = in_array($partId, $this->around($other), true);

            return ! $isContent && (in_array($other, $around, true) || in_array($outer, $this->around($other), true));
        }));
    }

    /**
     * The joints that shut a part over what lies in it. What is said to block something in it closes it; where nothing is
     * said, every joint with a part outside may, unless the booklet glues it earlier than what lies inside.
     *
     * @return list<Joint>
     */
    public function closersOf(string $partId): array
    {
        return $this->closers[$partId] ??= $this->findClosers($partId);
    }

    /**
     * All joints before which a part has to be in: those of what it lies in, and of what that lies in.
     *
     * @return list<Joint>
     */
    public function deadlines(string $partId): array
    {
        $joints = [];
        foreach ($this->around($partId) as $around) {
            foreach ($this->closersOf($around) as $joint) {
                $joints[$joint->id] = $joint;
            }
        }

        return array_values($joints);
    }

    /**
     * Whether an inside that is painted before the outside still lies open while that is sprayed: nothing closes over it
     * before paint, or its pane is fitted last.
     */
    public function staysOpen(Area $area, Breakdown $breakdown): bool
    {
        $joint = $breakdown->blocks($area->id);
        if ($joint === null || ! $breakdown->closesBeforePaint($joint->id)) {
            return false;
        }
        if ($this->hasPaneFittedLast($area, $breakdown)) {
            return true;
        }
        if ($this->isEmpty() || in_array($area->id, $joint->blocks, true)) {
            return false;
        }
        foreach ([...$this->deadlines($area->part), ...$this->closersOf($area->part)] as $closer) {
            if ($breakdown->closesBeforePaint($closer->id)) {
                return false;
            }
        }

        return true;
    }

    /** Clear parts that are attached after paint to what an inside lies in: a canopy, a windscreen. */
    private function hasPaneFittedLast(Area $area, Breakdown $breakdown): bool
    {
        $round = [$area->part, ...$this->around($area->part)];
        foreach ($breakdown->jointsOf($breakdown->pieceOfPart[$area->part]) as $joint) {
            foreach ($breakdown->closesBeforePaint($joint->id) ? [] : [[0, 1], [1, 0]] as [$clear, $opaque]) {
                if ($this->kit->partsById[$joint->parts[$clear]]->isClear() && in_array($joint->parts[$opaque], $round, true)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<Joint> */
    private function findClosers(string $partId): array
    {
        $contents = $this->contentsOf($partId);
        if ($contents === []) {
            return [];
        }
        $in = $inner = $areas = [];
        foreach ($contents as $part) {
            $in[$part->id] = true;
            array_push($inner, ...$this->joinsOf($part->id));
            foreach ($this->kit->areasOf($part->id) as $area) {
                $areas[$area->id] = true;
            }
        }
        foreach ($this->kit->areasOf($partId) as $area) {
            if ($area->face === Face::Inside) {
                $areas[$area->id] = true;
            }
        }
        $outer = array_values(array_filter($this->kit->joints, static fn (Joint $j): bool => ! isset($in[$j->parts[0]]) && ! isset($in[$j->parts[1]])));
        $said = array_values(array_filter($outer, static fn (Joint $j): bool => array_intersect_key($areas, array_flip($j->blocks)) !== []));
        if ($said !== []) {
            return $said;
        }
        $steps = array_filter(array_map(fn (Joint $j): ?int => $j->stepIn($this->kit), $inner), static fn (?int $s): bool => $s !== null);
        $around = $this->around($partId);

        return array_values(array_filter($outer, function (Joint $joint) use ($partId, $around, $steps): bool {
            if (! in_array($partId, $joint->parts, true)) {
                return false;
            }
            $other = $joint->parts[0] === $partId ? $joint->parts[1] : $joint->parts[0];

            // A step that only follows from when its parts come up says nothing of when it is closed.
            return ! in_array($other, $around, true) && ($joint->step === null || $steps === [] || $joint->step >= max($steps));
        }));
    }
}
