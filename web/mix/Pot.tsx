import { Button, TextInput } from '@mantine/core';
import type { ReactElement } from 'react';
import type { Mixed, MixOrder } from '../api/types';
import { clock } from '../frame/words';
import { Fold } from '../shared/Fold';

interface Props {
    order: MixOrder;
    set: (next: MixOrder) => void;
    mixed: Mixed | undefined;
    zone: string;
    wrong: (path: string) => string | undefined;
    hardened: (minutes: number) => void;
}

/** How long it lives with hardener in it, which jobs still fit, and what of it may go back in a jar. */
export function Pot({ order, set, mixed, zone, wrong, hardened }: Props): ReactElement {
    const jobs = mixed?.jobs ?? [];

    return (
        <Fold name="pot" title="If you add hardener" tells={mixed?.pot == null ? 'no hardener in it' : mixed.pot.words} kind="pot" edge={mixed?.pot == null ? undefined : 'closing'}>
            <TextInput label="Pot life by its label, min at 20 °C" placeholder="240" inputMode="decimal" value={order.hardened ?? ''} error={wrong('hardened')} onChange={(e) => set({ ...order, hardened: e.currentTarget.value })} />
            {mixed?.pot != null && (
                <>
                    <p data-testid="pot">{mixed.pot.words} Gloves and extraction; spare for touch-ups is set aside before.</p>
                    {jobs.length > 0 && (
                        <ul className="pot-jobs" data-testid="pot-jobs">
                            {jobs.map((job) => (
                                <li key={job.title + job.until} data-late={!job.fits || undefined}>
                                    {job.title}
                                    <small>{job.fits ? `done ${clock(Date.parse(job.until), zone)}, while it lives` : `ends ${clock(Date.parse(job.until), zone)}, when it is dead: mix for it anew`}</small>
                                </li>
                            ))}
                        </ul>
                    )}
                    <Button data-testid="hardened" onClick={() => hardened(mixed.pot?.minutes ?? 0)}>
                        Hardener is in
                    </Button>
                </>
            )}
            {mixed !== undefined && <p data-testid="leftover">{mixed.leftover}</p>}
        </Fold>
    );
}
