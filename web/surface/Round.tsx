import { Button } from '@mantine/core';
import { useRef, useState, type ReactElement } from 'react';
import type { SurfacePage } from '../api/types';
import { MEANS, roundOver } from './deeds';
import { Verdicts } from './Verdicts';

interface Props {
    data: SurfacePage;
    /** Leaves the round, for the register or to note a new place. */
    leave: () => void;
    add: () => void;
}

/** A walk through the register by one means: each place gets a word, and the next is there. One thumb does it. */
export function Round({ data, leave, add }: Props): ReactElement {
    const [means, setMeans] = useState(data.places.some((p) => p.foundAt !== 'bare') ? 'primer' : 'raking light');
    // The order is kept while one walks: what is judged does not slip away under the thumb.
    const order = useRef(data.places.map((p) => p.id));
    const [at, go] = useState(0);
    const [found, count] = useState(0);
    const ids = order.current.filter((id) => data.places.some((p) => p.id === id));
    const place = data.places.find((p) => p.id === ids[at]);
    const held = place !== undefined && !place.good && !place.looks && !place.asksDetail;

    return (
        <section className="card round" aria-labelledby="round-title" data-testid="round">
            <div className="round-head">
                <h2 id="round-title">{place === undefined ? 'The round is over' : place.name}</h2>
                <p>
                    {Math.min(at + 1, ids.length)} of {ids.length}, {found} {found === 1 ? 'asks' : 'ask'} for more
                </p>
            </div>
            <div className="choice" role="group" aria-label="Looked at with">
                <span>With</span>
                <div>
                    {MEANS.map((m) => (
                        <button key={m} type="button" className="view" aria-pressed={m === means} onClick={() => setMeans(m)}>
                            {m}
                        </button>
                    ))}
                </div>
            </div>
            {place === undefined ? (
                <>
                    <p>{found === 0 ? 'Nothing asked for more.' : `${found} ${found === 1 ? 'place asks' : 'places ask'} for more: the register says what comes next.`} Look at the pieces themselves once more: what was found that is not in the register?</p>
                    <div className="verdicts">
                        <button type="button" className="verdict" onClick={add}>
                            Note a new place <small>it joins the register</small>
                        </button>
                        <button
                            type="button"
                            className="verdict"
                            data-testid="round-over"
                            onClick={() => {
                                roundOver(data.build.id, found, means);
                                leave();
                            }}
                        >
                            Round is over <small>{found} found</small>
                        </button>
                    </div>
                </>
            ) : (
                <>
                    <p className="place-what">
                        {place.piece}. {place.good ? 'Good until now.' : held ? `Not to be looked at yet: ${place.next?.title ?? 'it waits'}.` : 'Ready to be looked at.'}
                    </p>
                    <Verdicts
                        key={place.id}
                        buildId={data.build.id}
                        place={place}
                        means={means}
                        after={(verdict) => {
                            count(found + (data.rounds.counts.includes(verdict) ? 1 : 0));
                            go(at + 1);
                        }}
                    />
                </>
            )}
            <div className="finding-presses">
                {place !== undefined && (
                    <Button data-testid="round-skip" onClick={() => go(at + 1)}>
                        {held ? 'Next, it still waits' : 'Next, not looked at'}
                    </Button>
                )}
                {at > 0 && (
                    <Button onClick={() => go(at - 1)}>
                        One back
                    </Button>
                )}
                <Button onClick={leave}>
                    Back to the register
                </Button>
            </div>
        </section>
    );
}
