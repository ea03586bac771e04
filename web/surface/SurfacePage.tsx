import './surface.css';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { api } from '../api/client';
import type { Seam, SurfacePage as Surface } from '../api/types';
import { Mark } from '../drawing/Mark';
import { useNow } from '../frame/clock';
import { leftOf } from '../frame/Edge';
import { queries, useSurface } from '../frame/queries';
import { minutesUntil, span, wall } from '../frame/words';
import { LadderDrawing } from './LadderDrawing';

/** What judges see first: every seam with how far it has come, what fills it, and the grits from filler to primer. */
export default function SurfacePage({ buildId }: { buildId: string }): ReactElement {
    const { data } = useSurface(buildId);

    return data === undefined ? <p>Looking along the seams.</p> : <SurfaceStation data={data} />;
}

function SurfaceStation({ data }: { data: Surface }): ReactElement {
    const [chosen, choose] = useState<string | null>(null);
    const seam = data.seams.find((s) => s.id === chosen) ?? data.seams.find((s) => !s.good) ?? data.seams[0];
    const own = (grit: string): void => {
        const owned = data.owned.includes(grit) ? data.owned.filter((g) => g !== grit) : [...data.owned, grit];
        void api.put('grits', { owned }).then(() => queries.invalidateQueries());
    };

    return (
        <div className="surface">
            <div className="page-head">
                <h1>Surface</h1>
                <p>
                    {data.seams.length} {data.seams.length === 1 ? 'seam' : 'seams'}, {data.seams.filter((s) => s.good).length} good
                </p>
            </div>
            {seam === undefined ? (
                <section className="card empty">
                    <h2>No seam to make good</h2>
                    <p>Say which joints must vanish, on their lines or in the table of joints.</p>
                    <Link className="plain-press" to={`/b/${data.build.id}/kit`}>
                        To the kit
                    </Link>
                </section>
            ) : (
                <>
                    <section className="card strips" aria-label="Seams">
                        <ul>
                            {data.seams.map((s) => (
                                <li key={s.id}>
                                    <Strip seam={s} zone={data.build.zone} here={s.id === seam.id} choose={() => choose(s.id)} />
                                </li>
                            ))}
                        </ul>
                    </section>
                    <aside className="surface-side">
                        <section className="card filler" aria-labelledby="filler-title">
                            <h2 id="filler-title">{seam.name}</h2>
                            <p className="filler-what">
                                {seam.gapMm > 0 ? `${seam.gapMm} mm wide` : 'no gap'}
                                {seam.lengthCm > 0 && `, ${seam.lengthCm} cm long`}
                            </p>
                            {seam.filledWith !== null && <p className="filler-choice">Filled with {seam.filledWith}.</p>}
                            {seam.gapMm > 0 && seam.filledWith === null && (
                                <>
                                    <p className="filler-choice" data-testid="filler">
                                        <strong>{seam.advice.word.charAt(0).toUpperCase() + seam.advice.word.slice(1)}</strong>: {seam.advice.why}.
                                    </p>
                                    <p>{seam.advice.how.join(' ')}</p>
                                    {seam.advice.runnerUp !== null && (
                                        <p className="filler-else">
                                            Else <strong>{seam.advice.runnerUp.word}</strong>: {seam.advice.runnerUp.why}.
                                        </p>
                                    )}
                                </>
                            )}
                        </section>
                        <section className="card ladder" aria-labelledby="ladder-title">
                            <h2 id="ladder-title" className="card-title">
                                From filler to {data.ladder.to}
                            </h2>
                            <LadderDrawing ladder={data.ladder} />
                            <div className="grits" role="group" aria-label="Grits you own">
                                {data.sold.map((grit) => (
                                    <button key={grit} type="button" className="view" aria-pressed={data.owned.includes(grit)} onClick={() => own(grit)}>
                                        {grit}
                                    </button>
                                ))}
                            </div>
                        </section>
                    </aside>
                </>
            )}
        </div>
    );
}

function Strip({ seam, zone, here, choose }: { seam: Seam; zone: string; here: boolean; choose: () => void }): ReactElement {
    const at = useNow();
    const held = seam.holdUntil !== null && seam.holdFrom !== null && Date.parse(seam.holdUntil) > at;

    return (
        <button type="button" className="strip" aria-pressed={here} onClick={choose}>
            <span className="strip-name">
                <strong>{seam.name}</strong>
                <small>
                    {seam.piece}
                    {seam.gapMm > 0 && `, ${seam.gapMm} mm`}
                </small>
            </span>
            <span className="strip-stages">
                {seam.stages.map((s) => (
                    <span key={s.stage} className="strip-stage" data-done={s.done || undefined}>
                        {s.word}
                    </span>
                ))}
                <span className="strip-stage" data-done={seam.good || undefined}>
                    good
                </span>
            </span>
            <span className="strip-next">
                {held && seam.holdUntil !== null && seam.holdFrom !== null ? (
                    <>
                        <Mark kind="hold" size={26} left={leftOf(seam.holdFrom, seam.holdUntil, at)} />
                        <span>
                            {seam.because}: {span(minutesUntil(seam.holdUntil, at))}, {wall(seam.holdUntil, at, zone)}
                        </span>
                    </>
                ) : (
                    <span>{seam.next ?? 'Nothing left to do.'}</span>
                )}
            </span>
            {seam.closes !== null && (
                <span className="strip-closes">
                    <Mark kind="closing" size={26} /> closes in {span(minutesUntil(seam.closes, at))}
                </span>
            )}
        </button>
    );
}
