import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { api } from '../api/client';
import type { BenchLine, Sheet, Step } from '../api/types';
import { useNow } from '../api/clock';
import { Paper } from '../frame/Paper';
import { wall } from '../frame/words';
import { idOf, roundsOf, told, whereOf } from '../shared/rounds';
import { useMinutes } from './MinutesField';

/** The evening on paper: every step with its figures, what to leave alone, and boxes to tick with wet gloves. */
export default function SheetPage({ buildId }: { buildId: string }): ReactElement {
    const at = useNow();
    const [minutes] = useMinutes();
    const { data: sheet } = useQuery({ queryKey: ['sheet', buildId, minutes], queryFn: () => api.get<Sheet>(`builds/${buildId}/sheet?minutes=${minutes}`) });
    if (sheet === undefined) {
        return <p>Laying the sheet out.</p>;
    }
    const zone = sheet.build.zone;
    const runs = roundsOf(sheet.lines);
    const byKey = new Map(sheet.steps.map((step) => [step.key, step]));

    return (
        <Paper
            title="Bench sheet"
            says={`${sheet.minutes} min from now, ${runs.length} ${runs.length === 1 ? 'step' : 'steps'}`}
            build={sheet.build}
            at={at}
            back={{ to: `/b/${buildId}/bench`, word: 'Back to the bench' }}
        >
            {runs.length === 0 && <p className="paper-none">Nothing can be done in these minutes: everything waits.</p>}
            <ol className="paper-steps">
                {runs.map((run) => {
                    const [line] = run as [BenchLine];
                    const own = byKey.get(line.key);
                    const when = wall(line.start, at, zone);

                    return run.length > 1 ? (
                        <PaperRound key={idOf(line)} run={run} steps={byKey} when={when} />
                    ) : line.buildId === null && own !== undefined ? (
                        <PaperStep key={idOf(line)} step={own} when={when} />
                    ) : (
                        <PaperOther key={idOf(line)} line={line} when={when} />
                    );
                })}
            </ol>
            {sheet.holds.length > 0 && (
                <section className="paper-holds">
                    <h2>Hands off</h2>
                    <ul>
                        {sheet.holds.map((hold) => (
                            <li key={hold.key}>
                                <strong>{wall(hold.until, at, zone)}</strong> {hold.label}
                                {hold.closing ? ' (do it before)' : `: until then no ${hold.forbids}`}
                            </li>
                        ))}
                    </ul>
                </section>
            )}
        </Paper>
    );
}

/** What the hands do for another build meanwhile: its own sheet says how. */
function PaperOther({ line, when }: { line: BenchLine; when: string }): ReactElement {
    return (
        <li>
            <span className="paper-box" aria-hidden="true" />
            <div>
                <strong>{line.title}</strong>, {whereOf(line)}
                <div className="paper-figures">{Math.max(1, Math.round(line.minutes))} min</div>
            </div>
            <time>{when}</time>
        </li>
    );
}

/** A basket, a board, a round: one step with a box for each of its parts. */
function PaperRound({ run, steps, when }: { run: BenchLine[]; steps: Map<string, Step>; when: string }): ReactElement {
    const [first] = run as [BenchLine];
    const own = run.map((line) => (line.buildId === null ? steps.get(line.key) : undefined)).find((step) => step !== undefined);
    const ml = run.reduce((sum, line) => sum + (line.ml ?? 0), 0);
    const s = own?.setUp ?? null;
    const figures = [
        ml > 0 ? `takes ${ml.toFixed(2).replace(/0$/, '')} ml` : '',
        s === null ? '' : `paint : thinner ${s.ratio}`,
        s === null || s.pressureBar === null ? '' : `${s.pressureBar.toFixed(1)} bar`,
        `${Math.max(1, Math.round(run.reduce((sum, line) => sum + line.minutes, 0)))} min`,
    ].filter(Boolean);
    const cautions = [...new Set(run.flatMap((line) => (line.buildId === null ? (steps.get(line.key)?.cautions ?? []) : [])))];

    return (
        <li>
            <span aria-hidden="true" />
            <div>
                <strong>{told([first]).title}</strong>
                <div className="paper-figures">{figures.join(' · ')}</div>
                <ul className="paper-parts">
                    {run.map((line) => (
                        <li key={idOf(line)}>
                            <span className="paper-box" aria-hidden="true" />
                            {whereOf(line)}
                            {line.title !== first.title ? `: ${line.title}` : ''}
                        </li>
                    ))}
                </ul>
                {own !== undefined && own.manner.length > 0 && <div className="paper-manner">{own.manner.join(' ')}</div>}
                {cautions.length > 0 && <div className="paper-caution">{cautions.join(' ')}</div>}
            </div>
            <time>{when}</time>
        </li>
    );
}

/** A caution is written out with the first step that has it; the later ones point back to it. */
function PaperStep({ step, when }: { step: Step; when: string }): ReactElement {
    const s = step.setUp;
    const figures =
        s === null
            ? [step.cup === null ? '' : `${step.cup.ml.toFixed(2).replace(/0$/, '')} ml`, `${Math.max(1, Math.round(step.minutes))} min`].filter(Boolean)
            : [s.cupMl === null ? '' : `${s.cupMl.toFixed(2).replace(/0$/, '')} ml in the cup`, `paint : thinner ${s.ratio}`, s.pressureBar === null ? '' : `${s.pressureBar.toFixed(1)} bar`, s.distanceCm === null ? '' : `${s.distanceCm[0]}–${s.distanceCm[1]} cm`, s.nozzleMm === null ? '' : `${s.nozzleMm} mm nozzle`].filter(Boolean);

    return (
        <li>
            <span className="paper-box" aria-hidden="true" />
            <div>
                <strong>{step.title}</strong>, {step.where}
                <div className="paper-figures">{figures.join(' · ')}</div>
                {step.manner.length > 0 && <div className="paper-manner">{step.manner.join(' ')}</div>}
                {step.cautions.length > 0 && <div className="paper-caution">{step.cautions.join(' ')}</div>}
                {step.cautions.length === 0 && step.cautionsAgain.length > 0 && <div className="paper-caution">Cautions as above.</div>}
            </div>
            <time>{when}</time>
        </li>
    );
}
