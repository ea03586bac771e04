import { useEffect, useId, useRef, useState, type KeyboardEvent, type ReactElement } from 'react';

export interface GridColumn {
    field: string;
    title: string;
    /** What can be typed here; more than a few, or any text, where it is left out. */
    options?: string[];
    fixed?: boolean;
    numeric?: boolean;
}

export interface GridRow {
    id: string;
    cells: Record<string, string>;
    swatch?: string | null;
    /** It stands as it was proposed: how it was worked out, where it was. */
    proposed?: string | undefined;
    /** Why removing it wants a second thought. */
    warn?: string;
}

interface Props {
    label: string;
    columns: GridColumn[];
    rows: GridRow[];
    commit: (id: string, field: string, text: string) => Promise<string | null>;
    remove?: (row: GridRow) => void;
    empty: string;
    /** A way to work a field out, offered for the row one is on. */
    helper?: { field: string; word: (row: GridRow) => string; open: (row: GridRow) => void };
}

/** A table for the keyboard: arrows move, typing or Enter changes, Escape leaves it as it was, Delete takes the row out. */
export function Grid({ label, columns, rows, commit, remove, empty, helper }: Props): ReactElement {
    const [at, go] = useState<[number, number]>([0, 0]);
    const [editing, edit] = useState<string | null>(null);
    const [wrong, say] = useState<string | null>(null);
    const table = useRef<HTMLTableElement>(null);
    const held = useRef(false);
    const base = useId();
    const [row, column] = [Math.min(at[0], Math.max(0, rows.length - 1)), at[1]];

    useEffect(() => {
        if (held.current && editing === null) {
            table.current?.querySelector<HTMLElement>(`[data-at="${row},${column}"]`)?.focus();
        }
    }, [row, column, editing, rows]);

    const move = (down: number, right: number): void => {
        held.current = true;
        say(null);
        go([Math.max(0, Math.min(rows.length - 1, row + down)), Math.max(0, Math.min(columns.length - 1, column + right))]);
    };
    const done = async (text: string, then: [number, number]): Promise<void> => {
        const thing = rows[row];
        const field = columns[column]?.field ?? '';
        if (thing === undefined || (thing.cells[field] ?? '') === text.trim()) {
            edit(null);
            move(...then);

            return;
        }
        const answer = await commit(thing.id, field, text);
        say(answer);
        if (answer === null) {
            edit(null);
            move(...then);
        }
    };
    const keys = (e: KeyboardEvent): void => {
        const moves: Record<string, [number, number]> = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1], PageDown: [8, 0], PageUp: [-8, 0], Home: [0, -99], End: [0, 99] };
        const by = moves[e.key];
        const thing = rows[row];
        if (by !== undefined) {
            e.preventDefault();
            move(...by);
        } else if ((e.key === 'Delete' || e.key === 'Backspace') && e.shiftKey === false && remove !== undefined && thing !== undefined && e.key === 'Delete') {
            e.preventDefault();
            held.current = true;
            remove(thing);
        } else if (columns[column]?.fixed !== true && thing !== undefined && (e.key === 'Enter' || e.key === 'F2')) {
            e.preventDefault();
            edit(thing.cells[columns[column]?.field ?? ''] ?? '');
        } else if (columns[column]?.fixed !== true && e.key.length === 1 && !e.ctrlKey && !e.metaKey && !e.altKey) {
            e.preventDefault();
            edit(e.key);
        }
        e.stopPropagation();
    };
    if (rows.length === 0) {
        return <p className="grid-empty">{empty}</p>;
    }

    return (
        <div className="grid-box">
            <table ref={table} className="grid" role="grid" aria-label={label} onBlur={(e) => !e.currentTarget.contains(e.relatedTarget) && (held.current = false)}>
                <thead>
                    <tr>
                        {columns.map((c) => (
                            <th key={c.field} scope="col">
                                {c.title}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {rows.map((thing, i) => (
                        <tr key={thing.id} data-here={i === row}>
                            {columns.map((c, j) => {
                                const here = i === row && j === column;

                                return (
                                    <td
                                        key={c.field}
                                        role="gridcell"
                                        data-at={`${i},${j}`}
                                        data-numeric={c.numeric}
                                        tabIndex={here && editing === null ? 0 : -1}
                                        onFocus={() => {
                                            held.current = true;
                                            if (!here) {
                                                go([i, j]);
                                            }
                                        }}
                                        onKeyDown={editing === null ? keys : undefined}
                                        onDoubleClick={() => c.fixed !== true && edit(thing.cells[c.field] ?? '')}
                                    >
                                        {here && editing !== null ? (
                                            <CellInput text={editing} label={`${c.title} of ${thing.cells['name'] ?? ''}`} options={c.options} list={`${base}-${c.field}`} done={(text, then) => void done(text, then)} leave={() => edit(null)} />
                                        ) : (
                                            <>
                                                {j === 0 && thing.proposed !== undefined && (
                                                    <span className="grid-proposed" title={`Proposed${thing.proposed === '' ? '' : `: ${thing.proposed}`}`}>
                                                        ◇<span className="unseen"> as proposed</span>{' '}
                                                    </span>
                                                )}
                                                {c.numeric === true && c.field === 'size' && thing.proposed !== undefined && thing.proposed !== '' && here && <span className="grid-sum">{thing.proposed} =</span>}
                                                {c.field === 'colour' && thing.swatch != null && <span className="swatch" style={{ background: thing.swatch }} aria-hidden="true" />}
                                                {thing.cells[c.field]}
                                            </>
                                        )}
                                    </td>
                                );
                            })}
                        </tr>
                    ))}
                </tbody>
            </table>
            {helper !== undefined && rows[row] !== undefined && columns[column]?.field === helper.field && (
                <p className="grid-helper">
                    <button type="button" className="press" data-small onClick={() => rows[row] !== undefined && helper.open(rows[row])}>
                        {helper.word(rows[row])}
                    </button>
                </p>
            )}
            {wrong !== null && (
                <p className="grid-wrong" role="alert">
                    {wrong}
                </p>
            )}
        </div>
    );
}

interface InputProps {
    text: string;
    label: string;
    options: string[] | undefined;
    list: string;
    done: (text: string, then: [number, number]) => void;
    leave: () => void;
}

function CellInput({ text, label, options, list, done, leave }: InputProps): ReactElement {
    const [value, setValue] = useState(text);
    const keys = (e: KeyboardEvent): void => {
        e.stopPropagation();
        if (e.key === 'Enter') {
            e.preventDefault();
            done(value, [1, 0]);
        } else if (e.key === 'Tab') {
            e.preventDefault();
            done(value, [0, e.shiftKey ? -1 : 1]);
        } else if (e.key === 'Escape') {
            leave();
        }
    };

    return (
        <>
            <input className="grid-input" aria-label={label} value={value} autoFocus list={options === undefined ? undefined : list} onChange={(e) => setValue(e.currentTarget.value)} onKeyDown={keys} onBlur={() => done(value, [0, 0])} />
            {options !== undefined && (
                <datalist id={list}>
                    {options.map((o) => (
                        <option key={o} value={o} />
                    ))}
                </datalist>
            )}
        </>
    );
}
