import { Button } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { Evenings, Session } from '../api/types';
import { SessionField } from '../shared/SessionField';
import { DAY_NAMES, DAYS, dayOf, fourWeeks, minutesOf, words } from '../shared/sessions';

/** The coming four weeks, a day a field: what is not as its weekday is marked, by word and by edge. */
export function FourWeeks({ evenings, today, set }: { evenings: Evenings; today: string; set: (date: string, sessions: Session[] | null) => void }): ReactElement {
    const days = fourWeeks(today);
    const [chosen, choose] = useState<string>(today);
    const of = (date: string): readonly Session[] => evenings.dates[date] ?? evenings.week[dayOf(date)] ?? [];
    const ahead = days.filter((date) => date >= today);
    const hours = ahead.reduce((sum, date) => sum + minutesOf(of(date)), 0) / 60;
    const isSingle = evenings.dates[chosen] !== undefined;

    return (
        <section className="card evening-card" aria-labelledby="four-weeks">
            <h2 id="four-weeks">The coming four weeks</h2>
            <p className="quiet-line" data-testid="hours">
                {hours.toFixed(1).replace(/\.0$/, '')} h at the bench until {dateWords(days[27] ?? today)}. Press a day to make it longer, shorter, an extra one, or away.
            </p>
            <div className="weeks" role="group" aria-label="Days">
                {DAYS.map((day) => (
                    <span key={day} className="week-day" aria-hidden="true">
                        {DAY_NAMES[day].slice(0, 3)}
                    </span>
                ))}
                {days.map((date) => (
                    <button
                        key={date}
                        type="button"
                        className="week-date"
                        disabled={date < today}
                        data-single={evenings.dates[date] !== undefined ? '' : undefined}
                        data-away={of(date).length === 0 ? '' : undefined}
                        aria-pressed={date === chosen}
                        title={`${dateWords(date)}${evenings.dates[date] !== undefined ? ', not as usual' : ''}`}
                        data-date={date}
                        onClick={() => choose(date)}
                    >
                        <strong>{Number(date.slice(8))}</strong>
                        {evenings.dates[date] !== undefined && <span className="unseen">not as usual: </span>}
                        <span>{of(date).length === 0 ? (evenings.dates[date] === undefined ? '' : 'away') : words(of(date))}</span>
                    </button>
                ))}
            </div>
            <div className="chosen" data-testid="chosen">
                <SessionField key={`${chosen} ${words(of(chosen))}`} label={dateWords(chosen)} sessions={of(chosen)} set={(sessions) => set(chosen, sessions)} />
                <Button data-small disabled={of(chosen).length === 0} onClick={() => set(chosen, [])}>
                    Away
                </Button>
                <Button data-small disabled={!isSingle} onClick={() => set(chosen, null)}>
                    As every {DAY_NAMES[dayOf(chosen)]}
                </Button>
            </div>
        </section>
    );
}

function dateWords(date: string): string {
    return new Date(`${date}T12:00:00Z`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });
}
