import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { Mixed, MixOrder, MixPage } from '../api/types';
import { AreaHelper } from '../shared/AreaHelper';

interface Props {
    order: MixOrder;
    set: (next: MixOrder) => void;
    mixed: Mixed | undefined;
    colour: MixPage['colours'][number] | undefined;
    /** ml in the jar of each part; null where nobody knows. */
    levels: (number | null)[];
    wrong: (path: string) => string | undefined;
}

/** What is known, and the sum that follows from it, each line with where its figure comes from. */
export function HowMuch({ order, set, mixed, colour, levels, wrong }: Props): ReactElement {
    const counted = colour?.counted;
    const [measuring, measure] = useState(false);
    const known = (
        <NativeSelect
            className="much-known"
            label="What is known"
            value={order.known === 'part' ? `part/${order.part ?? 0}` : order.known}
            onChange={(e) => {
                const [known = 'area', part] = e.currentTarget.value.split('/');
                const i = Number(part ?? 0);
                const level = levels[i] ?? null;
                const usual = order.ml === '' ? (mixed?.totalMl.toFixed(2) ?? '5') : (order.ml ?? '');
                set({ ...order, known: known === 'jar' ? 'part' : known, part: i, ml: known === 'jar' && level !== null ? String(level) : usual });
            }}
            data={[
                { value: 'area', label: 'the area and its coats' },
                { value: 'total', label: 'all in the cup, ml' },
                ...order.parts.map((p, i) => ({ value: `part/${i}`, label: `${p.name}, ml or drops` })),
                ...order.parts.flatMap((p, i) => ((levels[i] ?? 0) > 0 ? [{ value: `jar/${i}`, label: `all that is left of ${p.name}` }] : [])),
            ]}
        />
    );

    return (
        <section className="card how-much" aria-labelledby="much-title">
            <h2 id="much-title" className="card-title">
                How much
            </h2>
            <div className="much-row">
                {known}
                {order.known === 'area' ? (
                    <>
                        <TextInput label="Area, cm²" inputMode="decimal" value={order.cm2 ?? ''} error={wrong('cm2')} onChange={(e) => set({ ...order, cm2: e.currentTarget.value })} />
                        <Button data-small onClick={() => measure(true)}>
                            Work it out
                        </Button>
                        <TextInput label="Coats" inputMode="decimal" value={order.coats ?? ''} error={wrong('coats')} onChange={(e) => set({ ...order, coats: e.currentTarget.value })} />
                    </>
                ) : (
                    <TextInput label={order.known === 'total' ? 'ml in all' : 'ml of it, or drops'} value={order.ml ?? ''} error={wrong('ml')} onChange={(e) => set({ ...order, ml: e.currentTarget.value })} />
                )}
            </div>
            {order.known === 'area' && counted !== undefined && counted.cm2 > 0 && (
                <p className="much-school" data-testid="counted">
                    <small>
                        By counting call-outs: {counted.counts}, as {counted.cm2} cm²; measured {colour?.cm2} cm².
                    </small>
                    <Button data-small onClick={() => set({ ...order, cm2: String(order.cm2 === String(counted.cm2) ? (colour?.cm2 ?? '') : counted.cm2) })}>
                        {order.cm2 === String(counted.cm2) ? 'Go by the measure' : 'Go by the count'}
                    </Button>
                </p>
            )}
            <div className="much-row">
                <NativeSelect
                    label="Laid with"
                    value={order.tool ?? 'airbrush'}
                    onChange={(e) => set({ ...order, tool: e.currentTarget.value })}
                    data={[
                        { value: 'airbrush', label: 'airbrush, over 30 mm wide' },
                        { value: 'airbrush-small', label: 'airbrush, small parts' },
                        { value: 'airbrush-rails', label: 'airbrush, rails and etch' },
                        { value: 'aerosol', label: 'aerosol' },
                        { value: 'brush', label: 'brush' },
                    ]}
                />
                {order.tool?.startsWith('airbrush') === true && (
                    <NativeSelect
                        label="Gun"
                        value={order.gun ?? ''}
                        onChange={(e) => set({ ...order, gun: e.currentTarget.value })}
                        data={['0.2', '0.35', '0.5'].map((mm) => ({ value: mm, label: `${mm} mm` }))}
                    />
                )}
                <p className="much-mix">
                    to mix <strong data-testid="to-mix">{mixed === undefined ? '' : `${mixed.totalMl.toFixed(2)} ml`}</strong>
                </p>
            </div>
            {mixed?.need != null && (
                <details className="much-why">
                    <summary>Why so much</summary>
                    <dl className="much-sum" data-testid="need">
                        {mixed.need.lines.map((line) => (
                            <div key={line.what}>
                                <dt>
                                    {line.what}
                                    <small>{line.origin}</small>
                                </dt>
                                <dd>{line.ml.toFixed(2)} ml</dd>
                            </div>
                        ))}
                        <div className="much-total">
                            <dt>to mix</dt>
                            <dd>{mixed.need.totalMl.toFixed(2)} ml</dd>
                        </div>
                    </dl>
                    <p>
                        {mixed.wet.microns} µm as it lands{mixed.wet.runs ? ': it runs on uprights, lighter coats' : ''}.
                    </p>
                </details>
            )}
            {measuring && (
                <AreaHelper
                    of="what is sprayed"
                    close={() => measure(false)}
                    take={(typed) => {
                        measure(false);
                        set({ ...order, cm2: typed });
                    }}
                />
            )}
        </section>
    );
}
