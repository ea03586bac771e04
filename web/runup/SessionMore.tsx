import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { RunUp, Session } from '../api/types';
import { day } from '../frame/words';
import { fourWeeks, read } from '../shared/sessions';

/** A session on a day that has none: which day, and from when until when. */
export function SessionMore({ run, today, add }: { run: RunUp; today: string; add: (date: string, sessions: Session[]) => void }): ReactElement {
    const taken = new Set(run.columns.map((column) => column.date));
    const free = fourWeeks(today).filter((date) => date >= today && !taken.has(date));
    const [open, turn] = useState(false);
    const [chosen, choose] = useState('');
    const [typed, type] = useState('14:00–16:00');
    const date = free.includes(chosen) ? chosen : (free[0] ?? '');
    const sessions = read(typed);
    const right = sessions !== null && sessions.length > 0;
    if (!open) {
        return (
            <Button data-small className="runup-add" onClick={() => turn(true)} disabled={free.length === 0}>
                A session more
            </Button>
        );
    }

    return (
        <form
            className="runup-more"
            onSubmit={(e) => {
                e.preventDefault();
                if (right) {
                    add(date, sessions);
                    turn(false);
                }
            }}
        >
            <NativeSelect label="Day without one" value={date} onChange={(e) => choose(e.currentTarget.value)} data={free.map((d) => ({ value: d, label: day(Date.parse(`${d}T12:00:00Z`), 'UTC') }))} />
            <TextInput label="From and until" value={typed} onChange={(e) => type(e.currentTarget.value)} error={right ? undefined : 'write it as 14:00–16:00'} />
            <Button data-small type="submit" disabled={!right}>
                Add it
            </Button>
            <Button data-small onClick={() => turn(false)}>
                Leave it
            </Button>
        </form>
    );
}
