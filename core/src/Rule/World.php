<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Drying\Waits;
use AmberStep\Core\Kit\Breakdown;
use AmberStep\Core\Kit\HouseRules;
use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Log\AreaState;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Step\Hold;

/** The model as it is, or as it will be by then, with its clocks: what hold rules look at. */
final class World
{
    /** @var array<string, int> grows with each thing done to a piece */
    private array $versions = [];

    /** @var array<string, int> grows with each thing done to a piece, or to one it hangs on */
    private array $moved = [];

    private int $version = 0;

    private ?Assemblies $assemblies = null;

    /** @var array<string, array{int, list<Hold>}> holds of a piece by rule, with the version they were worked out at */
    private array $ofPieces = [];

    /** @var array<string, array{int, list<Hold>}> the same of all that hangs on a piece */
    private array $gates = [];

    public function __construct(
        public readonly Kit $kit,
        public readonly HouseRules $house,
        public readonly Breakdown $breakdown,
        public readonly ModelState $surface,
        public readonly Waits $waits,
        public readonly int $nowEpoch,
    ) {
    }

    public function state(string $areaId): AreaState
    {
        return $this->surface->area($areaId);
    }

    /**
     * Something was done to pieces: what rests on them, and on what hangs on them, is worked out anew.
     *
     * @param  list<string>  $pieceIds
     */
    public function changed(array $pieceIds, bool $attached): void
    {
        if ($attached) {
            $this->assemblies()->join($pieceIds);
        }
        $this->version++;
        foreach ($pieceIds as $id) {
            $this->versions[$id] = $this->version;
            foreach ($this->assemblies()->of($id) as $piece) {
                $this->moved[$piece] = $this->version;
            }
        }
    }

    /**
     * The last change done to pieces themselves.
     *
     * @param  list<string>  $pieceIds
     */
    public function lastWork(array $pieceIds): int
    {
        $last = 0;
        foreach ($pieceIds as $id) {
            $last = max($last, $this->versions[$id] ?? 0);
        }

        return $last;
    }

    /**
     * The last change done to pieces, or to what hangs on them.
     *
     * @param  list<string>  $pieceIds
     */
    public function lastMove(array $pieceIds): int
    {
        $last = 0;
        foreach ($pieceIds as $id) {
            $last = max($last, $this->moved[$id] ?? 0);
        }

        return $last;
    }

    /** The last change anywhere on the model. */
    public function lastChange(): int
    {
        return $this->version;
    }

    /** @return list<string> pieces that move when one is handled: itself, and those attached to it */
    public function together(string $pieceId): array
    {
        return $this->assemblies()->of($pieceId);
    }

    /**
     * What holds a piece by one rule, worked out once until something is done to it.
     *
     * @param  callable(string): list<Hold>  $work  by piece id
     * @return list<Hold>
     */
    public function onPiece(string $rule, string $pieceId, callable $work): array
    {
        $key = $rule.' '.$pieceId;
        $version = $this->versions[$pieceId] ?? 0;
        if (($this->ofPieces[$key][0] ?? null) !== $version) {
            $this->ofPieces[$key] = [$version, $work($pieceId)];
        }

        return $this->ofPieces[$key][1];
    }

    /**
     * A gate: what holds all that hangs on a piece, and not the piece itself, by one rule: those that last.
     *
     * @param  callable(string): list<Hold>  $work  by piece id
     * @return list<Hold>
     */
    public function gate(string $rule, string $pieceId, callable $work): array
    {
        $others = $this->assemblies()->of($pieceId);
        if (count($others) < 2) {
            return [];
        }
        $key = $rule.' '.$pieceId;
        $version = $this->moved[$pieceId] ?? 0;
        if (($this->gates[$key][0] ?? null) !== $version) {
            $holds = [];
            foreach ($others as $other) {
                if ($other !== $pieceId) {
                    array_push($holds, ...$this->onPiece($rule, $other, $work));
                }
            }
            $this->gates[$key] = [$version, Hold::lasting($holds, $this->nowEpoch)];
        }

        return $this->gates[$key][1];
    }

    /**
     * What holds by one rule wherever it lies on the model.
     *
     * @param  callable(): list<Hold>  $work
     * @return list<Hold>
     */
    public function anywhere(string $rule, callable $work): array
    {
        if (($this->gates[$rule][0] ?? null) !== $this->version) {
            $this->gates[$rule] = [$this->version, $work()];
        }

        return $this->gates[$rule][1];
    }

    private function assemblies(): Assemblies
    {
        return $this->assemblies ??= Assemblies::on($this->kit, $this->breakdown, $this->surface);
    }
}
