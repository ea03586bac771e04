import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import type { Plan, SectionCap, SectionCell } from '../api/types';
import { useNow } from '../api/clock';
import { useKit } from '../frame/queries';
import type { Change } from '../frame/useChange';
import { wall } from '../frame/words';
import type { Spot } from './geometry';
import { capWords, describe } from './saying';
import { pinnedOf, pinWords, unpin } from './edits';
import { PreviewBox } from '../shared/PreviewBox';
import { Steer } from './Steer';

interface Props {
    plan: Plan;
    spot: Spot;
    change: Change;
    close: () => void;
}

/** What a place in the drawing is: why it is there, what it waits for, what it forbids, and how to have it otherwise. */
export function CellPanel({ plan, spot, change, close }: Props): ReactElement {
    const at = useNow();
    const { data: kit } = useKit(plan.build.id);
    const { section } = plan;
    const zone = plan.build.zone;
    const cell = section.cells.find((c) => c.column === spot.column && c.row === spot.row);
    const cap = section.caps.find((c) => c.column === spot.column && c.from === spot.row);
    const thing: SectionCell | SectionCap | undefined = cell ?? cap;
    const column = section.columns[spot.column];
    const keys = new Set(cell?.steps ?? [cap?.onKey, cap?.offKey].filter((k): k is string => k != null));
    const steps = plan.stages.flatMap((s) => s.steps).filter((s) => keys.has(s.key));
    const first = steps[0];
    const lids = section.lids.filter((l) => l.column === spot.column && l.row === spot.row);
    const reasons = [...new Set(steps.flatMap((s) => s.reasons))].slice(0, 3);
    const product = (id: string): string => kit?.products.find((p) => p.id === id)?.name ?? 'another product';

    return (
        <section className="card cell-panel" aria-label="The layer chosen" aria-live="polite" data-testid="cell-panel" data-spot={`${spot.column} ${spot.row}`}>
            <div className="cell-head">
                <h2>{section.rows[spot.row]?.title ?? ''}</h2>
                <button type="button" className="cell-close" onClick={close} aria-label="Close">
                    ×
                </button>
            </div>
            {thing === undefined ? (
                <p>Nothing of this row goes on {column?.name ?? 'it'}.</p>
            ) : (
                <>
                    <p className="cell-says">{cell !== undefined ? describe(plan, cell) : cap !== undefined ? capWords(plan, cap) : ''}.</p>
                    <dl className="cell-facts">
                        {cell?.product != null && (
                            <>
                                <dt>With</dt>
                                <dd>
                                    <span className="swatch" style={{ background: cell.swatch ?? 'transparent' }} aria-hidden="true" /> {cell.product}
                                </dd>
                            </>
                        )}
                        {cell?.at != null && (
                            <>
                                <dt>{cell.real > 0 ? 'Begun' : 'Planned'}</dt>
                                <dd>{wall(cell.at, at, zone)}</dd>
                            </>
                        )}
                        {cap !== undefined && cell === undefined && (
                            <>
                                <dt>On, off</dt>
                                <dd>
                                    {cap.onAt === null ? '' : wall(cap.onAt, at, zone)} to {cap.offAt === null ? 'the end' : wall(cap.offAt, at, zone)}
                                </dd>
                            </>
                        )}
                        {reasons.length > 0 && (
                            <>
                                <dt>Why here</dt>
                                <dd>{reasons.join(' ')}</dd>
                            </>
                        )}
                        {first !== undefined && first.aspect.because !== '' && (
                            <>
                                <dt>Waits for</dt>
                                <dd>
                                    {first.aspect.because}
                                    {first.aspect.until !== null ? `, until ${wall(first.aspect.until, at, zone)}` : ''}
                                </dd>
                            </>
                        )}
                        {lids.map((lid) => (
                            <FragmentOf key={lid.kind} title="Forbids" text={`${lid.forbids}${lid.until === null ? '' : ` until ${wall(lid.until, at, zone)}`}${lid.words === '' ? '' : ` (${lid.words})`}`} />
                        ))}
                        {cell !== undefined && cell.filmMicrons > 0 && (
                            <>
                                <dt>Film</dt>
                                <dd>
                                    {cell.filmMicrons} µm. On it now {Math.round(column?.filmNowMicrons ?? 0)} µm, when done {Math.round(column?.filmMicrons ?? 0)} µm;{' '}
                                    {column?.inside === true ? 'an inside has no lines to lose.' : `its engraved lines take ${section.film.noteMicrons} µm.`}
                                </dd>
                            </>
                        )}
                        {pinnedOf(thing).pins.map((p) => (
                            <div key={p.id} className="cell-pin">
                                <dt>Pinned</dt>
                                <dd>
                                    {pinWords(p, product)}{' '}
                                    <Button data-small onClick={() => void change.look('layer', 'Take the pin back', unpin(p))}>
                                        Unpin
                                    </Button>
                                </dd>
                            </div>
                        ))}
                    </dl>
                    {steps.length > 0 && kit !== undefined && column !== undefined && <Steer plan={plan} thing={thing} column={column} steps={steps} products={kit.products} look={(title, edits) => change.look('layer', title, edits)} />}
                </>
            )}
            {change.intended?.place === 'layer' && <PreviewBox fix={change.intended} preview={change.intended.preview} apply={() => void change.apply(change.intended?.title ?? '', change.intended?.edits ?? [])} close={change.leave} />}
        </section>
    );
}

function FragmentOf({ title, text }: { title: string; text: string }): ReactElement {
    return (
        <>
            <dt>{title}</dt>
            <dd>{text}</dd>
        </>
    );
}
