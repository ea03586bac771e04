import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDebouncedValue } from '@mantine/hooks';
import { api } from '../api/client';
import type { Reading } from '../api/types';

/** Long enough that a fast typist is not answered at every key, short enough to feel at once. */
const PAUSE_MS = 60;

/** What the lines are read as, while they are typed. */
export function useReading(buildId: string, revision: number, text: string, whole: boolean): { reading: Reading | undefined; stale: boolean } {
    const [asked] = useDebouncedValue(text, PAUSE_MS);
    const { data, isPlaceholderData } = useQuery({
        queryKey: ['reading', buildId, revision, asked, whole],
        queryFn: () => api.post<Reading>(`builds/${buildId}/lines/read`, { text: asked, whole }),
        enabled: asked.trim() !== '',
        placeholderData: keepPreviousData,
        refetchInterval: false,
        refetchOnWindowFocus: false,
        staleTime: 60000,
    });

    return { reading: asked.trim() === '' ? undefined : data, stale: isPlaceholderData || asked !== text };
}
