<?php

declare(strict_types=1);

namespace AmberStep\Core\Plan;

use AmberStep\Core\Kit\NotBefore;
use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\Minutes;
use AmberStep\Core\Log\Fold;
use AmberStep\Core\Rule\RuleBook;
use AmberStep\Core\Rule\World;
use AmberStep\Core\Step\Hold;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Step\StepEvent;
use AmberStep\Core\Work\Operation;

/** One build while it is walked through step by step: its model as it will be by then, and what the rules say of it. */
final class Thread
{
    public readonly Context $context;

    public readonly World $world;

    /** @var list<Step> steps left to do, in the plan's order */
    public readonly array $steps;

    /** @var array<string, int> place of each, by key */
    public readonly array $places;

    public readonly Waiting $waiting;

    public readonly Gates $gates;

    private readonly Fold $fold;

    /** @var array<string, int> moments the user fixed, by key */
    private readonly array $fixed;

    /** @var array<string, float> */
    private array $minutes = [];

    public function __construct(public readonly Problem $problem, private readonly RuleBook $rules)
    {
        $this->context = $problem->context;
        $this->world = new World($this->context->kit, $this->context->house, $this->context->breakdown, clone $this->context->surface, $problem->waits, $this->context->nowEpoch);
        $this->fold = new Fold($this->context->kit, $this->context->shelf, $this->world->surface);
        $this->steps = array_values($problem->left);
        $this->places = array_flip(array_keys($problem->left));
        $this->waiting = new Waiting($problem->left, $problem->sequence, $this->context);
        $this->gates = new Gates($this, $rules);
        $this->fixed = NotBefore::fixed($this->context->kit->notBefore);
    }

    /** The same build, at its beginning again. */
    public function anew(): self
    {
        $anew = new self($this->problem, $this->rules);
        $anew->minutes = $this->minutes;

        return $anew;
    }

    /** @return list<Hold> of a step as the model stands */
    public function holds(Step $step): array
    {
        $holds = [];
        foreach ($this->rules->holding($step->operation) as $rule) {
            foreach ($rule->holds($step, $this->world) as $hold) {
                $holds[] = $hold;
            }
        }

        return $holds;
    }

    /**
     * @param  list<Hold>  $holds
     * @return list<array{int, int}> stretches that are shut by them
     */
    public static function shut(array $holds): array
    {
        $shut = [];
        foreach ($holds as $hold) {
            if ($hold->untilEpoch > $hold->fromEpoch) {
                $shut[] = [$hold->fromEpoch, $hold->untilEpoch];
            }
        }

        return $shut;
    }

    /** It is done by then: the model is as it leaves it. */
    public function do(Step $step, int $endEpoch): void
    {
        $this->fold->apply(StepEvent::of($step, 'plan:'.$step->key, $endEpoch, $endEpoch));
        $this->world->changed($this->piecesOf($step), $step->operation->joins());
    }

    /** Hands-on; a washing with its water. */
    public function minutes(Step $step): float
    {
        return $this->minutes[$step->key] ??= ($step->placeId === null ? 1.0 : $this->context->surface->learned->pace($step->operation)) * Minutes::of($step, $this->context->kit, $this->context->house, $this->context->experience->uses);
    }

    /** How far its minutes spread, where enough of its kind were written down; else null. */
    public function spread(Step $step): ?float
    {
        return $step->placeId === null ? null : $this->context->surface->learned->spread($step->operation);
    }

    /** @return int|null epoch seconds */
    public function fixed(Step $step): ?int
    {
        return $this->fixed[$step->key] ?? null;
    }

    /** Minutes of a washing that are shared with the one before it: pieces washed one after the other share the water (handbook 2). */
    public static function sharedMinutes(Step $step): int
    {
        return $step->operation === Operation::Wash ? Minutes::WATER : 0;
    }

    /** @return non-empty-list<string> pieces a step lies on, or joins */
    public function piecesOf(Step $step): array
    {
        $breakdown = $this->world->breakdown;
        $pieces = [$step->pieceId => true];
        $joint = $this->world->kit->jointsById[$step->jointId ?? ''] ?? null;
        foreach ($joint === null ? [] : $breakdown->sides($joint) as $side) {
            $pieces[$side->id] = true;
        }
        foreach ($step->targets as $target) {
            if (isset($breakdown->pieceOfArea[$target])) {
                $pieces[$breakdown->pieceOfArea[$target]] = true;
            }
        }

        return array_keys($pieces);
    }
}
