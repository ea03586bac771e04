import { Checkbox } from '@mantine/core';
import type { ReactElement } from 'react';
import type { Breakdown, Edit } from '../api/types';
import { now } from '../api/clock';
import { ulid } from '../frame/ulid';
import type { Change } from '../frame/useChange';

const DEMANDS = [
    { demand: 'no-base', label: 'The show allows no base' },
    { demand: 'kit-only', label: 'Kit parts only' },
    { demand: 'photographs', label: 'Photographs of the work are asked for' },
] as const;

const GEAR = [
    { missing: 'gun', label: 'The gun is out of use' },
    { missing: 'can', label: 'The spray can is blocked' },
] as const;

/** What the show asks for, and what is out of use tonight: the plan goes round it. */
export function Terms({ data, change }: { data: Breakdown; change: Change }): ReactElement {
    const set = (title: string, edit: Edit): void => void change.apply(title, [edit]);
    const parts = data.pieces.flatMap((p) => p.parts);
    const iso = (): string => new Date(Math.floor(now() / 1000) * 1000).toISOString().replace('.000Z', 'Z');

    return (
        <section className="card terms" aria-labelledby="terms-title">
            <h2 id="terms-title" className="card-title">
                Show and gear
            </h2>
            {DEMANDS.map(({ demand, label }) => {
                const known = data.show.find((r) => r.demand === demand);

                return (
                    <Checkbox
                        key={demand}
                        label={label}
                        checked={known !== undefined}
                        onChange={() => set(known === undefined ? label : `No longer: ${label}`, known === undefined ? { op: 'add', list: 'showRules', value: { id: ulid(), demand } } : { op: 'remove', list: 'showRules', id: known.id })}
                    />
                );
            })}
            <Checkbox label="It stands on a nose wheel" checked={data.noseWheel} onChange={() => set(data.noseWheel ? 'It stands on no nose wheel' : 'It stands on a nose wheel', { op: 'set', list: 'kit', field: 'noseWheel', value: !data.noseWheel })} />
            {GEAR.map(({ missing, label }) => {
                const known = data.outages.find((o) => o.missing === missing);

                return (
                    <Checkbox
                        key={missing}
                        label={label}
                        checked={known !== undefined}
                        onChange={() =>
                            set(known === undefined ? label : `No longer: ${label}`, known === undefined ? { op: 'add', list: 'outages', value: { id: ulid(), missing, target: null, since: iso() } } : { op: 'remove', list: 'outages', id: known.id })
                        }
                    />
                );
            })}
            <label className="terms-part">
                A part is missing
                <select
                    className="field"
                    value=""
                    onChange={(e) => {
                        const part = parts.find((p) => p.id === e.currentTarget.value);
                        if (part !== undefined) {
                            set(`${part.name} is missing`, { op: 'add', list: 'outages', value: { id: ulid(), missing: 'part', target: part.id, since: iso() } });
                        }
                    }}
                >
                    <option value="">which?</option>
                    {parts.map((p) => (
                        <option key={p.id} value={p.id}>
                            {p.name}
                        </option>
                    ))}
                </select>
            </label>
            {data.outages
                .filter((o) => o.missing === 'part')
                .map((o) => (
                    <Checkbox key={o.id} label={`${parts.find((p) => p.id === o.target)?.name ?? 'A part'} is missing`} checked onChange={() => set('It is found', { op: 'remove', list: 'outages', id: o.id })} />
                ))}
        </section>
    );
}
