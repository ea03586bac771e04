import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import type { Edit, RunUp, RunUpBlock, RunUpColumn, Session } from '../api/types';
import { shortName } from '../frame/shortName';
import { SessionField } from '../shared/SessionField';
import { keyOf } from './letters';
import { MoveSitting } from './MoveSitting';
import type { Dropped } from './useDrag';
import { clock, day } from '../frame/words';

/** Minutes by which a press makes a session longer or shorter. */
const STEP = 30;

/** One session opened: what is in it, in its order; made longer, shorter, struck, or as its weekday again. */
export function ChosenSession({ run, column, tonight, sessions, zone, now, buildId, set, put, dropped, leave }: { run: RunUp; column: RunUpColumn; tonight: boolean; sessions: readonly Session[]; zone: string; now: number; buildId: string; set: (sessions: Session[] | null) => void; put: (build: string, title: string, edits: Edit[]) => void; dropped: Dropped | null; leave: () => void }): ReactElement {
    const last = sessions[sessions.length - 1];
    const until = (by: number): Session[] => (last === undefined ? [] : [...sessions.slice(0, -1), { from: last.from, until: Math.min(1440, Math.max(last.from + STEP, last.until + by)) }]);
    const at = Date.parse(column.from);
    const build = (id: string): string => shortName(run.builds.find((b) => b.id === id)?.name ?? '');
    const to = (block: RunUpBlock): string | null => (dropped !== null && dropped.from === column.from && dropped.block === keyOf(block) ? dropped.to : null);
    const idle = column.minutes - Math.round(column.worked);

    return (
        <section className="card runup-card" data-amber={tonight ? '' : undefined} aria-labelledby="session">
            <h2 id="session">{tonight ? `Tonight, ${hours(column.minutes)}` : `${day(at, zone)}, ${hours(column.minutes)}`}</h2>
            <p className="quiet-line">
                {Math.round(column.worked)} min planned{idle > 0 ? `, ${idle} min to spare or to wait` : ''}. Now {clock(at, zone)} to {clock(Date.parse(column.until), zone)}.
            </p>
            <ol className="runup-blocks">
                {column.blocks.length === 0 && <li>Nothing is planned for it: all is done, or dries.</li>}
                {column.blocks.map((block) => (
                    <li key={keyOf(block)}>
                        <span className="runup-swatch" style={block.paint?.swatch == null ? undefined : { background: block.paint.swatch }} data-none={block.paint === null ? '' : undefined} aria-hidden="true" />
                        <span>
                            <strong>{block.paint === null ? build(block.build) : block.steps.length === 0 ? `${block.paint.name} at the gun` : `${block.paint.name} on ${build(block.build)}`}</strong>
                            <span className="runup-where">
                                {block.steps.length === 0 ? 'rinsed or mixed' : some(block.paint === null ? block.titles : block.pieces, block.paint === null ? '; ' : ', ')}: {Math.round(block.minutes)} min
                            </span>
                        </span>
                        <MoveSitting key={to(block) ?? ''} run={run} column={column} block={block} dropped={to(block)} zone={zone} now={now} put={put} leave={leave} />
                    </li>
                ))}
            </ol>
            {column.blocks.length > 0 && (
                <Link className="plain-press" to={`/b/${buildId}/session?until=${encodeURIComponent(column.until)}`}>
                    Lay it out
                </Link>
            )}
            <div className="runup-edit">
                <SessionField key={JSON.stringify(sessions)} label="From and until" sessions={sessions} set={(kept) => set(kept)} />
                <Button data-small onClick={() => set(until(STEP))} disabled={last === undefined || last.until >= 1440}>
                    {STEP} min longer
                </Button>
                <Button data-small onClick={() => set(until(-STEP))} disabled={last === undefined || last.until - last.from <= STEP}>
                    {STEP} min shorter
                </Button>
                <Button data-small onClick={() => set([])}>
                    Strike it
                </Button>
                {column.single && (
                    <Button data-small onClick={() => set(null)}>
                        As usual
                    </Button>
                )}
            </div>
        </section>
    );
}

function hours(minutes: number): string {
    return minutes % 60 === 0 ? `${minutes / 60} h` : minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60}`;
}

function some(names: readonly string[], by: string): string {
    return names.length > 3 ? `${names.slice(0, 3).join(by)} and ${names.length - 3} more` : names.join(by);
}
