import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Mixed, MixOrder, Spoon } from '../api/types';
import { told } from './Jars';

const LIGHTER = ['3 lighter', '2 lighter', '1 lighter', 'as light', '1 darker', '2 darker', '3 darker'];

const WARMER = ['3 warmer', '2 warmer', '1 warmer', 'as warm', '1 cooler', '2 cooler', '3 cooler'];

interface Reading {
    lighter?: number | undefined;
    warmer?: number;
    patch?: string;
    card?: string;
}

/** A spoon is held beside what was predicted, in steps or from a photograph with a grey card; the paint is then as the spoon says. */
export function SpoonCard({ order, mixed, recipe }: { order: MixOrder; mixed: Mixed; recipe: string | null }): ReactElement {
    const grounds = mixed.colour.grounds.filter((g) => g.name === 'black' || g.name === 'white' || g.planned);
    const [coats, type] = useState('2');
    const [photo, photographed] = useState(false);
    const [readings, read] = useState<Record<string, Reading>>({});
    const [said, say] = useState<string | null>(null);
    const paints = recipe === null ? order.parts.flatMap((p, i) => (p.stuff === 'paint' && p.product !== null ? [{ product: p.product, ml: Math.max(0.001, mixed.parts[i]?.ml ?? 0) }] : [])) : [{ product: recipe, ml: 1 }];
    // Only the grounds somebody looked at count.
    const body = {
        paints,
        coats,
        readings: grounds
            .map((g) => ({ ground: g.hex, ...readings[g.name] }))
            .filter((r) => (photo ? (r.patch ?? '') !== '' && (r.card ?? '') !== '' : r.lighter !== undefined))
            .map((r) => (photo ? { ground: r.ground, patch: r.patch ?? '', card: r.card ?? '' } : { ground: r.ground, lighter: r.lighter ?? 0, warmer: r.warmer ?? 0 })),
    };
    const asked = paints.length > 0 && body.readings.length > 0;
    const { data, error } = useQuery({ queryKey: ['spoon', body], queryFn: () => api.post<Spoon>('spoons', body), enabled: asked, refetchInterval: false, retry: false });
    const set = (name: string, more: Reading): void => read({ ...readings, [name]: { ...readings[name], ...more } });
    const keep = (): Promise<void> =>
        told(async () => {
            const kept = await api.post<Spoon>('spoons', { ...body, keep: true });
            read({});

            return `${kept.says} It is predicted from that now.`;
        }, say);

    return (
        <section className="card spoon" aria-labelledby="spoon-title">
            <h2 id="spoon-title" className="card-title">
                What the spoon says
            </h2>
            {grounds.length === 0 ? (
                <p>A spoon is read back for solid colours of the shelf.</p>
            ) : (
                <>
                    <div className="much-row">
                        <TextInput label="Light coats on the spoon" inputMode="decimal" value={coats} error={asked && error instanceof Refused ? error.sentence() : undefined} onChange={(e) => type(e.currentTarget.value)} />
                        <NativeSelect
                            label="Read"
                            value={photo ? 'photo' : 'beside'}
                            onChange={(e) => photographed(e.currentTarget.value === 'photo')}
                            data={[
                                { value: 'beside', label: 'beside the patch, by eye' },
                                { value: 'photo', label: 'from a photograph with a grey card' },
                            ]}
                        />
                    </div>
                    <ul className="spoon-list">
                        {grounds.map((g) => {
                            const at = body.readings.findIndex((r) => r.ground === g.hex);
                            const hex = data?.predicted[at]?.hex ?? g.coats[Math.min(5, Math.max(0, Math.round(Number(coats.replace(',', '.')) || 0)))]?.hex ?? g.hex;
                            const r = readings[g.name] ?? {};

                            return (
                                <li key={g.name}>
                                    <span className="spoon-patch" style={{ background: g.hex }}>
                                        <span style={{ background: hex }} title={`predicted over ${g.name}: ${hex}`} />
                                    </span>
                                    <span>over {g.name}</span>
                                    {photo ? (
                                        <>
                                            <TextInput aria-label={`Spoon over ${g.name}, as #RRGGBB`} placeholder="spoon #RRGGBB" maxLength={7} value={r.patch ?? ''} onChange={(e) => set(g.name, { patch: e.currentTarget.value })} />
                                            <TextInput aria-label={`Grey card beside it over ${g.name}, as #RRGGBB`} placeholder="card #RRGGBB" maxLength={7} value={r.card ?? ''} onChange={(e) => set(g.name, { card: e.currentTarget.value })} />
                                        </>
                                    ) : (
                                        <>
                                            <NativeSelect aria-label={`How light the spoon is over ${g.name}`} value={r.lighter === undefined ? '' : String(r.lighter)} onChange={(e) => set(g.name, { lighter: e.currentTarget.value === '' ? undefined : Number(e.currentTarget.value) })} data={[{ value: '', label: 'not read' }, ...LIGHTER.map((label, i) => ({ value: String(3 - i), label }))]} />
                                            <NativeSelect aria-label={`How warm the spoon is over ${g.name}`} value={String(r.warmer ?? 0)} onChange={(e) => set(g.name, { warmer: Number(e.currentTarget.value) })} data={WARMER.map((label, i) => ({ value: String(3 - i), label }))} />
                                        </>
                                    )}
                                </li>
                            );
                        })}
                    </ul>
                    {!asked && <p>Spray a spoon over black and white, let it dry, and say how it looks beside each patch.</p>}
                    {data !== undefined && asked && error === null && (
                        <>
                            <p data-testid="spoon-says">{data.says}</p>
                            <Button data-testid="keep-spoon" onClick={() => void keep()}>
                                Go by the spoon
                            </Button>
                        </>
                    )}
                    {said !== null && (
                        <p role="status" data-testid="spoon-kept">
                            {said}
                        </p>
                    )}
                </>
            )}
        </section>
    );
}
