import { Button } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Edit, Preview, RunUp, RunUpColumn } from '../api/types';
import { ulid } from '../frame/ulid';
import { wall } from '../frame/words';

type Block = RunUpColumn['blocks'][number];

/** A sitting put off to the next session: what that does to the end is said before it is done. */
export function PutOff({ run, column, block, zone, now, put }: { run: RunUp; column: RunUpColumn; block: Block; zone: string; now: number; put: (build: string, title: string, edits: Edit[]) => void }): ReactElement | null {
    const [looked, look] = useState<{ edits: Edit[]; preview: Preview } | string | null>(null);
    const next = run.columns[run.columns.indexOf(column) + 1];
    if (next === undefined || block.steps.length === 0) {
        return null;
    }
    const name = block.paint?.name ?? block.titles[0] ?? '';
    const ask = async (): Promise<void> => {
        const edits: Edit[] = block.steps.map((step) => ({ op: 'add', list: 'notBefore', value: { id: ulid(), step, at: next.from } }));
        try {
            const { preview } = await api.post<{ preview: Preview }>(`builds/${block.build}/preview`, { edits });
            look({ edits, preview });
        } catch (error) {
            look(error instanceof Refused ? error.sentence() : 'The bench cannot be reached.');
        }
    };

    return looked === null ? (
        <button type="button" className="runup-off" aria-label={`Put off: ${name}`} onClick={() => void ask()}>
            Put off
        </button>
    ) : typeof looked === 'string' ? (
        <span role="alert">{looked}</span>
    ) : (
        <span className="runup-promise">
            <span>
                To {wall(next.from, now, zone)}: ready {wall(looked.preview.finishAfter ?? '', now, zone)}, where it is {wall(looked.preview.finishBefore ?? '', now, zone)} now.
            </span>
            <span className="runup-edit">
                <Button data-small onClick={() => put(block.build, `${name} put off`, looked.edits)}>
                    Put it off
                </Button>
                <Button data-small onClick={() => look(null)}>
                    Leave it
                </Button>
            </span>
        </span>
    );
}
