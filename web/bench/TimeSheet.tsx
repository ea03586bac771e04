import { Button, Modal, TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactElement } from 'react';
import type { BenchLine, Step } from '../api/types';
import { now } from '../api/clock';
import { clock, wall } from '../frame/words';
import { earlierToday } from '../shared/earlier';

interface Props {
    step: Step;
    /** All of the round it is part of. */
    parts: BenchLine[];
    zone: string;
    close: () => void;
    done: (whenMs: number) => void;
}

/** Sets the time back: not into the future; before the last event on the piece it asks. */
export function TimeSheet({ step, parts, zone, close, done }: Props): ReactElement {
    const at = now();
    const [typed, type] = useState(clock(at, zone));
    const [sure, setSure] = useState(false);
    const when = earlierToday(typed, at, zone);
    const round = parts.find((part) => part.key === step.key && part.buildId === null)?.round ?? null;
    const button = round?.button ?? step.button;
    const before = typeof when === 'number' && step.lastAt !== null && when < Date.parse(step.lastAt);

    const submit = (e: FormEvent): void => {
        e.preventDefault();
        if (typeof when !== 'number') {
            return;
        }
        if (before && !sure) {
            setSure(true);

            return;
        }
        done(when);
        close();
    };

    return (
        <Modal opened onClose={close} title={round?.title ?? step.title}>
            <form className="stack-form" onSubmit={submit}>
                <TextInput
                    label="Done at"
                    description="Wall time, such as 18:40; or minutes ago, such as -25"
                    value={typed}
                    onChange={(e) => {
                        type(e.currentTarget.value);
                        setSure(false);
                    }}
                    error={typeof when === 'string' ? when : undefined}
                    data-autofocus
                />
                {sure && step.lastAt !== null && (
                    <p className="notice" role="alert">
                        Something was recorded on this piece at {wall(step.lastAt, at, zone)}, after this. Press again if that is how it was.
                    </p>
                )}
                <Button data-main type="submit" disabled={typeof when === 'string'}>
                    {typeof when === 'number' ? `${button}, at ${wall(new Date(when).toISOString(), at, zone)}` : button}
                </Button>
            </form>
        </Modal>
    );
}
