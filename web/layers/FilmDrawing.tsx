import type { ReactElement } from 'react';
import type { Plan } from '../api/types';
import { Patterns } from './CellShape';
import type { Placed } from './geometry';
import { footName } from './saying';

/** What engraved lines of an outside take; an inside has none to lose. */
const LIMITS: ['noteMicrons' | 'thinkMicrons', string][] = [
    ['noteMicrons', 'lines begin to soften'],
    ['thinkMicrons', 'they fill'],
];

/** True thickness: each area's dry film in microns, against what the engraved detail takes. */
export function FilmDrawing({ plan, placed }: { plan: Plan; placed: Placed }): ReactElement {
    const { section } = plan;
    const most = Math.max(section.film.thinkMicrons + 20, ...section.columns.map((c) => c.filmMicrons + 10));
    const { head, foot, film: height } = placed;
    const scale = (height - 20) / most;
    const y = (microns: number): number => head + height - microns * scale;

    return (
        <svg width={placed.width} height={head + height + foot} viewBox={`0 0 ${placed.width} ${head + height + foot}`} className="drawing" role="img" aria-label="Film thickness of each area in microns; the table says the same">
            <Patterns />
            {[0, 20, 40, 60, 80, 100, 120, 140, 160, 180, 200].filter((m) => m <= most).map((m) => (
                <line key={m} x1="0" x2={placed.width} y1={y(m)} y2={y(m)} stroke="var(--rule)" />
            ))}
            {placed.columns.map(({ column, index, stands, x, width }) => {
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
                        {column.filmMicrons > 0 && (
                            <text x={x + width / 2} textAnchor="middle" className="film-sum">
                                <tspan x={x + width / 2} y={y(column.filmMicrons) - (index % 2 === 1 && width < 26 ? 20 : 6)}>
                                    {Math.round(column.filmMicrons)}
                                </tspan>
                                {column.filmNowMicrons > 0 && column.filmNowMicrons < column.filmMicrons && (
                                    <tspan x={x + width / 2} y={y(column.filmNowMicrons) - 4} className="film-now">
                                        {Math.round(column.filmNowMicrons)}
                                    </tspan>
                                )}
                            </text>
                        )}
                        <text transform={`translate(${x + width / 2 + 4} ${head + height + 8}) rotate(-58)`} textAnchor="end" className="foot-name">
                            {footName(column.name, stands)}
                        </text>
                    </g>
                );
            })}
            {LIMITS.map(([which, words], i) => {
                const microns = section.film[which];
                const outside = placed.columns.filter(({ column }) => !column.inside);

                return (
                    <g key={which} pointerEvents="none">
                        {outside.map(({ index, x, width }) => (
                            <line key={index} x1={x - 4} x2={x + width + 4} y1={y(microns)} y2={y(microns)} stroke="var(--vermilion)" strokeWidth={i + 1} strokeDasharray="6 3" />
                        ))}
                        {outside.length > 0 && (
                            <text x={placed.width - 4} y={y(microns) - 5} textAnchor="end" className="film-limit">
                                {microns} µm: {words}
                            </text>
                        )}
                    </g>
                );
            })}
        </svg>
    );
}

export function filmTicks(plan: Plan, placed: Placed): { y: number; microns: number }[] {
    const most = Math.max(plan.section.film.thinkMicrons + 20, ...plan.section.columns.map((c) => c.filmMicrons + 10));
    const height = placed.film;

    return [0, 20, 40, 60, 80, 100, 120, 140, 160, 180, 200].filter((m) => m <= most).map((m) => ({ microns: m, y: placed.head + height - (m * (height - 20)) / most }));
}
