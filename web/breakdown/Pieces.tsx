import type { ReactElement } from 'react';
import type { Breakdown, PieceAdvice } from '../api/types';

/** The pieces that follow: what is in each, and what it is held by and where. */
export function Pieces({ pieces, parked }: { pieces: PieceAdvice[]; parked: Breakdown['parked'] }): ReactElement {
    return (
        <section className="card pieces" aria-labelledby="pieces-title">
            <h2 id="pieces-title" className="card-title">
                Held and painted as one
            </h2>
            <table>
                <thead>
                    <tr>
                        <th scope="col">Piece</th>
                        <th scope="col">Colours</th>
                        <th scope="col">Held by</th>
                    </tr>
                </thead>
                <tbody>
                    {pieces.map((p) => (
                        <tr key={p.id}>
                            <th scope="row">
                                {p.name}
                                {p.held > 1 && ` × ${p.held}`}
                                <small>{p.parts.length > 1 ? p.parts.map((part) => part.name).join(', ') : `${p.parts[0]?.material ?? ''}${p.cm2 > 0 ? `, ${p.cm2} cm²` : ''}`}</small>
                            </th>
                            <td>
                                {p.colours.map((c) => (
                                    <span key={c.name} className="swatch" style={{ background: c.swatch ?? 'transparent' }} title={c.name} role="img" aria-label={c.name} />
                                ))}
                            </td>
                            <td>
                                {!p.painted ? (
                                    <span className="pieces-none">not painted</span>
                                ) : p.holderWord === null ? (
                                    <strong className="bad">nothing yet</strong>
                                ) : (
                                    <>
                                        <strong>{p.holderWord}</strong>
                                        {p.chosen ? ': ' : ' '}
                                        {p.where}
                                        <small>{p.because}</small>
                                    </>
                                )}
                            </td>
                        </tr>
                    ))}
                    {parked.map((p) => (
                        <tr key={p.id} className="pieces-parked">
                            <th scope="row">{p.name}</th>
                            <td />
                            <td>parked: {p.because}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}
