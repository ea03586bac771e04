import type { ReactElement } from 'react';
import type { Chance, RunUp, RunUpBuild } from '../api/types';
import { shortName } from '../frame/shortName';
import { day, wall } from '../frame/words';

const WIDE = 640;

/** A thread a build: what dries through the nights, when it is ready, and its show as a wall. What crosses the wall is vermilion. */
export function Threads({ run, chance, letters, zone, now }: { run: RunUp; chance: Chance | undefined; letters: Map<string, string>; zone: string; now: number }): ReactElement {
    const last = run.columns[run.columns.length - 1];
    const end = Math.max(now + 86400000, ...(last === undefined ? [] : [Date.parse(last.until)]), ...run.builds.map((b) => (b.ready === null ? 0 : Date.parse(b.ready))));
    const x = (iso: string): number => Math.max(0, Math.min(WIDE, (WIDE * (Date.parse(iso) - now)) / (end - now)));
    const thread = [...run.builds].filter((b) => b.spareMinutes !== null).sort((a, b) => (a.spareMinutes ?? 0) - (b.spareMinutes ?? 0))[0];

    return (
        <ul className="runup-threads">
            {run.builds
                .filter((build) => build.ready !== null)
                .map((build) => {
                    const show = run.shows.find((s) => s.id === build.show);
                    const due = show === undefined || Date.parse(show.due) > end ? null : x(show.due);
                    const ready = x(build.ready ?? '');
                    const likelyBy = range(chance, build.id);

                    return (
                        <li key={build.id} className="runup-thread" data-late={build.daysLate > 0 ? '' : undefined}>
                            <div className="runup-name">
                                <span>
                                    {letters.has(build.id) && <span className="runup-key">{letters.get(build.id)}</span>} <strong>{shortName(build.name)}</strong> <span className="runup-ready">{wall(build.ready ?? '', now, zone)}</span>
                                </span>
                                <span className="runup-spare">{spare(build, show?.name, build.id === thread?.id)}{likely(chance, build.id)}</span>
                            </div>
                            <svg viewBox={`-8 0 ${WIDE + 16} 30`} preserveAspectRatio="none" role="img" aria-label={`${build.name}: ready ${day(Date.parse(build.ready ?? ''), zone)}`}>
                                <line className="runup-line" data-thread={build.id === thread?.id ? '' : undefined} x1={0} x2={ready} y1={15} y2={15} />
                                {build.nights.map((night) => (
                                    <rect key={`${night.from} ${night.until}`} className="runup-night" x={x(night.from)} width={Math.max(2, x(night.until) - x(night.from))} y={9} height={12}>
                                        <title>{`${night.piece}, ${night.because}: until ${wall(night.until, now, zone)}`}</title>
                                    </rect>
                                ))}
                                {likelyBy !== null && (
                                    <rect className="runup-range" x={x(likelyBy.half)} width={Math.max(2, x(likelyBy.nine) - x(likelyBy.half))} y={24} height={3}>
                                        <title>{`ready by ${wall(likelyBy.half, now, zone)} in 5 of 10, by ${wall(likelyBy.nine, now, zone)} in 9 of 10`}</title>
                                    </rect>
                                )}
                                {due !== null && <rect className="runup-stop" x={due} width={5} y={0} height={30} />}
                                {due !== null && ready > due && <line className="runup-over" x1={due} x2={ready} y1={15} y2={15} />}
                                {build.daysLate > 0 ? <path className="runup-end" d={`M${ready - 6} 9 L${ready + 6} 21 M${ready + 6} 9 L${ready - 6} 21`} /> : <circle className="runup-dot" cx={ready} cy={15} r={6} />}
                            </svg>
                        </li>
                    );
                })}
        </ul>
    );
}

function spare(build: RunUpBuild, show: string | undefined, decides: boolean): string {
    if (build.daysLate > 0) {
        return `${build.daysLate} d late for ${show ?? 'its show'}`;
    }
    if (build.spareEvenings === null) {
        return 'no show';
    }

    return `${build.spareEvenings} evenings to spare${decides ? ': the thread' : ''}`;
}

/** "7 of 10": of as many draws as there were. */
export function ofTen(inTime: number, draws: number): string {
    return `${Math.round((10 * inTime) / Math.max(1, draws))} of 10`;
}

function likely(chance: Chance | undefined, build: string): string {
    const own = chance?.counted === true ? chance.builds.find((b) => b.id === build) : undefined;

    return own?.inTime == null ? '' : `, ${ofTen(own.inTime, chance?.draws ?? 1)}`;
}

/** The days of 5 of 10 and of 9 of 10. */
function range(chance: Chance | undefined, build: string): { half: string; nine: string } | null {
    const own = chance?.counted === true ? chance.builds.find((b) => b.id === build) : undefined;

    return own?.half == null || own.nine === null ? null : { half: own.half, nine: own.nine };
}
