<?php

declare(strict_types=1);

namespace AmberStep\Core\Rule;

use AmberStep\Core\Drying\Waits;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\Layer;
use AmberStep\Core\Log\ModelState;
use AmberStep\Core\Step\Breach;
use AmberStep\Core\Step\Circle;
use AmberStep\Core\Step\PlannedStep;
use AmberStep\Core\Work\Operation;

/** The plan as the judging rules see it: what is there, what is coming, and how it will end up. */
final readonly class Outlook
{
    /**
     * @param  array<string, PlannedStep>  $left  what is left to do, by key, in order
     * @param  ModelState  $final  the surface once all of it is done
     * @param  list<Event>  $events  events that stand, in order
     * @param  list<Breach>  $breaches
     * @param  list<Circle>  $circles
     */
    public function __construct(
        public Context $context,
        public array $left,
        public ModelState $final,
        public Waits $waits,
        public array $events,
        public array $breaches,
        public array $circles,
    ) {
    }

    /** @return list<Layer> all layers an area will have, oldest first; planned ones say so */
    public function stack(string $areaId): array
    {
        return $this->final->area($areaId)->layers;
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
        foreach ($this->left as $planned) {
            $step = $planned->step;
            if (($step->operation->leavesLayer() || $step->operation === Operation::Decal) && ! $step->isRemedy() && in_array($areaId, $step->targets, true)) {
                return $step->operation->value.'/'.$step->counted();
            }
        }

        return null;
    }
}
