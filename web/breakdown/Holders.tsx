import { Button } from '@mantine/core';
import { useState, type FormEvent, type ReactElement } from 'react';
import type { HolderNeed } from '../api/types';
import { ulid } from '../frame/ulid';
import { useKit } from '../frame/queries';
import type { Change } from '../frame/useChange';
import { useParams } from 'react-router';

/** Holders of each kind in use at the same time, against those there are. */
export function Holders({ holders, change }: { holders: HolderNeed[]; change: Change }): ReactElement {
    const most = Math.max(1, ...holders.map((h) => Math.max(h.atOnce, h.owned)));

    return (
        <section className="card holders" aria-labelledby="holders-title">
            <h2 id="holders-title" className="card-title">
                Holders at one time
            </h2>
            {holders.length === 0 ? (
                <p className="grid-empty">Nothing is left to hold.</p>
            ) : (
                <ul>
                    {holders.map((h) => (
                        <li key={h.holder} data-short={h.short > 0 || undefined}>
                            <strong>
                                {h.atOnce} {h.word}
                            </strong>
                            <Owned need={h} change={change} />
                            <span className="holder-bar" aria-hidden="true">
                                <i style={{ width: `${(100 * h.atOnce) / most}%` }} />
                                <u style={{ left: `${(100 * h.owned) / most}%` }} />
                            </span>
                            <small>
                                {h.short > 0 && <b className="bad">{h.short} too few: </b>}
                                {h.for.join(', ')}
                            </small>
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}

/** How many there are: pressed to be put right. */
function Owned({ need, change }: { need: HolderNeed; change: Change }): ReactElement {
    const [typed, type] = useState<string | null>(null);
    const { build = '' } = useParams();
    const { data: kit } = useKit(build);
    const known = kit?.holders.find((h) => h.holder === need.holder);
    const keep = (e: FormEvent): void => {
        e.preventDefault();
        const owned = Number(typed);
        if (typed !== null && typed.trim() !== '' && Number.isInteger(owned) && owned >= 0 && owned <= 10000) {
            void change.apply(`${owned} ${need.word}`, [
                known === undefined
                    ? { op: 'add', list: 'holders', value: { id: ulid(), holder: need.holder, owned } }
                    : { op: 'set', list: 'holders', id: known.id, field: 'owned', value: owned },
            ]);
            type(null);
        }
    };

    return typed === null ? (
        <button type="button" className="holder-owned" onClick={() => type(String(need.owned))} aria-label={`of ${need.owned}: change how many there are (${need.holder})`}>
            of {need.owned}
        </button>
    ) : (
        <form className="holder-form" onSubmit={keep}>
            <input className="grid-input" inputMode="numeric" autoFocus aria-label={`How many ${need.word} there are, 0 to 10000`} value={typed} onChange={(e) => type(e.currentTarget.value)} onKeyDown={(e) => e.key === 'Escape' && type(null)} />
            <Button data-small type="submit">
                There are so many
            </Button>
        </form>
    );
}
