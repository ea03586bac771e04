import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api } from '../api/client';
import type { RunUp } from '../api/types';
import { queries } from '../frame/queries';

/** The way to the show: what is known at once, and what the rules say of it as soon as they were asked. */
export function useRunUp(): { run: RunUp | undefined; isFetching: boolean } {
    const glance = useQuery({ queryKey: ['runup', 'glance'], queryFn: () => api.get<RunUp>('runup?glance=1') });
    const asks = glance.data?.settled === false;
    // Of each glance its own: what comes late of an earlier one is of a state that has passed.
    const whole = useQuery({ queryKey: ['runup', 'whole', glance.dataUpdatedAt], queryFn: () => api.get<RunUp>('runup'), enabled: asks && !glance.isFetching });
    // Who is late is known now: the frame says so too.
    useEffect(() => {
        if (whole.dataUpdatedAt > 0) {
            void queries.invalidateQueries({ queryKey: ['frame'] });
        }
    }, [whole.dataUpdatedAt]);

    return { run: asks ? (whole.data ?? glance.data) : glance.data, isFetching: glance.isFetching };
}
