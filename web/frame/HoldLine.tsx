import { Modal } from '@mantine/core';
import { useRef, useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import type { Frame, Hold } from '../api/types';
import { Mark } from '../drawing/Mark';
import { useNow } from '../api/clock';
import { shortName } from './shortName';
import { Tried } from './Tried';
import { useWidth } from './useWidth';
import { clock, day, minutesUntil, span, wall, weekday } from './words';

const LANES = 3;
const TOP = 3;
const LANE = 14;
/** Minutes at which the scale begins to compress. */
const BEND = 25;

interface Scale {
    x: (minutes: number) => number;
    most: number;
}

/**
 * A time ruler from now to the last hold, compressing with distance: one amber bar a hold, wedges for what closes.
 *
 * @param buildId - the build in hand, whose bars are full
 * @param keptAt - when what is shown was true, where the bench has not answered yet; ms
 */
export function HoldLine({ frame, buildId, keptAt }: { frame: Frame | undefined; buildId: string | undefined; keptAt: number | null }): ReactElement {
    const at = useNow();
    const go = useNavigate();
    const [ref, width] = useWidth();
    const [all, showAll] = useState(false);
    const lanes = useRef<(string | null)[]>([null, null, null]);
    const holds = (frame?.holds ?? []).filter((h) => Date.parse(h.until) > at);
    const zone = frame?.builds[0]?.zone ?? 'UTC';
    const shown = keepLanes(lanes.current, holds);
    const rest = holds.length - shown.filter((h) => h !== null).length;
    const closing = holds.filter((h) => h.closing).length;
    const scale = scaleFor(holds, at, Math.max(200, width - (rest > 0 ? 76 : 20)));
    const names = new Map((frame?.builds ?? []).map((b) => [b.id, shortName(b.name)]));
    const says = (hold: Hold): string => `${names.get(hold.buildId ?? '') ?? ''}: ${hold.label}`.replace(/^: /, '');
    const open = (hold: Hold): void => {
        showAll(false);
        void go(`/b/${hold.buildId}/bench?piece=${hold.pieceId}`);
    };

    return (
        <section className="line" aria-label="Hold line">
            <p className="line-name">
                <strong>Hold line</strong>
                {keptAt !== null ? `as at ${clock(keptAt, zone)}` : holds.length === 0 ? 'none on' : `${holds.length - closing} on${closing > 0 ? `, ${closing} closing` : ''}`}
            </p>
            <div className="line-run" ref={ref}>
                <svg aria-hidden="true" viewBox={`0 0 ${Math.max(1, width)} 58`} preserveAspectRatio="none">
                    <Ruler scale={scale} at={at} zone={zone} width={width} />
                    {shown.map((hold, lane) => hold !== null && <Bar key={hold.key} hold={hold} says={says(hold)} full={hold.buildId === buildId} lane={lane} scale={scale} at={at} width={width} />)}
                </svg>
                <button
                    type="button"
                    className="line-all"
                    aria-label={holds.length === 0 ? 'Nothing holds' : `All that holds: ${holds.map((h) => `${says(h)}, ${span(minutesUntil(h.until, at))} left`).join('; ')}`}
                    onClick={(e) => {
                        const box = e.currentTarget.getBoundingClientRect();
                        // A thumb is wider than a lane: it gets the list.
                        const thumb = (e.nativeEvent as PointerEvent).pointerType === 'touch';
                        const pointed = e.detail > 0 && !thumb ? shown[Math.floor((e.clientY - box.top - TOP) / LANE)] : undefined;
                        if (pointed != null && e.clientX - box.left < scale.x((Date.parse(pointed.until) - at) / 60000) + 220) {
                            open(pointed);
                        } else {
                            showAll(true);
                        }
                    }}
                />
                {rest > 0 && <span className="line-more">+{rest}</span>}
            </div>
            <Modal opened={all} onClose={() => showAll(false)} title="All that holds" size="lg" classNames={{ inner: 'at-thumb' }}>
                <ul className="hold-list">
                    {holds.map((hold) => (
                        <li key={hold.key}>
                            <button type="button" className="hold-row" onClick={() => open(hold)}>
                                <Mark kind={hold.closing ? 'closing' : 'hold'} size={22} left={0.6} />
                                <span>
                                    <strong>{says(hold)}</strong>
                                    <small>{hold.words}</small>
                                </span>
                                <em>{wall(hold.until, at, zone)}</em>
                            </button>
                            {hold.buildId !== undefined && <Tried buildId={hold.buildId} hold={hold} />}
                        </li>
                    ))}
                </ul>
                <p className="hold-calendar">
                    As a calendar: subscribe to <code>{`${window.location.origin}/api/holds.ics`}</code> or{' '}
                    <a href="/api/holds.ics?download=1" download>
                        keep a copy
                    </a>
                    . A later copy moves what changed and doubles nothing.
                </p>
            </Modal>
            <Ends holds={frame?.holds ?? []} at={at} />
        </section>
    );
}

/** The soonest three get lanes and keep them while one looks; a lane is filled anew when its hold has gone. */
function keepLanes(lanes: (string | null)[], holds: Hold[]): (Hold | null)[] {
    const byKey = new Map(holds.map((h) => [h.key, h]));
    for (let i = 0; i < LANES; i++) {
        const key = lanes[i] ?? null;
        if (key !== null && !byKey.has(key)) {
            lanes[i] = null;
        }
    }
    // The soonest is there at once, also one that began this minute: the last of those shown gives its lane up.
    const [soonest] = holds;
    if (soonest !== undefined && !lanes.includes(soonest.key) && !lanes.includes(null)) {
        const until = (key: string | null): number => Date.parse(byKey.get(key ?? '')?.until ?? '') || 0;
        const last = lanes.reduce((most, key, i) => (until(key) > until(lanes[most] ?? null) ? i : most), 0);
        lanes[last] = soonest.key;
    }
    for (const hold of holds) {
        const free = lanes.indexOf(null);
        if (free < 0) {
            break;
        }
        if (!lanes.includes(hold.key)) {
            lanes[free] = hold.key;
        }
    }

    return lanes.slice(0, LANES).map((key) => (key === null ? null : (byKey.get(key) ?? null)));
}

function scaleFor(holds: Hold[], at: number, width: number): Scale {
    const last = Math.max(0, ...holds.map((h) => (Date.parse(h.until) - at) / 60000));
    const most = Math.max(120, last * 1.12);
    const f = (minutes: number): number => Math.log1p(Math.max(0, minutes) / BEND);

    return { most, x: (minutes) => 10 + ((width - 10) * f(minutes)) / f(most) };
}

function Bar({ hold, says, full, lane, scale, at, width }: { hold: Hold; says: string; full: boolean; lane: number; scale: Scale; at: number; width: number }): ReactElement {
    const end = scale.x((Date.parse(hold.until) - at) / 60000);
    const y = TOP + lane * LANE;
    const room = width - end > 260;
    const text = room ? end + 6 : Math.max(16, end - 8);

    return (
        <g>
            {hold.closing ? (
                <path d={`M ${Math.max(10, end - 34)} ${y + 11} L ${end} ${y + (full ? 1 : 6)} V ${y + 11} Z`} fill="var(--vermilion)" stroke="var(--mark-line)" strokeWidth="1" />
            ) : (
                <rect x="10" y={y + (full ? 2 : 6)} width={Math.max(2, end - 10)} height={full ? 9 : 5} fill="var(--amber)" stroke="var(--mark-line)" strokeWidth="1" />
            )}
            <text x={text} y={y + 11} textAnchor={room ? 'start' : 'end'} style={{ fontWeight: hold.closing ? 700 : 500, fill: room ? undefined : full ? '#1a1a1a' : 'var(--ink)' }}>
                {says}
            </text>
        </g>
    );
}

/** now, 15 min, 30, 1 h, 2 h; then wall times as the hours get dense. */
function Ruler({ scale, at, zone, width }: { scale: Scale; at: number; zone: string; width: number }): ReactElement {
    const near: [number, string][] = [
        [0, 'now'],
        [15, '15 min'],
        [30, '30'],
        [60, '1 h'],
        [120, '2 h'],
    ];
    const far = [4, 8, 12, 24, 48, 72, 120, 168, 240, 336].map((h): [number, string] => {
        const when = Math.ceil((at + h * 3600000) / 3600000) * 3600000;

        return [(when - at) / 60000, h < 36 ? (day(when, zone) === day(at, zone) ? clock(when, zone) : `${weekday(when, zone)} ${clock(when, zone).slice(0, 2)}`) : day(when, zone)];
    });
    let used = -100;

    return (
        <>
            {[...near, ...far]
                .filter(([minutes]) => minutes <= scale.most)
                .map(([minutes, word]) => {
                    const x = scale.x(minutes);
                    // A word takes about 6.5 px a letter; the next one keeps off it.
                    const ends = x + 12 + word.length * 6.5;
                    if (x < used || ends > width) {
                        return null;
                    }
                    used = Math.max(ends, x + 54);

                    return (
                        <g key={word}>
                            <line x1={x} x2={x} y1="0" y2="56" stroke={minutes === 0 ? 'var(--ink)' : 'var(--rule)'} strokeWidth={minutes === 0 ? 2 : 1} />
                            <text x={x + 4} y="55" className="tick-text">
                                {word}
                            </text>
                        </g>
                    );
                })}
        </>
    );
}

/** Speaks when a hold ends, never each tick. */
function Ends({ holds, at }: { holds: Hold[]; at: number }): ReactElement {
    const over = holds.filter((h) => !h.closing && Date.parse(h.until) <= at);

    return (
        <p className="quiet" aria-live="polite">
            {over.map((h) => `${h.label.split(',')[0] ?? ''} is open.`).join(' ')}
        </p>
    );
}
