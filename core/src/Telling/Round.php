<?php

declare(strict_types=1);

namespace AmberStep\Core\Telling;

use AmberStep\Core\Layering\Context;
use AmberStep\Core\Layering\PartSteps;
use AmberStep\Core\Log\Event;
use AmberStep\Core\Log\EventKind;
use AmberStep\Core\Step\Step;
use AmberStep\Core\Work\Operation;

/**
 * Work that hands do in one go on many pieces: a basket of washing, a board of primer, a look over all, a round of plugs or holders
 * (handbook 10). It is one step at the bench, and each part of it is ticked by itself.
 */
final readonly class Round
{
    /** Seconds between two entries of the log that still belong to one round. */
    public const APART = 30 * 60;

    /**
     * @param  string  $kind  steps one after the other that share it are one round
     * @param  string  $title  what the whole of it is called
     * @param  string  $button  what was done to all its parts
     */
    private function __construct(public string $kind, public string $title, public string $button)
    {
    }

    /** @return self|null null where each is done for itself */
    public static function of(Step $step, Context $context): ?self
    {
        if ($step->isRemedy() || $step->throughPaint) {
            return null;
        }
        $title = match ($step->operation) {
            Operation::Wash => $step->counted() === PartSteps::RELEASE ? 'Wash in one basket before anything is glued' : 'Wash in one basket, rinse, set aside to dry',
            Operation::Prime => 'One board: '.lcfirst(Words::title($step, $context)),
            Operation::Inspect => str_replace('Look it', 'Look them', Words::title($step, $context)),
            Operation::MaskFaces => 'Plug faces that are glued later',
            Operation::Unplug => 'Take the plugs out',
            Operation::Mount => 'Put them on their holders',
            default => null,
        };
        $button = match ($step->operation) {
            Operation::Wash => 'All are washed',
            Operation::Prime => 'Coat is on all of them',
            Operation::Inspect => 'All looked over, clean',
            Operation::MaskFaces => 'All faces are plugged',
            Operation::Unplug => 'All plugs are out',
            default => 'All are on holders',
        };

        return $title === null ? null : new self(self::kind($step->operation, $step->counted(), $step->n, $step->product?->id), $title, $button);
    }

    /** @return string|null of what was logged: entries one after the other that share it were one round */
    public static function ofDone(Event $event): ?string
    {
        $together = [Operation::Wash, Operation::Prime, Operation::Inspect, Operation::MaskFaces, Operation::Unplug, Operation::Mount];

        return $event->kind === EventKind::Done && $event->stepKey !== null && in_array($event->operation, $together, true)
            ? self::kind($event->operation, $event->purpose, (int) (explode('/', $event->stepKey)[3] ?? 1), $event->product) : null;
    }

    private static function kind(Operation $operation, string $purpose, int $n, ?string $product): string
    {
        return match ($operation) {
            Operation::Prime => "{$operation->value}/{$product}/{$n}",
            Operation::Inspect, Operation::Wash => "{$operation->value}/".explode('+', $purpose, 2)[0]."/{$n}",
            default => $operation->value,
        };
    }
}
