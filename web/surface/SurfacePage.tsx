import './surface.css';
import { Button } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import { api } from '../api/client';
import type { SurfacePage as Surface } from '../api/types';
import { queries, useSurface } from '../frame/queries';
import { useChange } from '../frame/useChange';
import { FindingCard } from '../shared/FindingCard';
import { TakeBack } from '../shared/TakeBack';
import { AddPlace } from './AddPlace';
import { Features } from './Features';
import { OtherGrit } from './OtherGrit';
import { PlaceCard } from './PlaceCard';
import { Register } from './Register';
import { Round } from './Round';

/** What judges see first: every place to be made good with how far it has come, the filler, the grits, and the rounds. */
export default function SurfacePage({ buildId }: { buildId: string }): ReactElement {
    const { data } = useSurface(buildId);
    const [query] = useSearchParams();

    return data === undefined ? <p>Looking along the seams.</p> : <SurfaceStation key={query.get('place')} data={data} />;
}

type View = 'register' | 'round' | 'add';

function SurfaceStation({ data }: { data: Surface }): ReactElement {
    const change = useChange(data.build.id, data.build.revision);
    const [view, show] = useState<View>('register');
    const [query] = useSearchParams();
    const [chosen, choose] = useState<string | null>(query.get('place'));
    const place = data.places.find((p) => p.id === chosen) ?? data.places.find((p) => p.closes !== null) ?? data.places.find((p) => !p.good) ?? data.places[0];
    const own = (grit: string): void => {
        const owned = data.owned.includes(grit) ? data.owned.filter((g) => g !== grit) : [...data.owned, grit];
        void api.put('grits', { owned }).then(() => queries.invalidateQueries());
    };
    // Where the place lies under the register, choosing it goes to it.
    const goTo = (id: string): void => {
        choose(id);
        if (window.matchMedia('(max-width: 1080px)').matches) {
            requestAnimationFrame(() => document.getElementById('place-title')?.scrollIntoView());
        }
    };
    const noted = (id: string): void => {
        choose(id);
        show('register');
    };

    return (
        <div className="surface">
            <div className="page-head">
                <h1>Surface</h1>
                <p>
                    {data.places.length} {data.places.length === 1 ? 'place' : 'places'}, {data.places.filter((p) => p.good).length} good
                </p>
                <div className="page-tools">
                    <TakeBack undoable={data.undoable} change={change} />
                    {data.parts.length > 0 && view !== 'add' && (
                        <Button data-testid="note-place" onClick={() => show('add')}>
                            Note a place
                        </Button>
                    )}
                    {data.places.length > 0 && view !== 'round' && (
                        <Button data-main data-testid="go-round" onClick={() => show('round')}>
                            Go round
                        </Button>
                    )}
                </div>
            </div>
            {change.wrong !== null && (
                <div className="notice" data-bad role="alert">
                    {change.wrong}
                </div>
            )}
            <div className="surface-main">
                {view === 'round' && <Round data={data} leave={() => show('register')} add={() => show('add')} />}
                {view === 'add' && <AddPlace data={data} change={change} added={noted} close={() => show('register')} />}
                {view === 'register' && data.places.length === 0 && (
                    <section className="card empty">
                        <h2>Nothing to make good</h2>
                        <p>{data.parts.length === 0 ? 'First say what the kit is made of.' : 'Say which joints must vanish, in the kit; and note what else you find: sinks, gate stubs, scratches.'}</p>
                    </section>
                )}
                {view === 'register' && data.places.length > 0 && <Register places={data.places} chosen={place?.id ?? null} choose={goTo} zone={data.build.zone} />}
                <div className="surface-more">
                    <Features data={data} change={change} />
                    {data.pieces.length > 0 && (
                        <section className="card ready" aria-labelledby="ready-title">
                            <h2 id="ready-title" className="card-title">
                                Ready for primer
                            </h2>
                            <ul>
                                {data.pieces.map((piece) => (
                                    <li key={piece.name}>
                                        <strong>{piece.name}</strong> <span>{piece.left === 0 ? 'ready' : `${piece.left} to make good`}</span>
                                    </li>
                                ))}
                            </ul>
                        </section>
                    )}
                    {data.places.length > 0 && (
                        <section className="card rounds" aria-labelledby="rounds-title">
                            <h2 id="rounds-title" className="card-title">
                                Another round?
                            </h2>
                            <p data-testid="rounds">{data.rounds.why}</p>
                            {data.rounds.gone.length > 0 && <p className="rounds-gone">{data.rounds.gone.map((r) => `${r.found}${r.means === '' ? '' : ` by ${r.means}`}`).join(', then ')}</p>}
                        </section>
                    )}
                    {data.places.length > 0 && (
                        <section className="card owned" aria-labelledby="owned-title">
                            <h2 id="owned-title" className="card-title">
                                Grits you own
                            </h2>
                            <div className="grits" role="group" aria-label="Grits you own">
                                {[...data.owned.filter((grit) => !data.sold.includes(grit)), ...data.sold].map((grit) => (
                                    <button key={grit} type="button" className="view" aria-pressed={data.owned.includes(grit)} onClick={() => own(grit)}>
                                        {grit}
                                    </button>
                                ))}
                            </div>
                            <OtherGrit owned={data.owned} />
                        </section>
                    )}
                </div>
            </div>
            <aside className="surface-side">
                {view !== 'round' && place !== undefined && <PlaceCard key={place.id} data={data} place={place} change={change} />}
                {data.findings
                    .filter((f) => f.severity !== 'note' || f.fixes.length > 0)
                    .map((finding) => (
                        <FindingCard key={finding.key} finding={finding} change={change} />
                    ))}
            </aside>
        </div>
    );
}
