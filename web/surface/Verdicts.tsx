import { TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactElement } from 'react';
import type { Place } from '../api/types';
import { ACCEPTED_BECAUSE, judged, type VerdictWord } from './deeds';

interface Props {
    buildId: string;
    place: Place;
    means: string;
    /** Pressed, and on its way to the log. */
    after: (verdict: VerdictWord) => void;
}

const WORDS: { verdict: VerdictWord; word: string; says: string }[] = [
    { verdict: 'good', word: 'Good', says: 'nothing shows' },
    { verdict: 'fill', word: 'Fill', says: 'low, or a gap' },
    { verdict: 'sand', word: 'Sand', says: 'proud, or scratched' },
    { verdict: 'rescribe', word: 'Rescribe', says: 'a line is lost' },
];

/** What a look at a place showed: one thumb, no typing. */
export function Verdicts({ buildId, place, means, after }: Props): ReactElement {
    const [accepting, accept] = useState(false);
    const [reason, setReason] = useState('');
    const say = (verdict: VerdictWord, why?: string): void => {
        judged(buildId, place, verdict, means, why);
        accept(false);
        after(verdict);
    };
    const own = (e: FormEvent): void => {
        e.preventDefault();
        say('accept', reason.trim());
    };
    if (place.asksDetail) {
        return (
            <div className="verdicts" role="group" aria-label={`What ${place.name} is`}>
                <button type="button" className="verdict" onClick={() => say('real-detail')}>
                    Real detail <small>it belongs there, leave it</small>
                </button>
                <button type="button" className="verdict" onClick={() => say('no-detail')}>
                    Not a detail <small>make it vanish</small>
                </button>
            </div>
        );
    }

    return (
        <>
            <div className="verdicts" role="group" aria-label={`What ${place.name} shows`}>
                {WORDS.map((w) => (
                    <button key={w.verdict} type="button" className="verdict" data-verdict={w.verdict} onClick={() => say(w.verdict)}>
                        {w.word} <small>{w.says}</small>
                    </button>
                ))}
                <button type="button" className="verdict" onClick={() => say('halo')}>
                    Ring round it <small>gap or stain?</small>
                </button>
                <button type="button" className="verdict" aria-expanded={accepting} onClick={() => accept(!accepting)}>
                    Accept it <small>with a reason</small>
                </button>
            </div>
            {accepting && (
                <form className="because" onSubmit={own}>
                    <p>Why it stays as it is:</p>
                    <div className="verdicts">
                        {ACCEPTED_BECAUSE.map((why) => (
                            <button key={why} type="button" className="verdict" onClick={() => say('accept', why)}>
                                {why}
                            </button>
                        ))}
                    </div>
                    <TextInput label="Or in your own words" value={reason} onChange={(e) => setReason(e.currentTarget.value)} maxLength={400} />
                    <button type="submit" className="press" disabled={reason.trim() === ''}>
                        Accept with this reason
                    </button>
                </form>
            )}
        </>
    );
}
