import { Button, Checkbox, Modal, NativeSelect } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { Bench, FaultKind, Step } from '../api/types';
import { now } from '../api/clock';
import { record } from '../frame/outbox';
import { ulid } from '../frame/ulid';

interface Props {
    buildId: string;
    bench: Bench;
    /** What is at hand; null where nothing is: a fault is seen at any time. */
    step: Step | null;
    /** What it was seen on, where one came from there. */
    seenOn: string[];
    /** Its words, and the id of what is written down. */
    named: (fault: string, event: string) => void;
    close: () => void;
}

const HERE = 'here';

const iso = (ms: number): string => new Date(Math.floor(ms / 1000) * 1000).toISOString().replace('.000Z', 'Z');

/** Names a fault, of whatever place and coat; its remedy then takes its place in the plan. */
export function FaultSheet({ buildId, bench, step, seenOn, named, close }: Props): ReactElement {
    const atHand = step !== null && step.faultTargets.length > 0 ? step : null;
    const [chosen, choose] = useState<FaultKind | null>(null);
    const seen = bench.faultPlaces.find((p) => seenOn.includes(p.id));
    const [place, setPlace] = useState(seen !== undefined ? seen.id : atHand === null ? (bench.faultPlaces[0]?.id ?? '') : HERE);
    const [coat, setCoat] = useState('');
    const [coatIsOn, setCoatIsOn] = useState(atHand?.sprays === true);
    const there = bench.faultPlaces.find((p) => p.id === place);
    const where = place === HERE && atHand !== null ? atHand.where : (there?.name ?? '');
    const sprayed = place === HERE && atHand?.sprays === true;

    const submit = (fault: FaultKind): void => {
        const at = now();
        if (sprayed && coatIsOn && atHand !== null) {
            record(buildId, `${atHand.title}, ${atHand.where}`, { ...atHand.event, id: ulid(), at: iso(at - 1000) });
        }
        const product = place === HERE ? (atHand?.event.product ?? '') : coat;
        const id = ulid();
        named(`${fault.word}, ${where}`, id);
        record(buildId, `${fault.word}, ${where}`, {
            id,
            kind: 'fault',
            at: iso(at),
            targets: place === HERE ? (atHand?.faultTargets ?? []) : [place],
            fault: fault.fault,
            ...(product === '' ? {} : { product }),
        });
        close();
    };

    return (
        <Modal opened onClose={close} title={`What went wrong${where === '' ? '' : ` on ${where}`}?`} size="lg">
            <div className="stack-form">
                <NativeSelect
                    label="Where"
                    value={place}
                    onChange={(e) => {
                        setPlace(e.currentTarget.value);
                        setCoat('');
                    }}
                    data={[...(atHand === null ? [] : [{ value: HERE, label: `What is at hand: ${atHand.where}` }]), ...bench.faultPlaces.map((p) => ({ value: p.id, label: p.name }))]}
                />
                {there !== undefined && there.coats.length > 1 && (
                    <NativeSelect label="On which coat" value={coat} onChange={(e) => setCoat(e.currentTarget.value)} data={[{ value: '', label: 'the top one' }, ...there.coats.map((c) => ({ value: c.product, label: c.word }))]} />
                )}
                {sprayed && <Checkbox label="The coat itself is on" checked={coatIsOn} onChange={(e) => setCoatIsOn(e.currentTarget.checked)} />}
                <div className="fault-grid" role="radiogroup" aria-label="Fault">
                    {bench.faults.map((fault) => (
                        <button key={fault.fault} type="button" role="radio" aria-checked={chosen?.fault === fault.fault} className="fault" onClick={() => choose(fault)}>
                            {fault.word}
                        </button>
                    ))}
                </div>
                {chosen !== null && (
                    <p className="fault-now" role="status">
                        <strong>Now: </strong>
                        {chosen.now}
                    </p>
                )}
                <div className="stack-row">
                    <Button data-main disabled={chosen === null || where === ''} onClick={() => chosen !== null && submit(chosen)}>
                        {chosen === null ? 'Name the fault' : `It has: ${chosen.word}`}
                    </Button>
                </div>
            </div>
        </Modal>
    );
}
