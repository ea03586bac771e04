import { Button, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { Evenings } from '../api/types';
import { read, words } from '../shared/sessions';

type Kept = Evenings['workshop'];
type Row = { name: string; hours: string; temperatureC: string; humidity: string };

const shown = (place: Kept['places'][number]): Row => ({
    name: place.name,
    hours: words([place]),
    temperatureC: place.temperatureC === null ? '' : String(place.temperatureC),
    humidity: place.humidity === null ? '' : String(Math.round(place.humidity * 100)),
});
const number = (text: string): number | null => (text.trim() === '' ? null : Number(text.replace(',', '.')));

/** The cabinet, and where one may spray: the hours of each place, and its air where that is not the room's. */
export function Workshop({ workshop, week, set }: { workshop: Kept; week: Evenings['week']; set: (to: Kept) => void }): ReactElement {
    const [cabinet, typeCabinet] = useState(workshop.cabinet === null ? '' : String(workshop.cabinet));
    const [rows, type] = useState<Row[]>(workshop.places.map(shown));
    const change = (at: number, field: keyof Row, to: string): void => type(rows.map((row, i) => (i === at ? { ...row, [field]: to } : row)));
    const places = rows.map((row) => {
        const percent = number(row.humidity);
        const hours = read(row.hours);
        const [one] = hours?.length === 1 ? hours : [];

        return { name: row.name.trim(), from: one?.from ?? null, until: one?.until ?? null, temperatureC: number(row.temperatureC), humidity: percent === null ? null : percent / 100 };
    });
    const pieces = number(cabinet);
    const wrong =
        pieces !== null && !(Number.isInteger(pieces) && pieces >= 1)
            ? 'The cabinet takes a whole number of pieces, or nothing is written.'
            : places.some((p) => p.name === '' || p.from === null)
              ? 'A place wants a name and hours, such as 10:00–18:00.'
              : places.some((p) => (p.temperatureC === null) !== (p.humidity === null) || Number.isNaN(p.temperatureC) || Number.isNaN(p.humidity))
                ? 'Write both °C and % RH, or neither: then it is the air of the room.'
                : null;
    const typed: Kept = { cabinet: pieces, places: places.map((p) => ({ ...p, from: p.from ?? 0, until: p.until ?? 0 })) };
    const meets = workshop.places.length === 0 || Object.values(week).some((day) => day.some((s) => workshop.places.some((p) => p.from < s.until && s.from < p.until)));
    const isNew = JSON.stringify(typed) !== JSON.stringify(workshop);

    return (
        <section className="card evening-card" aria-labelledby="workshop">
            <h2 id="workshop">Cabinet, and where you spray</h2>
            <div className="gun-row cabinet-row">
                <TextInput label="Pieces the cabinet takes" inputMode="numeric" placeholder="all" value={cabinet} onChange={(e) => typeCabinet(e.currentTarget.value)} />
            </div>
            <p className="quiet-line">{rows.length === 0 ? 'You spray in the room, at any time you are at the bench.' : 'Coats are planned for the hours of these places, and for air that is fit.'}</p>
            {!meets && <p role="status">None of your usual evenings lies in these hours: coats are planned as if none were written down.</p>}
            {rows.map((row, i) => (
                <div key={i} className="place-row">
                    <TextInput label="Place" value={row.name} onChange={(e) => change(i, 'name', e.currentTarget.value)} />
                    <TextInput label="Hours" value={row.hours} onChange={(e) => change(i, 'hours', e.currentTarget.value)} />
                    <TextInput label="°C" inputMode="decimal" placeholder="room" value={row.temperatureC} onChange={(e) => change(i, 'temperatureC', e.currentTarget.value)} />
                    <TextInput label="% RH" inputMode="numeric" placeholder="room" value={row.humidity} onChange={(e) => change(i, 'humidity', e.currentTarget.value)} />
                    <Button data-small aria-label={`Take off ${row.name === '' ? 'the new place' : row.name}`} onClick={() => type(rows.filter((_, each) => each !== i))}>
                        Take off
                    </Button>
                </div>
            ))}
            <div className="gun-presses">
                <Button data-small disabled={rows.length >= 6} onClick={() => type([...rows, { name: '', hours: '10:00–18:00', temperatureC: '', humidity: '' }])}>
                    Add a place
                </Button>
                {isNew && (
                    <Button data-small data-main disabled={wrong !== null} onClick={() => set(typed)}>
                        Keep cabinet and places
                    </Button>
                )}
                {isNew && wrong !== null && <span role="alert">{wrong}</span>}
            </div>
        </section>
    );
}
