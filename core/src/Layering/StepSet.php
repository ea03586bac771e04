<?php

declare(strict_types=1);

namespace AmberStep\Core\Layering;

use AmberStep\Core\Seam\Course;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/** All steps of a build, done or not, with the ways rules look them up. */
final class StepSet
{
    /** @var array<string, Step> */
    private array $byKey = [];

    /** @var array<string, list<Step>> by target id, in the order added */
    private array $byTarget = [];

    /** @var array<string, list<Step>> */
    private array $byPiece = [];

    /** @var array<string, Course> by joint or flaw: what is to be done to it, and how far it is */
    public array $courses = [];

    public function add(Step $step): void
    {
        if (isset($this->byKey[$step->key])) {
            return;
        }
        $this->byKey[$step->key] = $step;
        if ($step->operation->isOfTheBuild()) {
            return;
        }
        $this->byPiece[$step->pieceId][] = $step;
        foreach ($step->targets as $target) {
            $this->byTarget[$target][] = $step;
        }
    }

    /** @return array<string, Step> */
    public function all(): array
    {
        return $this->byKey;
    }

    public function find(string $key): ?Step
    {
        return $this->byKey[$key] ?? null;
    }

    /** @return list<Step> */
    public function on(string $target): array
    {
        return $this->byTarget[$target] ?? [];
    }

    /** @return list<Step> */
    public function ofPiece(string $pieceId): array
    {
        return $this->byPiece[$pieceId] ?? [];
    }

    /** @return list<Step> */
    public function onWith(string $target, Operation $operation): array
    {
        return array_values(array_filter($this->on($target), static fn (Step $s): bool => $s->operation === $operation));
    }

    /** @return list<Step> */
    public function with(Operation $operation): array
    {
        return array_values(array_filter($this->byKey, static fn (Step $s): bool => $s->operation === $operation));
    }

    /** The last coat step of an operation on a target. */
    public function last(string $target, Operation $operation, ?string $purpose = null): ?Step
    {
        $found = null;
        foreach ($this->on($target) as $step) {
            if ($step->operation === $operation && ($purpose === null || $step->counted() === $purpose)) {
                $found = $step;
            }
        }

        return $found;
    }
}
