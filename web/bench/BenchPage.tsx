import './bench.css';
import { useMemo, useState, type ReactElement } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useNow } from '../api/clock';
import { useKeys } from '../frame/keys';
import { record, useOutbox } from '../frame/outbox';
import { useBench } from '../frame/queries';
import { ulid } from '../frame/ulid';
import { wall } from '../frame/words';
import type { Step } from '../api/types';
import { Closing } from './Closing';
import { FaultSheet } from './FaultSheet';
import { HandsOff } from './HandsOff';
import { MinutesField, useMinutes } from './MinutesField';
import { StepCard } from './StepCard';
import { TakeUp } from './TakeUp';
import { TimeSheet } from './TimeSheet';
import { TurnRound } from './TurnRound';
import { Waiting } from './Waiting';

type Sheet = 'fault' | 'time' | null;

/** The one thing to do now, what follows in the minutes there are, and what to keep hands off. */
export default function BenchPage({ buildId }: { buildId: string }): ReactElement {
    const at = useNow();
    const [minutes, setMinutes] = useMinutes();
    const [query] = useSearchParams();
    const { data: bench, isPlaceholderData } = useBench(buildId, minutes);
    const [sheet, show] = useState<Sheet>(null);
    const pending = useOutbox();
    const step = bench?.current ?? null;
    const sent = step !== null && pending.some((p) => p.event.stepKey === step.key && p.refused === undefined);

    const done = (of: Step, whenMs: number): void => {
        const iso = new Date(Math.floor(whenMs / 1000) * 1000).toISOString().replace('.000Z', 'Z');
        record(buildId, `${of.title}, ${of.where}`, { ...of.event, id: ulid(), at: iso });
    };
    const keys = useMemo(
        () => ({
            Enter: () => step !== null && step.list === null && !sent && done(step, at),
            w: () => (bench?.faultPlaces.length ?? 0) > 0 && show('fault'),
            t: () => step !== null && show('time'),
            m: () => document.getElementById('minutes')?.focus(),
        }),
        // eslint-disable-next-line react-hooks/exhaustive-deps
        [step, sent, at, buildId, bench?.faultPlaces.length],
    );
    useKeys(keys);

    if (bench === undefined) {
        return <p>Looking at the bench.</p>;
    }
    const zone = bench.build.zone;

    return (
        <div className="bench" data-stale={isPlaceholderData || undefined}>
            <div className="page-head">
                <h1>Hands on now</h1>
                <MinutesField minutes={minutes} set={setMinutes} follows={bench.follows.length} idle={bench.idleMinutes} />
                {bench.stops > 0 && (
                    <Link className="stop-link" to={`/b/${buildId}/layers`}>
                        {bench.stops === 1 ? '1 stop to settle' : `${bench.stops} stops to settle`}
                    </Link>
                )}
            </div>
            <div className="bench-main">
                {bench.takeUp !== null && <TakeUp line={bench.takeUp} />}
                {step !== null ? (
                    <StepCard buildId={buildId} step={step} sent={sent} closesAt={bench.closesAt} zone={zone} done={() => done(step, at)} wrong={() => show('fault')} earlier={() => show('time')} />
                ) : (
                    <Waiting bench={bench} />
                )}
                {bench.follows.length > 0 && <TurnRound bench={bench} />}
            </div>
            <aside className="bench-side">
                <HandsOff bench={bench} asked={query.get('piece')} />
                {bench.closing.map((hold) => (
                    <Closing key={hold.key} hold={hold} />
                ))}
                {bench.finish !== null && (
                    <p className="bench-finish">
                        At your usual sessions the build is finished <strong>{wall(bench.finish, at, zone)}</strong>.
                    </p>
                )}
                {bench.faultPlaces.length > 0 && (
                    <button type="button" className="plain-press bench-sheet" onClick={() => show('fault')} data-testid="wrong-anywhere">
                        Something is wrong somewhere
                    </button>
                )}
                <Link className="plain-press bench-sheet" to={`/b/${buildId}/lists`}>
                    Colour lists
                </Link>
                <Link className="plain-press bench-sheet" to={`/b/${buildId}/sheet`}>
                    Sheet for this evening
                </Link>
            </aside>
            {sheet === 'fault' && <FaultSheet buildId={buildId} bench={bench} step={step} close={() => show(null)} />}
            {step !== null && sheet === 'time' && <TimeSheet step={step} zone={zone} close={() => show(null)} done={(when) => done(step, when)} />}
        </div>
    );
}
