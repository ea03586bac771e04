import './layers.css';
import './drawing.css';
import { Button } from '@mantine/core';
import { useViewportSize } from '@mantine/hooks';
import { useCallback, useDeferredValue, useMemo, useState, type ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import type { Plan } from '../api/types';
import { useNow } from '../api/clock';
import { isOld } from '../frame/kept';
import { PrintFoot, PrintHead } from '../frame/Printed';
import { usePlan } from '../frame/queries';
import { useChange } from '../frame/useChange';
import { useWidth } from '../frame/useWidth';
import { wall } from '../frame/words';
import { CellPanel } from './CellPanel';
import { Drawing } from './Drawing';
import { FilmDrawing } from './FilmDrawing';
import { Findings } from './Findings';
import { held, lies, piecesOf, place, spotOf, whereIs, type Held, type Spot } from './geometry';
import { Pinned } from './Pinned';
import { RuleCard } from './RuleCard';
import { RowLabels } from './RowLabels';
import { SectionTable } from './SectionTable';
import { StageList } from './StageList';

type View = 'order' | 'film' | 'list' | 'table';

const VIEWS: [View, string][] = [
    ['order', 'in order'],
    ['film', 'in microns'],
    ['list', 'by stage'],
    ['table', 'as a table'],
];

/** The whole finish as one drawing, with what the rules find beside it. */
export default function LayersPage({ buildId }: { buildId: string }): ReactElement {
    const { data: plan, dataUpdatedAt, isError } = usePlan(buildId);
    const [query] = useSearchParams();

    return plan === undefined ? <p>Working out the plan.</p> : <Layers key={`${plan.build.id} ${query.toString()}`} plan={plan} asked={query} old={isOld(dataUpdatedAt) && !isError} />;
}

/**
 * @param asked - the piece, area, step or rule one came for
 * @param old - the plan is the one kept from last time, until the bench answers
 */
function Layers({ plan, asked, old }: { plan: Plan; asked: URLSearchParams; old: boolean }): ReactElement {
    const at = useNow();
    const zone = plan.build.zone;
    const [view, show] = useState<View>(asked.has('step') ? 'list' : 'order');
    const [fit, fitAll] = useState(true);
    const [chosen, setChosen] = useState<Held | null>(() => {
        const first = spotOf(plan, asked);

        return first === null ? null : held(plan.section, first);
    });
    const spot = useMemo(() => whereIs(plan.section, chosen), [plan.section, chosen]);
    // The frame is round a layer at once; what is said of it follows when there is time.
    const told = useDeferredValue(spot);
    const [folded, fold] = useState<ReadonlySet<string>>(new Set());
    const [box, width] = useWidth();
    const change = useChange(plan.build.id, plan.build.revision);
    const choose = useCallback(
        (to: Spot | null) => {
            setChosen(to === null ? null : held(plan.section, to));
        },
        [plan.section],
    );
    const room = Math.max(360, width - 14);
    const tall = useTall();
    const placed = useMemo(() => place(plan.section, folded, room, fit, tall), [plan.section, folded, room, fit, tall]);
    const whole = placed.width <= width - placed.labels;
    const numbers = useMemo(() => new Map(plan.findings.filter((f) => f.accepted === null && f.severity !== 'note').map((f, i) => [f.key, i + 1])), [plan.findings]);
    const pieces = piecesOf(plan.section.columns);
    const drawn = view === 'order' || view === 'film';

    return (
        <div className="layers" inert={old} data-busy={change.intended !== null && change.intended.preview === null ? true : undefined}>
            <PrintHead title="Layers" build={plan.build} at={at} />
            <div className="page-head">
                <h1>Layers</h1>
                <div className="views" role="group" aria-label="How to see it">
                    {VIEWS.map(([value, words]) => (
                        <button key={value} type="button" className="view" aria-pressed={view === value} onClick={() => show(value)}>
                            {words}
                        </button>
                    ))}
                </div>
                <p>
                    {plan.stepsLeft === 0 ? 'Every step is done.' : `${plan.stepsLeft} steps left`}
                    {plan.finish !== null && (
                        <>
                            {' '}
                            · finished <strong>{wall(plan.finish, at, zone)}</strong>
                        </>
                    )}
                </p>
                {drawn && (
                    <div className="page-tools">
                        <button type="button" className="view" aria-pressed={!fit} onClick={() => fitAll(!fit)}>
                            {fit ? 'wider columns' : 'fit all'}
                        </button>
                        {pieces.length > 1 && (
                            <button type="button" className="view" aria-pressed={folded.size > 0} onClick={() => fold(folded.size > 0 ? new Set() : new Set(pieces.map((p) => p.id)))}>
                                {folded.size > 0 ? 'unfold all' : 'fold pieces'}
                            </button>
                        )}
                        <button type="button" className="view" onClick={() => window.print()}>
                            print
                        </button>
                    </div>
                )}
            </div>
            {drawn && (
                <section className="card section" aria-label="Section drawing" ref={box}>
                    {plan.section.columns.length === 0 ? (
                        <div className="empty">
                            <h2>No area yet</h2>
                            <p>Type the kit in at the Kit station: each area becomes a column here.</p>
                        </div>
                    ) : (
                        <div className="section-body">
                            <RowLabels plan={plan} placed={placed} film={view === 'film'} />
                            <div className="section-scroll" data-whole={whole ? true : undefined} tabIndex={whole ? undefined : 0}>
                                <div className="piece-heads" style={{ width: placed.width, height: placed.head - 4 }}>
                                    {placed.pieces.map((piece) => (
                                        <button
                                            key={piece.id}
                                            type="button"
                                            className="piece-head"
                                            data-folded={piece.folded}
                                            data-upright={lies(piece) ? undefined : true}
                                            style={{ left: piece.x, width: piece.width }}
                                            aria-expanded={!piece.folded}
                                            title={`${piece.folded ? 'Unfold' : 'Fold'} ${piece.name}`}
                                            aria-label={`${piece.folded ? 'Unfold' : 'Fold'} ${piece.name}`}
                                            onClick={() => {
                                                const next = new Set(folded);
                                                if (!next.delete(piece.id)) {
                                                    next.add(piece.id);
                                                }
                                                fold(next);
                                            }}
                                        >
                                            <span>{piece.name}</span>
                                        </button>
                                    ))}
                                </div>
                                {view === 'order' ? <Drawing plan={plan} placed={placed} spot={spot} choose={choose} numbers={numbers} /> : <FilmDrawing plan={plan} placed={placed} />}
                            </div>
                        </div>
                    )}
                    <Legend film={view === 'film'} />
                    <div className="quiet">
                        <SectionTable plan={plan} />
                    </div>
                </section>
            )}
            {view === 'list' && <StageList plan={plan} asked={asked.get('step')} />}
            {view === 'table' && (
                <section className="card section-as-table">
                    <SectionTable plan={plan} />
                </section>
            )}
            <aside className="findings" aria-label="The layer chosen, and findings">
                {change.wrong !== null && (
                    <div className="notice" data-bad role="alert">
                        {change.wrong}
                    </div>
                )}
                {told !== null && drawn && (
                    <CellPanel
                        plan={plan}
                        spot={told}
                        change={change}
                        close={() => {
                            change.leave();
                            choose(null);
                        }}
                    />
                )}
                {asked.has('rule') && <RuleCard buildId={plan.build.id} rule={asked.get('rule') ?? ''} />}
                <Pinned plan={plan} change={change} />
                <Findings plan={plan} numbers={numbers} change={change} rule={asked.get('rule')} />
            </aside>
            <PrintFoot />
            {plan.undoable !== null && (
                <div className="undo page-undo">
                    <span>
                        Last change: <strong>{plan.undoable.title}</strong>
                    </span>
                    <Button data-small data-testid="undo" onClick={() => void change.undo(plan.undoable?.id ?? '')}>
                        Take it back
                    </Button>
                </div>
            )}
        </div>
    );
}

/** Height left for the drawing under the frame and the head of the page, px. */
function useTall(): number {
    const { height, width } = useViewportSize();

    // On a narrow screen the panel and the findings stand below: they keep some of the height.
    return Math.max(420, height - (width <= 1080 ? 520 : 256));
}

/** The marks in one line: what is not plain from the drawing itself. */
const ORDER: [string, string][] = [
    ['laid', 'on the model'],
    ['planned', 'planned'],
    ['cap', 'capped: a mask lies on it'],
    ['lid', 'wait'],
    ['now', 'now: above what is there'],
    ['pin', 'pinned by you'],
    ['number', 'a finding beside'],
];
const FILM: [string, string][] = [
    ['laid', 'on now, µm'],
    ['planned', 'when done, µm'],
    ['limit', 'what an outside takes'],
];

function Legend({ film }: { film: boolean }): ReactElement {
    return (
        <ul className="legend" aria-label="Legend">
            {(film ? FILM : ORDER).map(([is, words]) => (
                <li key={is}>
                    <span className="legend-box" data-is={is} aria-hidden="true" /> {words}
                </li>
            ))}
        </ul>
    );
}
