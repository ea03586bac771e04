import { Button, Checkbox, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { NewShow, RunUpBuild, ShowRow } from '../api/types';
import { shortName } from '../frame/shortName';
import { clockOf } from '../shared/sessions';

const DEMANDS = [
    ['no-base', 'no base'],
    ['kit-only', 'kit parts only'],
    ['photographs', 'photographs of the work'],
] as const;

/** The shows one builds for: each with its day, its hour and the builds that are entered. */
export function Shows({ shows, builds, set }: { shows: readonly ShowRow[]; builds: readonly RunUpBuild[]; set: (shows: NewShow[]) => void }): ReactElement {
    const [open, turn] = useState<string | null>(null);
    const fresh: NewShow = { name: '', date: '', by: 480, packing: 60, travel: 60, demands: [], builds: [] };
    const keep = (changed: NewShow): void => {
        // A build is made for one show at a time: entered here, it leaves the other.
        const others = shows.filter((s) => s.id !== changed.id).map((s) => ({ ...s, builds: s.builds.filter((b) => !changed.builds.includes(b)) }));
        set([...others, changed]);
        turn(null);
    };

    return (
        <section className="card runup-card" aria-labelledby="shows">
            <h2 id="shows">Shows</h2>
            {shows.length === 0 && open === null && <p className="quiet-line">No show is written down: each build is planned to be ready as soon as it can.</p>}
            {shows.map((show) =>
                open === show.id ? (
                    <ShowForm key={show.id} show={show} builds={builds} keep={keep} leave={() => turn(null)} drop={() => set(shows.filter((s) => s.id !== show.id))} />
                ) : (
                    <div key={show.id} className="runup-show">
                        <span>
                            <strong>{show.name}</strong>
                            <span className="runup-where">
                                {dateWords(show.date)}, in the hall by {clockOf(show.by)}; {show.builds.length === 0 ? 'no build entered' : show.builds.map((id) => shortName(builds.find((b) => b.id === id)?.name ?? 'a build put away')).join(', ')}
                            </span>
                        </span>
                        <Button data-small onClick={() => turn(show.id)} aria-label={`Change ${show.name}`}>
                            Change
                        </Button>
                    </div>
                ),
            )}
            {open === 'new' ? (
                <ShowForm show={fresh} builds={builds} keep={keep} leave={() => turn(null)} />
            ) : (
                <Button data-small onClick={() => turn('new')}>
                    Add a show
                </Button>
            )}
        </section>
    );
}

function ShowForm({ show, builds, keep, leave, drop }: { show: NewShow; builds: readonly RunUpBuild[]; keep: (show: NewShow) => void; leave: () => void; drop?: () => void }): ReactElement {
    const [is, become] = useState(show);
    const [by, sayBy] = useState(clockOf(show.by));
    const hour = /^(\d{1,2})[:.](\d\d)$/.exec(by.trim());
    const minutes = hour === null ? null : 60 * Number(hour[1]) + Number(hour[2]);
    const dated = /^\d{4}-\d\d-\d\d$/.test(is.date) && !Number.isNaN(Date.parse(is.date));
    const right = dated && is.name.trim() !== '' && minutes !== null && minutes < 1440;
    const turned = <T extends string>(list: readonly T[], one: T): T[] => (list.includes(one) ? list.filter((x) => x !== one) : [...list, one]);

    return (
        <form
            className="runup-form"
            onSubmit={(e) => {
                e.preventDefault();
                if (right) {
                    keep({ ...is, name: is.name.trim(), by: minutes });
                }
            }}
        >
            <TextInput label="Show" value={is.name} maxLength={60} onChange={(e) => become({ ...is, name: e.currentTarget.value })} data-autofocus />
            <div className="runup-pair">
                <TextInput label="Day" value={is.date} placeholder="2026-03-28" onChange={(e) => become({ ...is, date: e.currentTarget.value.trim() })} error={dated || is.date === '' ? undefined : 'write it as 2026-03-28'} />
                <TextInput label="In the hall by" value={by} onChange={(e) => sayBy(e.currentTarget.value)} error={minutes === null ? 'write it as 08:00' : undefined} />
            </div>
            <div className="runup-pair">
                <TextInput label="Packing, min" inputMode="numeric" value={String(is.packing)} onChange={(e) => become({ ...is, packing: whole(e.currentTarget.value) })} />
                <TextInput label="On the way, min" inputMode="numeric" value={String(is.travel)} onChange={(e) => become({ ...is, travel: whole(e.currentTarget.value) })} />
            </div>
            <fieldset className="runup-choices">
                <legend>Entered</legend>
                {builds.map((build) => (
                    <Checkbox key={build.id} label={shortName(build.name)} checked={is.builds.includes(build.id)} onChange={() => become({ ...is, builds: turned(is.builds, build.id) })} />
                ))}
            </fieldset>
            <fieldset className="runup-choices">
                <legend>It asks for</legend>
                {DEMANDS.map(([demand, words]) => (
                    <Checkbox key={demand} label={words} checked={is.demands.includes(demand)} onChange={() => become({ ...is, demands: turned(is.demands, demand) })} />
                ))}
            </fieldset>
            <div className="runup-edit">
                <Button data-small type="submit" disabled={!right}>
                    Keep
                </Button>
                <Button data-small onClick={leave}>
                    Leave it
                </Button>
                {drop !== undefined && (
                    <Button data-small onClick={drop}>
                        Let it go
                    </Button>
                )}
            </div>
        </form>
    );
}

function whole(text: string): number {
    return Math.min(2880, Number(text.replace(/\D/g, '').slice(0, 4)));
}

function dateWords(date: string): string {
    return new Date(`${date}T12:00:00Z`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });
}
