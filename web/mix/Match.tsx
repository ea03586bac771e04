import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { MixPage, MixRatio } from '../api/types';

/** Which whole parts of two to four jars come nearest to a colour that is wanted. */
export function Match({ page, take }: { page: MixPage; take: (jars: string[], parts: number[]) => void }): ReactElement {
    const [wanted, want] = useState('#7C96A3');
    const [jars, choose] = useState<string[]>([]);
    const paints = page.paints.filter((p) => p.swatch !== null);
    const asked = jars.length >= 2;
    const { data, error } = useQuery({ queryKey: ['match', wanted, jars], queryFn: () => api.post<{ ratios: MixRatio[] }>('match', { wanted, jars }), enabled: asked, refetchInterval: false, retry: false });
    const press = (id: string): void => choose(jars.includes(id) ? jars.filter((j) => j !== id) : [...jars, id].slice(-4));

    return (
        <section className="card match" aria-labelledby="match-title">
            <h2 id="match-title" className="card-title">
                Find a ratio
            </h2>
            <div className="match-wanted">
                <span className="match-patch" style={{ background: /^#[0-9a-f]{6}$/i.test(wanted) ? wanted : 'transparent' }} aria-hidden="true" />
                <TextInput label="Wanted, as #RRGGBB" value={wanted} onChange={(e) => want(e.currentTarget.value)} maxLength={7} error={asked && error instanceof Refused ? error.sentence() : undefined} />
            </div>
            <div className="match-jars" role="group" aria-label="Two to four jars">
                {paints.map((p) => (
                    <button key={p.id} type="button" className="jar" aria-pressed={jars.includes(p.id)} onClick={() => press(p.id)} title={p.name}>
                        <span className="swatch" style={{ background: p.swatch ?? 'transparent' }} aria-hidden="true" />
                        {p.name}
                    </button>
                ))}
            </div>
            {!asked && <p>Choose two to four jars.</p>}
            {asked && data !== undefined && error === null && (
                <ol className="match-found" data-testid="match">
                    {data.ratios.map((r) => (
                        <li key={r.parts.join(':')}>
                            <span className="match-patch" style={{ background: r.hex }} aria-hidden="true" />
                            <span>
                                <strong>{r.parts.join(' : ')}</strong>
                                <small>
                                    ΔE {r.differs.toFixed(1)}, {r.differs < 1.5 ? 'nobody sees it' : r.differs < 3 ? 'a subtle difference' : r.differs < 6 ? 'a clear difference' : 'not reached with these'}
                                </small>
                            </span>
                            <Button data-small onClick={() => take(jars, r.parts)}>
                                Mix this
                            </Button>
                        </li>
                    ))}
                </ol>
            )}
        </section>
    );
}
