import { Button, TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Tally } from '../api/types';
import { queries } from '../frame/queries';

/** What a pack holds and costs, asked once for all paints that are to be bought and of which nobody said it. */
export function PackSizes({ jars }: { jars: Tally['jars'] }): ReactElement {
    const [ml, setMl] = useState('');
    const [price, setPrice] = useState('');
    const [wrong, say] = useState<string | null>(null);
    const put = async (e: FormEvent): Promise<void> => {
        e.preventDefault();
        try {
            await api.put('packs', { paints: jars.map((j) => j.product), ml, price });
            await queries.invalidateQueries();
        } catch (error) {
            say(error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was changed.');
        }
    };

    return (
        <form className="pack-sizes" data-testid="pack-sizes" onSubmit={(e) => void put(e)}>
            <p>
                A pack of {jars.length === 1 ? jars[0]?.paint : `these ${jars.length} paints (${jars.map((j) => j.paint).join(', ')})`}, as you buy it:
            </p>
            <TextInput label="holds, ml" inputMode="decimal" value={ml} onChange={(e) => setMl(e.currentTarget.value)} />
            <TextInput label="costs" inputMode="decimal" value={price} onChange={(e) => setPrice(e.currentTarget.value)} />
            <Button data-small type="submit" disabled={ml.trim() === '' || price.trim() === ''}>
                So it is
            </Button>
            {wrong !== null && (
                <p className="field-error" role="alert">
                    {wrong}
                </p>
            )}
        </form>
    );
}
