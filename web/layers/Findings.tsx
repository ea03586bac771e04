import { Button } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Edit, Plan } from '../api/types';
import { queries } from '../frame/queries';
import { FindingCard } from './FindingCard';

/** What the rules say about the plan, stops first; each with its ways out. */
export function Findings({ buildId, plan }: { buildId: string; plan: Plan }): ReactElement {
    const [wrong, say] = useState<string | null>(null);
    const match = { 'If-Match': `"${plan.build.revision}"` };

    const run = async (work: () => Promise<unknown>): Promise<void> => {
        say(null);
        try {
            await work();
        } catch (error) {
            say(error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was changed.');
        }
        await queries.invalidateQueries();
    };
    const apply = (title: string, edits: Edit[]): Promise<void> => run(() => api.post(`builds/${buildId}/changes`, { title, edits }, match));
    const open = plan.findings.filter((f) => f.accepted === null && f.severity !== 'note');
    const notes = plan.findings.filter((f) => f.accepted === null && f.severity === 'note');
    const accepted = plan.findings.filter((f) => f.accepted !== null);

    return (
        <aside className="findings" aria-label="Findings">
            {wrong !== null && (
                <div className="notice" data-bad role="alert">
                    {wrong}
                </div>
            )}
            {plan.undoable !== null && (
                <div className="undo">
                    <span>
                        Last change: <strong>{plan.undoable.title}</strong>
                    </span>
                    <Button data-small data-testid="undo" onClick={() => void run(() => api.post(`builds/${buildId}/changes/${plan.undoable?.id ?? ''}/undo`, {}, match))}>
                        Take it back
                    </Button>
                </div>
            )}
            {open.length === 0 && (
                <div className="card finding" data-edge="note">
                    <h2>Nothing to settle</h2>
                    <p>No rule of the trade has anything to say against this plan.</p>
                </div>
            )}
            {open.map((finding) => (
                <FindingCard key={finding.key} buildId={buildId} finding={finding} apply={apply} />
            ))}
            {notes.length > 0 && (
                <details className="notes">
                    <summary>
                        {notes.length === 1 ? '1 thing' : `${notes.length} things`} worth knowing
                    </summary>
                    {notes.map((finding) => (
                        <FindingCard key={finding.key} buildId={buildId} finding={finding} apply={apply} />
                    ))}
                </details>
            )}
            {accepted.length > 0 && <h2 className="findings-accepted">Accepted as they are</h2>}
            {accepted.map((finding) => (
                <FindingCard key={finding.key} buildId={buildId} finding={finding} apply={apply} />
            ))}
        </aside>
    );
}
