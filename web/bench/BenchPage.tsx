import './bench.css';
import { useMemo, useState, type ReactElement } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useNow } from '../api/clock';
import { isOld } from '../frame/kept';
import { useKeys } from '../frame/keys';
import { record } from '../frame/outbox';
import { useBench } from '../frame/queries';
import { ulid } from '../frame/ulid';
import { wall } from '../frame/words';
import type { BenchLine, NewEvent } from '../api/types';
import { roundsOf } from '../shared/rounds';
import { Closing } from './Closing';
import { Cost, useCost } from './Cost';
import { FaultSheet } from './FaultSheet';
import { HandsOff } from './HandsOff';
import { LastLine, useLastPress } from './LastPress';
import { useMaskAnswers } from './MaskCard';
import { MinutesField, useMinutes } from './MinutesField';
import { useSent } from './Parts';
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
    const { data: bench, isPlaceholderData, dataUpdatedAt, isError } = useBench(buildId, minutes);
    const [sheet, show] = useState<Sheet>(null);
    const [seenOn, see] = useState<string[]>([]);
    const old = isOld(dataUpdatedAt) && !isError;
    const isSent = useSent();
    const cost = useCost();
    const step = bench?.current ?? null;
    const runs = useMemo(() => roundsOf(bench?.follows ?? []), [bench?.follows]);
    const ownRun = step === null ? undefined : runs.find((run) => run.some((line) => line.buildId === null && line.key === step.key));
    const parts = ownRun !== undefined && ownRun.length > 1 ? ownRun : [];
    const masks = useMaskAnswers(step?.key ?? '', parts.length > 1 ? null : (step?.masks ?? null));
    const sent = parts.length > 1 ? parts.every((part) => isSent(part, buildId)) : step !== null && isSent({ key: step.key, buildId: null } as BenchLine, buildId);

    const press = useLastPress();
    const write = (of: { title: string; where: string; buildId?: string | null; event: unknown }, whenMs: number): { buildId: string; id: string } => {
        const iso = new Date(Math.floor(whenMs / 1000) * 1000).toISOString().replace('.000Z', 'Z');
        const id = ulid();
        record(of.buildId ?? buildId, `${of.title}, ${of.where}`, { ...(of.event as NewEvent), id, at: iso });

        return { buildId: of.buildId ?? buildId, id };
    };
    /** The step, or all parts of the round that are not done yet. */
    const done = (whenMs: number): void => {
        const records = parts.length > 1 ? parts.filter((part) => !isSent(part, buildId)).map((part) => write(part, whenMs)) : step !== null ? [write(step, whenMs)] : [];
        if (records.length > 0 && step !== null) {
            press.note({ title: `${(parts.length > 1 ? parts[0]?.round?.title : undefined) ?? step.title}, ${parts.length > 1 ? `${records.length} in one go` : step.where}`, at: Date.now(), records, targets: step.faultTargets });
        }
    };
    const keys = useMemo(
        () => ({
            Enter: () => step !== null && !old && step.list === null && !sent && masks.ready && press.allows(Date.now()) && done(at),
            w: () => (bench?.faultPlaces.length ?? 0) > 0 && show('fault'),
            t: () => step !== null && show('time'),
            m: () => document.getElementById('minutes')?.focus(),
        }),
        // eslint-disable-next-line react-hooks/exhaustive-deps
        [step, old, sent, masks.ready, parts, at, buildId, press.last, press.isTwice, bench?.faultPlaces.length],
    );
    useKeys(keys);
    const closeFault = (): void => {
        see([]);
        show(null);
    };

    if (bench === undefined) {
        return <p>Looking at the bench.</p>;
    }
    const zone = bench.build.zone;

    return (
        <div className="bench" data-stale={isPlaceholderData || old || undefined} inert={old}>
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
                {cost.before !== null && <Cost before={cost.before} bench={bench} stale={isPlaceholderData} buildId={buildId} at={at} zone={zone} read={cost.read} />}
                {bench.takeUp !== null && runs[0] !== undefined && runs[0] !== ownRun && <TakeUp run={runs[0]} />}
                {step !== null ? (
                    <StepCard
                        buildId={buildId}
                        step={step}
                        parts={parts}
                        tick={(part) => press.note({ title: `${part.title}, ${part.where}`, at: Date.now(), records: [write(part, at)], targets: [] })}
                        sent={sent}
                        masks={masks}
                        closesAt={bench.closesAt}
                        zone={zone}
                        done={() => done(at)}
                        wrong={() => show('fault')}
                        earlier={() => show('time')}
                    />
                ) : (
                    <Waiting bench={bench} />
                )}
                {bench.follows.length > 0 && <TurnRound bench={bench} />}
            </div>
            <aside className="bench-side">
                <LastLine
                    press={press}
                    twice={step === null ? '' : `${step.title}, ${step.where}.`}
                    wrong={
                        bench.faultPlaces.length === 0
                            ? null
                            : (targets) => {
                                  see(targets);
                                  show('fault');
                              }
                    }
                />
                <HandsOff bench={bench} asked={query.get('piece')} />
                {bench.closing.map((hold) => (
                    <Closing key={hold.key} hold={hold} />
                ))}
                {bench.finish !== null && (
                    <p className="bench-finish">
                        At your usual sessions the build is finished <strong>{wall(bench.finish, at, zone)}</strong>.
                    </p>
                )}
                {bench.show !== null && bench.finish !== null && (
                    <p className="bench-finish" data-testid="show">
                        {bench.show.name} is in <strong>{Math.max(0, Math.ceil((Date.parse(bench.show.due ?? '') - at) / 86400000))} d</strong>
                        {bench.show.daysLate > 0 ? `: ${bench.show.daysLate} d too late as it stands.` : ': in time.'}
                    </p>
                )}
                {bench.show !== null && bench.show.daysLate > 0 && (
                    <Link className="plain-press bench-sheet" to={`/b/${buildId}/runup`}>
                        What would save it
                    </Link>
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
            {sheet === 'fault' && <FaultSheet buildId={buildId} bench={bench} step={step} seenOn={seenOn} named={(fault, event) => cost.named(bench, fault, event)} close={closeFault} />}
            {step !== null && sheet === 'time' && <TimeSheet step={step} parts={parts} zone={zone} close={() => show(null)} done={done} />}
        </div>
    );
}
