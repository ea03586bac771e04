import { Button } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { now } from '../api/clock';
import { record } from '../frame/outbox';
import { ulid } from '../frame/ulid';

/** What was pressed last here: the ids of its records, so that all of it can be taken back. */
export interface Pressed {
    title: string;
    at: number;
    records: { buildId: string; id: string }[];
    /** What it was done to, for a fault that shows a moment later. */
    targets: string[];
}

/** ms within which Enter once more is taken for a slip of the same finger. */
const SLIP = 700;

export interface LastPress {
    last: Pressed | null;
    /** Enter came twice: it is asked whether the second was meant. */
    isTwice: boolean;
    note: (pressed: Pressed) => void;
    /** Whether Enter may do what it does now; a slip is asked about instead. */
    allows: (ms: number) => boolean;
    takeBack: () => void;
}

export function useLastPress(): LastPress {
    const [last, keep] = useState<Pressed | null>(null);
    const [isTwice, ask] = useState(false);

    return {
        last,
        isTwice,
        note: (pressed) => {
            ask(false);
            keep(pressed);
        },
        allows: (ms) => {
            const slip = last !== null && !isTwice && ms - last.at < SLIP;
            ask(slip);

            return !slip;
        },
        takeBack: () => {
            const at = new Date(Math.floor(now() / 1000) * 1000).toISOString().replace('.000Z', 'Z');
            last?.records.forEach(({ buildId, id }) => record(buildId, `Taken back: ${last.title}`, { id: ulid(), kind: 'take-back', at, takesBack: id }));
            ask(false);
            keep(null);
        },
    };
}

/**
 * What was written down last, the way back from it, and the way on where it went wrong after all.
 *
 * @param wrong - null where nothing there can have a fault
 */
export function LastLine({ press, twice, wrong }: { press: LastPress; twice: string; wrong: ((targets: string[]) => void) | null }): ReactElement | null {
    if (press.last === null) {
        return null;
    }

    return (
        <div className="last-press" role="status" data-testid="last-press">
            <p>
                Written down: <strong>{press.last.title}</strong>
            </p>
            <Button data-small onClick={press.takeBack}>
                Take it back
            </Button>
            {wrong !== null && (
                <Button data-small onClick={() => wrong(press.last?.targets ?? [])} data-testid="wrong-with-last">
                    It went wrong
                </Button>
            )}
            {press.isTwice && <p className="last-twice">Enter came twice. Press it once more if this is done too: {twice}</p>}
        </div>
    );
}
