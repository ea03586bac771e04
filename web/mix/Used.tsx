import { Button, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { Mixed, MixOrder } from '../api/types';
import { now } from '../api/clock';
import { readNumber } from '../frame/numbers';
import { record } from '../frame/outbox';
import { ulid } from '../frame/ulid';
import { Fold } from '../shared/Fold';

/** What was really used: held against the table's figure, it corrects the next estimate for this gun and family. */
export function Used({ buildId, order, mixed }: { buildId: string; order: MixOrder; mixed: Mixed | undefined }): ReactElement | null {
    const [typed, type] = useState('');
    const product = order.parts.find((p) => p.product !== null)?.product;
    const need = mixed?.need;
    if (need == null || product == null) {
        return null;
    }
    const used = typed.trim() === '' ? null : readNumber(typed.trim());
    const wrong = typeof used === 'string' ? used : used !== null && (used < 0.01 || used > 1000) ? 'Give ml such as 3.4, up to 1000.' : undefined;
    const log = (): void => {
        if (typeof used === 'number' && wrong === undefined) {
            record(buildId, `${typed} ml used`, {
                id: ulid(),
                kind: 'mixed',
                at: new Date(Math.floor(now() / 1000) * 1000).toISOString().replace('.000Z', 'Z'),
                product,
                predictedMl: need.plainMl,
                usedMl: used,
                ...(order.tool?.startsWith('airbrush') === true ? { nozzleMm: Number(order.gun) } : {}),
            });
            type('');
        }
    };

    return (
        <Fold name="used" title="What it took" tells={need.jobs === 0 ? 'nothing is learned of this gun and family yet' : `learned from ${need.jobs === 1 ? 'one job' : `${need.jobs} jobs`}`} kind="used">
            <p>{need.jobs === 0 ? 'Nothing is learned of this gun and family yet.' : `Learned from ${need.jobs === 1 ? 'one job' : `${need.jobs} jobs`} with this gun and family.`}</p>
            <TextInput label="Used of the mix, ml" inputMode="decimal" value={typed} error={wrong} onChange={(e) => type(e.currentTarget.value)} />
            <Button data-testid="log-use" disabled={typeof used !== 'number' || wrong !== undefined} onClick={log}>
                So much was used
            </Button>
        </Fold>
    );
}
