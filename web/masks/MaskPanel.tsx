import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import type { LaidMask } from '../api/types';
import { ulid } from '../frame/ulid';
import type { Change } from '../frame/useChange';
import { wall } from '../frame/words';
import { PreviewBox } from '../shared/PreviewBox';

/** One mask: with what and why, what would do next best, how it is laid and lifted, and by when. */
export function MaskPanel({ mask, zone, now, change }: { mask: LaidMask; zone: string; now: number; change: Change }): ReactElement {
    const shown = change.intended?.place === mask.key ? change.intended : null;
    const other = mask.runnerUp;

    return (
        <section className="card mask-panel" aria-labelledby="mask-title" data-testid="mask-panel">
            <h2 id="mask-title">{mask.name}</h2>
            <p className="mask-where">
                {mask.piece} · {mask.cm2} cm²{mask.edgeCm > 0 && `, ${mask.edgeCm} cm of edge`}
                {mask.minutes !== null && `, ${Math.ceil(mask.minutes)} min`}
            </p>
            <dl>
                <dt>With</dt>
                <dd>
                    <strong>{mask.medium.word}</strong>. {mask.why}.
                </dd>
                {other !== null && (
                    <>
                        <dt>Else</dt>
                        <dd>
                            <strong>{other.word}</strong>: {other.why}.
                        </dd>
                    </>
                )}
                {mask.laid.length > 0 && (
                    <>
                        <dt>Lay it</dt>
                        <dd>{mask.laid.join(' ')}</dd>
                    </>
                )}
                {mask.lifted.length > 0 && (
                    <>
                        <dt>Lift it</dt>
                        <dd>{mask.lifted.join(' ')}</dd>
                    </>
                )}
                <dt>When</dt>
                <dd>
                    {mask.isOn ? 'On since' : 'On'} {mask.on !== null && wall(mask.on, now, zone)}, {mask.isOff ? 'came off' : 'off'} {mask.off === null ? 'when its last colour is on' : wall(mask.off, now, zone)}
                    {!mask.isOff && mask.latestOff !== null && `, at the latest ${wall(mask.latestOff, now, zone)}`}
                </dd>
            </dl>
            {!mask.isOn && other !== null && (
                <div className="finding-presses">
                    <Button
                        data-small
                        aria-expanded={shown !== null}
                        onClick={() => void change.look(mask.key, `${mask.name} with ${other.word}`, [{ op: 'add', list: 'pins', value: pin(mask, other.medium) }])}
                    >
                        Take {other.word}
                    </Button>
                </div>
            )}
            {shown !== null && <PreviewBox fix={shown} preview={shown.preview} apply={() => void change.apply(shown.title, shown.edits)} close={change.leave} />}
        </section>
    );
}

function pin(mask: LaidMask, medium: string): Record<string, string> {
    return { id: ulid(), operation: 'mask', target: mask.pieceId, purpose: mask.purpose, medium };
}
