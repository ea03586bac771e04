import { Button, TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import { queries } from '../frame/queries';

/** A grit of another scale joins those one owns: its scale has to be said, and is compared in microns. */
export function OtherGrit({ owned }: { owned: string[] }): ReactElement {
    const [typed, type] = useState('');
    const [wrong, say] = useState<string | null>(null);
    const add = async (e: FormEvent): Promise<void> => {
        e.preventDefault();
        try {
            await api.put('grits', { owned: [...owned, typed.trim()] });
            say(null);
            type('');
        } catch (error) {
            say(error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was changed.');

            return;
        }
        await queries.invalidateQueries();
    };

    return (
        <form className="other-grit" onSubmit={(e) => void add(e)}>
            <TextInput label="Another, with its scale" placeholder="1000 CAMI, cloth 1800" value={typed} error={wrong} onChange={(e) => type(e.currentTarget.value)} />
            <Button type="submit" disabled={typed.trim() === ''}>
                Own it
            </Button>
        </form>
    );
}
