import './evenings.css';
import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { api } from '../api/client';
import { useNow } from '../api/clock';
import type { Evenings } from '../api/types';
import { useFrame } from '../frame/queries';
import { useTold } from '../shared/useTold';
import { FourWeeks } from './FourWeeks';
import { Guns } from './Guns';
import { SessionField } from '../shared/SessionField';
import { DAY_NAMES, DAYS } from '../shared/sessions';
import { Workshop } from './Workshop';

/** When there is time at the bench, and with what: all builds are planned into it, since there is one pair of hands. */
export default function EveningsPage(): ReactElement {
    const { data: evenings } = useQuery({ queryKey: ['evenings'], queryFn: () => api.get<Evenings>('evenings') });
    const frame = useFrame();
    const now = useNow();
    const zone = frame.data?.builds[0]?.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
    const today = new Date(now).toLocaleDateString('sv-SE', { timeZone: zone });
    const { told, put } = useTold();
    if (evenings === undefined) {
        return <p>Looking at the calendar.</p>;
    }

    return (
        <div className="evenings">
            <div className="page-head">
                <h1>Evenings and guns</h1>
                <p role={told?.bad === true ? 'alert' : 'status'} data-testid="told" className="evening-told" data-bad={told?.bad === true ? '' : undefined}>
                    {told?.words ?? 'When you are at the bench. All builds are planned into it: there is one pair of hands.'}
                </p>
                {told?.undo != null && (
                    <Button data-small onClick={() => void told.undo?.()}>
                        Take back
                    </Button>
                )}
            </div>
            <div className="evening-halves">
                <FourWeeks evenings={evenings} today={today} set={(date, sessions) => void put(`evenings/dates/${date}`, { sessions })} />
                <div className="evening-half">
                    <section className="card evening-card" aria-labelledby="week">
                        <h2 id="week">The week as it usually is</h2>
                        {DAYS.map((day) => (
                            <SessionField key={`${day} ${JSON.stringify(evenings.week[day])}`} label={DAY_NAMES[day]} sessions={evenings.week[day] ?? []} set={(sessions) => void put(`evenings/days/${day}`, { sessions })} hint="not at the bench" />
                        ))}
                    </section>
                    <Guns key={JSON.stringify(evenings.guns)} guns={evenings.guns} set={(guns) => void put('guns', { guns })} />
                    <Workshop key={JSON.stringify(evenings.workshop)} workshop={evenings.workshop} week={evenings.week} set={(workshop) => void put('workshop', workshop)} />
                </div>
            </div>
        </div>
    );
}
