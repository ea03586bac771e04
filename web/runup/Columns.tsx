import type { ReactElement } from 'react';
import type { RunUp, RunUpColumn } from '../api/types';
import { shortName } from '../frame/shortName';
import { day, weekday } from '../frame/words';
import { keyOf } from './letters';
import { useDrag, type Dropped } from './useDrag';

/** Hours the picture is high, at least. */
const LEAST_HOURS = 2;

/** Pixels of the plot. */
const HIGH = 212;

/** Sessions as columns as high as their minutes, filled with what is planned; the paint in the gun as a band at the left of each block; the shows as walls. */
export function Columns({ run, letters, zone, chosen, choose, drop }: { run: RunUp; letters: Map<string, string>; zone: string; chosen: string | undefined; choose: (from: string) => void; drop: (dropped: Dropped) => void }): ReactElement {
    const drag = useDrag(drop);
    const most = Math.max(60 * LEAST_HOURS, ...run.columns.map((c) => c.minutes));
    const hours = Array.from({ length: Math.floor(most / 60 / 2) }, (_, i) => 2 * (i + 1));
    const walls = run.shows.map((show) => ({ show, before: run.columns.findIndex((c) => c.from >= show.due) })).filter((wall) => wall.before > 0);

    return (
        <div className="runup-plot" style={{ height: HIGH + 44 }}>
            {hours.map((h) => (
                <div key={h} className="runup-hour" style={{ bottom: 44 + (h * 60 * HIGH) / most }} aria-hidden="true">
                    <span>{h} h</span>
                </div>
            ))}
            {drag.held !== null && (
                <p className="runup-drag" role="status">
                    {drag.over === null || drag.over === drag.held.from ? 'Let it go over another session.' : `To ${day(Date.parse(drag.over), zone)}.`}
                </p>
            )}
            <div className="runup-columns" data-dragging={drag.held === null ? undefined : ''} role="group" aria-label="Sessions to the show">
                {run.columns.map((column, i) => (
                    <div key={column.from} className="runup-slot" data-wall={walls.some((wall) => wall.before === i) ? '' : undefined}>
                        {walls
                            .filter((wall) => wall.before === i)
                            .map((wall) => (
                                <div key={wall.show.id} className="runup-wall" style={{ height: HIGH }} aria-hidden="true">
                                    <span>{wall.show.name}</span>
                                </div>
                            ))}
                        <Session column={column} letters={letters} zone={zone} scale={HIGH / most} chosen={column.from === chosen} late={lateIn(run, column)} label={labelOf(run, column, zone)} choose={choose} drag={drag} />
                    </div>
                ))}
            </div>
        </div>
    );
}

function Session({ column, letters, zone, scale, chosen, late, label, choose, drag }: { column: RunUpColumn; letters: Map<string, string>; zone: string; scale: number; chosen: boolean; late: Set<string>; label: string; choose: (from: string) => void; drag: ReturnType<typeof useDrag> }): ReactElement {
    const at = Date.parse(column.from);

    return (
        <button type="button" className="runup-session" aria-pressed={chosen} data-date={column.date} data-session={column.from} data-target={drag.held !== null && drag.over === column.from && drag.held.from !== column.from ? '' : undefined} onClick={() => choose(column.from)}>
            <span className="unseen">{label}. </span>
            <span className="runup-room" aria-hidden="true" style={{ height: Math.max(4, column.minutes * scale) }}>
                {column.blocks.map((block) => (
                    <span key={keyOf(block)} className="runup-block" {...drag.on(column, block)} data-held={drag.held?.from === column.from && drag.held.block === keyOf(block) ? '' : undefined} data-late={late.has(block.build) ? '' : undefined} style={{ height: block.minutes * scale }}>
                        <span className="runup-paint" style={block.paint === null ? undefined : { background: block.paint.swatch ?? 'transparent' }} data-none={block.paint === null ? '' : undefined} />
                        {block.minutes * scale >= 13 && letters.has(block.build) && <span className="runup-letter">{letters.get(block.build)}</span>}
                    </span>
                ))}
            </span>
            <span className="runup-day" data-single={column.single ? '' : undefined}>
                <span>{weekday(at, zone).slice(0, 2)}</span>
                <strong>{Number(column.date.slice(8))}</strong>
            </span>
        </button>
    );
}

/** Builds whose show has been when a session begins: what is done then comes too late. */
function lateIn(run: RunUp, column: RunUpColumn): Set<string> {
    const over = new Set(run.shows.filter((show) => show.due <= column.from).map((show) => show.id));

    return new Set(run.builds.filter((build) => build.show !== null && over.has(build.show)).map((build) => build.id));
}

function labelOf(run: RunUp, column: RunUpColumn, zone: string): string {
    const names = [...new Set(column.blocks.map((block) => shortName(run.builds.find((b) => b.id === block.build)?.name ?? '')))];

    return `${day(Date.parse(column.from), zone)}: ${Math.round(column.worked)} of ${column.minutes} min${names.length === 0 ? '' : `, ${names.join(', ')}`}`;
}
