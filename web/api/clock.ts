import { useSyncExternalStore } from 'react';

/** The server's now, kept as an offset: recomputed on every tick, on focus and on waking, never counted up. */
let offset = 0;
let frozenAt: number | null = null;
let shown = Date.now();
const listeners = new Set<() => void>();

export function now(): number {
    return frozenAt ?? Date.now() + offset;
}

export function noteServerNow(iso: string): void {
    const server = Date.parse(iso);
    if (frozenAt !== null) {
        frozenAt = server;
    }
    // The answer is whole seconds and took a moment: smaller differences are noise.
    if (Math.abs(server - (Date.now() + offset)) > 1500) {
        offset = server - Date.now();
    }
    tick();
}

export function freeze(frozen: boolean, iso: string): void {
    frozenAt = frozen ? Date.parse(iso) : null;
    tick();
}

function tick(): void {
    const at = Math.floor(now() / 1000) * 1000;
    if (at !== shown) {
        shown = at;
        listeners.forEach((listen) => listen());
    }
}

setInterval(tick, 1000);
for (const waking of ['focus', 'visibilitychange', 'pageshow']) {
    window.addEventListener(waking, tick);
}

/** Milliseconds, whole seconds; re-renders as the clock moves. */
export function useNow(): number {
    return useSyncExternalStore(
        (listen) => {
            listeners.add(listen);
            return () => listeners.delete(listen);
        },
        () => shown,
    );
}

/** Milliseconds, whole minutes: for what is told in minutes and is much to draw. */
export function useMinute(): number {
    return useSyncExternalStore(
        (listen) => {
            listeners.add(listen);
            return () => listeners.delete(listen);
        },
        () => Math.floor(shown / 60000) * 60000,
    );
}
