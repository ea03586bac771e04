import './finding.css';
import { Button, TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactElement } from 'react';
import type { Finding } from '../api/types';
import { ulid } from '../frame/ulid';
import type { Change } from '../frame/useChange';
import { PreviewBox } from './PreviewBox';

const SAYS = { stop: 'Stops the plan', think: 'Think again', note: 'Worth knowing' } as const;

interface Props {
    finding: Finding;
    number?: number | undefined;
    change: Change;
}

/** One finding: why, the ways out with what each would change, and accepting it with a reason. */
export function FindingCard({ finding, number, change }: Props): ReactElement {
    const [accepting, accept] = useState(false);
    const [reason, setReason] = useState('');
    const shown = change.intended?.place === finding.key ? change.intended : null;

    const take = (e: FormEvent): void => {
        e.preventDefault();
        void change.apply(`Accept: ${finding.title}`, [{ op: 'add', list: 'accepted', value: { id: ulid(), finding: finding.key, facts: finding.facts, reason: reason.trim() } }]);
    };

    return (
        <section className="card finding" data-edge={finding.severity} data-testid={`finding-${finding.rule}`}>
            <p className="finding-says">
                {number !== undefined && <span className="finding-number">{number}</span>}
                {SAYS[finding.severity]}
            </p>
            <h2>{finding.title}</h2>
            <p>{finding.sentence}</p>
            {finding.accepted !== null && (
                <p className="finding-reason">
                    You accept it: <strong>{finding.accepted}</strong>
                </p>
            )}
            {finding.accepted === null && (finding.fixes.length > 0 || finding.severity !== 'note') && (
                <div className="finding-presses">
                    {finding.fixes.map((fix) => (
                        <Button key={fix.title} data-small aria-expanded={shown?.title === fix.title} onClick={() => void change.look(finding.key, fix.title, fix.edits)}>
                            {fix.title}
                        </Button>
                    ))}
                    {finding.acceptable && finding.severity !== 'note' && !accepting && (
                        <Button data-small className="finding-accept" onClick={() => accept(true)}>
                            Accept it
                        </Button>
                    )}
                </div>
            )}
            {shown !== null && <PreviewBox fix={shown} preview={shown.preview} apply={() => void change.apply(shown.title, shown.edits)} close={change.leave} />}
            {accepting && finding.accepted === null && (
                <form className="accept" onSubmit={take}>
                    <TextInput label="Why you take it as it is" value={reason} onChange={(e) => setReason(e.currentTarget.value)} autoFocus maxLength={400} />
                    <div className="finding-presses">
                        <Button data-small data-main type="submit" disabled={reason.trim() === ''}>
                            Accept with this reason
                        </Button>
                        <Button data-small type="button" onClick={() => accept(false)}>
                            No
                        </Button>
                    </div>
                </form>
            )}
        </section>
    );
}
