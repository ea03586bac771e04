import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api } from '../api/client';
import type { Lever, Levers, RunUp } from '../api/types';
import { shortName } from '../frame/shortName';
import { wall } from '../frame/words';

/** What would save the show or give room, best first: looked at, then taken. Nothing is dropped by itself. */
export function MoreRoom({ run, zone, now, take }: { run: RunUp; zone: string; now: number; take: (lever: Lever) => void }): ReactElement {
    const [asked, ask] = useState(false);
    const [open, turn] = useState<string | null>(null);
    const { data, isFetching } = useQuery({ queryKey: ['runup', 'levers'], queryFn: () => api.get<Levers>('runup/levers'), enabled: asked, refetchInterval: (query) => ((query.state.data?.left ?? 0) > 0 ? 60 : false) });
    const build = run.builds.find((b) => b.id === data?.build);
    const late = [...run.builds].sort((a, b) => b.daysLate - a.daysLate).find((b) => b.daysLate > 0);
    if (data === undefined) {
        return (
            <section className="card runup-card" data-amber={late === undefined ? undefined : ''} aria-labelledby="more-room">
                <h2 id="more-room">More room</h2>
                <p className="quiet-line" role="status">
                    {asked ? 'Planning all builds with each thing that might help.' : 'An extra session, another wash, work left out, another show: each is priced by planning all builds with it.'}
                </p>
                {!asked && (
                    <Button data-small onClick={() => ask(true)}>
                        {late === undefined ? 'Find more room' : `Find what would save ${shortName(late.name)}`}
                    </Button>
                )}
            </section>
        );
    }
    if (build === undefined) {
        return (
            <section className="card runup-card" aria-labelledby="more-room">
                <h2 id="more-room">More room</h2>
                <p className="quiet-line">No show is near enough to ask for more: five evenings and more are to spare.</p>
            </section>
        );
    }

    return (
        <section className="card runup-card" data-amber={build.daysLate > 0 ? '' : undefined} aria-labelledby="more-room">
            <h2 id="more-room">{build.daysLate > 0 ? `What would save ${shortName(build.name)}` : `More room for ${shortName(build.name)}`}</h2>
            <p className="quiet-line">{data.left > 0 ? `${data.tried} tried, ${data.left} to go. ` : isFetching ? 'Pricing anew. ' : ''}{data.left > 0 && data.levers.length === 0 ? '' : data.levers.length === 0 ? 'Nothing that was tried helps by half an hour or more.' : 'Best first. Each was priced by planning all builds with it; nothing is dropped by itself.'}</p>
            {data.levers.map((lever) => (
                <div key={lever.title} className="runup-lever">
                    <span>
                        <strong>{lever.title}</strong>
                        <span className="runup-where">
                            {lever.daysLate > 0 ? `still ${lever.daysLate} d late` : 'in time'}, {evenings(lever.wonMinutes, run.eveningMinutes)} won
                        </span>
                    </span>
                    <Button data-small aria-expanded={open === lever.title} aria-label={`Look at: ${lever.title}`} onClick={() => turn(open === lever.title ? null : lever.title)}>
                        Look
                    </Button>
                    {open === lever.title && (
                        <div className="runup-promise">
                            <p>
                                {shortName(build.name)} is ready {wall(build.ready ?? '', now, zone)} as it stands, {wall(lever.ready ?? '', now, zone)} with it
                                {lever.spareMinutes !== null && lever.spareMinutes >= 0 ? `, ${evenings(lever.spareMinutes, run.eveningMinutes)} to spare` : ''}. Late in all: {lever.allDaysLate} d.
                            </p>
                            <Button data-small onClick={() => take(lever)}>
                                Take it
                            </Button>
                        </div>
                    )}
                </div>
            ))}
        </section>
    );
}

function evenings(minutes: number, evening: number): string {
    const many = Math.round((10 * minutes) / Math.max(1, evening)) / 10;

    return many === 1 ? '1 evening' : `${many} evenings`;
}
