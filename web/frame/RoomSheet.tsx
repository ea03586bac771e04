import { Button, Modal, TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Room } from '../api/types';
import { useNow } from '../api/clock';
import { readNumber } from './numbers';
import { queries } from './queries';
import { wall } from './words';

/** The room's readings: from the simulated hygrometer, or typed. */
export function RoomSheet({ room, zone, opened, close }: { room: Room; zone: string; opened: boolean; close: () => void }): ReactElement {
    const at = useNow();
    const [temperature, setTemperature] = useState('');
    const [humidity, setHumidity] = useState('');
    const [wrong, say] = useState<string | null>(null);
    const t = readNumber(temperature);
    const h = readNumber(humidity);

    const after = async (work: Promise<unknown>): Promise<void> => {
        try {
            await work;
            await queries.invalidateQueries();
            close();
        } catch (error) {
            say(error instanceof Refused ? error.sentence() : 'The bench cannot be reached.');
        }
    };
    const submit = (e: FormEvent): void => {
        e.preventDefault();
        if (typeof t === 'number' && typeof h === 'number') {
            void after(api.post('readings', { temperatureC: t, humidity: h / 100 }));
        }
    };

    return (
        <Modal opened={opened} onClose={close} title="The room">
            <form className="stack-form" onSubmit={submit}>
                <p>
                    {room.temperatureC.toFixed(1)} °C, {Math.round(room.humidity * 100)} % RH, dew point {room.dewPointC.toFixed(1)} °C
                    {room.at !== null && `, ${room.source === 'typed' ? 'typed' : 'from the simulated hygrometer'} at ${wall(room.at, at, zone)}`}.{' '}
                    {room.trouble ?? room.troubleForGloss ?? 'Fit for spraying, gloss too'}.
                </p>
                <div className="stack-row">
                    <TextInput label="Temperature, °C" value={temperature} onChange={(e) => setTemperature(e.currentTarget.value)} error={typeof t === 'string' ? t : undefined} inputMode="decimal" data-autofocus />
                    <TextInput label="Humidity, % RH" value={humidity} onChange={(e) => setHumidity(e.currentTarget.value)} error={typeof h === 'string' ? h : undefined} inputMode="decimal" />
                </div>
                {wrong !== null && (
                    <p role="alert" className="field-error">
                        {wrong}
                    </p>
                )}
                <div className="stack-row">
                    <Button data-main type="submit" disabled={typeof t !== 'number' || typeof h !== 'number'}>
                        This is what I read
                    </Button>
                    {room.source === 'typed' && (
                        <Button type="button" onClick={() => void after(api.put('room/source', { source: 'simulated' }))}>
                            Use the simulated hygrometer
                        </Button>
                    )}
                </div>
            </form>
        </Modal>
    );
}
