<?php

declare(strict_types=1);

namespace AmberStep\Core\RunUp;

use AmberStep\Core\Plan\Plans;
use AmberStep\Core\Step\PlannedStep;

/** One session as it is worked: what is laid out, the steps of all builds in their order, and the clocks they start. */
final readonly class SessionSheet
{
    /** Seconds under which a clock is over before anybody looks at it. */
    private const SHORT = 600;

    /** @var list<array{string, PlannedStep}> build and step, by time */
    public array $steps;

    /** @var list<LaidOut> */
    public array $layOut;

    /** @var list<RunsOn> soonest first */
    public array $clocks;

    /**
     * One of the sessions as it is worked.
     *
     * @param  int|null  $untilEpoch  when it ends; null: the first
     * @return self|null null where no session ends then
     */
    public static function of(RunUp $run, Plans $plans, ?int $untilEpoch): ?self
    {
        foreach ($run->columns as $i => $column) {
            if ($untilEpoch === null || $column->untilEpoch === $untilEpoch) {
                return new self($plans, $column->fromEpoch, $column->untilEpoch, $run->columns[$i + 1]->fromEpoch ?? PHP_INT_MAX);
            }
        }

        return null;
    }

    /** @param  int  $nextEpoch  when the session after it begins: what is begun before that belongs to this one */
    private function __construct(Plans $plans, public int $fromEpoch, public int $untilEpoch, int $nextEpoch)
    {
        $steps = [];
        $layOut = new LayOut;
        foreach ($plans->byBuild as $build => $plan) {
            foreach ($plan->atTheBench() as $planned) {
                if ($planned->startEpoch >= $fromEpoch && $planned->startEpoch < $nextEpoch) {
                    $steps[] = [(string) $build, $planned];
                }
            }
        }
        usort($steps, static fn (array $a, array $b): int => [$a[1]->startEpoch, $a[1]->endEpoch] <=> [$b[1]->startEpoch, $b[1]->endEpoch]);
        foreach ($steps as [$build, $planned]) {
            $layOut->add($planned->step, $plans->byBuild[$build]->context);
        }
        $this->steps = $steps;
        $this->layOut = $layOut->all();
        $this->clocks = $this->clocks($plans, $nextEpoch);
    }

    /** @return list<RunsOn> of each piece the last of a kind, pieces that wait for the same together */
    private function clocks(Plans $plans, int $nextEpoch): array
    {
        $clocks = [];
        foreach ($plans->byBuild as $build => $plan) {
            foreach ($plan->left as $planned) {
                foreach ($planned->holds as $hold) {
                    $started = $hold->fromEpoch >= $this->fromEpoch && $hold->fromEpoch < $nextEpoch;
                    $endsHere = $hold->untilEpoch > $this->fromEpoch && $hold->untilEpoch <= $this->untilEpoch;
                    $key = "{$build} {$planned->step->pieceId} {$hold->kind->value}";
                    if ($hold->isChance() || ! ($started || ($endsHere && $hold->fromEpoch < $this->fromEpoch)) || $hold->untilEpoch - $hold->fromEpoch < self::SHORT || ($clocks[$key]->untilEpoch ?? 0) >= $hold->untilEpoch) {
                        continue;
                    }
                    $clocks[$key] = new RunsOn((string) $build, [$plan->context->pieceName($planned->step->pieceId)], $hold->because, $hold->kind->forbids(), $hold->untilEpoch, $hold->untilEpoch);
                }
            }
        }
        $alike = [];
        foreach ($clocks as $one) {
            $key = "{$one->build} {$one->because} {$one->forbids}";
            $alike[$key] = isset($alike[$key]) ? $alike[$key]->and($one) : $one;
        }
        usort($alike, static fn (RunsOn $a, RunsOn $b): int => [$a->untilEpoch, $a->pieces] <=> [$b->untilEpoch, $b->pieces]);

        return $alike;
    }
}
