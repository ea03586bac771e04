import './mix.css';
import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { Refused } from '../api/client';
import type { Mixed, MixOrder, MixPage as Page } from '../api/types';
import { now } from '../frame/clock';
import { record } from '../frame/outbox';
import { useMixBench, useMixed } from '../frame/queries';
import { ulid } from '../frame/ulid';
import { Cup } from './Cup';
import { Look } from './Look';
import { Match } from './Match';
import { lineOf, orderFor, thinnerOf } from './order';
import { Parts } from './Parts';
import { Signs } from './Signs';
import { Used } from './Used';

/** How much, in what ratio, and what it will look like: all of it moves as one types. */
export default function MixPage({ buildId }: { buildId: string }): ReactElement {
    const { data } = useMixBench(buildId);

    return data === undefined ? <p>Setting out the cups.</p> : data.paints.length === 0 ? <p>There is no paint on the shelf: add some in the kit.</p> : <MixStation page={data} />;
}

function MixStation({ page }: { page: Page }): ReactElement {
    const [colour, choose] = useState(page.colours.find((c) => c.left)?.id ?? page.colours[0]?.id ?? null);
    const [order, set] = useState<MixOrder>(() => orderFor(page, colour));
    const { data, error, isFetching } = useMixed(page.build.id, order);
    // What was worked out last stays on the bench, dimmed, while a field makes no sense.
    const [mixed, keep] = useState<Mixed | undefined>(undefined);
    if (data !== undefined && data !== mixed) {
        keep(data);
    }
    const wrong = (path: string): string | undefined => {
        const problem = error instanceof Refused ? error.problems.find((p) => p.path === path) : undefined;

        return problem === undefined ? undefined : `${problem.wrong.charAt(0).toUpperCase()}${problem.wrong.slice(1)}: ${problem.right}.`;
    };
    const here = page.colours.find((c) => c.id === colour);
    const paints = order.parts.filter((p) => p.stuff === 'paint');
    const swatches = order.parts.map((p) => page.paints.find((paint) => paint.id === p.product)?.swatch ?? null);
    const hardened = (minutes: number): void => {
        const product = order.parts.find((p) => p.product !== null)?.product;
        if (product != null && minutes > 0) {
            record(page.build.id, 'Hardener is in', { id: ulid(), kind: 'mixed', at: new Date(Math.floor(now() / 1000) * 1000).toISOString().replace('.000Z', 'Z'), product, potLifeMinutes: minutes });
        }
    };
    const take = (jars: string[], parts: number[]): void => {
        const paints = jars.flatMap((id, i) => {
            const paint = page.paints.find((p) => p.id === id);

            return paint === undefined || (parts[i] ?? 0) === 0 ? [] : [{ paint, amount: parts[i] ?? 0 }];
        });
        const first = paints[0]?.paint;
        const sum = paints.reduce((all, p) => all + p.amount, 0);
        const thinner = first === undefined || first.ratio <= 0 ? [] : [{ ...thinnerOf(first), amount: String(Math.round(first.ratio * sum * 100) / 100) }];
        const next = { ...order, parts: [...paints.map((p) => lineOf(p.paint, String(p.amount))), ...thinner], part: 0 };
        delete next.poured;
        set(next);
        window.scrollTo(0, 0);
    };

    return (
        <div className="mix" data-stale={isFetching || error !== null || undefined}>
            <div className="page-head">
                <h1>Mix</h1>
                <p>{here === undefined ? 'for nothing of this build' : `${here.name} for ${here.areas.slice(0, 3).join(', ')}${here.areas.length > 3 ? ` and ${here.areas.length - 3} more` : ''}`}</p>
                <div className="page-tools">
                    <a className="plain-press" href={`/api/builds/${page.build.id}/palette.gpl`} download>
                        Palette
                    </a>
                    <a className="plain-press" href={`/api/builds/${page.build.id}/swatches.csv`} download>
                        Swatches
                    </a>
                    <NativeSelect
                        aria-label="Colour of the build"
                        value={colour ?? ''}
                        onChange={(e) => {
                            choose(e.currentTarget.value);
                            set(orderFor(page, e.currentTarget.value));
                        }}
                        data={page.colours.map((c) => ({ value: c.id, label: c.name }))}
                    />
                </div>
            </div>
            <div className="mix-left">
                <section className="card into" aria-labelledby="into-title">
                    <h2 id="into-title" className="card-title">
                        Into the cup, in this order
                    </h2>
                    {mixed !== undefined && <Cup mixed={mixed} swatches={swatches} />}
                    {mixed !== undefined && (
                        <p data-testid="cups">
                            <strong>
                                {mixed.totalMl.toFixed(2)} ml
                                {mixed.cups > 1 && ` in ${mixed.cups} cups of ${(mixed.totalMl / mixed.cups).toFixed(2)} ml`}
                            </strong>
                            . {mixed.pouringWords}
                        </p>
                    )}
                    {mixed?.pass != null && <p data-testid="pass">{mixed.pass.says}</p>}
                    <TextInput label="The cup holds, ml" inputMode="decimal" value={order.cup ?? ''} error={wrong('cup')} onChange={(e) => set({ ...order, cup: e.currentTarget.value })} />
                </section>
                <Match page={page} take={take} />
            </div>
            <div className="mix-middle">
                <Parts page={page} order={order} set={set} mixed={mixed} wrong={wrong} />
                {mixed !== undefined && <Look look={mixed.colour} product={paints.length === 1 ? (paints[0]?.product ?? null) : null} take={(product, parts) => take([order.parts.find((p) => p.product !== null)?.product ?? '', product], [parts, 1])} />}
                {mixed !== undefined && <Signs order={order} set={set} mixed={mixed} wrong={wrong} />}
            </div>
            <aside className="mix-side">
                <HowMuch order={order} set={set} mixed={mixed} wrong={wrong} />
                <Used buildId={page.build.id} order={order} mixed={mixed} />
                <section className="card pot" aria-labelledby="pot-title" data-edge={mixed?.pot == null ? undefined : 'closing'}>
                    <h2 id="pot-title" className="card-title">
                        If you add hardener
                    </h2>
                    <TextInput label="Pot life by its label, min at 20 °C" placeholder="240" inputMode="decimal" value={order.hardened ?? ''} error={wrong('hardened')} onChange={(e) => set({ ...order, hardened: e.currentTarget.value })} />
                    {mixed?.pot != null && (
                        <>
                            <p data-testid="pot">{mixed.pot.words} Gloves and extraction; spare for touch-ups is set aside before.</p>
                            <Button data-testid="hardened" onClick={() => hardened(mixed.pot?.minutes ?? 0)}>
                                Hardener is in
                            </Button>
                        </>
                    )}
                </section>
            </aside>
        </div>
    );
}

function HowMuch({ order, set, mixed, wrong }: { order: MixOrder; set: (next: MixOrder) => void; mixed: Mixed | undefined; wrong: (path: string) => string | undefined }): ReactElement {
    return (
        <section className="card how-much" aria-labelledby="much-title">
            <h2 id="much-title" className="card-title">
                How much, and why
            </h2>
            <NativeSelect
                label="What is known"
                value={order.known === 'part' ? `part/${order.part ?? 0}` : order.known}
                onChange={(e) => {
                    const [known = 'area', part] = e.currentTarget.value.split('/');
                    set({ ...order, known, part: Number(part ?? 0), ml: order.ml === '' ? (mixed?.totalMl.toFixed(2) ?? '5') : (order.ml ?? '') });
                }}
                data={[{ value: 'area', label: 'the area and its coats' }, { value: 'total', label: 'all in the cup, ml' }, ...order.parts.map((p, i) => ({ value: `part/${i}`, label: `${p.name}, ml` }))]}
            />
            {order.known === 'area' ? (
                <div className="much-row">
                    <TextInput label="Area, cm²" inputMode="decimal" value={order.cm2 ?? ''} error={wrong('cm2')} onChange={(e) => set({ ...order, cm2: e.currentTarget.value })} />
                    <TextInput label="Coats" inputMode="decimal" value={order.coats ?? ''} error={wrong('coats')} onChange={(e) => set({ ...order, coats: e.currentTarget.value })} />
                </div>
            ) : (
                <TextInput label="ml of it" inputMode="decimal" value={order.ml ?? ''} error={wrong('ml')} onChange={(e) => set({ ...order, ml: e.currentTarget.value })} />
            )}
            <NativeSelect
                label="Laid with"
                value={order.tool ?? 'airbrush'}
                onChange={(e) => set({ ...order, tool: e.currentTarget.value })}
                data={[
                    { value: 'airbrush', label: 'airbrush, wider than the spray' },
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
            {mixed?.need != null && (
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
            )}
            {mixed !== undefined && (
                <p>
                    {mixed.wet.microns} µm as it lands{mixed.wet.runs ? ': it runs on uprights, lighter coats' : ''}.
                </p>
            )}
        </section>
    );
}
