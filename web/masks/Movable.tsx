import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactElement } from 'react';

interface Props {
    ids: string[];
    names: Map<string, { name: string; swatch: string | null }>;
    move: (ids: string[]) => void;
}

/** Pixels a finger wanders in a press that is none. */
const A_DRAG = 6;

/** The colours in a row, to be put in another order: dragged, or with the arrow keys. */
export function Movable({ ids, names, move }: Props): ReactElement {
    const row = useRef<HTMLOListElement>(null);
    const start = useRef<number | null>(null);
    const [held, hold] = useState<string | null>(null);
    const put = (id: string, to: number): void => {
        const from = ids.indexOf(id);
        if (to >= 0 && to < ids.length && to !== from) {
            const others = ids.filter((other) => other !== id);
            move([...others.slice(0, to), id, ...others.slice(to)]);
        }
    };
    const key = (e: KeyboardEvent, id: string): void => {
        const by = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[e.key];
        if (by !== undefined) {
            e.preventDefault();
            put(id, ids.indexOf(id) + by);
        }
    };
    const over = (e: PointerEvent, id: string): void => {
        if (start.current === null || (held === null && Math.abs(e.clientX - start.current) < A_DRAG)) {
            return;
        }
        hold(id);
        const under = document.elementsFromPoint(e.clientX, e.clientY).map((el) => el.closest<HTMLElement>('[data-colour]')).find((el) => el != null && el.dataset['colour'] !== id);
        if (under?.dataset['colour'] !== undefined) {
            put(id, ids.indexOf(under.dataset['colour']));
        }
    };
    const end = (): void => {
        start.current = null;
        hold(null);
    };

    return (
        <div className="movable">
            <p id="movable-says">Your own: drag a colour, or choose one and move it with the arrow keys.</p>
            <ol ref={row} aria-describedby="movable-says">
                {ids.map((id) => {
                    const one = names.get(id);

                    return (
                        <li key={id} data-colour={id}>
                            <button
                                type="button"
                                data-held={held === id ? '' : undefined}
                                onKeyDown={(e) => key(e, id)}
                                onPointerDown={(e) => {
                                    start.current = e.clientX;
                                    e.currentTarget.setPointerCapture(e.pointerId);
                                }}
                                onPointerMove={(e) => over(e, id)}
                                onPointerUp={end}
                                onPointerCancel={end}
                            >
                                <span className="mask-swatch" style={{ background: one?.swatch ?? undefined }} aria-hidden="true" />
                                {one?.name}
                            </button>
                        </li>
                    );
                })}
            </ol>
        </div>
    );
}
