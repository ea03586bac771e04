import { useState } from 'react';
import { api, Refused } from '../api/client';
import type { ToldChange } from '../api/types';
import { queries } from '../frame/queries';

export interface Told {
    words: string;
    bad: boolean;
    undo: (() => Promise<void>) | null;
}

export interface Telling {
    told: Told | null;
    /** A change that belongs to no build. */
    put: (path: string, body: object) => Promise<void>;
    /** Any change; what is given back takes it back. */
    act: (words: string, work: () => Promise<() => Promise<unknown>>) => Promise<void>;
}

/** What came of a change in words, and how to take it back. */
export function useTold(): Telling {
    const [told, tell] = useState<Told | null>(null);
    const run = async (work: () => Promise<Told | null>): Promise<void> => {
        try {
            tell(await work());
        } catch (error) {
            tell({ words: error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was changed.', bad: true, undo: null });
        }
        await queries.invalidateQueries();
    };
    const back = (work: () => Promise<unknown>) => (): Promise<void> =>
        run(async () => {
            await work();

            return { words: 'Taken back.', bad: false, undo: null };
        });

    return {
        told,
        put: (path, body) =>
            run(async () => {
                const { change } = await api.put<{ change: ToldChange }>(path, body);

                return change === null ? null : { words: `${change.title}: all plans follow.`, bad: false, undo: back(() => api.post(`changes/${change.id}/undo`, {})) };
            }),
        act: (words, work) => run(async () => ({ words, bad: false, undo: back(await work()) })),
    };
}
