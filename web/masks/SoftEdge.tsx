import { TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { SoftEdges } from '../api/types';

type Known = 'width' | 'roll' | 'height';

const KNOWN: { known: Known; name: string; label: string }[] = [
    { known: 'width', name: 'The width I want', label: 'width of the edge, mm' },
    { known: 'roll', name: 'The roll I have', label: 'diameter of the roll, mm' },
    { known: 'height', name: 'The card I hold', label: 'height of the card, mm' },
];

/** From the width of a soft edge to the roll that makes it, and back. */
export function SoftEdge({ scale, wanted }: { scale: number; wanted: number }): ReactElement {
    const [known, choose] = useState<Known>('width');
    const [mm, set] = useState(String(wanted));
    const [tilt, lean] = useState('0');
    const search = new URLSearchParams({ [known]: mm, tilt, scale: String(scale) }).toString();
    const { data, error } = useQuery({ queryKey: ['soft-edge', search], queryFn: () => api.get<SoftEdges>(`soft-edge?${search}`), enabled: mm.trim() !== '', refetchInterval: false, retry: false });
    const wrong = error instanceof Refused ? error.problems[0] : undefined;
    const told = (field: string): string | undefined => (wrong?.path === field ? `${wrong.wrong}; ${wrong.right}` : undefined);

    return (
        <section className="card soft-edge" aria-labelledby="soft-title">
            <h2 id="soft-title">How soft an edge</h2>
            <div className="views" role="group" aria-label="What is known">
                {KNOWN.map((k) => (
                    <button key={k.known} type="button" className="view" aria-pressed={known === k.known} onClick={() => choose(k.known)}>
                        {k.name}
                    </button>
                ))}
            </div>
            <div className="soft-fields">
                <TextInput label={KNOWN.find((k) => k.known === known)?.label} value={mm} onChange={(e) => set(e.currentTarget.value)} error={told(known)} maxLength={8} />
                <TextInput label="gun leans over the mask by, °" value={tilt} onChange={(e) => lean(e.currentTarget.value)} error={told('tilt')} maxLength={5} />
            </div>
            <ul className="soft-ways" aria-live="polite" data-testid="soft-ways">
                {wrong === undefined &&
                    data?.ways.map((way) => (
                        <li key={way.by}>
                            <strong>{way.by === 'roll' ? `Roll of ${way.rollMm ?? 0} mm` : `Card held ${way.standOffMm} mm off`}</strong>: {way.widthMm} mm wide ({way.fullMm} mm full size), {way.movedMm} mm from {way.by === 'roll' ? 'where the roll touches' : 'under the edge of the card'}. {way.else}
                        </li>
                    ))}
            </ul>
            {data !== undefined && <p className="soft-typical">By a gun on the full-size subject {data.typicalFullMm.join(' to ')} mm: {data.typicalFullMm.map((mm) => (mm / scale).toFixed(1)).join(' to ')} mm here.</p>}
        </section>
    );
}
