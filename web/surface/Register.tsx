import type { ReactElement } from 'react';
import type { Place } from '../api/types';
import { Mark } from '../drawing/Mark';
import { useNow } from '../api/clock';
import { leftOf } from '../frame/Edge';
import { minutesUntil, span, wall } from '../frame/words';

interface Props {
    places: Place[];
    chosen: string | null;
    choose: (id: string) => void;
    zone: string;
}

/** Every place as a strip of the stages it goes through, and what is next. */
export function Register({ places, chosen, choose, zone }: Props): ReactElement {
    return (
        <section className="card strips" aria-label="Places to make good">
            <ul>
                {places.map((place) => (
                    <li key={place.id}>
                        <Strip place={place} zone={zone} here={place.id === chosen} choose={() => choose(place.id)} />
                    </li>
                ))}
            </ul>
        </section>
    );
}

function Strip({ place, zone, here, choose }: { place: Place; zone: string; here: boolean; choose: () => void }): ReactElement {
    const at = useNow();
    const held = place.holdUntil !== null && place.holdFrom !== null && Date.parse(place.holdUntil) > at;
    const first = place.stages.findIndex((s) => !s.done);

    return (
        <button type="button" className="strip" aria-pressed={here} data-good={place.good || undefined} onClick={choose}>
            <span className="strip-name">
                <strong>{place.name}</strong>
                <small>
                    {place.piece}
                    {place.widthMm > 0 && `, ${place.widthMm} mm`}
                    {place.foundAt !== 'bare' && `, ${place.foundWord}`}
                </small>
            </span>
            <span className="strip-stages">
                {place.stages.map((s, i) => (
                    <span key={s.word} className="strip-stage" data-done={s.done || undefined} data-next={i === first || undefined}>
                        {s.word}
                    </span>
                ))}
            </span>
            {place.closed?.reason !== undefined && place.closed?.reason !== null && <span className="strip-next">{place.closed.reason}</span>}
            {!place.good && (
                <span className="strip-next">
                    {held && place.holdUntil !== null && place.holdFrom !== null ? (
                        <>
                            <Mark kind="hold" size={26} left={leftOf(place.holdFrom, place.holdUntil, at)} />
                            <span>
                                {place.because}: {span(minutesUntil(place.holdUntil, at))}, {wall(place.holdUntil, at, zone)}
                            </span>
                        </>
                    ) : (
                        <span>{place.next?.title}</span>
                    )}
                </span>
            )}
            {place.closes !== null && (
                <span className="strip-closes">
                    <Mark kind="closing" size={26} /> closes in {span(minutesUntil(place.closes, at))}
                </span>
            )}
        </button>
    );
}
