import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { Edit, SurfacePage } from '../api/types';
import { ulid } from '../frame/ulid';
import type { Change } from '../frame/useChange';

const WIDTHS = [0, 0.05, 0.15, 0.3, 0.5, 0.9, 1.5];

const ACCESS = [
    { value: 'open', word: 'open' },
    { value: 'tight', word: 'tight' },
    { value: 'detail', word: 'detail beside it' },
    { value: 'none', word: 'cannot be sanded' },
];

interface Props {
    data: SurfacePage;
    change: Change;
    added: (id: string) => void;
    close: () => void;
}

/** A place that was found: what, on which part, how wide, how one gets at it. All by presses; words are optional. */
export function AddPlace({ data, change, added, close }: Props): ReactElement {
    const [part, setPart] = useState(data.parts[0]?.id ?? '');
    const [kind, setKind] = useState('gap');
    const [width, setWidth] = useState(0.15);
    const [access, setAccess] = useState('open');
    const [where, setWhere] = useState('');
    const feature = data.featureKinds.some((f) => f.kind === kind);
    const on = data.parts.find((p) => p.id === part);
    const word = [...data.kinds, ...data.featureKinds].find((k) => k.kind === kind)?.word ?? kind;
    const measured = data.kinds.find((k) => k.kind === kind)?.filled === true;
    const edit = (id: string): Edit =>
        feature
            ? { op: 'add', list: 'features', value: { id, position: data.features.length, kind, part, where: where.trim() } }
            : { op: 'add', list: 'flaws', value: { id, position: data.places.length, kind, part, where: where.trim(), widthMm: measured ? width : 0, access, foundAt: on?.through ?? 'bare' } };
    const add = async (): Promise<void> => {
        const id = ulid();
        if (await change.apply(`Found: ${word} on ${on?.name ?? 'a part'}`, [edit(id)])) {
            added(id);
            setWhere('');
        }
    };

    return (
        <section className="card add-place" aria-labelledby="add-title" data-testid="add-place">
            <h2 id="add-title" className="card-title">
                What is there?
            </h2>
            <Choice label="Place" options={data.kinds.map((k) => ({ value: k.kind, word: k.word }))} chosen={kind} choose={setKind} />
            <Choice label="Detail that was lost" options={data.featureKinds.map((k) => ({ value: k.kind, word: k.word }))} chosen={kind} choose={setKind} />
            {!feature && measured && <Choice label="Wide or deep, mm" options={WIDTHS.map((w) => ({ value: String(w), word: w === 0 ? 'not measured' : `${w} mm` }))} chosen={String(width)} choose={(w) => setWidth(Number(w))} />}
            {!feature && <Choice label="To get at it" options={ACCESS} chosen={access} choose={setAccess} />}
            <div className="add-row">
                <NativeSelect label="On" value={part} onChange={(e) => setPart(e.currentTarget.value)} data={data.parts.map((p) => ({ value: p.id, label: p.piece === p.name ? p.name : `${p.name}, on ${p.piece}` }))} />
                <TextInput label="Where, if you like" placeholder="roof, left" value={where} onChange={(e) => setWhere(e.currentTarget.value)} maxLength={120} />
            </div>
            <div className="finding-presses">
                <Button data-main data-testid="add-found" onClick={() => void add()}>
                    {`Note the ${word}`}
                </Button>
                <Button data-small onClick={close}>
                    Close
                </Button>
            </div>
        </section>
    );
}

function Choice({ label, options, chosen, choose }: { label: string; options: { value: string; word: string }[]; chosen: string; choose: (value: string) => void }): ReactElement {
    return (
        <div className="choice" role="group" aria-label={label}>
            <span>{label}</span>
            <div>
                {options.map((o) => (
                    <button key={o.value} type="button" className="view" aria-pressed={o.value === chosen} onClick={() => choose(o.value)}>
                        {o.word}
                    </button>
                ))}
            </div>
        </div>
    );
}
