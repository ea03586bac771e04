import type { ReactElement } from 'react';
import type { Plan } from '../api/types';
import { Patterns } from './CellShape';
import { FOOT, HEAD, LONGEST_FOOT, type Placed } from './geometry';

/** True thickness: each area's dry film in microns, against what the engraved detail takes. */
export function FilmDrawing({ plan, placed }: { plan: Plan; placed: Placed }): ReactElement {
    const { section } = plan;
    const most = Math.max(section.film.thinkMicrons + 20, ...section.columns.map((c) => c.filmMicrons + 10));
    const height = Math.max(360, placed.height - FOOT - HEAD);
    const scale = (height - 20) / most;
    const y = (microns: number): number => HEAD + height - microns * scale;

    return (
        <svg width={placed.width} height={HEAD + height + FOOT} viewBox={`0 0 ${placed.width} ${HEAD + height + FOOT}`} className="drawing" role="img" aria-label="Film thickness of each area in microns; the table says the same">
            <Patterns />
            {[0, 20, 40, 60, 80, 100, 120, 140, 160, 180, 200].filter((m) => m <= most).map((m) => (
                <line key={m} x1="0" x2={placed.width} y1={y(m)} y2={y(m)} stroke="var(--rule)" />
            ))}
            {placed.columns.map(({ column, index, x, width }) => {
                let at = 0;

                return (
                    <g key={index}>
                        {section.cells
                            .filter((c) => c.column === index && c.filmMicrons > 0)
                            .map((cell) => {
                                const from = at;
                                at += cell.filmMicrons;
                                const laid = (cell.filmMicrons * cell.real) / cell.coats;

                                return (
                                    <g key={cell.row}>
                                        <title>{`${column.name}: ${section.rows[cell.row]?.title ?? ''}, ${cell.filmMicrons} µm`}</title>
                                        <rect x={x + 3} width={Math.max(3, width - 6)} y={y(at)} height={cell.filmMicrons * scale} fill={cell.kind === 'clear' ? 'url(#clear-lines)' : (cell.swatch ?? 'var(--raised)')} fillOpacity={cell.real === 0 && cell.kind !== 'clear' ? 0.34 : 1} stroke={cell.real === 0 ? 'var(--rule-strong)' : 'var(--ink)'} strokeDasharray={cell.real === 0 ? '3 2' : undefined} />
                                        {laid > 0 && laid < cell.filmMicrons && <line x1={x} x2={x + width} y1={y(from + laid)} y2={y(from + laid)} stroke="var(--ink)" strokeWidth="3" />}
                                    </g>
                                );
                            })}
                        {column.filmMicrons > 0 && width > 17 && (
                            <text x={x + width / 2} y={y(column.filmMicrons) - 6} textAnchor="middle" className="film-sum">
                                {Math.round(column.filmMicrons)}
                            </text>
                        )}
                        <text transform={`translate(${x + width / 2 + 4} ${HEAD + height + 8}) rotate(-58)`} textAnchor="end" className="foot-name">
                            {column.name.length > LONGEST_FOOT ? column.name.slice(0, LONGEST_FOOT - 1) + '…' : column.name}
                        </text>
                    </g>
                );
            })}
            {[
                [section.film.noteMicrons, `${section.film.noteMicrons} µm: lines begin to soften`],
                [section.film.thinkMicrons, `${section.film.thinkMicrons} µm: they fill`],
            ].map(([m, words]) => (
                <g key={m} pointerEvents="none">
                    <line x1="0" x2={placed.width} y1={y(Number(m))} y2={y(Number(m))} stroke="var(--vermilion)" strokeWidth="2" strokeDasharray="9 4" />
                    <text x={placed.width - 4} y={y(Number(m)) - 5} textAnchor="end" className="film-limit">
                        {words}
                    </text>
                </g>
            ))}
        </svg>
    );
}

export function filmTicks(plan: Plan, placed: Placed): { y: number; microns: number }[] {
    const most = Math.max(plan.section.film.thinkMicrons + 20, ...plan.section.columns.map((c) => c.filmMicrons + 10));
    const height = Math.max(360, placed.height - FOOT - HEAD);

    return [0, 20, 40, 60, 80, 100, 120, 140, 160, 180, 200].filter((m) => m <= most).map((m) => ({ microns: m, y: HEAD + height - (m * (height - 20)) / most }));
}
