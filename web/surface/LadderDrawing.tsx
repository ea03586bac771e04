import type { ReactElement } from 'react';
import type { Place } from '../api/types';

const WIDTH = 340;
const HEIGHT = 110;
const FOOT = 42;
const WIDEST = 86;

/** Scratches that fall from grit to grit, as deep as they are drawn; what is missing is outlined. */
export function LadderDrawing({ ladder }: { ladder: Place['ladder'] }): ReactElement {
    const most = Math.max(1, ...ladder.steps.map((s) => s.microns));
    const each = Math.min(WIDEST, WIDTH / Math.max(1, ladder.steps.length));
    const missing = ladder.steps.filter((s) => s.missing);

    return (
        <figure className="ladder-figure">
            <svg viewBox={`0 0 ${WIDTH} ${HEIGHT + FOOT}`} role="img" aria-label={ladder.steps.map((s) => `${s.grit}, ${s.microns} µm${s.missing ? ', to buy' : ''}`).join('; ')}>
                <line x1="0" y1="0.5" x2={WIDTH} y2="0.5" className="ladder-top" />
                {ladder.steps.map((step, i) => {
                    const depth = Math.max(4, (step.microns / most) * HEIGHT);

                    return (
                        <g key={step.grit} transform={`translate(${i * each} 0)`}>
                            <path d={`M6 0 L${each / 2} ${depth} L${each - 6} 0 Z`} className="ladder-scratch" data-missing={step.missing || undefined} />
                            <text x={each / 2} y={HEIGHT + 18} textAnchor="middle" className="ladder-grit">
                                {step.grit}
                            </text>
                            <text x={each / 2} y={HEIGHT + 36} textAnchor="middle">
                                {step.microns} µm
                            </text>
                        </g>
                    );
                })}
            </svg>
            <figcaption>
                {ladder.steps.length === 0
                    ? 'No grit on sale leads there.'
                    : missing.length === 0
                      ? `${ladder.to} is ${ladder.why}. You have all of them.`
                      : `${ladder.to} is ${ladder.why}. To buy: ${missing.map((s) => s.grit).join(', ')}.`}
            </figcaption>
        </figure>
    );
}
