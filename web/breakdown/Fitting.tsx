import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import type { Breakdown } from '../api/types';
import { now } from '../api/clock';
import { record } from '../frame/outbox';
import { ulid } from '../frame/ulid';

const iso = (): string => new Date(Math.floor(now() / 1000) * 1000).toISOString().replace('.000Z', 'Z');

/** Parts that look alike: each is ticked off with the place it was fitted in, and what is left over is counted. */
export function Fitting({ buildId, fitting }: { buildId: string; fitting: Breakdown['fitting'] }): ReactElement | null {
    if (fitting.length === 0) {
        return null;
    }
    const left = fitting.reduce((sum, f) => sum + f.left, 0);

    return (
        <section className="card fitting" aria-labelledby="fitting-title">
            <h2 id="fitting-title" className="card-title">
                Which goes where
            </h2>
            <p className="fitting-left">{left === 0 ? 'All are fitted.' : left === 1 ? '1 is left to fit.' : `${left} are left to fit.`}</p>
            <ul>
                {fitting.map((f) => (
                    <li key={f.id}>
                        <span>
                            <strong>
                                {f.number !== null && `${f.number} `}
                                {f.name}
                            </strong>
                            <small>belongs {f.place}</small>
                        </span>
                        {f.fitted.map((done) => (
                            <Button key={done.event} data-small title="Take this back" onClick={() => record(buildId, `${f.name} is not fitted`, { id: ulid(), kind: 'take-back', at: iso(), takesBack: done.event })}>
                                {done.place === f.place ? `Fitted ${done.place}` : `Fitted ${done.place}: wrong`}
                            </Button>
                        ))}
                        {f.left === 0 && f.fitted.length === 0 && <em>glued</em>}
                        {f.left > 0 &&
                            f.places.map((place) => (
                                <Button key={place} data-small onClick={() => record(buildId, `${f.name} fitted ${place}`, { id: ulid(), kind: 'fitted', at: iso(), targets: [f.id], place })}>
                                    {place}
                                </Button>
                            ))}
                    </li>
                ))}
            </ul>
        </section>
    );
}
