import { Button, TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactElement } from 'react';
import { api } from '../api/client';
import type { Edit, Finding, Fix, Preview } from '../api/types';
import { ulid } from '../frame/ulid';
import { PreviewBox } from './PreviewBox';

const SAYS = { stop: 'Stops the plan', think: 'Think again', note: 'Worth knowing' } as const;

interface Props {
    buildId: string;
    finding: Finding;
    apply: (title: string, edits: Edit[]) => Promise<void>;
}

/** One finding: why, the ways out with what each would change, and accepting it with a reason. */
export function FindingCard({ buildId, finding, apply }: Props): ReactElement {
    const [shown, show] = useState<{ fix: Fix; preview: Preview | null } | null>(null);
    const [accepting, accept] = useState(false);
    const [reason, setReason] = useState('');

    const look = async (fix: Fix): Promise<void> => {
        show({ fix, preview: null });
        try {
            const { preview } = await api.post<{ preview: Preview }>(`builds/${buildId}/preview`, { edits: fix.edits });
            show({ fix, preview });
        } catch {
            show(null);
        }
    };
    const take = (e: FormEvent): void => {
        e.preventDefault();
        void apply(`Accept: ${finding.title}`, [{ op: 'add', list: 'accepted', value: { id: ulid(), finding: finding.key, facts: finding.facts, reason: reason.trim() } }]);
    };

    return (
        <section className="card finding" data-edge={finding.severity} data-testid={`finding-${finding.rule}`}>
            <p className="finding-says">{SAYS[finding.severity]}</p>
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
                        <Button key={fix.title} data-small aria-expanded={shown?.fix.title === fix.title} onClick={() => void look(fix)}>
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
            {shown !== null && <PreviewBox fix={shown.fix} preview={shown.preview} apply={() => void apply(shown.fix.title, shown.fix.edits).then(() => show(null))} close={() => show(null)} />}
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
