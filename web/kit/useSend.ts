import { useCallback } from 'react';
import { api, Refused } from '../api/client';
import type { Changed } from '../api/types';
import { queries } from '../frame/queries';

/** Sends a change of the kit; a sentence where it was refused. */
export function useSend(buildId: string, revision: number): (path: string, body: unknown) => Promise<Changed | string> {
    return useCallback(
        async (path, body) => {
            try {
                const changed = await api.post<Changed>(`builds/${buildId}/${path}`, body, { 'If-Match': `"${revision}"` });
                await queries.invalidateQueries();

                return changed;
            } catch (error) {
                return error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was changed.';
            }
        },
        [buildId, revision],
    );
}
