<?php

declare(strict_types=1);

namespace AmberStep\Core\Log;

use AmberStep\Core\Kit\Kit;
use AmberStep\Core\Material\Shelf;

/** The append-only log, folded. */
final class Log
{
    /**
     * What is really on the model at $nowEpoch. The order the events arrive in does not matter; an event
     * that was taken back is as if it had never been; what lies in the future has not happened.
     *
     * @param  iterable<Event>  $events
     * @param  Experience  $experience  what the other builds taught
     */
    public static function replay(iterable $events, Kit $kit, Shelf $shelf, int $nowEpoch, Experience $experience = new Experience): ModelState
    {
        $all = is_array($events) ? array_values($events) : iterator_to_array($events, false);
        $state = self::begun($all, $experience, $nowEpoch);
        $fold = new Fold($kit, $shelf, $state);
        foreach (self::standing($all) as $event) {
            if ($event->atEpoch <= $nowEpoch) {
                $fold->apply($event);
            }
        }

        return $state;
    }

    /**
     * A model before anything was done to it, knowing what the other builds taught: what was found on this one comes
     * with its own log, where it was found.
     *
     * @param  list<Event>  $events  all of this one
     */
    public static function begun(array $events, Experience $experience, int $nowEpoch): ModelState
    {
        $state = new ModelState;
        $own = $experience->heard === [] ? [] : array_fill_keys(array_map(static fn (Event $e): string => $e->id, $events), true);
        foreach ($experience->heard as $heard) {
            if (! isset($own[$heard->eventId]) && $heard->atEpoch <= $nowEpoch) {
                $state->learned->hear($heard->product, $heard->wait, $heard->verdict, $heard->age);
            }
        }

        return $state;
    }

    /**
     * The events that stand, in the order they happened. A take-back that was itself taken back does not count.
     *
     * @param  iterable<Event>  $events
     * @return list<Event>
     */
    public static function standing(iterable $events): array
    {
        $all = [];
        foreach ($events as $event) {
            $all[$event->id] = $event;
        }
        $backs = array_filter($all, static fn (Event $e): bool => $e->kind === EventKind::TakeBack);
        uasort($backs, static fn (Event $a, Event $b): int => Event::inOrder($b, $a));
        $gone = [];
        foreach ($backs as $back) {
            if (! isset($gone[$back->id]) && $back->takesBack !== null) {
                $gone[$back->takesBack] = true;
            }
        }
        $standing = array_values(array_filter($all, static fn (Event $e): bool => ! isset($gone[$e->id]) && $e->kind !== EventKind::TakeBack));
        usort($standing, Event::inOrder(...));

        return $standing;
    }
}
