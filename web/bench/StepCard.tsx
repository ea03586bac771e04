import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { ReactElement } from 'react';
import type { BenchLine, Step } from '../api/types';
import { StackColumn } from '../drawing/StackColumn';
import { useNow } from '../api/clock';
import { linkForCup } from '../shared/cupLink';
import { ColourRows } from '../shared/ColourRows';
import { minutesUntil, span, wall } from '../frame/words';
import { MaskCard, type MaskAnswers } from './MaskCard';
import { Parts } from './Parts';

interface Props {
    buildId: string;
    step: Step;
    /** Where it is done in one go with others: all of them, it among them. */
    parts: BenchLine[];
    tick: (part: BenchLine) => void;
    sent: boolean;
    masks: MaskAnswers;
    closesAt: string | null;
    zone: string;
    done: () => void;
    wrong: () => void;
    earlier: () => void;
}

/** The step at hand, large enough to be read at arm's length. */
export function StepCard({ buildId, step, parts, tick, sent, masks, closesAt, zone, done, wrong, earlier }: Props): ReactElement {
    const at = useNow();
    const round = parts.find((part) => part.key === step.key && part.buildId === null)?.round ?? null;
    const minutes = round === null ? step.minutes : parts.reduce((sum, part) => sum + part.minutes, 0);

    return (
        <section className="card step" data-edge={closesAt === null ? 'hands' : 'closing'} aria-labelledby="step-title">
            {step.layers !== null && <StackColumn stack={step.layers} />}
            <div className="step-body">
                <p className="step-where">
                    {round === null ? step.where : `${parts.length} in one go`}
                    {step.of > 1 && step.setUp !== null ? ` · coat ${step.n} of ${step.of}` : ''}
                </p>
                <h2 id="step-title" data-testid="step-title">
                    {step.swatch !== null && (step.sprays || step.cup !== null) && <span className="swatch" style={{ background: step.swatch }} aria-hidden="true" />}
                    {round?.title ?? step.title}
                </h2>
                {closesAt !== null && (
                    <p className="step-closes">
                        Closes in {span(minutesUntil(closesAt, at))}, at {wall(closesAt, at, zone)}.
                    </p>
                )}
                {step.setUp !== null && <Figures step={step} cupMl={round === null ? step.setUp.cupMl : parts.reduce((sum, part) => sum + (part.ml ?? 0), 0)} takes={round !== null} />}
                {round !== null && <Parts buildId={buildId} parts={parts} tick={tick} />}
                {step.masks !== null && round === null && <MaskCard laid={step.masks} answers={masks} />}
                {step.list !== null && <ColourRows buildId={buildId} list={step.list} button={step.button} />}
                {step.setUp === null && step.list === null && (
                    <dl className="figures">
                        {step.cup !== null && (
                            <>
                                <div>
                                    <dt>in the cup</dt>
                                    <dd>{step.cup.ml.toFixed(2).replace(/0$/, '')} ml</dd>
                                </div>
                                <div>
                                    <dt>for</dt>
                                    <dd>{step.cup.coats === 1 ? 'one coat' : `${step.cup.coats} coats`}</dd>
                                </div>
                            </>
                        )}
                        <div>
                            <dt>hands on</dt>
                            <dd>{Math.max(1, Math.round(minutes))} min</dd>
                        </div>
                    </dl>
                )}
                {step.technique !== '' && <p className="step-how">{step.technique}</p>}
                {step.manner.length > 0 && <p className="step-manner">{step.manner.join(' ')}</p>}
                <p className="step-why">
                    <strong>Why now: </strong>
                    {step.why.join(' ')}
                </p>
                {step.dontTouch.length > 0 && (
                    <p className="step-why">
                        <strong>Do not touch: </strong>
                        {step.dontTouch.join(' ')}
                    </p>
                )}
            </div>
            <div className="step-presses">
                {step.list === null && (
                    <Button data-main onClick={done} disabled={sent || !masks.ready} data-testid="done">
                        {sent ? 'Sending' : (round?.button ?? step.button)} <kbd aria-hidden="true">Enter</kbd>
                    </Button>
                )}
                {!masks.ready && <p className="step-asks">Say at each mask which one it is, then it counts.</p>}
                {step.faultTargets.length > 0 && (
                    <Button onClick={wrong} data-testid="wrong">
                        Something went wrong
                    </Button>
                )}
                <Button onClick={earlier} data-testid="earlier">
                    Done earlier
                </Button>
                {step.cup !== null && typeof step.event.product === 'string' && (
                    <Link className="plain-press" to={linkForCup(buildId, step.event.product, step.cup)}>
                        Cup with fill-to marks
                    </Link>
                )}
                {step.cautionsAgain.length > 0 && (
                    <p className="cautions-again" title={step.cautionsAgain.join(' ')}>
                        <span aria-hidden="true">▲ </span>Still on: {step.cautionsAgain.map((c) => c.split(/[,.:;]/)[0]).join(' · ')}
                    </p>
                )}
                {step.cautions.length > 0 && (
                    <ul className="cautions" aria-label="Cautions">
                        {step.cautions.map((caution) => (
                            <li key={caution}>{caution}</li>
                        ))}
                    </ul>
                )}
            </div>
        </section>
    );
}

function Figures({ step, cupMl, takes }: { step: Step; cupMl: number | null; takes: boolean }): ReactElement | null {
    const s = step.setUp;
    if (s === null) {
        return null;
    }

    return (
        <dl className="figures">
            {cupMl !== null && (
                <div title={cupMl === s.cupMl ? s.cupWhy : undefined}>
                    <dt>{takes ? 'takes of the cup' : 'in the cup'}</dt>
                    <dd>{cupMl.toFixed(2).replace(/0$/, '')} ml</dd>
                </div>
            )}
            <div title={`thinner: ${s.thinner}`}>
                <dt>paint : thinner</dt>
                <dd>{s.ratio}</dd>
            </div>
            {s.pressureBar !== null && (
                <div>
                    <dt>air, trigger down</dt>
                    <dd>{s.pressureBar.toFixed(1)} bar</dd>
                </div>
            )}
            {s.distanceCm !== null && (
                <div>
                    <dt>distance</dt>
                    <dd>
                        {s.distanceCm[0]}–{s.distanceCm[1]} cm
                    </dd>
                </div>
            )}
            {s.nozzleMm !== null && (
                <div>
                    <dt>nozzle</dt>
                    <dd>{s.nozzleMm} mm</dd>
                </div>
            )}
        </dl>
    );
}
