<?php

declare(strict_types=1);

namespace AmberStep\Core\Seam;

use AmberStep\Core\Kit\FlawKind;
use AmberStep\Core\Kit\FoundAt;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Place;
use AmberStep\Core\Log\Deed;
use AmberStep\Core\Log\JointState;
use AmberStep\Core\Log\Verdict;
use AmberStep\Core\Material\Access;
use AmberStep\Core\Work\Operation;

/**
 * The way of one place from found to good: what the register asks for, and what each look at it added. Where it
 * stands follows from what was done, on plan or off; what is done over again is gone on from there.
 */
final class Course
{
    /** @var list<Leg> */
    public array $legs = [];

    /** How many of the legs are behind it. */
    public int $at = 0;

    /** What closed it; null while it is open. */
    public ?Deed $closedBy = null;

    /** What the last sanding of the round went through; null where it was not sanded yet. */
    private ?FoundAt $cut = null;

    /** The round that is under way. */
    public int $round = 0;

    private function __construct(private readonly Place $place, private readonly HouseRules $house)
    {
    }

    /** @param  FoundAt  $lies  what lies on the place now: nothing is gone back through that is not there */
    public static function of(Place $place, JointState $state, HouseRules $house, FoundAt $lies): self
    {
        $course = new self($place, $house);
        $through = $lies === FoundAt::Bare ? FoundAt::Bare : $place->foundAt;
        if ($place->mayBeDetail()) {
            $course->add([Operation::Look], $through);
        }
        $course->add($course->asked(), $through);
        foreach ($state->deeds as $deed) {
            $deed->what instanceof Verdict ? $course->judged($deed, $deed->what) : $course->done($deed->what);
            $course->cut = $deed->what === Operation::CutBack ? $deed->through : $course->cut;
        }

        return $course;
    }

    public function isGood(): bool
    {
        return $this->closedBy !== null || $this->at >= count($this->legs);
    }

    /** The leg that comes next; null where it is good. */
    public function next(): ?Leg
    {
        return $this->isGood() ? null : $this->legs[$this->at];
    }

    public function isDone(Operation $operation, int $n): bool
    {
        if ($this->closedBy !== null) {
            return true;
        }
        foreach ($this->legs as $i => $leg) {
            if ($leg->operation === $operation && $leg->n === $n) {
                return $i < $this->at;
            }
        }

        return false;
    }

    /** What lay on the place when its last round was asked for, where that round opens it; null where nothing is to be primed again. */
    public function opens(): ?FoundAt
    {
        foreach ($this->legs as $leg) {
            if ($leg->round === $this->round && $leg->operation === Operation::CutBack) {
                $through = $this->cut ?? $leg->through;

                return $through !== FoundAt::Bare && ($this->cut !== null || ! $this->isGood()) ? $through : null;
            }
        }

        return null;
    }

    /**
     * What the register asks for.
     *
     * @return list<Operation>
     */
    private function asked(): array
    {
        $kind = $this->place->kind;
        $low = $kind?->isLow() === true;
        $sanded = $kind?->isSandedOnly() === true || ($low && ! $this->house->says('low-spot', 'fill')) || (($kind === null || $kind === FlawKind::Seam) && $this->place->widthMm <= 0);

        return $sanded ? $this->sanding() : $this->filling();
    }

    /** @return list<Operation> */
    private function filling(): array
    {
        return $this->place->access === Access::None ? [Operation::Fill, ...$this->check()] : [Operation::Fill, ...$this->sanding()];
    }

    /** @return list<Operation> */
    private function sanding(): array
    {
        return [Operation::CutBack, ...$this->check()];
    }

    /** @return list<Operation> checked with the primer, a place needs no step of its own (house rule) */
    private function check(): array
    {
        return match (true) {
            $this->house->says('seam-check', 'primer') => [],
            $this->house->says('seam-check', 'pen-light') || ! $this->place->takesCheckCoat() => [Operation::CheckSeam],
            default => [Operation::CheckCoat, Operation::CheckSeam],
        };
    }

    private function judged(Deed $deed, Verdict $verdict): void
    {
        if ($verdict === Verdict::NoDetail) {
            $this->done(Operation::Look);

            return;
        }
        if ($verdict->closes()) {
            $this->closedBy = $deed;

            return;
        }
        $more = match ($verdict) {
            Verdict::Fill => $this->filling(),
            Verdict::Sand => $this->sanding(),
            Verdict::Rescribe => [Operation::Rescribe],
            Verdict::Halo => $this->place->takesCheckCoat() ? [Operation::CheckCoat, Operation::CheckSeam] : [Operation::CheckSeam],
            default => [],
        };
        if ($more !== []) {
            $this->closedBy = null;
            // The look answers the check that was due; what else was still open of the round is asked for anew.
            $checked = match (($this->legs[$this->at] ?? null)?->operation) {
                Operation::CheckCoat => 2,
                Operation::CheckSeam => 1,
                default => 0,
            };
            $this->legs = array_slice($this->legs, 0, $this->at + $checked);
            $this->at = count($this->legs);
            $this->round++;
            $this->cut = null;
            $this->add($more, $deed->through, $verdict === Verdict::Halo);
        }
    }

    private function done(Operation $operation): void
    {
        $ahead = $this->place($operation, $this->at, count($this->legs));
        $behind = $this->place($operation, 0, $this->at);
        if ($ahead !== null) {
            $this->at = $ahead + 1;
        } elseif ($behind !== null) {
            $this->at = $behind + 1;
        } elseif ($operation === Operation::Fill) {
            $this->at = min($this->at, $this->place(Operation::CutBack, 0, count($this->legs)) ?? $this->at);
        }
        // Filled or sanded after it was good: what follows is due again.
        $this->closedBy = $operation === Operation::Fill || $operation === Operation::CutBack ? null : $this->closedBy;
    }

    /** The first leg of an operation from one place on; of those behind, the last. */
    private function place(Operation $operation, int $from, int $to): ?int
    {
        $found = null;
        for ($i = $from; $i < $to; $i++) {
            if ($this->legs[$i]->operation === $operation) {
                $found = $i;
                if ($from === $this->at) {
                    break;
                }
            }
        }

        return $found;
    }

    /** @param  list<Operation>  $operations */
    private function add(array $operations, FoundAt $through, bool $halo = false): void
    {
        foreach ($operations as $operation) {
            $n = 1 + count(array_filter($this->legs, static fn (Leg $l): bool => $l->operation === $operation));
            $this->legs[] = new Leg($operation, $n, $this->round, $through, $halo);
        }
    }
}
