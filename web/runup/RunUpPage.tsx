import './runup.css';
import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api } from '../api/client';
import { useNow } from '../api/clock';
import type { Chance, Edit, Evenings, Lever, RunUp, ShowRow } from '../api/types';
import { shortName } from '../frame/shortName';
import { dayOf } from '../shared/sessions';
import { PrintFoot, PrintHead } from '../frame/Printed';
import { useFrame } from '../frame/queries';
import { day, wall } from '../frame/words';
import { ulid } from '../frame/ulid';
import { useTold } from '../shared/useTold';
import { useRunUp } from './useRunUp';
import { ChosenSession } from './ChosenSession';
import { Columns } from './Columns';
import { MoreRoom } from './MoreRoom';
import { letters } from './letters';
import { SessionMore } from './SessionMore';
import { SessionTable } from './SessionTable';
import { Shows } from './Shows';
import { ofTen, Threads } from './Threads';
import type { Dropped } from './useDrag';

/** All builds on their way to a date: sessions with what is in them, a thread a build, the shows as walls. */
export default function RunUpPage({ buildId }: { buildId: string }): ReactElement {
    const { run, isFetching } = useRunUp();
    const { data: evenings } = useQuery({ queryKey: ['evenings'], queryFn: () => api.get<Evenings>('evenings') });
    const { data: said } = useQuery({ queryKey: ['shows'], queryFn: () => api.get<{ shows: ShowRow[] }>('shows') });
    const { data: chance } = useQuery({ queryKey: ['runup', 'chance'], queryFn: () => api.get<Chance>('runup/chance') });
    const frame = useFrame();
    const now = useNow();
    const { told, put, act } = useTold();
    const [picked, pick] = useState<string | null>(null);
    const [busy, work] = useState(false);
    const [table, turn] = useState(false);
    const [dropped, drop] = useState<Dropped | null>(null);
    if (run === undefined || evenings === undefined || said === undefined) {
        return <p>Looking at the evenings.</p>;
    }
    const zone = frame.data?.builds[0]?.zone ?? 'UTC';
    const today = new Date(now).toLocaleDateString('sv-SE', { timeZone: zone });
    // With one build in hand nothing has to be told apart.
    const by = run.builds.filter((b) => b.ready !== null).length > 1 ? letters(run.builds) : new Map<string, string>();
    const column = run.columns.find((c) => c.date === picked) ?? run.columns[0];
    const choose = (from: string): void => pick(run.columns.find((c) => c.from === from)?.date ?? null);
    const change = async (path: string, body: object): Promise<void> => {
        work(true);
        await put(path, body);
        work(false);
    };

    const edit = async (build: string, title: string, edits: Edit[]): Promise<void> => {
        const revision = frame.data?.builds.find((b) => b.id === build)?.revision ?? 0;
        work(true);
        await act(`${title}: all plans follow.`, async () => {
            const { change: made } = await api.post<{ change: { id: string } }>(`builds/${build}/changes`, { title, edits }, { 'If-Match': `"${revision}"` });

            return () => api.post(`builds/${build}/changes/${made.id}/undo`, {}, { 'If-Match': `"${revision + 1}"` });
        });
        work(false);
    };
    const take = async (lever: Lever): Promise<void> => {
        work(true);
        if (lever.date !== null) {
            await put(`evenings/dates/${lever.date}`, { sessions: lever.sessions });
        } else if (lever.shows !== null) {
            await put('shows', { shows: lever.shows });
        } else if (lever.event !== null) {
            const event = { ...lever.event, id: ulid(), at: new Date(Math.floor(now / 1000) * 1000).toISOString().replace('.000Z', 'Z') };
            await act(`${lever.title}: all plans follow.`, async () => {
                await api.post(`builds/${lever.build}/events`, event);

                return () => api.post(`builds/${lever.build}/events`, { id: ulid(), kind: 'take-back', at: event.at, takesBack: event.id });
            });
        } else if (lever.away !== null) {
            const id = lever.away;
            await act(`${lever.title}: all plans follow.`, async () => {
                await api.put(`builds/${id}/away`, { away: true });

                return () => api.put(`builds/${id}/away`, { away: false });
            });
        } else {
            await edit(lever.build, lever.title, lever.edits ?? []);
        }
        work(false);
    };

    return (
        <div className="runup" data-waiting={busy && isFetching ? '' : undefined}>
            <div className="page-head">
                <h1>Run-up</h1>
                <p role={told?.bad === true ? 'alert' : 'status'} data-testid="told" className="runup-told" data-bad={told?.bad === true ? '' : undefined}>
                    {told?.words ?? inWords(run, chance, now, zone)}
                </p>
                {told?.undo != null && (
                    <Button data-small onClick={() => void told.undo?.()}>
                        Take back
                    </Button>
                )}
                <Button data-small aria-pressed={table} onClick={() => turn(!table)}>
                    {table ? 'As a picture' : 'As a table'}
                </Button>
                <a className="plain-press" href="/api/runup.ics?download" download>
                    Sessions as a calendar
                </a>
            </div>
            <PrintHead title="Run-up" build={{ name: inWords(run, chance, now, zone), zone }} at={now} />
            <div className="runup-halves">
                <div className="runup-half">
                    <section className="card runup-card" aria-labelledby="sessions">
                        <h2 id="sessions">Sessions</h2>
                        {table ? <SessionTable run={run} zone={zone} now={now} /> : <Columns run={run} letters={by} zone={zone} chosen={column?.from} choose={choose} drop={(one) => { choose(one.from); drop(one); }} />}
                        <p className="quiet-line">
                            {by.size > 0 && `${run.builds.filter((b) => b.ready !== null).map((b) => `${by.get(b.id) ?? ''} ${shortName(b.name)}`).join(' · ')}. `}Band: the paint in the gun. Dashed: the time there is.
                        </p>
                        <SessionMore run={run} today={today} add={(date, sessions) => void change(`evenings/dates/${date}`, { sessions })} />
                    </section>
                    <section className="card runup-card" aria-labelledby="threads">
                        <h2 id="threads">Threads</h2>
                        <Threads run={run} chance={chance} letters={by} zone={zone} now={now} />
                        {run.soonest !== null && run.columns.length > 0 && <p className="quiet-line">{ofBest(run, now, zone)}</p>}
                    </section>
                    <div className="runup-print">
                        <SessionTable run={run} zone={zone} now={now} />
                    </div>
                    <Shows key={JSON.stringify(said.shows)} shows={said.shows} builds={run.builds} set={(shows) => void change('shows', { shows })} />
                </div>
                <div className="runup-half">
                    {column !== undefined && (
                        <ChosenSession
                            run={run}
                            column={column}
                            tonight={column === run.columns[0] && column.date === today}
                            sessions={evenings.dates[column.date] ?? evenings.week[dayOf(column.date)] ?? []}
                            key={column.from}
                            zone={zone}
                            now={now}
                            buildId={buildId}
                            dropped={dropped}
                            leave={() => drop(null)}
                            put={(build, title, edits) => {
                                drop(null);
                                void edit(build, title, edits);
                            }}
                            set={(sessions) => void change(`evenings/dates/${column.date}`, { sessions })}
                        />
                    )}
                    <MoreRoom run={run} zone={zone} now={now} take={(lever) => void take(lever)} />
                </div>
            </div>
            <PrintFoot />
        </div>
    );
}

/** The next show in one sentence: when, how many builds, and which of them is late or has least to spare. */
function inWords(run: RunUp, chance: Chance | undefined, now: number, zone: string): string {
    const show = run.shows[0];
    if (show === undefined) {
        return 'No show is written down: this is when each build would be ready.';
    }
    const entered = run.builds.filter((b) => b.show === show.id);
    const late = entered.filter((b) => b.daysLate > 0);
    const least = [...entered].filter((b) => b.spareEvenings !== null).sort((a, b) => (a.spareEvenings ?? 0) - (b.spareEvenings ?? 0))[0];
    const days = Math.ceil((Date.parse(show.due) - now) / 86400000);
    const stands = late.length > 0 ? late.map((b) => `${shortName(b.name)} is ${b.daysLate} d late`).join(', ') : least === undefined ? 'all is done' : `${least.spareEvenings ?? 0} evenings to spare`;

    return `${show.name}, ${day(Date.parse(show.opens), zone)}, in ${days} d · ${entered.length === 1 ? '1 build' : `${entered.length} builds`} · ${stands}${chance?.counted === true ? `, ${ofTen(chance.allInTime, chance.draws)} make all shows` : ''}`;
}

/** How far the plan is from what no order of work could better, and for one that is late whether any could save it. */
function ofBest(run: RunUp, now: number, zone: string): string {
    const late = run.builds.find((b) => b.daysLate > 0);
    const due = run.shows.find((s) => s.id === late?.show)?.due;
    const saved = late === undefined || late.soonest === null || due == null ? '' : ` ${shortName(late.name)} alone: ${wall(late.soonest, now, zone)}, ${late.soonest <= due ? 'in time' : 'too late whatever is done first'}.`;

    return `Within ${Math.max(1, Math.ceil(run.overBestMinutes / 60))} h at the bench of the best possible.${saved}`;
}
