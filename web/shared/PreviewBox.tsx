import './finding.css';
import { Button } from '@mantine/core';
import { useEffect, useRef, type ReactElement } from 'react';
import type { Edit, Preview } from '../api/types';

interface Props {
    fix: { title: string; edits: Edit[] };
    preview: Preview | null;
    apply: () => void;
    close: () => void;
}

/** What a fix would change, before it does. */
export function PreviewBox({ fix, preview, apply, close }: Props): ReactElement {
    const box = useRef<HTMLDivElement>(null);
    // What a press would change is answered where the press was, never below what one sees.
    useEffect(() => {
        box.current?.scrollIntoView({ block: 'nearest' });
    }, [preview]);

    return (
        <div className="preview" role="status" aria-busy={preview === null} ref={box}>
            {preview === null ? (
                <p>Working out what it changes.</p>
            ) : (
                <>
                    <ul>
                        {preview.findingsGone.length > 0 && <li>Settles: {titles(preview.findingsGone.map((f) => f.title))}</li>}
                        {preview.findingsNew.length > 0 && <li>Raises: {titles(preview.findingsNew.map((f) => f.title))}</li>}
                        {preview.added.length > 0 && <li>Adds: {titles(preview.added)}</li>}
                        {preview.gone.length > 0 && <li>Drops: {titles(preview.gone)}</li>}
                        {preview.otherwise.slice(0, 3).map((o) => (
                            <li key={o.sentence}>
                                {o.sentence} On {o.steps === 1 ? '1 step' : `${o.steps} steps`}.
                            </li>
                        ))}
                        {preview.moved > 0 && <li>Moves {preview.moved === 1 ? '1 step' : `${preview.moved} steps`} in time</li>}
                        <li>{finish(preview)}</li>
                    </ul>
                    <div className="finding-presses">
                        <Button data-small data-main onClick={apply} data-testid="apply-fix">
                            Do it: {fix.title}
                        </Button>
                        <Button data-small onClick={close}>
                            Leave it
                        </Button>
                    </div>
                </>
            )}
        </div>
    );
}

function titles(of: string[]): string {
    return of.length > 3 ? `${of.slice(0, 3).join('; ')}; ${of.length - 3} more` : of.join('; ');
}

function finish(preview: Preview): string {
    if (preview.finishBefore === null || preview.finishAfter === null) {
        return 'The finish stays as it is.';
    }
    const days = (Date.parse(preview.finishAfter) - Date.parse(preview.finishBefore)) / 86400000;
    if (Math.abs(days) < 0.02) {
        return 'The finish stays as it is.';
    }
    const amount = Math.abs(days) < 1 ? `${Math.round(Math.abs(days) * 24)} h` : `${Math.round(Math.abs(days) * 10) / 10} days`;

    return `Finished ${amount} ${days > 0 ? 'later' : 'sooner'}.`;
}
