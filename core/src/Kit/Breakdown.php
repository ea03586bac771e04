<?php

declare(strict_types=1);

namespace AmberStep\Core\Kit;

/** The break-down: which joints close before paint, and so what the pieces are (handbook 1, step 3). */
final class Breakdown
{
    /** @var list<Piece> in the user's order */
    public readonly array $pieces;

    /** @var array<string, Piece> */
    public readonly array $byId;

    /** @var array<string, string> piece id by area id */
    public readonly array $pieceOfArea;

    /** @var array<string, string> piece id by part id */
    public readonly array $pieceOfPart;

    /** @var array<string, list<Joint>> joints by each piece they touch, in the order they were typed */
    private array $jointsOf = [];

    /** @var array<string, array{bool, string}> by joint: closed before paint, and why */
    private array $settled = [];

    /** @var array<string, string> first joint that blocks an area, by area id */
    private array $blockedBy = [];

    /** What lies inside what, and what shuts it in. */
    public readonly Enclosure $enclosure;

    public function __construct(private readonly Kit $kit, private readonly HouseRules $house)
    {
        $this->enclosure = new Enclosure($kit);
        foreach ($kit->joints as $joint) {
            $this->settled[$joint->id] ??= $this->settle($joint);
            foreach ($joint->blocks as $area) {
                $this->blockedBy[$area] ??= $joint->id;
            }
        }
        $this->shutIn();
        $root = $this->connect();
        $groups = [];
        foreach ($kit->parts as $part) {
            $groups[$root[$part->id]][] = $part;
        }
        $areasOf = [];
        foreach ($kit->areas as $area) {
            $areasOf[$root[$area->part]][] = $area;
        }
        $pieces = [];
        foreach ($groups as $id => $parts) {
            $label = $kit->labelsById[$id] ?? null;
            $pieces[] = new Piece($id, $label->name ?? $parts[0]->name, min(array_map(static fn (Part $p): int => $p->position, $parts)), $parts, $areasOf[$id] ?? [], $label?->heldBy);
        }
        usort($pieces, static fn (Piece $a, Piece $b): int => [$a->position, $a->id] <=> [$b->position, $b->id]);
        $this->pieces = $pieces;
        $byId = $ofArea = [];
        foreach ($pieces as $piece) {
            $byId[$piece->id] = $piece;
            foreach ($piece->areas as $area) {
                $ofArea[$area->id] = $piece->id;
            }
        }
        $this->byId = $byId;
        $this->pieceOfArea = $ofArea;
        $this->pieceOfPart = $root;
        foreach ($kit->joints as $joint) {
            foreach (array_unique([$root[$joint->parts[0]], $root[$joint->parts[1]]]) as $id) {
                $this->jointsOf[$id][] = $joint;
            }
        }
    }

    public function closesBeforePaint(string $jointId): bool
    {
        return $this->settled[$jointId][0];
    }

    /** Why a joint closes when it does, one sentence. */
    public function reason(string $jointId): string
    {
        return $this->settled[$jointId][1];
    }

    /** The joint an area is finished before: one that hides it once closed, or puts what it is on into what closes round it. */
    public function blocks(string $areaId): ?Joint
    {
        $joint = $this->blockedBy[$areaId] ?? null;

        return $joint === null ? null : $this->kit->jointsById[$joint];
    }

    /** What lies inside is painted before it is put in, and the walls about it before that is shut. */
    private function shutIn(): void
    {
        foreach ($this->enclosure->isEmpty() ? [] : $this->kit->areas as $area) {
            $joints = $this->enclosure->joinsOf($area->part);
            if ($joints === [] && $area->face === Face::Inside) {
                $joints = $this->enclosure->closersOf($area->part);
                foreach ($this->enclosure->contentsOf($area->part) as $part) {
                    array_push($joints, ...$this->enclosure->joinsOf($part->id));
                }
            }
            foreach ($joints as $joint) {
                if ($this->settled[$joint->id][0]) {
                    $this->blockedBy[$area->id] ??= $joint->id;
                }
            }
        }
    }

    /** The piece of an area, joint, flaw, feature or part. */
    public function pieceAt(string $areaOrJointOrPiece): ?Piece
    {
        $id = $this->pieceOfArea[$areaOrJointOrPiece] ?? null;
        if ($id === null && isset($this->kit->jointsById[$areaOrJointOrPiece])) {
            $id = $this->pieceOfPart[$this->kit->jointsById[$areaOrJointOrPiece]->parts[0]];
        }

        $id ??= $this->pieceOfPart[$this->kit->flawsById[$areaOrJointOrPiece]->part ?? $this->kit->featuresById[$areaOrJointOrPiece]->part ?? $areaOrJointOrPiece] ?? '';

        return $this->byId[$id] ?? null;
    }

    /** @return list<Joint> all joints of a piece, within it too */
    public function jointsOf(string $pieceId): array
    {
        return $this->jointsOf[$pieceId] ?? [];
    }

    /** @return array{Piece, Piece} the pieces a joint connects; the same twice where it closes before paint */
    public function sides(Joint $joint): array
    {
        return [$this->byId[$this->pieceOfPart[$joint->parts[0]]], $this->byId[$this->pieceOfPart[$joint->parts[1]]]];
    }

    /** @return array{bool, string} */
    private function settle(Joint $joint): array
    {
        if ($joint->closed !== Closed::Undecided) {
            return [$joint->closed === Closed::BeforePaint, $joint->closed === Closed::BeforePaint ? 'you close it before paint' : 'you close it after paint'];
        }
        [$a, $b] = [$this->kit->partsById[$joint->parts[0]], $this->kit->partsById[$joint->parts[1]]];
        $shut = $this->shutBeforePaint($joint);
        if ($shut !== null) {
            return [true, "it lies inside, and has to be in before {$shut->name} is closed"];
        }
        if ($a->origin === Origin::Base || $b->origin === Origin::Base) {
            return $this->house->says('base', 'first') ? [true, 'by your house rule the base goes on first, as the handle'] : [false, 'the base is fixed last'];
        }
        if ($joint->removable) {
            return [false, 'it shall come off again, so it is painted apart'];
        }
        if ($a->isClear() !== $b->isClear()) {
            if ($this->isTinted($a->isClear() ? $a : $b)) {
                return [false, 'the clear part has a tint of its own, so it is painted apart'];
            }

            return $this->house->says('panes', 'mask-first')
                ? [false, 'by your house rule panes are masked and painted first, then attached with clear glue']
                : [true, 'the clear part is glued, then masked and painted with the rest'];
        }
        if ($a->fragile || $b->fragile) {
            return [false, 'it is fragile and would be broken by masking and handling'];
        }
        if ($joint->isSeam()) {
            return [true, 'the joint must vanish, so it is filled and sanded before paint'];
        }
        if ($a->substrate->takesCement() !== $b->substrate->takesCement()) {
            return [false, 'the materials differ and want different ground'];
        }
        if ($this->coloursOf($a) !== $this->coloursOf($b)) {
            return [false, 'the colours differ, so they are painted apart'];
        }
        foreach ($joint->blocks as $area) {
            if (in_array($this->kit->areasById[$area]->part, $joint->parts, true)) {
                return [false, 'once closed the gun cannot see everything'];
            }
        }

        return [true, 'both sides have one colour and nothing is in the way'];
    }

    /** The joint, closed before paint, that shuts in what this one puts inside; null where none does. */
    private function shutBeforePaint(Joint $joint): ?Joint
    {
        foreach ($this->enclosure->isEmpty() ? [] : $joint->parts as $part) {
            foreach (in_array($joint, $this->enclosure->joinsOf($part), true) ? $this->enclosure->deadlines($part) : [] as $shut) {
                $this->settled[$shut->id] ??= $this->settle($shut);
                if ($this->settled[$shut->id][0]) {
                    return $shut;
                }
            }
        }

        return null;
    }

    /** A clear part that is paint all over: no pane of it stays bare. */
    private function isTinted(Part $part): bool
    {
        $own = array_filter($this->kit->areas, static fn (Area $a): bool => $a->part === $part->id);

        return $own !== [] && array_filter($own, static fn (Area $a): bool => ! $a->isPainted()) === [];
    }

    /** @return list<string> */
    private function coloursOf(Part $part): array
    {
        $colours = [];
        foreach ($this->kit->areas as $area) {
            // What lies inside is painted before the joint is closed, and says nothing of the outside.
            if ($area->part === $part->id && $area->intent->colour !== null && $area->face !== Face::Inside) {
                $colours[] = $area->intent->colour;
            }
        }
        sort($colours);

        return array_values(array_unique($colours));
    }

    /** @return array<string, string> oldest connected part's id, by part id */
    private function connect(): array
    {
        $parent = [];
        foreach ($this->kit->parts as $part) {
            $parent[$part->id] = $part->id;
        }
        $find = static function (string $id) use (&$parent): string {
            while ($parent[$id] !== $id) {
                $id = $parent[$id];
            }

            return $id;
        };
        foreach ($this->kit->joints as $joint) {
            if ($this->settled[$joint->id][0]) {
                $a = $find($joint->parts[0]);
                $b = $find($joint->parts[1]);
                // ULIDs sort by age: the oldest part gives the piece its id.
                $parent[max($a, $b)] = min($a, $b);
            }
        }

        return array_map($find, array_combine(array_keys($parent), array_keys($parent)));
    }
}
