<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Material\Shelf;
use AmberStep\Core\Material\WaitKind;
use AmberStep\Core\Work\HoldKind;
use AmberStep\Core\Work\Operation;

/** What a verdict on one build says of a wait: a paint or glue that stayed soft there stays soft on the next. */
final readonly class Heard
{
    /** @param  float  $age  of the paint when it was found so, in typical waits */
    public function __construct(public string $eventId, public int $atEpoch, public string $product, public string $wait, public Verdict $verdict, public float $age)
    {
    }

    /**
     * All that the log of one build says of waits, by the last coat that lay on each target.
     *
     * @param  list<Event>  $events  the whole log, in any order
     * @return list<self> in the order it was found
     */
    public static function in(array $events, Shelf $shelf): array
    {
        $last = $out = [];
        foreach (Log::standing($events) as $event) {
            if (($event->kind === EventKind::Done && ($event->operation?->leavesLayer() === true || $event->operation === Operation::Fill)) || $event->kind === EventKind::Glued) {
                foreach ($event->targets as $target) {
                    $last[$target] = $event;
                }
            }
            if ($event->kind !== EventKind::Verdict || $event->wait === null || $event->verdict === null) {
                continue;
            }
            foreach ($event->targets as $target) {
                $coat = $last[$target] ?? null;
                [$subject, $typical] = $coat === null ? [null, null] : self::timed($coat, $event->wait, $shelf);
                if ($coat !== null && $subject !== null && $typical !== null) {
                    $out[] = new self($event->id, $event->atEpoch, $subject, $event->wait->value, $event->verdict, ($event->atEpoch - $coat->atEpoch) / 60 / $typical);
                }
            }
        }

        return $out;
    }

    /** @return array{string|null, float|int|null} what was waited for, and how long it typically takes, minutes */
    private static function timed(Event $coat, HoldKind $kind, Shelf $shelf): array
    {
        $product = $shelf->find($coat->product);
        $product = $coat->hardened ? $product?->hardened() : $product;
        $wait = WaitKind::tryFrom($kind->value);

        return match (true) {
            $product !== null && $wait !== null => [$product->id, $product->family->figures()->minutes($wait)],
            $coat->glue !== null && $kind === HoldKind::Handle => ['glue:'.$coat->glue->value, $coat->glue->handleMinutes()],
            $coat->glue !== null && $kind === HoldKind::Full => ['glue:'.$coat->glue->value, $coat->glue->fullMinutes()],
            default => [null, null],
        };
    }
}
