import './layers.css';
import { type ReactElement } from 'react';
import { useNow } from '../frame/clock';
import { usePlan } from '../frame/queries';
import { wall } from '../frame/words';
import { Findings } from './Findings';
import { StageRow } from './StageRow';

/** The plan, a row for each stage from the next to the last, with what the rules find beside it. */
export default function LayersPage({ buildId }: { buildId: string }): ReactElement {
    const at = useNow();
    const { data: plan } = usePlan(buildId);
    if (plan === undefined) {
        return <p>Working out the plan.</p>;
    }
    const zone = plan.build.zone;
    const latest = plan.finish;

    return (
        <div className="layers">
            <div className="page-head">
                <h1>Layers</h1>
                <p>
                    {plan.stepsLeft === 0 ? 'Every step is done.' : `${plan.stepsLeft} steps left in ${plan.stages.length} stages, in the order they can be done`}
                    {latest !== null && (
                        <>
                            {' '}
                            · finished <strong>{wall(latest, at, zone)}</strong> at your usual sessions
                        </>
                    )}
                </p>
            </div>
            <section className="card stages" aria-label="Stages">
                {plan.stages.length === 0 && (
                    <div className="empty">
                        <h2>Nothing is left</h2>
                        <p>The log says how it was done.</p>
                    </div>
                )}
                <ol>
                    {plan.stages.map((stage, i) => (
                        <StageRow key={stage.stage} stage={stage} number={i + 1} zone={zone} />
                    ))}
                </ol>
            </section>
            <Findings buildId={buildId} plan={plan} />
        </div>
    );
}
