import type { ReactElement } from 'react';
import type { Bench, BenchLine } from '../api/types';
import { useNow } from '../api/clock';
import { shortName } from '../frame/shortName';
import { useWidth } from '../frame/useWidth';
import { clock } from '../frame/words';
import { idOf, roundsOf, told, whereOf } from '../shared/rounds';

const ROW = 34;
/** px of the names, and a letter of them. */
const NAME = [110, 250] as const;
const LETTER = 7.4;

/** The evening as a strip: each piece comes back when its wait is over. */
export function TurnRound({ bench }: { bench: Bench }): ReactElement {
    const at = useNow();
    const [ref, width] = useWidth();
    const start = Date.parse(bench.now);
    const end = start + bench.minutes * 60000;
    const rows = byPiece(bench.follows).slice(0, 8);
    const hidden = byPiece(bench.follows).length - rows.length;
    const w = Math.max(320, width);
    const side = Math.min(NAME[1], w * 0.4, Math.max(NAME[0], 14 + LETTER * Math.max(...rows.map(([name]) => Math.max(...name.split(': ').map((part) => part.length))))));
    const x = (ms: number): number => side + ((w - side - 14) * (Math.min(Math.max(ms, start), end) - start)) / (end - start);
    const every = bench.minutes <= 45 ? 5 : bench.minutes <= 150 ? 15 : 60;
    const ticks = Array.from({ length: Math.floor(bench.minutes / every) + 1 }, (_, i) => start + i * every * 60000);
    const height = rows.length * ROW + 26;

    return (
        <section className="card turn" aria-labelledby="turn">
            <header>
                <h2 id="turn" className="card-title">
                    The turn-round
                </h2>
                <p>each piece comes back when its wait is over, of whichever build{hidden > 0 ? `; ${hidden} more ${hidden === 1 ? "piece" : "pieces"}` : ''}</p>
            </header>
            <div ref={ref}>
                <svg width="100%" height={height} viewBox={`0 0 ${w} ${height}`} preserveAspectRatio="none" role="img" aria-label="What follows, by piece and time; the same as a table below">
                    {ticks.map((t, i) => (
                        <g key={t}>
                            <line x1={x(t)} x2={x(t)} y1="0" y2={height - 22} stroke="var(--rule)" />
                            <text x={x(t)} y={height - 6} textAnchor={i === 0 ? 'start' : i === ticks.length - 1 ? 'end' : 'middle'} className="tick-text">
                                {clock(t, bench.build.zone)}
                            </text>
                        </g>
                    ))}
                    {rows.map(([name, steps], i) => (
                        <Row key={name} name={name} room={Math.floor((side - 10) / LETTER)} steps={steps} y={i * ROW + 3} x={x} />
                    ))}
                    <line x1={x(at)} x2={x(at)} y1="0" y2={height - 22} stroke="var(--ink)" strokeWidth="2.5" />
                </svg>
            </div>
            <div className="quiet">
            <table>
                <caption>What follows, in order of time</caption>
                <tbody>
                    {bench.follows.map((step) => (
                        <tr key={idOf(step)}>
                            <td>{clock(Date.parse(step.start), bench.build.zone)}</td>
                            <td>{step.title}</td>
                            <td>{whereOf(step)}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            </div>
            <ol className="turn-list" aria-hidden="true">
                {roundsOf(bench.follows)
                    .slice(1, 5)
                    .map((run) => {
                        const [first] = run as [BenchLine];
                        const { title, where } = told(run);

                        return (
                            <li key={idOf(first)}>
                                <time>{clock(Date.parse(first.start), bench.build.zone)}</time> {title} <span>{where}</span>
                            </li>
                        );
                    })}
            </ol>
        </section>
    );
}

function Row({ name, room, steps, y, x }: { name: string; room: number; steps: BenchLine[]; y: number; x: (ms: number) => number }): ReactElement {
    const cut = name.indexOf(': ');
    const [build, piece] = cut < 0 ? [undefined, name] : [name.slice(0, cut), name.slice(cut + 2)];

    return (
        <g>
            <title>{name}</title>
            {build !== undefined && (
                <text x="0" y={y + 10} className="turn-build">
                    {build}
                </text>
            )}
            <text x="0" y={y + (build === undefined ? 19 : 25)} className="turn-name">
                {piece.length > room ? piece.slice(0, room - 1) + '…' : piece}
            </text>
            {steps.map((step, i) => {
                const from = x(Date.parse(step.start));
                const width = Math.max(7, x(Date.parse(step.end)) - from);
                const next = steps[i + 1];
                const gap = next === undefined ? 0 : x(Date.parse(next.start)) - from - width;

                return (
                    <g key={idOf(step)}>
                        {gap > 4 && !isGun(step) && <rect x={from + width} y={y + 11} width={gap} height="6" fill="var(--amber)" stroke="var(--mark-line)" strokeWidth="0.7" />}
                        <rect x={from} y={y + 2} width={width} height="24" fill={step.sprays && step.swatch !== null ? step.swatch : 'var(--surface)'} stroke="var(--ink)">
                            <title>{step.title}</title>
                        </rect>
                        {width > 16 && !step.sprays && (
                            <text x={from + 5} y={y + 19} className="turn-op">
                                {fit(step.operation.replace('-', ' '), width)}
                            </text>
                        )}
                    </g>
                );
            })}
        </g>
    );
}

/** The gun stands on a line of its own, with its cup: neither is a wait of a piece. */
function isGun(step: BenchLine): boolean {
    return ['rinse', 'strip', 'mix'].includes(step.operation);
}

function fit(word: string, width: number): string {
    const most = Math.floor((width - 8) / 7);

    return word.length <= most ? word : most >= 3 ? word.slice(0, most - 1) + '…' : '';
}

function byPiece(steps: BenchLine[]): [string, BenchLine[]][] {
    const rows = new Map<string, BenchLine[]>();
    for (const step of steps) {
        const name = isGun(step) ? 'The gun' : step.build === null ? step.piece : `${shortName(step.build)}: ${step.piece}`;
        rows.set(name, [...(rows.get(name) ?? []), step]);
    }

    return [...rows];
}
