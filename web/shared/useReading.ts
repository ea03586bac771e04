import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDebouncedValue } from '@mantine/hooks';
import { api } from '../api/client';
import type { Reading } from '../api/types';

/** Long enough that a fast typist is not answered at every key, short enough to feel at once. */
const PAUSE_MS = 60;

/** When the hands rest: what would be to do is worked out too. */
const REST_MS = 450;

/** What the lines are read as while they are typed, and what would come of them once the hands rest. */
export function useReading<T extends Reading = Reading>(buildId: string, revision: number, text: string, whole: boolean, path = 'lines'): { reading: T | undefined; outlook: T | undefined; stale: boolean } {
    const [asked] = useDebouncedValue(text, PAUSE_MS);
    const [rested] = useDebouncedValue(text, REST_MS);
    const ask = (of: string, plan: boolean) => ({
        queryKey: ['reading', path, buildId, revision, of, whole, plan],
        // What nobody waits for any more, since more was typed or the page was left, is let go of.
        queryFn: ({ signal }: { signal: AbortSignal }) => api.post<T>(`builds/${buildId}/${path}/read`, { text: of, whole, plan }, undefined, signal),
        enabled: of.trim() !== '' && (!plan || path === 'lines'),
        placeholderData: keepPreviousData,
        refetchInterval: false as const,
        refetchOnWindowFocus: false,
        staleTime: 60000,
    });
    const read = useQuery(ask(asked, false));
    const outlook = useQuery(ask(rested, true));
    const empty = asked.trim() === '';

    return { reading: empty ? undefined : read.data, outlook: empty || outlook.isPlaceholderData || rested !== text ? undefined : outlook.data, stale: read.isPlaceholderData || asked !== text };
}
