import type { ReactElement } from 'react';
import type { CutShape, ShapeSheet } from '../api/types';

/** Room round a shape for what was measured, as a share of its larger side. */
const ROOM = 0.16;

/** One shape, large, with where the callipers go. */
export function ShapeDrawing({ shape, name }: { shape: CutShape; name: string }): ReactElement {
    const side = Math.max(shape.box.w, shape.box.h);
    const room = side * ROOM;
    const line = side / 160;
    const text = side / 18;

    return (
        <svg className="shape-drawing" role="img" aria-label={`${name}: ${shape.measured.map((m) => m.text).join(', ')}`} viewBox={`${shape.box.x - room} ${shape.box.y - room} ${shape.box.w + 2 * room} ${shape.box.h + 2 * room}`}>
            {shape.marks.map((d, i) => (
                <path key={`m${i}`} d={d} className="shape-mark" strokeWidth={line} strokeDasharray={`${3 * line} ${2 * line}`} />
            ))}
            <path d={shape.cuts.join(' ')} className="shape-cut" strokeWidth={1.6 * line} fillRule="evenodd" />
            {shape.measured.map((m) => {
                const long = Math.hypot(m.x2 - m.x1, m.y2 - m.y1) || 1;
                const [nx, ny] = [(m.y2 - m.y1) / long, -(m.x2 - m.x1) / long];
                const upright = Math.abs(m.x2 - m.x1) < Math.abs(m.y2 - m.y1);

                return (
                    <g key={m.text} className="shape-measure" strokeWidth={line}>
                        <path d={`M${m.x1} ${m.y1}L${m.x2} ${m.y2}M${m.x1 + nx * text * 0.5} ${m.y1 + ny * text * 0.5}L${m.x1 - nx * text * 0.5} ${m.y1 - ny * text * 0.5}M${m.x2 + nx * text * 0.5} ${m.y2 + ny * text * 0.5}L${m.x2 - nx * text * 0.5} ${m.y2 - ny * text * 0.5}`} />
                        <text x={(m.x1 + m.x2) / 2 + (upright ? text * 0.4 : 0)} y={(m.y1 + m.y2) / 2 - (upright ? 0 : text * 0.4)} fontSize={text} textAnchor={upright ? 'start' : 'middle'}>
                            {m.text}
                        </text>
                    </g>
                );
            })}
        </svg>
    );
}

/** All pieces as they lie on the sheet, a millimetre a millimetre, with a ruler that is held against the screen or the print. */
export function SheetDrawing({ sheet }: { sheet: ShapeSheet['sheet'] }): ReactElement {
    const high = sheet.height + 10;

    return (
        <div className="shape-true" tabIndex={0} role="group" aria-label="The sheet at true size">
            <svg role="img" aria-label={`The sheet, ${sheet.width} by ${Math.round(sheet.height)} mm, with ${sheet.count} pieces`} style={{ width: `${sheet.width}mm`, height: `${high}mm` }} viewBox={`0 ${-sheet.height} ${sheet.width} ${high}`}>
                <rect x="0.1" y={-sheet.height + 0.1} width={sheet.width - 0.2} height={sheet.height - 0.2} className="shape-paper" />
                {sheet.shapes.map((shape, i) => (
                    <g key={i}>
                        {shape.marks.map((d, j) => (
                            <path key={j} d={d} className="shape-mark" strokeWidth="0.15" />
                        ))}
                        <path d={shape.cuts.join(' ')} className="shape-cut" strokeWidth="0.25" fillRule="evenodd" />
                        <text x={shape.box.x + shape.box.w / 2} y={shape.box.y + shape.box.h / 2} fontSize={Math.max(1.6, Math.min(4, shape.box.w / 4, shape.box.h / 3))} textAnchor="middle" dominantBaseline="middle" className="shape-number">
                            {`${i + 1} ${shape.label}`.trim()}
                        </text>
                    </g>
                ))}
                <path className="shape-ruler" strokeWidth="0.3" data-testid="true-ruler" d={`M2 6H52${Array.from({ length: 11 }, (_, i) => `M${2 + 5 * i} 6v${i % 5 === 0 ? -3 : -1.5}`).join('')}`} />
                <text x="55" y="6.5" fontSize="3" className="shape-number">
                    50 mm: check after printing
                </text>
            </svg>
        </div>
    );
}
