import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import type { JointAdvice } from '../api/types';
import type { Change } from '../frame/useChange';
import { PreviewBox } from '../shared/PreviewBox';

/** One joint: when it is closed and why, its glue and how to dose it, how it is aligned, what stays bare. */
export function JointCard({ joint, change }: { joint: JointAdvice; change: Change }): ReactElement {
    const place = `joint/${joint.id}`;
    const shown = change.intended?.place === place ? change.intended : null;
    const turn = joint.beforePaint ? 'after' : 'before';
    const better = joint.better;

    return (
        <section className="card joint" aria-labelledby="joint-title" data-testid="joint">
            <div className="joint-head">
                <h2 id="joint-title">{joint.name}</h2>
                <p>
                    {joint.parts.join(' + ')}
                    {joint.step !== null && `, step ${joint.step}`}
                </p>
            </div>
            <dl className="joint-facts">
                <div>
                    <dt>{joint.beforePaint ? 'Glue it before paint' : 'Paint apart, attach it after'}</dt>
                    <dd>
                        {sentence(joint.because)}
                        {joint.closes.length > 0 && ` It closes over ${joint.closes.join(', ')}: painted first.`}
                    </dd>
                </div>
                <div>
                    <dt>
                        {joint.glueWord} <small>handle after {time(joint.handleMinutes)}, full strength {time(joint.fullMinutes)}</small>
                    </dt>
                    <dd>
                        {joint.dose} {joint.lookOut.join(' ')} {joint.removable ? 'It comes off again.' : 'For good.'}
                    </dd>
                </div>
                <div>
                    <dt>Align</dt>
                    <dd>{joint.align.join(' ')}</dd>
                </div>
                {joint.fit !== null && (
                    <div>
                        <dt>Fit</dt>
                        <dd data-testid="fit">{joint.fit}</dd>
                    </div>
                )}
                {joint.bare.length > 0 && (
                    <div>
                        <dt>Faces</dt>
                        <dd>{joint.bare.join(' ')}</dd>
                    </div>
                )}
            </dl>
            {joint.closedAt === null && (
                <div className="finding-presses">
                    <Button
                        data-small
                        data-testid="turn-down"
                        onClick={() => void change.look(place, turn === 'after' ? `Paint apart at ${joint.name}` : `Glue ${joint.name} before paint`, [{ op: 'set', list: 'joints', id: joint.id, field: 'closed', value: turn }])}
                    >
                        {turn === 'after' ? 'No: paint it apart' : 'No: glue it before paint'}
                    </Button>
                    {joint.decided && (
                        <Button data-small onClick={() => void change.look(place, `Leave ${joint.name} to the break-down`, [{ op: 'set', list: 'joints', id: joint.id, field: 'closed', value: 'undecided' }])}>
                            What would be proposed?
                        </Button>
                    )}
                    {better !== null && (
                        <Button data-small title={better.because} onClick={() => void change.look(place, `Glue it with ${better.word}`, [{ op: 'set', list: 'joints', id: joint.id, field: 'glue', value: better.glue }])}>
                            Better: {better.word}
                        </Button>
                    )}
                </div>
            )}
            {shown !== null && <PreviewBox fix={shown} preview={shown.preview} apply={() => void change.apply(shown.title, shown.edits)} close={change.leave} />}
        </section>
    );
}

function sentence(words: string): string {
    return words.charAt(0).toUpperCase() + words.slice(1) + '.';
}

function time(minutes: number): string {
    return minutes < 60 ? `${minutes} min` : `${minutes / 60} h`;
}
