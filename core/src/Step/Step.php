<?php

declare(strict_types=1);

namespace AmberStep\Core\Step;

use AmberStep\Core\Kit\Inserted;
use AmberStep\Core\Log\Fault;
use AmberStep\Core\Material\CoatKind;
use AmberStep\Core\Material\Medium;
use AmberStep\Core\Material\Product;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Work\Operation;

/** One operation on one piece, or on one joint. */
final readonly class Step
{
    public string $key;

    private string $counted;

    /**
     * @param  string  $target  piece or joint: the first part of the key
     * @param  list<string>  $targets  what the event names: areas, or the joint or piece itself
     * @param  string  $purpose  colour, mask, fault or round; "+" sets off a mark of its phase
     * @param  int  $n  counts within the purpose, from 1
     * @param  int  $of  how many there are
     * @param  string  $phase  id of the joint the areas must be finished before; empty in the main phase
     * @param  int  $rank  place in the trade's order, for ties
     * @param  bool  $thinned  sprayed thinner than the label says, at lower pressure
     * @param  float|null  $cabinetC  how warm it dries, where the step is to put it there
     * @param  string|null  $placeId  joint or flaw that is made good by it
     * @param  bool  $throughPaint  it goes back through paint that is there: before all else on its areas
     * @param  Cup|null  $cup  what is mixed in it
     * @param  WaitKind|null  $waitsFor  a state all targets must have reached first
     */
    public function __construct(
        public string $target,
        public Operation $operation,
        public string $purpose,
        public int $n,
        public int $of,
        public string $pieceId,
        public array $targets,
        public int $rank,
        public int $position,
        public string $phase = '',
        public ?string $jointId = null,
        public ?Product $product = null,
        public ?CoatKind $coatKind = null,
        public ?Medium $medium = null,
        public ?string $title = null,
        public ?WaitKind $waitsFor = null,
        public float $waitFactor = 1,
        public ?Inserted $inserted = null,
        public ?Fault $fault = null,
        public bool $thinned = false,
        public ?float $cabinetC = null,
        public ?string $placeId = null,
        public bool $throughPaint = false,
        public ?Cup $cup = null,
    ) {
        $this->counted = explode('+', $purpose, 2)[0];
        $this->key = "{$target}/{$operation->value}/{$purpose}/{$n}";
    }

    /** Put on with a gun or a can: what is brushed leaves the same layer and makes no mist. */
    public function isSprayed(): bool
    {
        return $this->operation->sprays() && $this->coatKind !== CoatKind::Brushed;
    }

    /** The stage it belongs to: steps of one colour and mix over pieces; coats fold into it. */
    public function stage(): string
    {
        $phase = $this->phase === '' ? 'main' : 'inside';

        return match (true) {
            $this->fault !== null, $this->inserted !== null => "{$phase}/{$this->operation->value}/{$this->purpose}",
            $this->throughPaint => "{$phase}/{$this->operation->value}/{$this->placeId}",
            $this->jointId !== null, $this->placeId !== null => "{$phase}/{$this->operation->value}",
            default => "{$phase}/{$this->operation->value}/{$this->counted}",
        };
    }

    /** Purpose a fact is counted under. */
    public function counted(): string
    {
        return $this->counted;
    }

    public function isLastCoat(): bool
    {
        return $this->n >= $this->of;
    }

    public function isRemedy(): bool
    {
        return $this->fault !== null || $this->inserted !== null || $this->throughPaint;
    }

    /**
     * Same step on fewer targets: the others have it already.
     *
     * @param  list<string>  $targets
     */
    public function on(array $targets): self
    {
        return new self($this->target, $this->operation, $this->purpose, $this->n, $this->of, $this->pieceId, $targets, $this->rank, $this->position, $this->phase, $this->jointId, $this->product, $this->coatKind, $this->medium, $this->title, $this->waitsFor, $this->waitFactor, $this->inserted, $this->fault, $this->thinned, $this->cabinetC, $this->placeId, $this->throughPaint, $this->cup);
    }
}
