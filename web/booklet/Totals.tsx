import type { ReactElement } from 'react';
import type { Tally } from '../api/types';
import { ml } from '../frame/numbers';
import { PackSizes } from './PackSizes';

/** What the colours need by both schools, when each is first needed, and what to buy. */
export function Totals({ tally }: { tally: Tally }): ReactElement {
    const most = Math.max(1, ...tally.colours.map((c) => c.counts));
    const stop = tally.deadStop;
    const buys = tally.jars.filter((j) => j.buyMl > 0);

    return (
        <aside className="booklet-side" aria-label="Running totals">
            {stop !== null && (
                <section className="card dead-stop" data-edge="think" data-testid="dead-stop">
                    <h2>
                        {stop.closesOver ? 'By the booklet, a dead stop at step' : 'First wait at step'} {stop.step}
                    </h2>
                    <p>{stop.sentence}</p>
                </section>
            )}
            <section className="card tally" aria-labelledby="tally-title">
                <h2 id="tally-title" className="card-title">
                    Colours
                </h2>
                {tally.colours.length === 0 ? (
                    <p className="grid-empty">The first call-out begins the tally.</p>
                ) : (
                    <table>
                        <thead>
                            <tr>
                                <th scope="col">Colour</th>
                                <th scope="col">First at</th>
                                <th scope="col">Counts</th>
                                <th scope="col">Paint</th>
                            </tr>
                        </thead>
                        <tbody>
                            {tally.colours.map((c) => (
                                <tr key={c.id}>
                                    <th scope="row">
                                        <span className="swatch" style={{ background: c.swatch ?? 'transparent' }} aria-hidden="true" />
                                        <span>
                                            {c.name}
                                            <small>
                                                {c.code !== null && `${c.code} · `}
                                                {c.parts} {c.parts === 1 ? 'part' : 'parts'} · {c.cm2} cm²
                                            </small>
                                        </span>
                                    </th>
                                    <td>{c.firstStep === null ? '–' : `step ${c.firstStep}`}</td>
                                    <td title="call-outs weighted 1, 1, 2, 3, 5 by size">
                                        <span className="tally-bar" style={{ ['--share' as string]: c.counts / most }}>
                                            {c.counts}
                                        </span>
                                    </td>
                                    <td title={`${ml(c.mlByArea)} by area, ${ml(c.mlByCount)} by counting`}>{ml(c.ml)}</td>
                                </tr>
                            ))}
                        </tbody>
                        <tfoot>
                            <tr>
                                <th scope="row">{tally.colours.length} colours</th>
                                <td />
                                <td>{tally.counts}</td>
                                <td>{ml(tally.ml)}</td>
                            </tr>
                        </tfoot>
                    </table>
                )}
                {tally.colours.length > 0 && (
                    <div className="tally-buy" data-testid="buy">
                        {buys.length === 0 ? (
                            <p>The shelf has enough of every colour.</p>
                        ) : (
                            <ul>
                                {buys.map((j) => (
                                    <li key={j.product}>
                                        <strong>{j.paint}</strong>
                                        {j.colours.length > 1 && <small> for {j.colours.join(', ')}</small>}: {ml(j.levelMl ?? 0)} left, {ml(j.buyMl)} short{j.packs === null ? '; no pack is known' : `: buy ${j.packs}, ${(j.price ?? 0).toFixed(2)}`}
                                    </li>
                                ))}
                            </ul>
                        )}
                        {buys.some((j) => j.packs === null) && <PackSizes jars={buys.filter((j) => j.packs === null)} />}
                    </div>
                )}
            </section>
            {tally.gluing.length > 0 && (
                <section className="card gluing" aria-labelledby="gluing-title">
                    <h2 id="gluing-title" className="card-title">
                        Paint before gluing
                    </h2>
                    <ol tabIndex={0} aria-labelledby="gluing-title">
                        {tally.gluing.map((g) => (
                            <li key={g.joint}>
                                <b>{g.step}</b>
                                <span>{g.sentence.replace(/^Step \d+ /, '')}</span>
                            </li>
                        ))}
                    </ol>
                </section>
            )}
        </aside>
    );
}
