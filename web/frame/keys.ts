import { useEffect } from 'react';

const KEY = 'amber.keys';

export function keysAreOn(): boolean {
    return localStorage.getItem(KEY) !== 'off';
}

export function setKeys(on: boolean): void {
    localStorage.setItem(KEY, on ? 'on' : 'off');
}

/** Single keys: dead in fields, in sheets and with a modifier; can be turned off. */
export function useKeys(keys: Record<string, () => void>): void {
    useEffect(() => {
        const listen = (e: KeyboardEvent): void => {
            const target = e.target instanceof HTMLElement ? e.target : null;
            const inField = target?.closest('input, textarea, select, [contenteditable], [role="dialog"], [role="listbox"]') != null;
            const onControl = e.key === 'Enter' && target?.closest('button, a') != null;
            const action = keys[e.key];
            if (action === undefined || inField || onControl || e.ctrlKey || e.metaKey || e.altKey || e.repeat || !keysAreOn()) {
                return;
            }
            e.preventDefault();
            action();
        };
        window.addEventListener('keydown', listen);

        return () => window.removeEventListener('keydown', listen);
    }, [keys]);
}
