import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import type { Plan } from '../api/types';
import { useNow } from '../api/clock';
import type { Change } from '../frame/useChange';
import { wall } from '../frame/words';
import { PreviewBox } from '../shared/PreviewBox';

/** What the user fixed about the order and the time of steps: seen, and taken back. */
export function Pinned({ plan, change }: { plan: Plan; change: Change }): ReactElement | null {
    const at = useNow();
    if (plan.steered.length === 0) {
        return null;
    }

    return (
        <section className="card steered" aria-label="What you fixed">
            <h2 className="card-title">What you fixed</h2>
            <ul>
                {plan.steered.map((s) => (
                    <li key={s.id}>
                        <span>
                            {s.words}
                            {s.at !== null ? ` ${wall(s.at, at, plan.build.zone)}` : ''}
                        </span>
                        <Button data-small onClick={() => void change.look('fixed', `Take back: ${s.words}`, [{ op: 'remove', list: s.list, id: s.id }])}>
                            Unpin
                        </Button>
                    </li>
                ))}
            </ul>
            {change.intended?.place === 'fixed' && <PreviewBox fix={change.intended} preview={change.intended.preview} apply={() => void change.apply(change.intended?.title ?? '', change.intended?.edits ?? [])} close={change.leave} />}
        </section>
    );
}
