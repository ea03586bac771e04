import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { MixPage, MixRatio } from '../api/types';
import { PhotoPoint } from './PhotoPoint';
import { FilePress } from '../shared/FilePress';

/** Which whole parts of two to four jars come nearest to a colour that is wanted. */
export function Match({ page, take }: { page: MixPage; take: (jars: string[], parts: number[]) => void }): ReactElement {
    const [wanted, want] = useState('#7C96A3');
    const [palette, load] = useState<{ name: string; hex: string }[]>([]);
    const [unread, say] = useState<string | null>(null);
    const read = (file: File): void => {
        void file
            .text()
            .then((text) => api.post<{ colours: { name: string; hex: string }[] }>('palette', { text }))
            .then(({ colours }) => {
                load(colours);
                say(null);
            })
            .catch((wrong: unknown) => say(wrong instanceof Refused ? wrong.sentence() : 'The palette could not be read.'));
    };
    const [jars, choose] = useState<string[]>([]);
    // The colours of this build first: one mixes for it.
    const own = new Set(page.colours.map((c) => c.product));
    const paints = page.paints.filter((p) => p.solid).sort((a, b) => Number(own.has(b.id)) - Number(own.has(a.id)));
    const nameOf = (id: string | undefined): string => page.paints.find((p) => p.id === id)?.name ?? '';
    const asked = jars.length >= 2;
    const { data, error } = useQuery({ queryKey: ['match', wanted, jars], queryFn: () => api.post<{ ratios: MixRatio[] }>('match', { wanted, jars }), enabled: asked, refetchInterval: false, retry: false });
    const press = (id: string): void => choose(jars.includes(id) ? jars.filter((j) => j !== id) : [...jars, id].slice(-4));

    return (
        <section className="card match" aria-labelledby="match-title">
            <h2 id="match-title" className="card-title">
                Find a ratio
            </h2>
            <div className="match-wanted">
                <input type="color" className="match-patch" aria-label="Pick the colour that is wanted" value={/^#[0-9a-f]{6}$/i.test(wanted) ? wanted.toLowerCase() : '#808080'} onChange={(e) => want(e.currentTarget.value.toUpperCase())} />
                <TextInput label="Wanted, as #RRGGBB" value={wanted} onChange={(e) => want(e.currentTarget.value)} maxLength={7} error={asked && error instanceof Refused ? error.sentence() : undefined} />
            </div>
            <div className="match-jars" role="group" aria-label="Colours to want">
                {[...page.colours.flatMap((c) => (c.swatch === null ? [] : [{ name: c.name, hex: c.swatch }])), ...palette].map((c) => (
                    <button key={c.name + c.hex} type="button" className="jar" aria-pressed={wanted === c.hex} onClick={() => want(c.hex)}>
                        <span className="swatch" style={{ background: c.hex }} aria-hidden="true" />
                        {c.name}
                    </button>
                ))}
            </div>
            <FilePress label="A palette, .gpl" words="Colours of a palette" accept=".gpl,text/plain" take={read} />
            <PhotoPoint want={want} />
            {unread !== null && (
                <p className="bad" role="alert">
                    {unread}
                </p>
            )}
            <h3 className="match-head" id="match-out-of">
                {jars.length === 0 ? 'Out of two to four jars' : jars.length === 1 ? 'Out of this and another jar' : 'Out of these jars'}
            </h3>
            {jars.length > 0 && <JarPicks paints={paints.filter((p) => jars.includes(p.id))} chosen press={press} label="Chosen jars" />}
            {asked && data !== undefined && error === null && (
                <ol className="match-found" data-testid="match">
                    {data.ratios.map((r) => (
                        <li key={r.parts.join(':')}>
                            <span className="match-beside" aria-hidden="true" title="Wanted, and what it gives">
                                <span style={{ background: wanted }} />
                                <span style={{ background: r.hex }} />
                            </span>
                            <span>
                                <strong>{r.parts.map((n, i) => (n === 0 ? null : `${n} ${nameOf(jars[i])}`)).filter((words) => words !== null).join(' : ')}</strong>
                                <small>
                                    ΔE {r.differs.toFixed(1)}, {r.says}
                                </small>
                            </span>
                            <Button data-small onClick={() => take(jars, r.parts)}>
                                Mix this
                            </Button>
                        </li>
                    ))}
                </ol>
            )}
            {jars.length > 0 && <h3 className="match-head">{asked ? 'Other jars' : 'The jars'}</h3>}
            <JarPicks paints={paints.filter((p) => !jars.includes(p.id))} chosen={false} press={press} label={asked ? 'Other jars' : 'Jars'} />
        </section>
    );
}

function JarPicks({ paints, chosen, press, label }: { paints: MixPage['paints']; chosen: boolean; press: (id: string) => void; label: string }): ReactElement {
    return (
        <div className="match-jars" role="group" aria-label={label}>
            {paints.map((p) => (
                <button key={p.id} type="button" className="jar" aria-pressed={chosen} onClick={() => press(p.id)} title={p.name}>
                    <span className="swatch" style={{ background: p.swatch ?? 'transparent' }} aria-hidden="true" />
                    {p.name}
                </button>
            ))}
        </div>
    );
}
