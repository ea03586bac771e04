<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Material\Family;

/** What is really on the model: the fold of the log. The planner copies it and lays imaginary coats on the copy. */
final class ModelState
{
    /** @var array<string, AreaState> */
    private array $areas = [];

    /** @var array<string, JointState> */
    private array $joints = [];

    /** @var array<string, AreaState> marks on whole pieces: mounted, faces kept bare */
    private array $pieces = [];

    /** @var array<string, OpenFault> by event id */
    public array $faults = [];

    /** @var list<Mix> */
    public array $mixes = [];

    /** @var list<Wiped> */
    public array $wipes = [];

    /** @var array<string, array{int, string}> step keys answered: when, and by which event */
    public array $answered = [];

    /** @var array<string, list<array{int, int, string}>> inspections by target: when, how many defects, before what */
    public array $inspections = [];

    /** @var array<string, string> features that are there again: by which event */
    public array $features = [];

    /** @var list<array{int, int, string, string}> rounds of the register: when, how many places asked for more, by what means, which event */
    public array $rounds = [];

    /** @var array<string, int> when the cup of a mix was thrown out, by the event that mixed it */
    public array $discarded = [];

    /** @var array<string, int> how often the gun was cleaned of a product */
    public array $cleanings = [];

    /** @var array<string, string> lines of colour lists ticked: by which event, by "call-out or area/colour" */
    public array $ticks = [];

    /** @var array<string, int> colours closed: when */
    public array $closed = [];

    /** @var array<string, list<array{string, string}>> where parts were fitted, in words, and the event, by part */
    public array $fitted = [];

    /** @var array<string, int> when a gun was last cleaned, by the product that was in it */
    public array $gunCleaned = [];

    /** @var array{int, string} when hands were last at work on it, and at which operation */
    public array $lastDone = [0, ''];

    public Learned $learned;

    /** @var array<string, int> by target: last event there */
    public array $lastAt = [];

    public function __construct()
    {
        $this->learned = new Learned;
    }

    /**
     * @param  array<string, AreaState>  $areas
     * @param  array<string, AreaState>  $pieces
     * @param  array<string, JointState>  $joints
     */
    public static function of(array $areas, array $pieces, array $joints): self
    {
        $state = new self;
        [$state->areas, $state->pieces, $state->joints] = [$areas, $pieces, $joints];

        return $state;
    }

    public function __clone()
    {
        $copyArea = static fn (AreaState $state): AreaState => clone $state;
        $this->areas = array_map($copyArea, $this->areas);
        $this->pieces = array_map($copyArea, $this->pieces);
        $this->joints = array_map(static fn (JointState $state): JointState => clone $state, $this->joints);
        $this->learned = clone $this->learned;
    }

    public function area(string $id): AreaState
    {
        return $this->areas[$id] ??= new AreaState;
    }

    /** What was done to a joint or a flaw. */
    public function joint(string $id): JointState
    {
        return $this->joints[$id] ??= new JointState;
    }

    public function piece(string $id): AreaState
    {
        return $this->pieces[$id] ??= new AreaState;
    }

    /** @return array<string, AreaState> */
    public function areas(): array
    {
        return $this->areas;
    }

    /** @return array<string, AreaState> */
    public function pieces(): array
    {
        return $this->pieces;
    }

    /** @return array<string, JointState> */
    public function joints(): array
    {
        return $this->joints;
    }

    /**
     * What is still in the gun: sprayed last, and not cleaned out since. Nothing comes out of an aerosol's gun.
     *
     * @return array{string, int, string, Family}|null product id, epoch seconds, area, and the family it was mixed to
     */
    public function lastSprayed(): ?array
    {
        return $this->sprayed()[0] ?? null;
    }

    /** @return list<array{string, int, string, Family}> what was sprayed with a gun and not cleaned out of it since, the last first: product, when, area, family */
    public function sprayed(): array
    {
        $last = [];
        foreach ($this->areas as $id => $state) {
            $top = $state->top();
            if ($top?->product === null || $top->product->family === Family::Aerosol || ! $top->operation->sprays()) {
                continue;
            }
            $product = $top->product->id;
            $at = $top->lastCoat()->atEpoch;
            if ($at > ($last[$product][1] ?? max($this->gunCleaned[$product] ?? 0, $this->gunCleaned[''] ?? 0))) {
                $last[$product] = [$product, $at, (string) $id, $top->product->family];
            }
        }
        usort($last, static fn (array $a, array $b): int => $b[1] <=> $a[1]);

        return $last;
    }

    public function faultClosed(string $eventId): void
    {
        unset($this->faults[$eventId]);
    }
}
