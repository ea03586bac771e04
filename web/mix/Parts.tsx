import { Button, NativeSelect } from '@mantine/core';
import type { ReactElement, ReactNode } from 'react';
import type { Mixed, MixOrder, MixPage } from '../api/types';
import { lineOf, type Line } from './order';

interface Props {
    page: MixPage;
    order: MixOrder;
    set: (next: MixOrder) => void;
    mixed: Mixed | undefined;
    wrong: (path: string) => string | undefined;
    /** Writes what was poured down, where the recipe is a kept one; null where it is not. */
    poured: (() => void) | null;
    children?: ReactNode;
}

const BASES = [
    { value: 'parts', label: 'parts' },
    { value: 'percent-of-mix', label: '% of mix' },
    { value: 'percent-of-paint', label: '% of paint' },
    { value: 'percent-of-whole', label: '% of whole' },
    { value: 'to-paint', label: 'paint to 1' },
    { value: 'to-mix', label: 'mix to 1' },
];

const OTHERS = [
    { value: 'retarder', label: 'retarder or levelling agent', line: { product: null, name: 'retarder', stuff: 'additive', amount: '5', base: 'percent-of-mix', drops: '' } },
    { value: 'matting', label: 'matting agent', line: { product: null, name: 'matting agent', stuff: 'additive', amount: '10', base: 'percent-of-paint', drops: '' } },
    { value: 'hardener', label: 'hardener', line: { product: null, name: 'hardener', stuff: 'hardener', amount: '8', base: 'to-mix', drops: '' } },
    { value: 'water', label: 'water', line: { product: null, name: 'water', stuff: 'water', amount: '0.5', base: 'parts', drops: '' } },
    { value: 'lacquer', label: 'lacquer thinner', line: { product: null, name: 'lacquer thinner', stuff: 'lacquer-thinner', amount: '1', base: 'parts', drops: '' } },
    { value: 'spirit', label: 'white spirit', line: { product: null, name: 'white spirit', stuff: 'white-spirit', amount: '1', base: 'parts', drops: '' } },
    { value: 'alcohol', label: 'isopropyl alcohol', line: { product: null, name: 'isopropyl', stuff: 'isopropyl', amount: '1', base: 'parts', drops: '' } },
];

/** The recipe: what, how much and of what, with ml, drops and grams side by side; and what really went in. */
export function Parts({ page, order, set, mixed, wrong, poured: log, children }: Props): ReactElement {
    const change = (i: number, more: Partial<Line>): void => set({ ...order, parts: order.parts.map((p, n) => (n === i ? { ...p, ...more } : p)) });
    const poured = order.poured ?? order.parts.map(() => ({ ml: '' }));
    const pour = (i: number, ml: string): void => set({ ...order, poured: order.parts.map((_, n) => (n === i ? { ml } : (poured[n] ?? { ml: '' }))) });
    const drop = (i: number): void => {
        const { poured: was, ...rest } = order;
        set({ ...rest, ...(was === undefined ? {} : { poured: was.filter((_, n) => n !== i) }), parts: order.parts.filter((_, n) => n !== i), part: 0 });
    };
    const add = (line: Line): void => set({ ...order, parts: [...order.parts, line], ...(order.poured === undefined ? {} : { poured: [...order.poured, { ml: '' }] }) });

    return (
        <section className="card parts" aria-labelledby="parts-title">
            <h2 id="parts-title" className="card-title">
                What goes in
            </h2>
            <div className="parts-scroll">
                <table className="parts-table">
                    <thead>
                        <tr>
                            <th scope="col">what</th>
                            <th scope="col">how much</th>
                            <th scope="col">ml</th>
                            <th scope="col">drops</th>
                            <th scope="col">g</th>
                            <th scope="col">poured, ml</th>
                            <th scope="col">
                                <span className="unseen">strike out</span>
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {order.parts.map((part, i) => {
                            const is = mixed?.parts[i];
                            const swatch = page.paints.find((p) => p.id === part.product)?.swatch ?? null;
                            const bad = wrong(`parts[${i}].amount`) ?? wrong(`poured[${i}].ml`);

                            return (
                                <tr key={`${part.name}/${i}`}>
                                    <th scope="row">
                                        <span className="swatch" style={swatch === null ? undefined : { background: swatch }} data-none={swatch === null} aria-hidden="true" />
                                        {part.name}
                                    </th>
                                    <td>
                                        <span className="parts-amount">
                                            <input className="field" inputMode="decimal" aria-label={`Amount of ${part.name}`} aria-invalid={wrong(`parts[${i}].amount`) !== undefined} value={part.amount} onChange={(e) => change(i, { amount: e.currentTarget.value })} />
                                            <select className="field" aria-label={`What the amount of ${part.name} is of`} value={part.base} onChange={(e) => change(i, { base: e.currentTarget.value })}>
                                                {BASES.map((b) => (
                                                    <option key={b.value} value={b.value}>
                                                        {b.label}
                                                    </option>
                                                ))}
                                            </select>
                                        </span>
                                        {is !== undefined && part.base !== 'parts' && <small>{is.base}</small>}
                                        {bad !== undefined && (
                                            <small className="bad" role="alert">
                                                {bad}
                                            </small>
                                        )}
                                    </td>
                                    <td className="parts-ml">{is === undefined ? '' : is.ml.toFixed(2)}</td>
                                    <td>{is === undefined ? '' : (is.whole ?? Math.round(is.drops))}</td>
                                    <td>{is === undefined ? '' : is.grams.toFixed(2)}</td>
                                    <td>
                                        <input className="field" inputMode="decimal" aria-label={`Poured of ${part.name}, ml`} value={poured[i]?.ml ?? ''} onChange={(e) => pour(i, e.currentTarget.value)} />
                                    </td>
                                    <td>
                                        {order.parts.length > 1 && (
                                            <Button data-small aria-label={`Strike out ${part.name}`} onClick={() => drop(i)}>
                                                ×
                                            </Button>
                                        )}
                                    </td>
                                </tr>
                            );
                        })}
                    </tbody>
                </table>
            </div>
            {wrong('parts') !== undefined && (
                <p className="bad" role="alert">
                    {wrong('parts')}
                </p>
            )}
            <div className="parts-add">
                <NativeSelect
                    aria-label="Another paint"
                    value=""
                    onChange={(e) => {
                        const paint = page.paints.find((p) => p.id === e.currentTarget.value);
                        if (paint !== undefined) {
                            add(lineOf(paint, '1'));
                        }
                    }}
                    data={[{ value: '', label: 'Another paint' }, ...page.paints.map((p) => ({ value: p.id, label: p.name }))]}
                />
                <NativeSelect
                    aria-label="Thinner, additive or hardener"
                    value=""
                    onChange={(e) => {
                        const other = OTHERS.find((o) => o.value === e.currentTarget.value);
                        if (other !== undefined) {
                            add(other.line);
                        }
                    }}
                    data={[{ value: '', label: 'Thinner, additive, hardener' }, ...OTHERS.map((o) => ({ value: o.value, label: o.label }))]}
                />
                {mixed !== undefined && mixed.dropError !== null && <small>Whole drops are {(100 * mixed.dropError).toFixed(1)} % off; a drop of {order.parts[0]?.name} is {mixed.parts[0]?.mlPerDrop.toFixed(3)} ml, {mixed.parts[0]?.counted === true ? 'as counted' : 'as usual until counted'}.</small>}
            </div>
            {children}
            {mixed?.checks.map((c) => (
                <p key={c.says} className={c.fails ? 'bad' : undefined} role="alert" data-testid="check">
                    {c.says}
                </p>
            ))}
            {mixed?.poured != null && (
                <div className="poured" data-bad={mixed.poured.contradicts || undefined} role="status" data-testid="poured">
                    <p>
                        <strong>{mixed.poured.says}</strong>
                    </p>
                    {mixed.poured.contradicts && (
                        <>
                            <p>{mixed.poured.addWords} Or for what is in the cup it should have been {mixed.poured.rebuilt.map((ml, i) => `${ml.toFixed(2)} ml ${order.parts[i]?.name ?? ''}`).join(', ')}.</p>
                            <Button
                                data-small
                                data-testid="take-correction"
                                onClick={() => set({ ...order, poured: order.parts.map((_, i) => ({ ml: (Number((poured[i]?.ml ?? '0').replace(',', '.')) + (mixed.poured?.add[i] ?? 0)).toFixed(2) })) })}
                            >
                                That is added
                            </Button>
                        </>
                    )}
                    {log !== null && (
                        <Button data-small data-testid="log-poured" onClick={log}>
                            Write down what was poured
                        </Button>
                    )}
                </div>
            )}
        </section>
    );
}
