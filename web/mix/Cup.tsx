import type { ReactElement } from 'react';
import type { Mixed } from '../api/types';

const TALL = 360;
const WIDE = 128;
const LEFT = 46;

const CHARACTERS = 18;

/** A name in lines that fit beside the cup: cut between words, never in one. */
function linesOf(name: string): string[] {
    const lines: string[] = [];
    for (const word of name.split(' ')) {
        const last = lines[lines.length - 1];
        if (last !== undefined && last.length + word.length < CHARACTERS) {
            lines[lines.length - 1] = `${last} ${word}`;
        } else {
            lines.push(word);
        }
    }

    return lines;
}

/** The cup to scale, filled in pouring order, with the mark each part is filled to. */
export function Cup({ mixed, swatches }: { mixed: Mixed; swatches: (string | null)[] }): ReactElement {
    const full = Math.max(mixed.totalMl, 0.001);
    const perCup = full / mixed.cups;
    const scale = TALL / (Math.max(mixed.cupMl, perCup) * 1.06);
    const y = (ml: number): number => TALL - ml * scale;
    const step = [0.5, 1, 2, 5, 10, 20, 50, 100].find((s) => mixed.cupMl / s <= 8) ?? 200;
    const ticks = Array.from({ length: Math.floor(Math.max(mixed.cupMl, perCup) / step) + 1 }, (_, i) => i * step);
    const layers = mixed.pouring.map((i, n) => {
        const part = mixed.parts[i];
        const before = n === 0 ? 0 : (mixed.parts[mixed.pouring[n - 1] ?? 0]?.to ?? 0);

        return { name: part?.name ?? '', from: before / mixed.cups, to: (part?.to ?? 0) / mixed.cups, swatch: swatches[i] ?? null, n };
    });
    // Marks that come close are moved apart, so that each can be read.
    let last = Infinity;
    const labels = layers.map((layer) => {
        const at = Math.min(y(layer.to), last - 24 - 16 * linesOf(`${layer.n + 1} ${layer.name}`).length);
        last = at;

        return at;
    });

    return (
        <svg className="cup" viewBox={`0 -16 340 ${TALL + 32}`} role="img" aria-label={layers.map((l) => `${l.n + 1}: ${l.name}, fill to ${l.to.toFixed(2)} ml`).join('; ')}>
            {ticks.map((t) => (
                <g key={t}>
                    <line x1={LEFT - 8} x2={LEFT} y1={y(t)} y2={y(t)} className="cup-tick" />
                    <text x={LEFT - 14} y={y(t) + 5} textAnchor="end">
                        {t}
                    </text>
                </g>
            ))}
            {layers.map((layer, i) => (
                <g key={layer.n}>
                    <rect x={LEFT} width={WIDE} y={y(layer.to)} height={Math.max(0, (layer.to - layer.from) * scale)} fill={layer.swatch ?? 'var(--raised)'} className="cup-layer" />
                    <polyline points={`${LEFT + WIDE},${y(layer.to)} ${LEFT + WIDE + 8},${y(layer.to)} ${LEFT + WIDE + 20},${labels[i] ?? 0}`} className="cup-lead" />
                    <text x={LEFT + WIDE + 26} y={(labels[i] ?? 0) + 2} className="cup-mark">
                        to {layer.to.toFixed(2)} ml
                    </text>
                    {linesOf(`${layer.n + 1} ${layer.name}`).map((line, n) => (
                        <text key={line} x={LEFT + WIDE + 26} y={(labels[i] ?? 0) + 18 + 16 * n}>
                            {line}
                        </text>
                    ))}
                </g>
            ))}
            <path d={`M${LEFT} -8 V${TALL - 6} q0 8 8 8 H${LEFT + WIDE - 8} q8 0 8 -8 V-8`} className="cup-wall" />
        </svg>
    );
}
