import type { KeyboardEvent, ReactElement } from 'react';
import type { JointAdvice } from '../api/types';

interface Props {
    joints: JointAdvice[];
    chosen: string | null;
    choose: (id: string) => void;
    deadStop: string | null;
}

/** The order of gluing as one track, with the paint lying across it: what is glued before, what after. */
export function GluingTrack({ joints, chosen, choose, deadStop }: Props): ReactElement {
    const before = joints.filter((j) => j.beforePaint);
    const after = joints.filter((j) => !j.beforePaint);
    const all = [...before, ...after];
    const keys = (e: KeyboardEvent): void => {
        const at = all.findIndex((j) => j.id === chosen);
        const to = e.key === 'ArrowRight' || e.key === 'ArrowDown' ? at + 1 : e.key === 'ArrowLeft' || e.key === 'ArrowUp' ? at - 1 : at;
        const next = all[Math.max(0, Math.min(all.length - 1, to))];
        if (next !== undefined && to !== at) {
            e.preventDefault();
            choose(next.id);
            document.getElementById(`joint-${next.id}`)?.focus();
        }
    };
    const stop = (joint: JointAdvice): ReactElement => (
        <button
            key={joint.id}
            id={`joint-${joint.id}`}
            type="button"
            role="option"
            className="track-joint"
            aria-selected={joint.id === chosen}
            tabIndex={joint.id === chosen ? 0 : -1}
            data-done={joint.closedAt !== null || undefined}
            data-own={joint.decided || undefined}
            onClick={() => choose(joint.id)}
            title={joint.because}
        >
            <b aria-hidden="true">{joint.closedAt !== null ? '✓' : joint.order}</b>
            <span>
                {joint.name}
                <small>
                    {joint.step === null ? 'no step' : `step ${joint.step}`}
                    {joint.closedAt !== null && ', closed'}
                    {joint.seam && ', seam'}
                </small>
            </span>
        </button>
    );

    return (
        <section className="card track" aria-label="Order of gluing">
            {deadStop !== null && (
                <p className="track-stop" data-testid="dead-stop">
                    <strong>By the booklet. </strong>
                    {deadStop}
                </p>
            )}
            <div className="track-run" onKeyDown={keys}>
                <div className="track-side">
                    <h2 id="track-before">Before paint</h2>
                    {before.length === 0 ? <p>Nothing is glued before paint.</p> : <div role="listbox" aria-labelledby="track-before">{before.map(stop)}</div>}
                </div>
                <div className="track-paint" aria-hidden="true">
                    <span>paint</span>
                </div>
                <div className="track-side">
                    <h2 id="track-after">After paint</h2>
                    {after.length === 0 ? <p>Nothing is left for after paint.</p> : <div role="listbox" aria-labelledby="track-after">{after.map(stop)}</div>}
                </div>
            </div>
            <p className="track-legend">The numbers are the order of gluing. Open ones are proposed, filled ones you decided.</p>
        </section>
    );
}
