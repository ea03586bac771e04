import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import type { BenchLine } from '../api/types';
import { useOutbox } from '../frame/outbox';
import { idOf, whereOf } from '../shared/rounds';

/** What of a round is under way: sent, and not yet told back. */
export function useSent(): (line: BenchLine, buildId: string) => boolean {
    const pending = useOutbox();

    return (line, buildId) => pending.some((p) => p.buildId === (line.buildId ?? buildId) && p.event.stepKey === line.key && p.refused === undefined);
}

/** The parts of a basket, a board, a round: each is ticked by itself. */
export function Parts({ buildId, parts, tick }: { buildId: string; parts: BenchLine[]; tick: (part: BenchLine) => void }): ReactElement {
    const isSent = useSent();

    return (
        <ul className="parts" aria-label="Parts of this round">
            {parts.map((part) => (
                <li key={idOf(part)}>
                    <span className="part-name">
                        {whereOf(part)}
                        {differs(part, parts) && <small>{part.title}</small>}
                    </span>
                    <span className="part-figure">{part.ml === null ? '' : `${part.ml.toFixed(2).replace(/0$/, '')} ml`}</span>
                    <Button data-small onClick={() => tick(part)} disabled={isSent(part, buildId)} aria-label={`${isSent(part, buildId) ? 'Sending' : 'Tick off'}: ${whereOf(part)}`} data-testid="tick-part">
                        {isSent(part, buildId) ? 'Sending' : 'Tick off'}
                    </Button>
                </li>
            ))}
        </ul>
    );
}

/** Plugs of several joints: the title says which. */
function differs(part: BenchLine, parts: BenchLine[]): boolean {
    return parts.some((other) => other.title !== part.title);
}
