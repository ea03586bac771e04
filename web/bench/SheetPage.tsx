import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { api } from '../api/client';
import type { Sheet, Step } from '../api/types';
import { useNow } from '../api/clock';
import { Paper } from '../frame/Paper';
import { wall } from '../frame/words';
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

    return (
        <Paper
            title="Bench sheet"
            says={`${sheet.minutes} min from now, ${sheet.steps.length} ${sheet.steps.length === 1 ? 'step' : 'steps'}`}
            build={sheet.build}
            at={at}
            back={{ to: `/b/${buildId}/bench`, word: 'Back to the bench' }}
        >
            {sheet.steps.length === 0 && <p className="paper-none">Nothing can be done in these minutes: everything waits.</p>}
            <ol className="paper-steps">
                {sheet.steps.map((step) => (
                    <PaperStep key={step.key} step={step} when={wall(step.start, at, zone)} />
                ))}
            </ol>
            {sheet.beside.length > 0 && (
                <section className="paper-holds">
                    <h2>On other builds meanwhile</h2>
                    <ul>
                        {sheet.beside.map((line) => (
                            <li key={`${line.buildId ?? ''} ${line.key}`}>
                                <strong>{wall(line.start, at, zone)}</strong> {line.build}: {line.title}, {line.where}, {Math.max(1, Math.round(line.minutes))} min
                            </li>
                        ))}
                    </ul>
                </section>
            )}
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
