import type { ReactElement } from 'react';
import type { Hold } from '../api/types';
import { Mark } from '../drawing/Mark';
import { useNow } from '../api/clock';
import { minutesUntil, span } from '../frame/words';

/** A chance that is lost at a time. */
export function Closing({ hold }: { hold: Hold }): ReactElement {
    const at = useNow();

    return (
        <section className="card closing" data-edge="closing">
            <h2>
                <Mark kind="closing" size={18} /> Closing
            </h2>
            <p>
                <strong>{hold.label}</strong>
                <em>{span(minutesUntil(hold.until, at))}</em>
            </p>
            <small>{hold.words}</small>
        </section>
    );
}
