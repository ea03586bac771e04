import { focusManager, QueryClient, useQuery, type UseQueryResult } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { api, Refused } from '../api/client';
import type { Bench, Booklet, Breakdown, ColourLists, Found, Frame, Kit, LogPage, MasksPage, Mixed, MixOrder, MixPage, Plan, SurfacePage } from '../api/types';
import { freeze } from '../api/clock';
import { keeping, kept } from './kept';
import { know } from './shortName';

const POLL_MS = 15000;

// A window brought to the front asks at once, not only a tab that was hidden.
focusManager.setEventListener((focused) => {
    const ask = (): void => focused(true);
    window.addEventListener('focus', ask);
    window.addEventListener('visibilitychange', ask);

    return () => {
        window.removeEventListener('focus', ask);
        window.removeEventListener('visibilitychange', ask);
    };
});

export const queries = new QueryClient({
    defaultOptions: { queries: { refetchInterval: POLL_MS, refetchOnWindowFocus: 'always', retry: 1, staleTime: 2000, placeholderData: (previous: unknown) => previous, networkMode: 'always' } },
});

/** What cannot be read at all is no answer to wait for. */
const READ = { throwOnError: (error: Error, query: { state: { data: unknown } }): boolean => error instanceof Refused && error.status === 422 && query.state.data === undefined };

let damaged = false;
const listeners = new Set<() => void>();

function note(is: boolean): void {
    damaged = is;
    listeners.forEach((listen) => listen());
}

/** The file of the bench was damaged when it was last asked: known while it is asked again. */
export function useDamaged(): boolean {
    return useSyncExternalStore(
        (listen) => {
            listeners.add(listen);
            return () => listeners.delete(listen);
        },
        () => damaged,
    );
}

export function useFrame(): UseQueryResult<Frame> {
    return useQuery({
        ...kept<Frame>('frame', ''),
        queryKey: ['frame'],
        queryFn: async () => {
            try {
                const frame = await keeping('frame', '', api.renew<Frame>('frame'));
                freeze(frame.frozen, frame.now);
                know(frame.builds.map((b) => b.name));
                note(false);

                return frame;
            } catch (error) {
                note(error instanceof Refused && error.kind === 'damaged');
                throw error;
            }
        },
    });
}

export function useBench(buildId: string, minutes: number): UseQueryResult<Bench> {
    return useQuery({ ...READ, ...kept<Bench>('bench', `${buildId} ${minutes}`), queryKey: ['bench', buildId, minutes], queryFn: () => keeping('bench', `${buildId} ${minutes}`, api.get<Bench>(`builds/${buildId}/bench?minutes=${minutes}`)) });
}

export function usePlan(buildId: string): UseQueryResult<Plan> {
    return useQuery({ ...READ, ...kept<Plan>('plan', buildId), queryKey: ['plan', buildId], queryFn: () => keeping('plan', buildId, api.get<Plan>(`builds/${buildId}/plan`)) });
}

export function useFind(buildId: string, asked: boolean): UseQueryResult<Found> {
    return useQuery({ queryKey: ['find', buildId], queryFn: () => api.get<Found>(`builds/${buildId}/find`), enabled: asked, refetchInterval: false });
}

export function useLog(buildId: string, from: number): UseQueryResult<LogPage> {
    return useQuery({ ...READ, queryKey: ['log', buildId, from], queryFn: () => api.get<LogPage>(`builds/${buildId}/log?from=${from}`) });
}

export function useBooklet(buildId: string): UseQueryResult<Booklet> {
    return useQuery({ ...READ, queryKey: ['booklet', buildId], queryFn: () => api.get<Booklet>(`builds/${buildId}/booklet`), refetchInterval: false });
}

export function useLists(buildId: string): UseQueryResult<ColourLists> {
    return useQuery({ ...READ, queryKey: ['lists', buildId], queryFn: () => api.get<ColourLists>(`builds/${buildId}/lists`) });
}

export function useMasks(buildId: string): UseQueryResult<MasksPage> {
    return useQuery({ ...READ, queryKey: ['masks', buildId], queryFn: () => api.get<MasksPage>(`builds/${buildId}/masks`) });
}

export function useSurface(buildId: string): UseQueryResult<SurfacePage> {
    return useQuery({ ...READ, queryKey: ['surface', buildId], queryFn: () => api.get<SurfacePage>(`builds/${buildId}/surface`) });
}

export function useMixBench(buildId: string): UseQueryResult<MixPage> {
    return useQuery({ ...READ, queryKey: ['mix', buildId], queryFn: () => api.get<MixPage>(`builds/${buildId}/mix`), refetchInterval: false });
}

/** Worked out as it is typed; what was there stays until the next is. */
export function useMixed(buildId: string, order: MixOrder): UseQueryResult<Mixed, Error> {
    return useQuery({ queryKey: ['mixed', buildId, order], queryFn: () => api.post<Mixed>(`builds/${buildId}/mix`, order), refetchInterval: false, retry: false });
}

export function useBreakdown(buildId: string): UseQueryResult<Breakdown> {
    return useQuery({ ...READ, queryKey: ['breakdown', buildId], queryFn: () => api.get<Breakdown>(`builds/${buildId}/breakdown`) });
}

export function useKit(buildId: string): UseQueryResult<Kit> {
    return useQuery({ ...READ, queryKey: ['kit', buildId], queryFn: () => api.get<Kit>(`builds/${buildId}/kit`), refetchInterval: false });
}
