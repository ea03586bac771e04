import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { MixPage, ToneSet } from '../api/types';

const STEPS = [
    { step: 'far-lighter', word: 'far lighter' },
    { step: 'clearly-lighter', word: 'clearly lighter' },
    { step: 'lighter', word: 'a little lighter' },
    { step: 'darker', word: 'a little darker' },
    { step: 'clearly-darker', word: 'clearly darker' },
    { step: 'far-darker', word: 'far darker' },
];

/** A set of tones round one paint, for mosaics, faded panels and pre-shade: what each is, what all take, which nobody tells apart. */
export function Tones({ page, product, take }: { page: MixPage; product: string | null; take: (jars: string[], parts: number[]) => void }): ReactElement {
    const [tones, choose] = useState(['lighter', 'darker']);
    const [ml, type] = useState('2');
    const { data, error } = useQuery({ queryKey: ['tones', product, tones, ml], queryFn: () => api.post<ToneSet>('tones', { product: product ?? '', tones, ml }), enabled: product !== null, refetchInterval: false, retry: false });
    const name = page.paints.find((p) => p.id === product)?.name;

    return (
        <section className="card tones" aria-labelledby="tones-title">
            <h2 id="tones-title" className="card-title">
                Tones{name === undefined ? '' : ` of ${name}`}
            </h2>
            {product === null ? (
                <p>Tones are made of one solid paint: leave one in the cup.</p>
            ) : (
                <>
                    <div className="match-jars" role="group" aria-label="Tones of the set">
                        {STEPS.map((s) => (
                            <button key={s.step} type="button" className="jar" aria-pressed={tones.includes(s.step)} onClick={() => choose(tones.includes(s.step) ? tones.filter((t) => t !== s.step) : STEPS.map((x) => x.step).filter((x) => x === s.step || tones.includes(x)))}>
                                {s.word}
                            </button>
                        ))}
                    </div>
                    <TextInput label="Paint for each tone, ml" inputMode="decimal" value={ml} error={error instanceof Refused ? error.sentence() : undefined} onChange={(e) => type(e.currentTarget.value)} />
                    {data !== undefined && (
                        <>
                            <ul className="tone-list" data-testid="tones">
                                {data.tones.map((t) => (
                                    <li key={t.word}>
                                        <span className="match-patch" style={{ background: t.hex }} aria-hidden="true" />
                                        <span>
                                            <strong>{t.word}</strong>
                                            <small>{t.parts.length === 1 ? 'unmixed' : `${t.parts.map((p) => `${p.parts} ${p.name}`).join(' : ')}, ΔE ${t.differs.toFixed(1)}`}</small>
                                        </span>
                                        {t.parts.length > 1 && (
                                            <Button data-small aria-label={`Mix it: ${t.word}`} onClick={() => take(t.parts.map((p) => p.product), t.parts.map((p) => p.parts))}>
                                                Mix it
                                            </Button>
                                        )}
                                    </li>
                                ))}
                            </ul>
                            {data.alike.map((words) => (
                                <p key={words} className="bad" role="alert">
                                    {words}
                                </p>
                            ))}
                            {data.missing !== null && <p>{data.missing}</p>}
                            <p data-testid="tone-totals">All together: {data.totals.map((t) => `${t.ml.toFixed(2)} ml ${t.name}`).join(', ')}.</p>
                        </>
                    )}
                </>
            )}
        </section>
    );
}
