import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import type { ColourList } from '../api/types';
import { useLists } from '../frame/queries';
import { ColourRows } from '../shared/ColourRows';

/** All colour lists, to tick at the bench: the one in hand open, the rest folded to a count. */
export default function ListsPage({ buildId }: { buildId: string }): ReactElement {
    const { data } = useLists(buildId);
    const [chosen, choose] = useState<string | null>(null);
    if (data === undefined) {
        return <p>Fetching the lists.</p>;
    }
    const open = data.lists.filter((l) => !l.closed);
    const shown = data.lists.find((l) => l.id === chosen) ?? open.find((l) => l.open > 0) ?? data.lists[0];

    return (
        <div className="lists">
            <div className="page-head">
                <h1>Colour lists</h1>
                <p>
                    {data.build.name} · {data.lists.length} {data.lists.length === 1 ? 'colour' : 'colours'}, {open.reduce((sum, l) => sum + l.open, 0)} lines to tick
                </p>
                <div className="page-tools">
                    <Link className="plain-press" to={`/b/${buildId}/bench`}>
                        Back to the bench
                    </Link>
                </div>
            </div>
            {shown === undefined ? (
                <div className="card empty">
                    <h2>No colours yet</h2>
                    <p>Call the booklet out, and each colour gets its list.</p>
                    <Link className="plain-press" to={`/b/${buildId}/booklet`}>
                        Call the booklet out
                    </Link>
                </div>
            ) : (
                <div className="lists-main">
                    <div className="lists-tabs" role="tablist" aria-label="Colours" aria-orientation="vertical">
                        {data.lists.map((list) => (
                            <button key={list.id} type="button" role="tab" id={`tab-${list.id}`} aria-selected={list.id === shown.id} aria-controls="list" className="lists-tab" onClick={() => choose(list.id)}>
                                <span className="swatch" style={{ background: list.swatch ?? 'transparent' }} aria-hidden="true" />
                                <span>
                                    <strong>{list.name}</strong>
                                    <small>{state(list)}</small>
                                </span>
                            </button>
                        ))}
                    </div>
                    <section className="card" id="list" role="tabpanel" aria-labelledby={`tab-${shown.id}`} tabIndex={-1}>
                        <div className="lists-head">
                            <span className="lists-swatch" style={{ background: shown.swatch ?? 'transparent' }} aria-hidden="true" />
                            <h2>
                                {shown.name}
                                {shown.code !== null && <small> {shown.code}</small>}
                            </h2>
                            <p>{state(shown)}</p>
                        </div>
                        <ColourRows key={shown.id} buildId={buildId} list={shown} button={`${shown.name} is closed`} />
                    </section>
                </div>
            )}
        </div>
    );
}

function state(list: ColourList): string {
    const all = list.items.length;

    return list.closed ? (list.open === 0 ? 'closed' : `closed, ${list.open} not ticked`) : list.open === 0 ? `all ${all} have it` : `${list.open} of ${all} to tick`;
}
