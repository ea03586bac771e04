import { Button, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { Evenings } from '../api/types';

type Row = { id?: string; name: string; nozzleMm: string; cupMl: string };

/** The guns there are: each holds one paint, so that two colours can be sprayed by turns without a rinse. */
export function Guns({ guns, set }: { guns: Evenings['guns']; set: (guns: { id?: string; name: string; nozzleMm: number; cupMl: number }[]) => void }): ReactElement {
    const kept: Row[] = guns.map((gun) => ({ id: gun.id, name: gun.name, nozzleMm: String(gun.nozzleMm), cupMl: String(gun.cupMl) }));
    const [typed, type] = useState<Row[] | null>(null);
    const rows = typed ?? kept;
    const number = (text: string): number => Number(text.replace(',', '.'));
    const isSound = rows.every((row) => row.name.trim() !== '' && number(row.nozzleMm) >= 0.1 && number(row.nozzleMm) <= 1 && number(row.cupMl) > 0);
    const change = (at: number, field: 'name' | 'nozzleMm' | 'cupMl', to: string): void => type(rows.map((row, i) => (i === at ? { ...row, [field]: to } : row)));

    return (
        <section className="card evening-card" aria-labelledby="guns">
            <h2 id="guns">Guns</h2>
            <p className="quiet-line">{rows.length === 0 ? 'None is written down: plans are made for one.' : 'Each holds one paint. With two, colours are sprayed by turns without a rinse between.'}</p>
            {rows.map((row, i) => (
                <div key={row.id ?? `new ${i}`} className="gun-row">
                    <TextInput label="Name" value={row.name} onChange={(e) => change(i, 'name', e.currentTarget.value)} />
                    <TextInput label="Nozzle, mm" inputMode="decimal" value={row.nozzleMm} onChange={(e) => change(i, 'nozzleMm', e.currentTarget.value)} />
                    <TextInput label="Cup, ml" inputMode="decimal" value={row.cupMl} onChange={(e) => change(i, 'cupMl', e.currentTarget.value)} />
                    <Button data-small aria-label={`Take off ${row.name === '' ? 'the new gun' : row.name}`} onClick={() => type(rows.filter((_, each) => each !== i))}>
                        Take off
                    </Button>
                </div>
            ))}
            <div className="gun-presses">
                <Button data-small onClick={() => type([...rows, { name: `Gun ${rows.length + 1}`, nozzleMm: '0.35', cupMl: '7' }])}>
                    Add a gun
                </Button>
                {typed !== null && (
                    <Button
                        data-small
                        data-main
                        disabled={!isSound}
                        onClick={() => {
                            set(rows.map((row) => ({ ...(row.id === undefined ? {} : { id: row.id }), name: row.name.trim(), nozzleMm: number(row.nozzleMm), cupMl: number(row.cupMl) })));
                            type(null);
                        }}
                    >
                        Keep the guns
                    </Button>
                )}
                {typed !== null && !isSound && <span role="alert">A gun wants a name, a nozzle of 0.1 to 1 mm and a cup.</span>}
            </div>
        </section>
    );
}
