import { Fragment, type ReactElement } from 'react';
import type { GunStep, Plan } from '../api/types';
import { useNow } from '../api/clock';
import { wall } from '../frame/words';
import { StageRow } from './StageRow';

/** As many times at gun and cup are shown between two stages. */
const FEW = 3;

/** The plan by stage, from the next to the last, with what is done to gun and cup between them. */
export function StageList({ plan, asked }: { plan: Plan; asked: string | null }): ReactElement {
    const at = useNow();
    const zone = plan.build.zone;
    const gun = [...plan.cleaning, ...plan.cups].sort((a, b) => (a.start < b.start ? -1 : 1));
    const between = (from: string | null, until: string | null): ReactElement | null => {
        const steps = gun.filter((g) => (from === null || g.start >= from) && (until === null || g.start < until));
        const rows = steps.map((g) => <AtTheGun key={g.key} step={g} time={wall(g.start, at, zone)} />);
        const last = steps[steps.length - 1];

        // A stage stands at its first coat: what its further coats take of gun and cup is folded away.
        return last === undefined || steps.length <= FEW ? (
            <>{rows}</>
        ) : (
            <>
                {rows[0]}
                <li>
                    <details className="at-the-gun-more">
                        <summary>
                            {steps.length - 2} more times at gun and cup, {steps.slice(1, -1).reduce((all, g) => all + g.minutes, 0)} min, for the coats that follow
                        </summary>
                        <ul>{rows.slice(1, -1)}</ul>
                    </details>
                </li>
                {rows[rows.length - 1]}
            </>
        );
    };

    return (
        <section className="card stages" aria-label="Stages">
            {plan.stages.length === 0 && (
                <div className="empty">
                    <h2>Nothing is left</h2>
                    <p>The log says how it was done.</p>
                </div>
            )}
            <ol>
                {plan.stages[0] !== undefined && between(null, plan.stages[0].start)}
                {plan.stages.map((stage, i) => (
                    <Fragment key={stage.stage}>
                        <StageRow stage={stage} number={i + 1} zone={zone} asked={asked} />
                        {between(stage.start, plan.stages[i + 1]?.start ?? null)}
                    </Fragment>
                ))}
            </ol>
        </section>
    );
}

function AtTheGun({ step, time }: { step: GunStep; time: string }): ReactElement {
    return (
        <li className="at-the-gun" title={step.because}>
            <span>{step.title}</span>
            <small>{step.minutes} min</small>
            <time>{time}</time>
        </li>
    );
}
