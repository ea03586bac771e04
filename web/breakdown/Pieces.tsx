import type { ReactElement } from 'react';
import type { Breakdown, Edit, PieceAdvice } from '../api/types';
import type { Change } from '../frame/useChange';

const HOLDERS = { clip: 'clip', peg: 'peg with putty', stick: 'stick', board: 'board', keel: 'temporary keel', stand: 'stand' } as const;

/** The pieces that follow: what is in each, and what it is held by and where. */
export function Pieces({ pieces, parked, change }: { pieces: PieceAdvice[]; parked: Breakdown['parked']; change: Change }): ReactElement {
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
                                    <>
                                        <HolderChoice piece={p} change={change} /> <strong className="bad">nothing to hold it by</strong>
                                    </>
                                ) : (
                                    <>
                                        <HolderChoice piece={p} change={change} /> {p.where}
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

/** What a piece is held by: the proposal, or another of your own. */
function HolderChoice({ piece, change }: { piece: PieceAdvice; change: Change }): ReactElement {
    const choose = (holder: string): void => {
        const value = holder === '' ? null : holder;
        const edit: Edit = piece.labelled ? { op: 'set', list: 'pieces', id: piece.id, field: 'holder', value } : { op: 'add', list: 'pieces', value: { id: piece.id, name: piece.name, heldBy: null, holder: value } };
        void change.apply(value === null ? `${piece.name} is held as proposed` : `${piece.name} on a ${holder}`, [edit]);
    };

    return (
        <select className="holder-choice" aria-label={`${piece.name} is held by`} value={piece.holder ?? ''} onChange={(e) => choose(e.currentTarget.value)}>
            <option value="">{piece.holder === null ? 'choose' : 'as proposed'}</option>
            {Object.entries(HOLDERS).map(([value, word]) => (
                <option key={value} value={value}>
                    {word}
                </option>
            ))}
        </select>
    );
}
