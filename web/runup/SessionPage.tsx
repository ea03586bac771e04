import './session.css';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import { api } from '../api/client';
import { useNow } from '../api/clock';
import type { SessionLine, SessionSheet } from '../api/types';
import { shortName } from '../frame/shortName';
import { Paper } from '../frame/Paper';
import { clock, day, wall } from '../frame/words';
import { roundsOf } from '../shared/rounds';

/** One session on one page, over all builds: what to lay out, what to do in which order, which clocks run on. */
export default function SessionPage({ buildId }: { buildId: string }): ReactElement {
    const now = useNow();
    const [query] = useSearchParams();
    const until = query.get('until');
    const { data: sheet, error } = useQuery({ queryKey: ['runup', 'session', until], queryFn: () => api.get<SessionSheet>(`runup/session${until === null ? '' : `?until=${encodeURIComponent(until)}`}`) });
    if (error !== null && sheet === undefined) {
        return <p role="alert">There is no such session any more: open one from the run-up.</p>;
    }
    if (sheet === undefined) {
        return <p>Laying the session out.</p>;
    }
    const from = Date.parse(sheet.from ?? '');
    const runs = roundsOf(sheet.lines);
    const names = [...new Set(sheet.lines.map((line) => shortName(line.build)))];
    const title = `${day(from, sheet.zone)}, ${clock(from, sheet.zone)} to ${clock(Date.parse(sheet.until ?? ''), sheet.zone)}`;

    return (
        <Paper title={title} says={names.length === 0 ? 'nothing is planned for it' : `${runs.length} ${runs.length === 1 ? 'step' : 'steps'} on ${names.join(', ')}`} build={{ name: names.join(', '), zone: sheet.zone }} at={now} back={{ to: `/b/${buildId}/runup`, word: 'Back to the run-up' }} className="session-page">
            <section aria-labelledby="lay-out">
                <h2 id="lay-out">Lay out</h2>
                {sheet.layOut.length === 0 && <p className="paper-none">Nothing: all is done, or dries.</p>}
                <ul className="session-things">
                    {sheet.layOut.map((thing) => (
                        <li key={`${thing.name} ${thing.with}`}>
                            <span className="paper-box" aria-hidden="true" />
                            {thing.swatch !== null && <span className="session-swatch" style={{ background: thing.swatch }} aria-hidden="true" />}
                            <span>
                                {thing.name}
                                {thing.ml !== null && `, ${ml(thing.ml)} mixed`}
                                {thing.with !== '' && `, ${thing.with}`}
                            </span>
                        </li>
                    ))}
                </ul>
            </section>
            <section aria-labelledby="order">
                <h2 id="order">In this order</h2>
                <ol className="session-steps">
                    {runs.map((run) => (
                        <Run key={`${run[0]?.buildId ?? ''} ${run[0]?.key ?? ''}`} run={run} zone={sheet.zone} />
                    ))}
                </ol>
            </section>
            {sheet.clocks.length > 0 && (
                <section className="session-clocks" aria-labelledby="clocks">
                    <h2 id="clocks">Clocks</h2>
                    <ul>
                        {sheet.clocks.map((one) => (
                            <li key={`${one.buildId} ${one.because} ${one.forbids}`}>
                                <strong>{one.first === one.until ? wall(one.until ?? '', from, sheet.zone) : `${wall(one.first ?? '', from, sheet.zone)} to ${wall(one.until ?? '', from, sheet.zone)}`}</strong> {shortName(one.build)}: {one.pieces.length > 3 ? `${one.pieces.length} pieces` : one.pieces.join(', ')}, {one.because}; until then no {one.forbids}
                            </li>
                        ))}
                    </ul>
                </section>
            )}
        </Paper>
    );
}

function Run({ run, zone }: { run: SessionLine[]; zone: string }): ReactElement {
    const [first] = run as [SessionLine];
    const mls = run.reduce((sum, line) => sum + (line.ml ?? 0), 0);
    const figures = [
        first.cupMl === null ? '' : `${ml(first.cupMl)} in the cup`,
        mls > 0 ? `takes ${ml(mls)}` : '',
        first.ratio === null ? '' : `paint : thinner ${first.ratio}`,
        first.pressureBar === null ? '' : `${first.pressureBar.toFixed(1)} bar`,
        `${Math.max(1, Math.round(run.reduce((sum, line) => sum + line.minutes, 0)))} min`,
    ].filter(Boolean);
    const cautions = [...new Set(run.flatMap((line) => line.cautions))];

    return (
        <li>
            <time>{clock(Date.parse(first.start ?? ''), zone)}</time>
            <div>
                <strong>{run.length > 1 ? (first.round?.title ?? first.title) : first.title}</strong>{' '}
                {run.map((line, i) => (
                    <span key={`${line.buildId} ${line.key}`} className="session-part">
                        <span className="paper-box" aria-hidden="true" />
                        {run[i - 1]?.buildId === line.buildId ? line.where : `${shortName(line.build)}: ${line.where}`}
                    </span>
                ))}
                {cautions.length > 0 && <div className="paper-caution">{cautions.join(' ')}</div>}
            </div>
            <span className="paper-figures">
                {figures.join(' · ')}
                {cautions.length === 0 && run.some((line) => line.cautionsAgain) && <span className="session-again">Cautions as above.</span>}
            </span>
        </li>
    );
}

function ml(amount: number): string {
    return `${amount.toFixed(2).replace(/0$/, '')} ml`;
}
