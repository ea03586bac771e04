import type { ReactElement } from 'react';
import type { AspectKind } from '../api/types';

const WORDS: Record<AspectKind, string> = { open: 'open', hold: 'on hold', closing: 'closing', shut: 'shut', done: 'done' };

interface Props {
    kind: AspectKind;
    /** Part of the wait still to run, 0 to 1; for a hold. */
    left?: number;
    size?: number;
    /** On the dark edge the marks are drawn light. */
    onEdge?: boolean;
}

/** How a piece is found, told by shape first: disc open, ring waiting, wedge closing, bar shut. */
export function Mark({ kind, left = 1, size = 16, onEdge = false }: Props): ReactElement | null {
    const ink = onEdge ? 'currentColor' : 'var(--ink)';
    const line = onEdge ? 'transparent' : 'var(--mark-line)';
    if (kind === 'done') {
        return null;
    }

    return (
        <svg width={size} height={size} viewBox="0 0 24 24" role="img" aria-label={WORDS[kind]} style={{ flex: 'none' }}>
            <title>{WORDS[kind]}</title>
            {kind === 'open' && <circle cx="12" cy="12" r="8.5" fill={ink} />}
            {kind === 'hold' && <Ring left={left} line={line} />}
            {kind === 'closing' && <path d="M3 19 L21 5 V19 Z" fill="var(--vermilion)" stroke={line} strokeWidth="1" />}
            {kind === 'shut' && <rect x="3" y="9" width="18" height="6" fill={onEdge ? 'var(--edge-soft)' : 'var(--shut)'} stroke={line} strokeWidth="1" />}
        </svg>
    );
}

/** An open ring: the amber part is the wait still to run, clockwise from the top. */
function Ring({ left, line }: { left: number; line: string }): ReactElement {
    const part = Math.max(0.03, Math.min(0.999, left));
    const turn = 2 * Math.PI * part;
    const at = (angle: number, radius: number): string => `${12 - radius * Math.sin(angle)} ${12 - radius * Math.cos(angle)}`;
    const large = part > 0.5 ? 1 : 0;

    return (
        <>
            <circle cx="12" cy="12" r="8.4" fill="none" stroke="var(--rule)" strokeWidth="5.2" />
            <path
                d={`M ${at(0, 11)} A 11 11 0 ${large} 0 ${at(turn, 11)} L ${at(turn, 5.8)} A 5.8 5.8 0 ${large} 1 ${at(0, 5.8)} Z`}
                fill="var(--amber)"
                stroke={line}
                strokeWidth="0.9"
            />
        </>
    );
}
