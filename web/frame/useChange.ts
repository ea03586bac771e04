import { useCallback, useRef, useState } from 'react';
import { api, Refused } from '../api/client';
import type { Edit, Preview } from '../api/types';
import { queries } from './queries';

export interface Intended {
    /** Where it was asked for, so that it is answered there: a finding's key, "layer", "fixed", a question. */
    place: string;
    title: string;
    edits: Edit[];
    preview: Preview | null;
}

export interface Change {
    /** What is being looked at, with what it would change once that is worked out. */
    intended: Intended | null;
    wrong: string | null;
    look: (place: string, title: string, edits: Edit[]) => Promise<void>;
    leave: () => void;
    apply: (title: string, edits: Edit[]) => Promise<boolean>;
    undo: (changeId: string) => Promise<boolean>;
}

/** Edits of a build: looked at first, applied as one change, taken back. One preview at a time: the latest wins. */
export function useChange(buildId: string, revision: number): Change {
    const [intended, intend] = useState<Intended | null>(null);
    const [wrong, say] = useState<string | null>(null);
    const asked = useRef(0);
    const match = { 'If-Match': `"${revision}"` };

    const run = async (work: () => Promise<unknown>): Promise<boolean> => {
        say(null);
        let done = true;
        try {
            await work();
            intend(null);
        } catch (error) {
            done = false;
            say(error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was changed.');
        }
        await queries.invalidateQueries();

        return done;
    };
    const look = useCallback(
        async (place: string, title: string, edits: Edit[]): Promise<void> => {
            const mine = ++asked.current;
            say(null);
            intend({ place, title, edits, preview: null });
            try {
                const { preview } = await api.post<{ preview: Preview }>(`builds/${buildId}/preview`, { edits });
                if (mine === asked.current) {
                    intend({ place, title, edits, preview });
                }
            } catch (error) {
                if (mine === asked.current) {
                    intend(null);
                    say(error instanceof Refused ? error.sentence() : 'The bench cannot be reached.');
                }
            }
        },
        [buildId],
    );

    return {
        intended,
        wrong,
        look,
        leave: () => {
            asked.current++;
            intend(null);
            say(null);
        },
        apply: (title, edits) => run(() => api.post(`builds/${buildId}/changes`, { title, edits }, match)),
        undo: (changeId) => run(() => api.post(`builds/${buildId}/changes/${changeId}/undo`, {}, match)),
    };
}
