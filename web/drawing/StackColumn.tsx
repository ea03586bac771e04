import type { ReactElement } from 'react';
import type { Stack } from '../api/types';

const WIDTH = 132;
const ROW = 24;

/** One area cut edge-on, oldest layer at the bottom: what is there is solid, what is planned is ghosted. */
export function StackColumn({ stack }: { stack: Stack }): ReactElement {
    const rows = stack.layers;
    const real = rows.filter((r) => !r.planned).length;
    const height = ROW * (rows.length + 1) + 8;
    /** Top of the place-th box from the bottom; 0 is the bare material. */
    const top = (place: number): number => height - 4 - ROW * (place + 1);

    return (
        <figure className="stack" aria-label={`Layers on ${stack.area}`}>
            <svg width={WIDTH} height={height} viewBox={`0 0 ${WIDTH} ${height}`} aria-hidden="true">
                <rect x="0.5" y={top(0) + 0.5} width="40" height={ROW - 4} fill="var(--rule)" stroke="var(--rule-strong)" />
                <text x="48" y={top(0) + 15}>
                    {stack.base}
                </text>
                {rows.map((row, i) => {
                    const at = top(i + 1);

                    return (
                        <g key={i} opacity={row.planned && !row.current ? 0.75 : 1}>
                            <rect x="0.5" y={at + 0.5} width="40" height={ROW - 4} fill={row.swatch ?? 'var(--surface)'} fillOpacity={row.planned ? 0.35 : 1} stroke="var(--ink)" strokeWidth={row.current ? 2 : 1} strokeDasharray={row.planned ? '3 2' : undefined} />
                            <text x="48" y={at + 15} className={row.current ? 'stack-now' : undefined}>
                                {row.label}
                                {row.coats > 1 ? ` ×${row.coats}` : ''}
                            </text>
                        </g>
                    );
                })}
                <line x1="-4" x2={WIDTH} y1={top(real) - 1.5} y2={top(real) - 1.5} stroke="var(--ink)" strokeWidth="2" />
            </svg>
            <div className="quiet">
            <table>
                <caption>Layers on {stack.area}, oldest first</caption>
                <tbody>
                    <tr>
                        <td>{stack.base}</td>
                        <td>bare material</td>
                    </tr>
                    {rows.map((row, i) => (
                        <tr key={i}>
                            <td>
                                {row.label}, {row.product}
                            </td>
                            <td>
                                {row.coats} {row.coats === 1 ? 'coat' : 'coats'}, {row.planned ? 'planned' : 'on'}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            </div>
        </figure>
    );
}
