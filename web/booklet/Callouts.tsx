import { Button } from '@mantine/core';
import { type ReactElement, useState } from 'react';
import type { Booklet, CalloutRow } from '../api/types';
import type { Change } from '../frame/useChange';

const FOUND = [
    { field: 'onceTogether', word: 'once together', title: 'shows only once it is assembled' },
    { field: 'letsLight', word: 'lets light', title: 'lets light through' },
] as const;

/** The call-outs by step, as they stand in the booklet; while parts are test-fitted, with what the fit shows of each. */
export function Callouts({ booklet, change }: { booklet: Booklet; change: Change }): ReactElement {
    const [fitting, setFitting] = useState(false);
    const steps = new Map<number, CalloutRow[]>();
    for (const callout of booklet.callouts) {
        steps.set(callout.step, [...(steps.get(callout.step) ?? []), callout]);
    }

    return (
        <section className="card callouts" aria-label="Call-outs" data-fitting={fitting || undefined}>
            <div className="callouts-head">
                <p>{fitting ? 'Hold the parts together dry, and press what the fit shows.' : 'What the booklet says, step by step.'}</p>
                <Button data-small aria-pressed={fitting} onClick={() => setFitting(!fitting)}>
                    {fitting ? 'Test fit done' : 'Mark a test fit'}
                </Button>
            </div>
            <ol>
                {[...steps].map(([step, rows]) => (
                    <li key={step} className="booklet-step">
                        <b aria-label={`step ${step}`}>{step}</b>
                        <ul>
                            {rows.map((row) => (
                                <li key={row.id} className="callout" data-parked={row.parked !== null || undefined} data-lost={row.lost || undefined}>
                                    <span className="swatch" style={{ background: row.swatch ?? 'transparent' }} data-none={row.swatch === null} aria-hidden="true" />
                                    <strong>{row.number}</strong>
                                    <span className="callout-name">
                                        {[row.name, row.colour, row.faces.join(' '), row.onceTogether ? 'shows once together' : '', row.letsLight ? 'lets light' : ''].filter((w) => w !== null && w !== '').join(', ')}
                                        {row.parked !== null && <em> parked: {row.parked}</em>}
                                        {row.lost && <em className="bad"> on no piece</em>}
                                    </span>
                                    {fitting && (
                                        <span className="callout-fit">
                                            {FOUND.map((found) => (
                                                <button
                                                    key={found.field}
                                                    type="button"
                                                    aria-pressed={row[found.field]}
                                                    aria-label={`${row.number} ${found.word}`}
                                                    onClick={() => void change.apply(`${row.number}, step ${row.step}: ${row[found.field] ? `no longer ${found.word}` : found.title}`, [{ op: 'set', list: 'callouts', id: row.id, field: found.field, value: !row[found.field] }])}
                                                >
                                                    {found.word}
                                                </button>
                                            ))}
                                        </span>
                                    )}
                                    <span className="callout-size">
                                        {row.size}
                                        {row.count > 1 && ` × ${row.count}`}
                                    </span>
                                    <button
                                        type="button"
                                        className="callout-out"
                                        aria-label={`Strike ${row.number}, step ${row.step}`}
                                        title="Strike it out"
                                        onClick={() => void change.apply(`Strike ${row.number}, step ${row.step}`, [{ op: 'remove', list: 'callouts', id: row.id }])}
                                    >
                                        ×
                                    </button>
                                </li>
                            ))}
                        </ul>
                    </li>
                ))}
            </ol>
        </section>
    );
}
