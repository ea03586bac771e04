import { memo, type ReactElement } from 'react';
import type { Plan } from '../api/types';
import { filmTicks } from './FilmDrawing';
import { linesOf, type Placed } from './geometry';

/** Names of the rows, which stay in sight while the drawing scrolls beside them; in microns, the scale. */
export const RowLabels = memo(function RowLabels({ plan, placed, film }: { plan: Plan; placed: Placed; film: boolean }): ReactElement {
    if (film) {
        return (
            <svg width={placed.labels} height={placed.height} className="row-labels" aria-hidden="true">
                {filmTicks(plan, placed).map(({ microns, y }) => (
                    <text key={microns} x={placed.labels - 10} y={y + 5} textAnchor="end" className="row-name">
                        {microns} µm
                    </text>
                ))}
            </svg>
        );
    }
    const real = plan.section.rows.map((_, row) => plan.section.cells.some((c) => c.row === row && c.real > 0) || plan.section.caps.some((c) => (c.from === row && c.on) || (c.to === row && c.off)));

    return (
        <svg width={placed.labels} height={placed.height} className="row-labels" aria-hidden="true">
            {plan.section.rows.map((row, i) => {
                const lines = linesOf(row.title);
                const y = (placed.tops[i] ?? 0) + (placed.heights[i] ?? 0) / 2 + 4.5 - (lines.length - 1) * 6.5;

                return (
                    <text key={i} x={placed.labels - 10} y={y} textAnchor="end" className="row-name" data-kind={row.kind} data-real={real[i]}>
                        {lines.map((line, n) => (
                            <tspan key={n} x={placed.labels - 10} dy={n * 13}>
                                {line}
                            </tspan>
                        ))}
                    </text>
                );
            })}
        </svg>
    );
});
