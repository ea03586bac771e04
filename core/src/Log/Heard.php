<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Kit\Place;
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
     * All that the log of one build says of waits, by what was last done to each target.
     *
     * @param  list<Event>  $events  the whole log, in any order
     * @param  Kit|null  $kit  of the build: what glue and filler a joint has that no event names
     * @return list<self> in the order it was found
     */
    public static function in(array $events, Shelf $shelf, ?Kit $kit = null): array
    {
        $last = $out = [];
        foreach (Log::standing($events) as $event) {
            if (($event->kind === EventKind::Done && ($event->operation?->leavesLayer() === true || in_array($event->operation, [Operation::Fill, Operation::Wash, Operation::Wipe], true))) || $event->kind === EventKind::Glued) {
                foreach ($event->targets as $target) {
                    $last[$target] = $event;
                }
            }
            if ($event->kind !== EventKind::Verdict || $event->wait === null || $event->verdict === null) {
                continue;
            }
            foreach ($event->targets as $target) {
                $since = $last[$target] ?? null;
                [$subject, $typical] = $since === null ? [null, null] : self::timed($since, $target, $event->wait, $shelf, $kit);
                if ($since !== null && $subject !== null && $typical !== null) {
                    $out[] = new self($event->id, $event->atEpoch, $subject, $event->wait->value, $event->verdict, ($event->atEpoch - $since->atEpoch) / 60 / $typical);
                }
            }
        }

        return $out;
    }

    /** @return array{string|null, float|int|null} what was waited for, and how long it typically takes, minutes */
    private static function timed(Event $since, string $target, HoldKind $kind, Shelf $shelf, ?Kit $kit): array
    {
        $product = $shelf->find($since->product);
        $product = $since->hardened ? $product?->hardened() : $product;
        $wait = WaitKind::tryFrom($kind->value);
        $glue = $since->kind === EventKind::Glued ? $since->glue ?? ($kit->jointsById[$target] ?? null)?->glue : null;
        $place = $kit !== null && $since->operation === Operation::Fill ? Place::find($target, $kit) : null;
        $filler = $since->filler ?? $place?->filler();

        return match (true) {
            $product !== null && $wait !== null => [$product->id, $product->family->figures()->minutes($wait)],
            $glue !== null && $kind === HoldKind::Handle => ['glue:'.$glue->value, $glue->handleMinutes()],
            $glue !== null && $kind === HoldKind::Full => ['glue:'.$glue->value, $glue->fullMinutes()],
            $filler !== null && $kind === HoldKind::Ready => ['filler:'.$filler->value, $filler->readyMinutes($place->widthMm ?? 0)],
            $kind === HoldKind::Dry && in_array($since->operation, [Operation::Wash, Operation::Wipe], true) => ['water', $since->operation === Operation::Wipe ? Timed::WIPED : ($since->blownOff ? Timed::BLOWN_OFF : Timed::WASHED)],
            default => [null, null],
        };
    }
}
