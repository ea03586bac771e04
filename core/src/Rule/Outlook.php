<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Drying\Waits;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Step\Breach;
use AmberStep\Core\Step\Circle;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Work\Operation;

/** The plan as the judging rules see it: what is there, what is coming, and how it will end up. */
final class Outlook
{
    /** @var array<string, list<PlannedStep>>|null what is left, by each target */
    private ?array $byTarget = null;

    /** @var array<string, list<PlannedStep>>|null what is left, by piece */
    private ?array $byPiece = null;

    /**
     * @param  array<string, PlannedStep>  $left  what is left to do, by key, in order
     * @param  ModelState  $final  the surface once all of it is done
     * @param  list<Breach>  $breaches
     * @param  list<Circle>  $circles
     */
    public function __construct(
        public readonly Context $context,
        public readonly array $left,
        public readonly ModelState $final,
        public readonly Waits $waits,
        public readonly array $breaches,
        public readonly array $circles,
    ) {
    }

    /** @return list<Layer> all layers an area will have, oldest first; planned ones say so */
    public function stack(string $areaId): array
    {
        return $this->final->area($areaId)->layers;
    }

    /** @return list<PlannedStep> what is left to do on an area, joint or piece, in order */
    public function leftOn(string $target): array
    {
        if ($this->byTarget === null) {
            $this->byTarget = [];
            foreach ($this->left as $planned) {
                foreach ($planned->step->targets as $each) {
                    $this->byTarget[$each][] = $planned;
                }
            }
        }

        return $this->byTarget[$target] ?? [];
    }

    /** @return list<PlannedStep> what is left to do on a piece, in order */
    public function leftOfPiece(string $pieceId): array
    {
        if ($this->byPiece === null) {
            $this->byPiece = [];
            foreach ($this->left as $planned) {
                $this->byPiece[$planned->step->pieceId][] = $planned;
            }
        }

        return $this->byPiece[$pieceId] ?? [];
    }

    public function isLeft(string $key): bool
    {
        return isset($this->left[$key]);
    }

    /**
     * The steps of a planned layer.
     *
     * @return list<string> keys
     */
    public function stepsOf(Layer $layer): array
    {
        $keys = [];
        foreach ($layer->coats as $coat) {
            if ($coat->stepKey !== null && isset($this->left[$coat->stepKey])) {
                $keys[] = $coat->stepKey;
            }
        }

        return $keys;
    }

    /** The next coat still to be laid on an area, as "operation/purpose": where a remedy goes in front. */
    public function nextCoatOn(string $areaId): ?string
    {
        foreach ($this->leftOn($areaId) as $planned) {
            $step = $planned->step;
            if (($step->operation->leavesLayer() || $step->operation === Operation::Decal) && ! $step->isRemedy()) {
                return $step->operation->value.'/'.$step->counted();
            }
        }

        return null;
    }
}
