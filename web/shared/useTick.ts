import { now } from '../api/clock';
import { record, useOutbox } from '../frame/outbox';
import { ulid } from '../frame/ulid';
import type { ColourList, ListItem } from '../api/types';

const iso = (): string => new Date(Math.floor(now() / 1000) * 1000).toISOString().replace('.000Z', 'Z');

interface Ticking {
    /** Ticked, or about to be: a press waits in the browser. */
    isDone: (item: ListItem) => boolean;
    toggle: (list: ColourList, item: ListItem) => void;
    close: (list: ColourList) => void;
}

/** Ticks lines of colour lists at the bench: each tick is something that happened, and can be taken back. */
export function useTick(buildId: string): Ticking {
    const pending = useOutbox();
    const waits = (item: ListItem): boolean => pending.some((p) => p.event.kind === 'ticked' && p.event.targets?.[0] === item.id && p.refused === undefined);

    return {
        isDone: (item) => item.done || waits(item),
        toggle: (list, item) => {
            if (item.tickedBy !== null) {
                record(buildId, `${item.name} unticked`, { id: ulid(), kind: 'take-back', at: iso(), takesBack: item.tickedBy });
            } else if (!item.done && !waits(item)) {
                record(buildId, `${item.name} has ${list.name}`, { id: ulid(), kind: 'ticked', at: iso(), targets: [item.id], purpose: list.id });
            }
        },
        close: (list) => {
            record(buildId, `${list.name} is closed`, { id: ulid(), kind: 'done', at: iso(), operation: 'close-colour', purpose: list.id, targets: list.items.slice(0, 1).map((i) => i.id), stepKey: `${list.id}/close-colour/${list.id}/1` });
        },
    };
}
