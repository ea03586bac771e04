<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Material\Shelf;

/** What a verdict on one build says of a paint's wait: a paint that stayed soft there stays soft on the next. */
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
            if ($event->kind === EventKind::Done && $event->operation?->leavesLayer() === true) {
                foreach ($event->targets as $target) {
                    $last[$target] = $event;
                }
            }
            if ($event->kind !== EventKind::Verdict || $event->wait === null || $event->verdict === null) {
                continue;
            }
            foreach ($event->targets as $target) {
                $coat = $last[$target] ?? null;
                $product = $shelf->find($coat?->product);
                $product = $coat?->hardened === true ? $product?->hardened() : $product;
                $typical = $product?->family->figures()->minutes($event->wait);
                if ($coat !== null && $product !== null && $typical !== null) {
                    $out[] = new self($event->id, $event->atEpoch, $product->id, $event->wait->value, $event->verdict, ($event->atEpoch - $coat->atEpoch) / 60 / $typical);
                }
            }
        }

        return $out;
    }
}
