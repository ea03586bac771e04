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
}

const KEY = 'amber.outbox';
const RETRY_MS = 4000;
const listeners = new Set<() => void>();
let pending: Pending[] = read();
let sending = false;

function read(): Pending[] {
    try {
        return JSON.parse(localStorage.getItem(KEY) ?? '[]') as Pending[];
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
    try {
        for (let next = waiting(); next !== undefined; next = waiting()) {
            const { event, buildId } = next;
            try {
                await api.post(`builds/${buildId}/events`, event);
                dismiss(event.id);
            } catch (error) {
                if (error instanceof Away) {
                    break;
                }
                const why = error instanceof Refused ? error.sentence() : 'It could not be recorded.';
                keep(pending.map((p) => (p.event.id === event.id ? { ...p, refused: why } : p)));
            }
        }
    } finally {
        sending = false;
    }
    await queries.invalidateQueries();
}

function waiting(): Pending | undefined {
    return pending.find((p) => p.refused === undefined);
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
