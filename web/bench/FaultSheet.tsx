import { Button, Checkbox, Modal } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { Bench, FaultKind, Step } from '../api/types';
import { now } from '../api/clock';
import { record } from '../frame/outbox';
import { ulid } from '../frame/ulid';

interface Props {
    buildId: string;
    bench: Bench;
    step: Step;
    close: () => void;
}

const iso = (ms: number): string => new Date(Math.floor(ms / 1000) * 1000).toISOString().replace('.000Z', 'Z');

/** Names a fault; its remedy then takes its place in the plan. */
export function FaultSheet({ buildId, bench, step, close }: Props): ReactElement {
    const [chosen, choose] = useState<FaultKind | null>(null);
    const [coatIsOn, setCoatIsOn] = useState(step.sprays);

    const submit = (fault: FaultKind): void => {
        const at = now();
        if (coatIsOn) {
            record(buildId, `${step.title}, ${step.where}`, { ...step.event, id: ulid(), at: iso(at - 1000) });
        }
        record(buildId, `${fault.word}, ${step.where}`, {
            id: ulid(),
            kind: 'fault',
            at: iso(at),
            targets: step.faultTargets,
            fault: fault.fault,
            ...(step.event.product == null ? {} : { product: step.event.product }),
        });
        close();
    };

    return (
        <Modal opened onClose={close} title={`What went wrong on ${step.where}?`} size="lg">
            <div className="stack-form">
                {step.sprays && <Checkbox label="The coat itself is on" checked={coatIsOn} onChange={(e) => setCoatIsOn(e.currentTarget.checked)} />}
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
                    <Button data-main disabled={chosen === null} onClick={() => chosen !== null && submit(chosen)}>
                        {chosen === null ? 'Name the fault' : `It has: ${chosen.word}`}
                    </Button>
                </div>
            </div>
        </Modal>
    );
}
