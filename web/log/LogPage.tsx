import './log.css';
import { Button } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import type { LogLine } from '../api/types';
import { now, useNow } from '../api/clock';
import { record } from '../frame/outbox';
import { useLog } from '../frame/queries';
import { ulid } from '../frame/ulid';
import { clock, day } from '../frame/words';
import { inRounds } from '../shared/rounds';
import { Accepted } from './Accepted';
import { OffPlanSheet } from './OffPlanSheet';

const PAGE = 100;

/** What was done when, with what, in which air, on plan or off; newest first. */
export default function LogPage({ buildId }: { buildId: string }): ReactElement {
    const at = useNow();
    const [from, turn] = useState(0);
    const [adding, add] = useState(false);
    const { data: log } = useLog(buildId, from);
    if (log === undefined) {
        return <p>Opening the log.</p>;
    }
    const zone = log.build.zone;

    const takeBack = (line: LogLine): void => {
        record(buildId, `Taken back: ${line.title}, ${line.on}`, { id: ulid(), kind: 'take-back', at: new Date(Math.floor(now() / 1000) * 1000).toISOString().replace('.000Z', 'Z'), takesBack: line.id });
    };

    return (
        <div className="log">
            <div className="page-head">
                <h1>Log</h1>
                <p>{log.total === 0 ? 'Nothing is recorded yet' : `${log.total} entries, newest first`}</p>
                <span className="log-presses">
                    <Button onClick={() => add(true)} data-testid="add-entry">
                        Record something
                    </Button>
                    <Link className="plain-press" to={`/b/${buildId}/finish`}>
                        Finish sheet
                    </Link>
                    <a className="plain-press" href={`/api/builds/${buildId}/export`} download>
                        Build file
                    </a>
                    <a className="plain-press" href={`/api/builds/${buildId}/export.zip`} download>
                        With photographs
                    </a>
                </span>
            </div>
            {log.accepted.length > 0 && (
                <section className="card log-accepted" aria-labelledby="accepted-title">
                    <h2 id="accepted-title">Taken as it is</h2>
                    <Accepted accepted={log.accepted} />
                </section>
            )}
            {log.total === 0 ? (
                <div className="card empty">
                    <h2>Nothing is recorded yet</h2>
                    <p>What you press on the Bench is written down here. Record what was done before by hand.</p>
                </div>
            ) : (
                byDay(log.events, zone).map(([date, lines]) => (
                    <section key={date} className="card log-day" aria-label={date}>
                        <h2>{date === day(at, zone) ? `Today, ${date}` : date}</h2>
                        <ul>
                            {inRounds(lines, (line) => line.round).map((run) =>
                                run.length > 1 ? (
                                    <Round key={run[0]?.id} run={run} zone={zone} takeBack={takeBack} />
                                ) : (
                                    run.map((line) => <Line key={line.id} line={line} zone={zone} takeBack={() => takeBack(line)} />)
                                ),
                            )}
                        </ul>
                    </section>
                ))
            )}
            <div className="log-pages">
                {from > 0 && <Button onClick={() => turn(Math.max(0, from - PAGE))}>Newer</Button>}
                {log.next !== null && <Button onClick={() => turn(log.next ?? 0)}>Older</Button>}
            </div>
            {adding && <OffPlanSheet buildId={buildId} zone={zone} close={() => add(false)} />}
        </div>
    );
}

/** A basket, a board, a round: one entry, its parts under it. */
function Round({ run, zone, takeBack }: { run: LogLine[]; zone: string; takeBack: (line: LogLine) => void }): ReactElement {
    const [newest] = run as [LogLine];
    const oldest = run[run.length - 1] as LogLine;
    const [open, turn] = useState(false);
    const times = newest.at === oldest.at ? clock(Date.parse(newest.at), zone) : `${clock(Date.parse(oldest.at), zone)} to ${clock(Date.parse(newest.at), zone)}`;

    return (
        <>
            <li data-testid="log-round">
                <time dateTime={newest.at}>{clock(Date.parse(newest.at), zone)}</time>
                <span className="log-paint" style={newest.swatch === null ? undefined : { background: newest.swatch }} aria-hidden="true" />
                <span className="log-what">
                    <strong>
                        {newest.title}
                        {newest.coat !== null && `, ${newest.coat} coat`}, {run.length} in one go
                    </strong>
                    <small>{[run.map((line) => line.on).join(' · '), newest.with, times].filter((x) => x !== null && x !== '').join(' · ')}</small>
                </span>
                <Button data-small onClick={() => turn(!open)} aria-expanded={open} data-testid="log-parts">
                    {open ? 'Fold up' : 'Its parts'}
                </Button>
            </li>
            {open && run.map((line) => <Line key={line.id} line={line} zone={zone} takeBack={() => takeBack(line)} />)}
        </>
    );
}

function Line({ line, zone, takeBack }: { line: LogLine; zone: string; takeBack: () => void }): ReactElement {
    return (
        <li data-gone={!line.standing || undefined} data-testid="log-line">
            <time dateTime={line.at}>{clock(Date.parse(line.at), zone)}</time>
            <span className="log-paint" style={line.swatch === null ? undefined : { background: line.swatch }} aria-hidden="true" />
            <span className="log-what">
                <strong>
                    {line.title}
                    {line.coat !== null && `, ${line.coat} coat`}
                </strong>
                {line.on !== '' && ` on ${line.on}`}
                <small>
                    {[line.with, line.air === null ? null : `${line.air.temperatureC} °C, ${Math.round(line.air.humidity * 100)} % RH`, line.onPlan ? 'on plan' : 'recorded by hand', Date.parse(line.recorded) - Date.parse(line.at) > 90000 ? `written down ${clock(Date.parse(line.recorded), zone)}` : null].filter((x) => x !== null).join(' · ')}
                </small>
                {line.note !== null && <q>{line.note}</q>}
            </span>
            {line.standing ? (
                <Button data-small onClick={takeBack} aria-label={`Take back: ${line.title} on ${line.on}`} data-testid="take-back">
                    Take back
                </Button>
            ) : (
                <em>taken back</em>
            )}
        </li>
    );
}

function byDay(lines: LogLine[], zone: string): [string, LogLine[]][] {
    const days = new Map<string, LogLine[]>();
    for (const line of lines) {
        const date = day(Date.parse(line.at), zone);
        days.set(date, [...(days.get(date) ?? []), line]);
    }

    return [...days];
}
