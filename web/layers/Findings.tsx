import type { ReactElement } from 'react';
import type { Plan } from '../api/types';
import type { Change } from '../frame/useChange';
import { FindingCard } from '../shared/FindingCard';

interface Props {
    plan: Plan;
    /** The number a finding carries in the drawing. */
    numbers: Map<string, number>;
    change: Change;
    /** The rule one came for: its notes are not folded away. */
    rule: string | null;
}

/** What the rules say about the plan, stops first; each with its ways out. */
export function Findings({ plan, numbers, change, rule }: Props): ReactElement {
    const open = plan.findings.filter((f) => f.accepted === null && f.severity !== 'note');
    const notes = plan.findings.filter((f) => f.accepted === null && f.severity === 'note');
    const accepted = plan.findings.filter((f) => f.accepted !== null);

    return (
        <>
            {open.length === 0 && (
                <div className="card finding" data-edge="note">
                    <h2>Nothing to settle</h2>
                    <p>No rule of the trade has anything to say against this plan.</p>
                </div>
            )}
            {open.map((finding) => (
                <FindingCard key={finding.key} finding={finding} number={numbers.get(finding.key)} change={change} />
            ))}
            {notes.length > 0 && (
                <details className="notes" open={notes.some((f) => f.rule === rule)}>
                    <summary>{notes.length === 1 ? '1 thing' : `${notes.length} things`} worth knowing</summary>
                    {notes.map((finding) => (
                        <FindingCard key={finding.key} finding={finding} change={change} />
                    ))}
                </details>
            )}
            {accepted.length > 0 && <h2 className="findings-accepted">Accepted as they are</h2>}
            {accepted.map((finding) => (
                <FindingCard key={finding.key} finding={finding} change={change} />
            ))}
        </>
    );
}
