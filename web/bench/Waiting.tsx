import type { ReactElement } from 'react';
import type { Bench } from '../api/types';
import { useNow } from '../api/clock';
import { minutesUntil, span, wall } from '../frame/words';

/** Nothing can be done now: what opens next, and when; or that all is done. */
export function Waiting({ bench }: { bench: Bench }): ReactElement {
    const at = useNow();
    const next = bench.opensNext;

    return (
        <section className="card step step-wait" data-edge={bench.finished ? 'hands' : 'think'}>
            <div className="step-body">
                {bench.finished ? (
                    <>
                        <h2 data-testid="step-title">Done</h2>
                        <p className="step-how">Every step of the plan is on the model. Nothing is left to do.</p>
                    </>
                ) : (
                    <>
                        <p className="step-where">Everything waits</p>
                        <h2 data-testid="step-title">{next === null ? 'Hands off' : `Hands off until ${wall(next.until, at, bench.build.zone)}`}</h2>
                        {next !== null && (
                            <p className="step-how">
                                In {span(minutesUntil(next.until, at))}: {next.title}, {next.where}. It waits for {next.because}.
                            </p>
                        )}
                    </>
                )}
            </div>
        </section>
    );
}
