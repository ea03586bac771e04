import { Button } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import type { Bench } from '../api/types';
import { useOutbox } from '../frame/outbox';
import { wall } from '../frame/words';

/** How the build stood when a fault was named. */
interface Before {
    fault: string;
    event: string;
    finish: string | null;
    daysLate: number;
}

/** A fault that was named, and how the build stood by then. */
export function useCost(): { before: Before | null; named: (bench: Bench, fault: string, event: string) => void; read: () => void } {
    const [before, keep] = useState<Before | null>(null);

    return {
        before,
        named: (bench, fault, event) => keep({ fault, event, finish: bench.finish, daysLate: bench.show?.daysLate ?? 0 }),
        read: () => keep(null),
    };
}

/** What a fault did to the date, said as soon as the plan has its remedy in it. */
export function Cost({ before, bench, stale, buildId, at, zone, read }: { before: Before; bench: Bench; stale: boolean; buildId: string; at: number; zone: string; read: () => void }): ReactElement | null {
    const pending = useOutbox();
    if (stale || pending.some((p) => p.event.id === before.event) || before.finish === null || bench.finish === null) {
        return null;
    }
    const late = bench.show?.daysLate ?? 0;
    const moved = wall(before.finish, at, zone) !== wall(bench.finish, at, zone);

    return (
        <div className="card bench-cost" role="status" data-testid="cost" data-late={late > before.daysLate ? '' : undefined}>
            <p>
                {moved ? (
                    <>
                        {before.fault}: finished <strong>{wall(bench.finish, at, zone)}</strong> instead of {wall(before.finish, at, zone)}.
                    </>
                ) : (
                    <>{before.fault}: it costs no day, the build is finished {wall(bench.finish, at, zone)} as before.</>
                )}
                {bench.show !== null && moved && (late > 0 ? ` ${late} d late for ${bench.show.name}${late > before.daysLate && before.daysLate > 0 ? `, where it was ${before.daysLate}` : ''}.` : ` Still in time for ${bench.show.name}.`)}
            </p>
            <div className="bench-cost-presses">
                {late > before.daysLate && (
                    <Link className="plain-press" to={`/b/${buildId}/runup`}>
                        What would save it
                    </Link>
                )}
                <Button data-small onClick={read}>
                    Read
                </Button>
            </div>
        </div>
    );
}
