import type { ReactElement } from 'react';
import type { Booklet, CalloutRow } from '../api/types';
import type { Change } from '../frame/useChange';

/** The call-outs by step, as they stand in the booklet. */
export function Callouts({ booklet, change }: { booklet: Booklet; change: Change }): ReactElement {
    const steps = new Map<number, CalloutRow[]>();
    for (const callout of booklet.callouts) {
        steps.set(callout.step, [...(steps.get(callout.step) ?? []), callout]);
    }

    return (
        <section className="card callouts" aria-label="Call-outs">
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
