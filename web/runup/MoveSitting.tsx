import { Button, NativeSelect } from '@mantine/core';
import { useEffect, useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Edit, Preview, RunUp, RunUpBlock, RunUpColumn } from '../api/types';
import { ulid } from '../frame/ulid';
import { wall } from '../frame/words';
import { nameOf } from './letters';

interface Props {
    run: RunUp;
    column: RunUpColumn;
    block: RunUpBlock;
    /** The session it was dropped on; null: it is asked for by a press. */
    dropped: string | null;
    zone: string;
    now: number;
    put: (build: string, title: string, edits: Edit[]) => void;
    leave: () => void;
}

interface Looked {
    to: string;
    edits: Edit[];
    preview: Preview;
}

/** A sitting moved to another session: what that does to the end is said before it is done, and where it cannot go it says why. */
export function MoveSitting({ run, column, block, dropped, zone, now, put, leave }: Props): ReactElement | null {
    const [to, moveTo] = useState<string | null>(dropped);
    const [looked, look] = useState<Looked | string | null>(null);
    const at = run.columns.indexOf(column);
    const next = run.columns[at + 1];
    const name = nameOf(block);
    useEffect(() => {
        // What holds it and what put it off is known once the rules were asked.
        if (to === null || !run.settled) {
            return;
        }
        const target = run.columns.find((c) => c.from === to);
        const edits = target === undefined ? null : editsFor(block, column, target);
        if (target === undefined || edits === null) {
            look(target === undefined ? 'That session is not there any more.' : whyNot(block, target, now, zone));

            return;
        }
        let gone = false;
        api.post<{ preview: Preview }>(`builds/${block.build}/preview`, { edits }).then(
            ({ preview }) => !gone && look({ to, edits, preview }),
            (error: unknown) => !gone && look(error instanceof Refused ? error.sentence() : 'The bench cannot be reached.'),
        );

        return () => {
            gone = true;
        };
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [to, run.settled]);
    const close = (): void => {
        moveTo(null);
        look(null);
        leave();
    };
    if (block.steps.length === 0) {
        return null;
    }
    if (to === null) {
        const first = next?.from ?? (block.putOffs.length > 0 ? column.from : null);

        return first === null ? null : (
            <button type="button" className="runup-off" aria-label={`Move: ${name}`} onClick={() => moveTo(first)}>
                Move
            </button>
        );
    }

    return (
        <span className="runup-promise" role="group" aria-label={`Move ${name}`}>
            <NativeSelect
                label={`${name} to`}
                value={to}
                onChange={(e) => moveTo(e.currentTarget.value)}
                data={run.columns.filter((_, i) => i !== at || block.putOffs.length > 0).map((c) => ({ value: c.from, label: c === column ? 'as soon as it can' : wall(c.from, now, zone) }))}
            />
            <span role="status">
                {looked === null && 'Looking what that does.'}
                {typeof looked === 'string' && looked}
                {looked !== null && typeof looked !== 'string' && looked.to === to && `Ready ${wall(looked.preview.finishAfter ?? '', now, zone)}, where it is ${wall(looked.preview.finishBefore ?? '', now, zone)} now.`}
            </span>
            <span className="runup-edit">
                {looked !== null && typeof looked !== 'string' && (
                    <Button data-small onClick={() => put(block.build, `${name} moved`, looked.edits)}>
                        Move it
                    </Button>
                )}
                <Button data-small onClick={close}>
                    Leave it
                </Button>
            </span>
        </span>
    );
}

/** Later: its steps wait for that session. Sooner: what put them off is taken back. null: there is nothing to change. */
function editsFor(block: RunUpBlock, column: RunUpColumn, target: RunUpColumn): Edit[] | null {
    const back: Edit[] = block.putOffs.map((id) => ({ op: 'remove', list: 'notBefore', id }));
    if (target.from > column.from) {
        return [...back, ...block.steps.map((step): Edit => ({ op: 'add', list: 'notBefore', value: { id: ulid(), step, at: target.from } }))];
    }

    return back.length === 0 || (target !== column && block.opens !== null && block.opens >= target.until) ? null : back;
}

function whyNot(block: RunUpBlock, target: RunUpColumn, now: number, zone: string): string {
    return block.opens !== null && block.opens >= target.until
        ? `Not before ${wall(block.opens, now, zone)}: ${block.because}.`
        : 'Nothing holds it, but hands are at other work by then: move that, or put its build further up among all builds.';
}
