import { Button } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { Place, SurfacePage } from '../api/types';
import { Mark } from '../drawing/Mark';
import { useNow } from '../api/clock';
import { leftOf } from '../frame/Edge';
import type { Change } from '../frame/useChange';
import { minutesUntil, span, wall } from '../frame/words';
import { didNext, takeBack } from './deeds';
import { LadderDrawing } from './LadderDrawing';
import { Measures } from './Measures';
import { Photos } from './Photos';
import { Verdicts } from './Verdicts';

interface Props {
    data: SurfacePage;
    place: Place;
    change: Change;
}

/** One place: what is done to it now, what holds it and what comes of being early, the filler and why, the grits. */
export function PlaceCard({ data, place, change }: Props): ReactElement {
    return (
        <section className="card place" aria-labelledby="place-title" data-testid="place">
            <h2 id="place-title">{place.name}</h2>
            <p className="place-what">
                {[
                    place.parts.join(' + '),
                    place.material,
                    place.widthMm > 0 ? `${place.widthMm} mm wide` : '',
                    place.lengthCm > 0 ? `${place.lengthCm} cm long` : '',
                    place.access === 'open' ? '' : place.accessWord,
                    place.crossed ? 'lines cross it' : '',
                    place.foundAt === 'bare' ? '' : `found ${place.foundWord}`,
                ]
                    .filter((w) => w !== '')
                    .join(', ')}
            </p>
            <Measures data={data} place={place} />
            <NextStep data={data} place={place} />
            {place.foundAt !== 'bare' && place.closed === null && place.beneath.map((says) => <p key={says}>{says}</p>)}
            {(place.fills || place.widthMm > 0) && place.closed === null && <Filler place={place} change={change} />}
            {place.closed === null && (
                <div className="place-ladder">
                    <h3>
                        {place.ladder.from} to {place.ladder.to}
                    </h3>
                    <LadderDrawing ladder={place.ladder} />
                    <p>{place.ladder.how.join(' ')}</p>
                </div>
            )}
            <Photos place={place} change={change} />
            {!place.joint && (
                <Button data-small onClick={() => void change.apply(`Strike out ${place.name}`, [{ op: 'remove', list: 'flaws', id: place.id }])}>
                    Strike it out
                </Button>
            )}
        </section>
    );
}

function NextStep({ data, place }: { data: SurfacePage; place: Place }): ReactElement {
    const at = useNow();
    const [asked, ask] = useState(false);
    const [took, setTook] = useState('');
    const minutes = Number(took.replace(',', '.'));
    const wrongTook = took.trim() !== '' && !(minutes >= 1 && minutes <= 600);
    const { id: buildId, zone } = data.build;
    const held = place.holdUntil !== null && place.holdFrom !== null && Date.parse(place.holdUntil) > at;
    if (place.closed !== null) {
        return (
            <div className="place-next">
                <p>
                    <strong>{place.closed.verdict === 'good' ? 'Good.' : `${place.closed.word.charAt(0).toUpperCase()}${place.closed.word.slice(1)}.`}</strong> {place.closed.reason}
                </p>
                <Button data-small onClick={() => takeBack(buildId, `${place.name} is looked at again`, place.closed?.event ?? '')}>
                    Take that back
                </Button>
                <Verdicts buildId={buildId} place={place} means="" after={() => ask(false)} />
            </div>
        );
    }
    if (place.looks || place.asksDetail) {
        return (
            <div className="place-next">
                <p className="place-step" data-testid="place-next">
                    {place.next?.title ?? 'Look at it.'}
                </p>
                {place.next !== null && <p>{place.next.technique}</p>}
                <Verdicts buildId={buildId} place={place} means="" after={() => ask(false)} />
            </div>
        );
    }
    const did = (): void => {
        didNext(buildId, place, took.trim() === '' || wrongTook ? undefined : minutes);
        setTook('');
        ask(false);
    };

    return (
        <div className="place-next">
            <p className="place-step" data-testid="place-next">
                {place.next?.title ?? 'Nothing left to do.'}
            </p>
            {held && place.holdUntil !== null && place.holdFrom !== null && (
                <p className="place-hold">
                    <Mark kind="hold" size={30} left={leftOf(place.holdFrom, place.holdUntil, at)} />
                    <span>
                        {place.because}: hands off for {span(minutesUntil(place.holdUntil, at))}, until {wall(place.holdUntil, at, zone)}
                    </span>
                </p>
            )}
            {place.closes !== null && (
                <p className="place-closes">
                    <Mark kind="closing" size={30} /> Before {wall(place.closes, at, zone)}, in {span(minutesUntil(place.closes, at))}: then it is harder than the plastic
                </p>
            )}
            {place.next !== null && <p>{place.next.technique}</p>}
            {place.next !== null && place.next.cautions.length + place.next.cautionsAgain.length > 0 && <p className="place-caution">{[...place.next.cautions, ...place.next.cautionsAgain].join(' ')}</p>}
            {place.next !== null && (
                <p className="place-caution">
                    About {Math.round(place.next.minutes)} min hands on
                    {place.pace !== null && `: usually ${Math.round(place.pace.usual)}, corrected by ${place.pace.jobs === 1 ? 'one job' : `${place.pace.jobs} jobs`} in your log`}.
                </p>
            )}
            {place.next !== null && (
                <label className="took">
                    It took <input inputMode="numeric" value={took} aria-invalid={wrongTook} onChange={(e) => setTook(e.currentTarget.value)} /> min
                    {wrongTook ? ': give 1 to 600' : ', if you looked'}
                </label>
            )}
            {place.next !== null && (
                <Button data-main data-testid="place-did" onClick={() => (held && place.early !== null ? ask(true) : did())}>
                    {place.next.button}
                </Button>
            )}
            {asked && held && (
                <div className="early" role="alert" data-testid="early">
                    <p>
                        <strong>Too early.</strong> {place.early}
                    </p>
                    <div className="finding-presses">
                        <Button data-small onClick={() => ask(false)}>
                            Leave it alone
                        </Button>
                        <Button data-small onClick={did}>
                            It is done, though
                        </Button>
                    </div>
                </div>
            )}
        </div>
    );
}

function Filler({ place, change }: { place: Place; change: Change }): ReactElement {
    const other = place.advice.runnerUp;
    const list = place.joint ? 'joints' : 'flaws';
    if (place.filledWith !== null) {
        return <p className="filler-choice">Filled with {place.filledWith}.</p>;
    }

    return (
        <div className="filler">
            <p className="filler-choice" data-testid="filler">
                <strong>{place.chosen ?? place.advice.word}</strong>: {place.chosen === null || place.chosen === place.advice.word ? `${place.advice.why}.` : `your choice; advised is ${place.advice.word}, ${place.advice.why}.`}
            </p>
            <p>{place.advice.how.join(' ')}</p>
            {other !== null && place.chosen === null && (
                <p className="filler-else">
                    Else <strong>{other.word}</strong>: {other.why}.{' '}
                    <Button data-small onClick={() => void change.apply(`Fill ${place.name} with ${other.word}`, [{ op: 'set', list, id: place.id, field: 'filler', value: other.filler }])}>
                        Take {other.word}
                    </Button>
                </p>
            )}
            {place.chosen !== null && (
                <Button data-small onClick={() => void change.apply(`Fill ${place.name} as advised`, [{ op: 'set', list, id: place.id, field: 'filler', value: null }])}>
                    As advised
                </Button>
            )}
        </div>
    );
}
