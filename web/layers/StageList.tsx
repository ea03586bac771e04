import { Fragment, type ReactElement } from 'react';
import type { Plan } from '../api/types';
import { useNow } from '../frame/clock';
import { wall } from '../frame/words';
import { StageRow } from './StageRow';

/** The plan by stage, from the next to the last, with the gun's cleanings between them. */
export function StageList({ plan }: { plan: Plan }): ReactElement {
    const at = useNow();
    const zone = plan.build.zone;
    const between = (from: string | null, until: string | null): Plan['cleaning'] => plan.cleaning.filter((c) => (from === null || c.start >= from) && (until === null || c.start < until));

    return (
        <section className="card stages" aria-label="Stages">
            {plan.stages.length === 0 && (
                <div className="empty">
                    <h2>Nothing is left</h2>
                    <p>The log says how it was done.</p>
                </div>
            )}
            <ol>
                {plan.stages.map((stage, i) => (
                    <Fragment key={stage.stage}>
                        <StageRow stage={stage} number={i + 1} zone={zone} />
                        {between(stage.start, plan.stages[i + 1]?.start ?? null).map((cleaning) => (
                            <li key={cleaning.key} className="cleaning" title={cleaning.because}>
                                <span>{cleaning.title}</span>
                                <small>{cleaning.minutes} min</small>
                                <time>{wall(cleaning.start, at, zone)}</time>
                            </li>
                        ))}
                    </Fragment>
                ))}
            </ol>
        </section>
    );
}
