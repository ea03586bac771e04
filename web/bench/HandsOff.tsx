import { useCallback, type ReactElement } from 'react';
import { Link } from 'react-router';
import type { Bench } from '../api/types';
import { Mark } from '../drawing/Mark';
import { useNow } from '../api/clock';
import { leftOf } from '../frame/Edge';
import { Tried } from '../frame/Tried';
import { minutesUntil, span, wall } from '../frame/words';

/**
 * Pieces to leave alone, each with its clock, why, and the way to it; then what is shut and what it waits for.
 *
 * @param asked - the piece one came for from the hold line
 */
export function HandsOff({ bench, asked }: { bench: Bench; asked: string | null }): ReactElement {
    const come = useCallback((row: HTMLLIElement | null): void => {
        row?.scrollIntoView({ block: 'nearest' });
    }, []);
    const here = (pieceId: string): { ref?: typeof come; 'aria-current'?: 'true' } => (asked !== null && pieceId === asked ? { ref: come, 'aria-current': 'true' } : {});
    const at = useNow();
    const zone = bench.build.zone;
    const held = bench.holds.filter((h) => !h.closing && Date.parse(h.until) > at);
    const shut = bench.handsOff.filter((p) => p.aspect.kind === 'shut');

    return (
        <section className="card hands-off" aria-labelledby="hands-off">
            <h2 id="hands-off" className="card-title">
                Hands off
            </h2>
            {held.length === 0 && shut.length === 0 && <p className="hands-none">Nothing waits.</p>}
            <ul>
                {held.map((hold) => (
                    <li key={hold.key} data-testid="hold" {...here(hold.pieceId)}>
                        <Mark kind="hold" size={38} left={leftOf(hold.from, hold.until, at)} />
                        <span>
                            <Link className="hands-piece" to={`/b/${bench.build.id}/layers?piece=${hold.pieceId}`}>
                                {hold.label.replace(/, [^,]*$/, '')}
                            </Link>
                            <small>no {hold.forbids}</small>
                            {hold.words !== '' && <small className="hands-why">{hold.words}</small>}
                            <Tried buildId={bench.build.id} hold={hold} />
                        </span>
                        <em>
                            {span(minutesUntil(hold.until, at))}
                            <small>{wall(hold.until, at, zone)}</small>
                        </em>
                    </li>
                ))}
                {shut.map((piece) => (
                    <li key={piece.pieceId} {...here(piece.pieceId)}>
                        <Mark kind="shut" size={38} />
                        <span>
                            <Link className="hands-piece" to={`/b/${bench.build.id}/layers?piece=${piece.pieceId}`}>
                                {piece.name}
                            </Link>
                            <small>waits for: {piece.aspect.because}</small>
                        </span>
                        <em className="hands-shut">shut</em>
                    </li>
                ))}
            </ul>
        </section>
    );
}
