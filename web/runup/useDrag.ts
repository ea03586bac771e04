import { useRef, useState, type PointerEvent } from 'react';
import type { RunUpBlock, RunUpColumn } from '../api/types';
import { keyOf } from './letters';

/** Pixels a finger wanders in a press that is none. */
const A_DRAG = 8;

export interface Dropped {
    /** The session it was taken from, by its begin. */
    from: string;
    block: string;
    to: string;
}

interface Drag {
    /** What is dragged: the session it is of, and the block. */
    held: Omit<Dropped, 'to'> | null;
    /** The session under the finger. */
    over: string | null;
    on: (column: RunUpColumn, block: RunUpBlock) => {
        onPointerDown: (e: PointerEvent<HTMLElement>) => void;
        onPointerMove: (e: PointerEvent<HTMLElement>) => void;
        onPointerUp: () => void;
        onPointerCancel: () => void;
    };
}

/** A sitting taken by mouse or thumb and let go over another session. */
export function useDrag(drop: (dropped: Dropped) => void): Drag {
    const start = useRef<{ x: number; y: number } | null>(null);
    const [held, hold] = useState<Omit<Dropped, 'to'> | null>(null);
    const [over, hover] = useState<string | null>(null);
    const end = (): void => {
        start.current = null;
        hold(null);
        hover(null);
    };

    return {
        held,
        over,
        on: (column, block) => ({
            onPointerDown: (e) => {
                if (e.button === 0 && block.steps.length > 0) {
                    start.current = { x: e.clientX, y: e.clientY };
                    e.currentTarget.setPointerCapture(e.pointerId);
                }
            },
            onPointerMove: (e) => {
                if (start.current === null || (held === null && Math.hypot(e.clientX - start.current.x, e.clientY - start.current.y) < A_DRAG)) {
                    return;
                }
                if (held === null) {
                    hold({ from: column.from, block: keyOf(block) });
                }
                const under = document.elementsFromPoint(e.clientX, e.clientY).map((el) => el.closest<HTMLElement>('[data-session]')).find((el) => el !== null);
                hover(under?.dataset['session'] ?? null);
            },
            onPointerUp: () => {
                if (held !== null && over !== null && over !== held.from) {
                    drop({ ...held, to: over });
                }
                end();
            },
            onPointerCancel: end,
        }),
    };
}
