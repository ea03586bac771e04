import type { KeyboardEvent, ReactElement } from 'react';
import type { Plan } from '../api/types';
import type { Placed, Spot } from './geometry';
import { Still } from './Still';

interface Props {
    plan: Plan;
    placed: Placed;
    spot: Spot | null;
    choose: (spot: Spot) => void;
    numbers: Map<string, number>;
}

/** The section itself: one focus stop, arrow keys move inside it. */
export function Drawing({ plan, placed, spot, choose, numbers }: Props): ReactElement {
    const { section } = plan;

    const keys = (e: KeyboardEvent): void => {
        const order = placed.columns.map((c) => c.index);
        const here = spot ?? { column: order[0] ?? 0, row: 0 };
        const place = Math.max(0, placed.columns.findIndex((c) => c.stands.includes(here.column)));
        const moves: Record<string, Spot> = {
            ArrowLeft: { ...here, column: order[Math.max(0, place - 1)] ?? 0 },
            ArrowRight: { ...here, column: order[Math.min(order.length - 1, place + 1)] ?? 0 },
            ArrowUp: { ...here, row: nextRow(here, 1) },
            ArrowDown: { ...here, row: nextRow(here, -1) },
            Home: { ...here, column: order[0] ?? 0 },
            End: { ...here, column: order[order.length - 1] ?? 0 },
        };
        const to = moves[e.key];
        if (to !== undefined) {
            e.preventDefault();
            e.stopPropagation();
            choose(to);
        }
    };
    /** The next row up or down in which something is on this column; the row next to it where nothing is. */
    const nextRow = (from: Spot, by: 1 | -1): number => {
        for (let row = from.row + by; row >= 0 && row < section.rows.length; row += by) {
            if (section.cells.some((c) => c.column === from.column && c.row === row) || section.caps.some((c) => c.column === from.column && c.from === row)) {
                return row;
            }
        }

        return from.row;
    };

    return (
        <div className="drawing-focus" tabIndex={0} role="application" aria-label="Section drawing. Arrow keys go from layer to layer; the panel beside it says what each one is." onKeyDown={keys}>
            <svg width={placed.width} height={placed.height} viewBox={`0 0 ${placed.width} ${placed.height}`} aria-hidden="true" className="drawing">
                <Still plan={plan} placed={placed} choose={choose} numbers={numbers} />
                {spot !== null && <Chosen spot={spot} placed={placed} plan={plan} />}
            </svg>
        </div>
    );
}

function Chosen({ spot, placed, plan }: { spot: Spot; placed: Placed; plan: Plan }): ReactElement | null {
    const column = placed.columns.find((c) => c.stands.includes(spot.column));
    if (column === undefined || spot.row >= plan.section.rows.length) {
        return null;
    }

    return <rect x={column.x} y={placed.tops[spot.row]} width={column.width} height={placed.heights[spot.row]} fill="none" stroke="var(--focus)" strokeWidth="3" pointerEvents="none" data-testid="chosen" data-spot={`${spot.column} ${spot.row}`} />;
}
