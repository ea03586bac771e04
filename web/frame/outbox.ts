import { useSyncExternalStore } from 'react';
import { api, Away, Refused } from '../api/client';
import type { NewEvent } from '../api/types';
import { queries } from './queries';

/** A press at the bench, kept in the browser until the server has acknowledged it. */
export interface Pending {
    buildId: string;
    title: string;
    event: NewEvent;
    refused?: string;
    /** What keeps the server from taking it for now, in its words. */
    why?: string | undefined;
    /** The server has it; the page does not show it yet. */
    acknowledged?: boolean;
}

const KEY = 'amber.outbox';
const RETRY_MS = 4000;
const listeners = new Set<() => void>();
let pending: Pending[] = read();
let sending = false;

function read(): Pending[] {
    try {
        return (JSON.parse(localStorage.getItem(KEY) ?? '[]') as Pending[]).filter((p) => p.acknowledged !== true);
    } catch {
        return [];
    }
}

function keep(next: Pending[]): void {
    pending = next;
    localStorage.setItem(KEY, JSON.stringify(next));
    listeners.forEach((listen) => listen());
}

export function record(buildId: string, title: string, event: NewEvent): void {
    keep([...pending, { buildId, title, event }]);
    void send();
}

export function dismiss(id: string): void {
    keep(pending.filter((p) => p.event.id !== id));
}

/** Sends what waits, oldest first. What the server refuses stays, with its reason, until the user has read it. */
export async function send(): Promise<void> {
    if (sending) {
        return;
    }
    sending = true;
    const acknowledged: string[] = [];
    try {
        for (let next = waiting(); next !== undefined; next = waiting()) {
            const { event, buildId } = next;
            try {
                await api.post(`builds/${buildId}/events`, event);
                keep(pending.map((p) => (p.event.id === event.id ? { ...p, acknowledged: true } : p)));
                acknowledged.push(event.id);
            } catch (error) {
                // Not reached, or fallen over while it wrote: nothing is known to be wrong with the press, so it is sent again.
                if (error instanceof Away || (error instanceof Refused && error.status >= 500)) {
                    const why = error instanceof Refused && error.kind !== null ? error.message : undefined;
                    keep(pending.map((p) => (p.event.id === event.id ? { ...p, why } : p)));
                    break;
                }
                const why = error instanceof Refused ? error.sentence() : 'It could not be recorded.';
                keep(pending.map((p) => (p.event.id === event.id ? { ...p, refused: why } : p)));
            }
        }
    } finally {
        sending = false;
    }
    // Only once the page has heard of it: a press must not be undone to the eye for the moment between.
    await queries.invalidateQueries();
    keep(pending.filter((p) => !acknowledged.includes(p.event.id)));
}

function waiting(): Pending | undefined {
    return pending.find((p) => p.refused === undefined && p.acknowledged !== true);
}

setInterval(() => {
    if (waiting() !== undefined) {
        void send();
    }
}, RETRY_MS);
window.addEventListener('focus', () => void (waiting() !== undefined && send()));
window.addEventListener('storage', (e) => {
    if (e.key === KEY) {
        pending = read();
        listeners.forEach((listen) => listen());
    }
});

export function useOutbox(): Pending[] {
    return useSyncExternalStore(
        (listen) => {
            listeners.add(listen);
            return () => listeners.delete(listen);
        },
        () => pending,
    );
}
