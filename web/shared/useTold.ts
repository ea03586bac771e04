import { useState } from 'react';
import { api, Refused } from '../api/client';
import type { ToldChange } from '../api/types';
import { queries } from '../frame/queries';

export interface Told {
    words: string;
    bad: boolean;
    undo: string | null;
}

/** A change that belongs to no build: what came of it in words, and how to take it back. */
export function useTold(): { told: Told | null; put: (path: string, body: object) => Promise<void>; undo: (id: string) => Promise<void> } {
    const [told, tell] = useState<Told | null>(null);
    const put = async (path: string, body: object): Promise<void> => {
        try {
            const { change } = await api.put<{ change: ToldChange }>(path, body);
            tell(change === null ? null : { words: `${change.title}: all plans follow.`, bad: false, undo: change.id });
        } catch (error) {
            tell({ words: error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was changed.', bad: true, undo: null });
        }
        await queries.invalidateQueries();
    };
    const undo = async (id: string): Promise<void> => {
        await api.post(`changes/${id}/undo`, {});
        tell({ words: 'Taken back.', bad: false, undo: null });
        await queries.invalidateQueries();
    };

    return { told, put, undo };
}
