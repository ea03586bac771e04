import { useState, type ReactElement } from 'react';
import type { Stage } from '../api/types';
import { Mark } from '../drawing/Mark';
import { useNow } from '../api/clock';
import { leftOf } from '../frame/Edge';
import { minutesUntil, span, wall } from '../frame/words';

type Planned = Stage['steps'][number];

/** One stage: what is done, on which pieces, from when; opened, each step says why it stands there. */
export function StageRow({ stage, number, zone, asked }: { stage: Stage; number: number; zone: string; asked: string | null }): ReactElement {
    const at = useNow();
    const [open, turn] = useState(stage.steps.some((s) => s.key === asked));
    const come = (row: HTMLLIElement | null): void => {
        row?.scrollIntoView({ block: 'center' });
    };
    const best = bestOf(stage.steps);
    const pieces = [...new Set(stage.steps.map((s) => s.piece))];
    const id = `stage-${number}`;

    return (
        <li className="stage" data-kind={best.aspect.kind}>
            <button type="button" className="stage-head" aria-expanded={open} aria-controls={id} onClick={() => turn(!open)}>
                <span className="stage-mark">
                    <Mark kind={best.aspect.kind} size={20} left={leftOf(best.aspect.from, best.aspect.until, at)} />
                </span>
                <span className="stage-paint" data-op={stage.operation} style={stage.swatch !== null && stage.steps[0]?.sprays === true ? { background: stage.swatch } : undefined} aria-hidden="true" />
                <span className="stage-title">
                    <strong>{stage.title}</strong>
                    <small>
                        {pieces.length > 3 ? `${pieces.length} pieces` : pieces.join(', ')}
                        {stage.steps.length > pieces.length ? ` · ${stage.steps.length} steps` : ''}
                    </small>
                </span>
                <span className="stage-time">
                    {best.aspect.kind === 'hold' && best.aspect.until !== null ? `opens in ${span(minutesUntil(best.aspect.until, at))}` : wall(stage.start, at, zone)}
                    <small>{Math.max(1, Math.round(stage.minutes))} min hands on</small>
                </span>
            </button>
            {open && (
                <ul id={id} className="stage-steps">
                    {stage.steps.map((step) => (
                        <li key={step.key} ref={step.key === asked ? come : undefined} aria-current={step.key === asked ? 'true' : undefined}>
                            <Mark kind={step.aspect.kind} size={16} left={leftOf(step.aspect.from, step.aspect.until, at)} />
                            <span>
                                <strong>{step.title}</strong>, {step.where}
                                <small>
                                    {[step.aspect.kind === 'shut' && step.aspect.because !== '' ? `Waits for: ${step.aspect.because}.` : step.aspect.because !== '' ? `Waits: ${step.aspect.because}.` : '', ...step.reasons].filter(Boolean).join(' ')}
                                </small>
                            </span>
                            <time>{wall(step.start, at, zone)}</time>
                        </li>
                    ))}
                </ul>
            )}
        </li>
    );
}

const RANK = { closing: 0, open: 1, hold: 2, shut: 3, done: 4 } as const;

function bestOf(steps: Planned[]): Planned {
    return [...steps].sort((a, b) => RANK[a.aspect.kind] - RANK[b.aspect.kind] || (a.aspect.until ?? '~').localeCompare(b.aspect.until ?? '~'))[0] as Planned;
}
