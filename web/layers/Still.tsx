import { memo, type ReactElement } from 'react';
import type { Plan, SectionCell } from '../api/types';
import { useMinute } from '../api/clock';
import { span } from '../frame/words';
import { CellShape, Patterns } from './CellShape';
import { type Placed, type PlacedColumn, type Spot, yOf } from './geometry';
import { capWords, describe, footName } from './saying';

/** px from which a wait is told in words. */
const NARROWEST = 40;
/** px a count of coats takes in its cell. */
const COATS = 20;
/** Minutes: a planned wait shorter than this is no lid, the layer's coats take as long. */
const SHORT = 60;

interface Props {
    plan: Plan;
    placed: Placed;
    choose: (spot: Spot) => void;
    numbers: Map<string, number>;
}

/** All that stands while one goes from layer to layer: drawn anew with the plan, its layout and the minute. */
export const Still = memo(function Still({ plan, placed, choose, numbers }: Props): ReactElement {
    const at = useMinute();
    const { section } = plan;
    const shown = new Map(placed.columns.map((c) => [c.index, c]));
    const standing = new Map(placed.columns.flatMap((c) => c.stands.map((index) => [index, c] as const)));
    const fits = (text: string, width: number, size = 6.2): boolean => text.length * size < width - 6;

    return (
        <>
            <Patterns />
            {section.rows.map((row, i) => (
                <line key={i} x1="0" x2={placed.width} y1={(placed.tops[i] ?? 0) + 0.5} y2={(placed.tops[i] ?? 0) + 0.5} stroke="var(--rule)" strokeOpacity={row.kind === 'mask-on' || row.kind === 'mask-off' ? 0.5 : 1} />
            ))}
            {section.cells.map((cell) => {
                const column = shown.get(cell.column);

                return column === undefined ? null : (
                    <g key={`${cell.column} ${cell.row}`} className="cell" onClick={() => choose({ column: cell.column, row: cell.row })}>
                        <title>{describe(plan, cell)}</title>
                        <rect x={column.x} y={placed.tops[cell.row]} width={column.width} height={placed.heights[cell.row]} fill="transparent" />
                        <CellShape cell={cell} base={column.column.baseSwatch} x={column.x} y={placed.tops[cell.row] ?? 0} width={column.width} height={placed.heights[cell.row] ?? 0} />
                        {cell.pins.length > 0 && <PinMark x={column.x + (column.width > 20 ? 3 : 1)} y={(placed.tops[cell.row] ?? 0) + 2} />}
                        {cell.coats > 1 && column.width > 30 && cell.kind !== 'bare' && (
                            <text x={column.x + 6 + (cell.pins.length > 0 ? 8 : 0)} y={(placed.tops[cell.row] ?? 0) + (placed.heights[cell.row] ?? 0) / 2 + 5} className="cell-coats" fill={inkOn(cell)}>
                                ×{cell.coats}
                            </text>
                        )}
                    </g>
                );
            })}
            {section.caps.map((cap, i) => {
                const column = shown.get(cap.column);
                if (column === undefined) {
                    return null;
                }
                const bottom = (placed.tops[cap.from] ?? 0) + (placed.heights[cap.from] ?? 0);
                const top = cap.to === null ? placed.tops[section.rows.length - 1] ?? 0 : (placed.tops[cap.to] ?? 0) + (placed.heights[cap.to] ?? 0) / 2;

                return (
                    <g key={i} className="cell" onClick={() => choose({ column: cap.column, row: cap.from })}>
                        <title>{capWords(plan, cap)}</title>
                        <rect x={column.x + 1} y={top} width={Math.max(3, column.width - 2)} height={bottom - top - 2} fill="url(#cap-hatch)" stroke="var(--ink)" strokeWidth="1.4" strokeDasharray={cap.on ? undefined : '4 3'} fillOpacity={cap.on ? 1 : 0.75} />
                        {cap.pins.length > 0 && <PinMark x={column.x + 1} y={top} />}
                    </g>
                );
            })}
            {section.lids.map((lid, i) => {
                const column = shown.get(lid.column);
                if (column === undefined) {
                    return null;
                }
                const y = yOf(lid.row + lid.at, placed);
                const minutes = lid.until === null || lid.from === null ? 0 : Math.round((Date.parse(lid.until) - (lid.running ? at : Date.parse(lid.from))) / 60000);
                const coats = section.cells.find((c) => c.column === lid.column && c.row === lid.row && c.kind !== 'bare')?.coats ?? 1;
                const side = coats > 1 && column.width > 30 ? COATS : 0;
                // Beside the count of coats there is room for the whole wait, for a short one, or for none.
                const text = (column.width < NARROWEST ? [] : [span(Math.max(0, minutes)), shortSpan(minutes)]).find((words) => fits(words, column.width - side)) ?? '';
                if (!lid.running && minutes < SHORT) {
                    return null;
                }

                return (
                    <g key={i} pointerEvents="none">
                        <rect x={column.x + 3} y={y + 1.5} width={Math.max(3, column.width - 6)} height={lid.running ? 6 : 3.5} fill="var(--amber)" stroke="var(--mark-line)" strokeWidth={lid.running ? 1.2 : 0.7} />
                        {text !== '' && <LidText x={column.x + column.width - 7} y={y + 17} text={text} bold={lid.running} />}
                    </g>
                );
            })}
            <Stair plan={plan} placed={placed} />
            {placed.columns.filter(({ column }) => !folded(placed, column.pieceId)).map(({ column, index, stands, x, width }) => (
                <ColumnFoot key={index} name={footName(column.name, stands)} cm2={column.cm2} measured={column.measured} x={x} width={width} y={(placed.tops[0] ?? 0) + (placed.heights[0] ?? 0)} />
            ))}
            {[...numbers].map(([key, number]) =>
                placesOf(section.marks.find((m) => m.finding === key)?.places ?? [], standing).map(({ place, column }, i) => {
                    const stop = plan.findings.find((f) => f.key === key)?.severity === 'stop';

                    return (
                        <g key={`${key} ${i}`} pointerEvents="none" transform={`translate(${column.x + column.width / 2} ${(placed.tops[place.row] ?? 0) + (placed.heights[place.row] ?? 0) / 2})`}>
                            <circle r="9" fill={stop ? 'var(--vermilion)' : 'var(--surface)'} stroke={stop ? 'var(--surface)' : 'var(--ink)'} strokeWidth="1.5" />
                            <text textAnchor="middle" y="4.5" className="cell-number" fill={stop ? '#ffffff' : 'var(--ink)'}>
                                {number}
                            </text>
                        </g>
                    );
                }),
            )}
        </>
    );
});

/** Where a finding's number stands: once on columns drawn as one, six times at most. */
function placesOf(places: Spot[], standing: Map<number, PlacedColumn>): { place: Spot; column: PlacedColumn }[] {
    const seen = new Set<string>();

    return places
        .flatMap((place) => {
            const column = standing.get(place.column);
            const key = `${column?.index ?? ''} ${place.row}`;

            return column === undefined || seen.has(key) || !seen.add(key) ? [] : [{ place, column }];
        })
        .slice(0, 6);
}

function folded(placed: Placed, pieceId: string): boolean {
    return placed.pieces.some((p) => p.id === pieceId && p.folded);
}

/** The now line as a stair: in each column above what is really there. */
function Stair({ plan, placed }: { plan: Plan; placed: Placed }): ReactElement {
    const steps = placed.columns.map(({ column, x, width }) => ({ x, width, y: yOf(column.now, placed) - 0.5 }));
    const path = steps.map((s, i) => `${i === 0 ? `M 0 ${s.y} L ${s.x}` : `L ${s.x - 5} ${steps[i - 1]?.y ?? s.y} L ${s.x - 5}`} ${s.y} L ${s.x + s.width} ${s.y}`).join(' ');

    return plan.section.columns.length === 0 ? <g /> : <path d={path} fill="none" stroke="var(--ink)" strokeWidth="3" strokeLinejoin="miter" pointerEvents="none" data-testid="stair" />;
}

function ColumnFoot({ name, cm2, measured, x, width, y }: { name: string; cm2: number; measured: boolean; x: number; width: number; y: number }): ReactElement {
    const size = `${measured ? '' : '~'}${cm2} cm²`;
    if (width >= 84 && name.length * 6.6 < width + 8) {
        return (
            <text textAnchor="middle" x={x + width / 2} y={y + 18} className="foot-name">
                {name}
                <tspan x={x + width / 2} dy="16" className="foot-size">
                    {size}
                </tspan>
            </text>
        );
    }

    return (
        <text transform={`translate(${x + width / 2 + 4} ${y + 8}) rotate(-58)`} textAnchor="end" className="foot-name">
            {name}
        </text>
    );
}

/** 45m, 39h, 3d. */
function shortSpan(minutes: number): string {
    return minutes < 100 ? `${minutes}m` : minutes < 72 * 60 ? `${Math.round(minutes / 60)}h` : `${Math.round(minutes / 1440)}d`;
}

function LidText({ x, y, text, bold }: { x: number; y: number; text: string; bold: boolean }): ReactElement {
    return (
        <text x={x} y={y} textAnchor="end" className="lid-text" fontWeight={bold ? 700 : 500}>
            {text}
        </text>
    );
}

/** A pinned thing has a folded corner. */
function PinMark({ x, y }: { x: number; y: number }): ReactElement {
    return <path d={`M ${x} ${y} h 9 l -9 9 z`} fill="var(--ink)" stroke="var(--surface)" strokeWidth="1" />;
}

/** Black or white, whichever reads on the paint. */
function inkOn(cell: SectionCell): string {
    if (cell.swatch === null || cell.real < cell.coats || cell.kind === 'clear' || cell.kind === 'wash' || cell.kind === 'decal') {
        return 'var(--ink)';
    }
    const [r, g, b] = [1, 3, 5].map((i) => parseInt(cell.swatch?.slice(i, i + 2) ?? '0', 16)) as [number, number, number];

    return 0.3 * r + 0.59 * g + 0.11 * b > 128 ? '#1a1a1a' : '#ffffff';
}
