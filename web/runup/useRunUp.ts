import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import type { RunUp } from '../api/types';

/** The way to the show: what is known at once, and what the rules say of it as soon as they were asked. */
export function useRunUp(): { run: RunUp | undefined; isFetching: boolean } {
    const glance = useQuery({ queryKey: ['runup', 'glance'], queryFn: () => api.get<RunUp>('runup?glance=1') });
    const whole = useQuery({ queryKey: ['runup', 'whole'], queryFn: () => api.get<RunUp>('runup'), enabled: glance.data?.settled === false && !glance.isFetching });
    const run = whole.data !== undefined && (glance.data === undefined || (glance.data.settled === false && whole.dataUpdatedAt >= glance.dataUpdatedAt)) ? whole.data : glance.data;

    return { run, isFetching: glance.isFetching };
}
