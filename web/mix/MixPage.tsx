import './mix.css';
import { NativeSelect, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import { Refused } from '../api/client';
import type { Mixed, MixOrder, MixPage as Page, RecipeAsk } from '../api/types';
import { now } from '../api/clock';
import { record } from '../frame/outbox';
import { useMixBench, useMixed } from '../frame/queries';
import { ulid } from '../frame/ulid';
import { useChange } from '../frame/useChange';
import { Cup } from './Cup';
import { HowMuch } from './HowMuch';
import { Jars } from './Jars';
import { Look } from './Look';
import { Match } from './Match';
import { lineOf, linesOf, orderFor, orderForCup, thinnerOf, type Line } from './order';
import { Parts } from './Parts';
import { Pot } from './Pot';
import { KeepRecipe, Recipes } from './Recipes';
import { Signs } from './Signs';
import { SpoonCard } from './SpoonCard';
import { Tones } from './Tones';
import { Asks, TypedRecipe } from './TypedRecipe';
import { Used } from './Used';

/** How much, in what ratio, and what it will look like: all of it moves as one types. */
export default function MixPage({ buildId }: { buildId: string }): ReactElement {
    const { data } = useMixBench(buildId);
    const [query] = useSearchParams();

    return data === undefined ? <p>Setting out the cups.</p> : data.paints.length === 0 ? <p>There is no paint on the shelf: add some in the kit.</p> : <MixStation key={query.toString()} page={data} asked={query} />;
}

const VIEWS = [
    { key: 'cup', word: 'The cup' },
    { key: 'colour', word: 'The colour' },
    { key: 'kept', word: 'Recipes' },
] as const;

/** @param asked - the cup a step of the plan asks for; without a paint where one came for the colours */
function MixStation({ page, asked }: { page: Page; asked: URLSearchParams }): ReactElement {
    const paint = page.paints.find((p) => p.id === asked.get('paint'))?.id;
    const [colour, choose] = useState(paint === undefined ? (page.colours.find((c) => c.left)?.id ?? page.colours[0]?.id ?? null) : (page.colours.find((c) => c.product === paint)?.id ?? null));
    const [order, set] = useState<MixOrder>(() => (paint === undefined ? orderFor(page, colour) : orderForCup(page, asked)));
    const [asks, ask] = useState<RecipeAsk[]>([]);
    const [recipe, keepAs] = useState<string | null>(() => page.recipes.find((r) => r.id === (paint === undefined ? page.colours.find((c) => c.id === colour)?.product : paint))?.id ?? null);
    const [view, show] = useState<(typeof VIEWS)[number]['key']>('cup');
    const change = useChange(page.build.id, page.build.revision);
    const { data, error, isFetching } = useMixed(page.build.id, { ...order, recipe });
    // What was worked out last stays on the bench, dimmed, while a field makes no sense.
    const [mixed, keep] = useState<Mixed | undefined>(undefined);
    if (data !== undefined && data !== mixed) {
        keep(data);
    }
    const wrong = (path: string): string | undefined => {
        const problem = error instanceof Refused ? error.problems.find((p) => p.path === path) : undefined;

        return problem === undefined ? undefined : `${problem.wrong.charAt(0).toUpperCase()}${problem.wrong.slice(1)}: ${problem.right}.`;
    };
    const here = page.colours.find((c) => c.id === colour);
    const paints = order.parts.filter((p) => p.stuff === 'paint');
    const swatches = order.parts.map((p) => page.paints.find((paint) => paint.id === p.product)?.swatch ?? null);
    /** Another recipe in the cup: what was poured and asked of the last is gone with it. */
    const pourIn = (parts: Line[], questions: RecipeAsk[], kept: string | null): void => {
        const next = { ...order, parts, part: 0 };
        delete next.poured;
        set(next);
        ask(questions);
        keepAs(kept);
        show('cup');
        window.scrollTo(0, 0);
    };
    const edit = (next: MixOrder): void => {
        // A line changed is not the recipe that was kept; how much of it there is, is.
        if (JSON.stringify(next.parts) !== JSON.stringify(order.parts)) {
            keepAs(null);
        }
        set(next);
    };
    const take = (jars: string[], parts: number[]): void => {
        const chosen = jars.flatMap((id, i) => {
            const paint = page.paints.find((p) => p.id === id);

            return paint === undefined || (parts[i] ?? 0) === 0 ? [] : [{ paint, amount: parts[i] ?? 0 }];
        });
        const first = chosen[0]?.paint;
        const sum = chosen.reduce((all, p) => all + p.amount, 0);
        const thinner = first === undefined || first.ratio <= 0 ? [] : [{ ...thinnerOf(first), amount: String(Math.round(first.ratio * sum * 100) / 100) }];
        pourIn([...chosen.map((p) => lineOf(p.paint, String(p.amount))), ...thinner], [], null);
    };
    const answer = (at: number, reading: number): void => {
        const is = asks[at];
        const chosen = is?.kept.readings[reading];
        if (is !== undefined && chosen !== undefined) {
            const line = { product: chosen.product, name: chosen.name, stuff: chosen.stuff, amount: String(chosen.amount), base: chosen.base, drops: '' };
            set({ ...order, parts: order.parts.map((p, i) => (i === is.kept.part ? line : p)) });
            ask(asks.filter((_, i) => i !== at));
        }
    };
    const product = recipe ?? order.parts.find((p) => p.product !== null)?.product ?? null;
    // Tones are made of one paint: what is in the cup by itself, or the recipe that was kept.
    const alone = recipe ?? (paints.length === 1 ? (paints[0]?.product ?? null) : null);
    const toned = page.paints.find((p) => p.id === alone)?.solid === true ? alone : null;
    const mixedNow = (more: object, title: string): void => {
        if (product !== null) {
            record(page.build.id, title, { id: ulid(), kind: 'mixed', at: new Date(Math.floor(now() / 1000) * 1000).toISOString().replace('.000Z', 'Z'), product, ...more });
        }
    };
    const gun = order.tool?.startsWith('airbrush') === true ? `${order.gun ?? ''} mm${mixed?.pressure == null ? '' : `, ${mixed.pressure}`}` : (order.tool ?? '');

    return (
        <div className="mix" data-waiting={mixed === undefined && error === null ? '' : undefined} data-view={view} data-stale={isFetching || error !== null || undefined}>
            <div className="page-head">
                <h1>Mix</h1>
                <p>{here === undefined ? (page.colours.length === 0 ? 'no colour of this build yet: any paint of the shelf' : `${page.paints.find((p) => p.id === product)?.name ?? 'any paint of the shelf'}, no colour of this build`) : `${here.name} for ${here.areas.slice(0, 3).join(', ')}${here.areas.length > 3 ? ` and ${here.areas.length - 3} more` : ''}`}</p>
                <div className="page-tools">
                    <div className="views" role="group" aria-label="Views of the mix">
                        {VIEWS.map((v) => (
                            <button key={v.key} type="button" className="view" aria-pressed={v.key === view} onClick={() => show(v.key)}>
                                {v.word}
                            </button>
                        ))}
                    </div>
                    {page.colours.length > 0 && (
                        <NativeSelect
                            aria-label="Colour of the build"
                            value={colour ?? ''}
                            onChange={(e) => {
                                const next = e.currentTarget.value;
                                choose(next);
                                set(orderFor(page, next));
                                ask([]);
                                keepAs(page.recipes.find((r) => r.id === page.colours.find((c) => c.id === next)?.product)?.id ?? null);
                            }}
                            data={[...(colour === null ? [{ value: '', label: 'Another paint' }] : []), ...page.colours.map((c) => ({ value: c.id, label: c.name }))]}
                        />
                    )}
                </div>
            </div>
            {view === 'cup' && (
                <>
                    <div className="mix-asks">
                        <Parts page={page} order={order} set={edit} mixed={mixed} wrong={wrong} poured={recipe === null ? null : () => mixedNow({ poured: order.poured?.map((p) => Number(p.ml.replace(',', '.')) || 0) ?? [] }, 'What was poured')}>
                            <Asks asks={asks} answer={answer} />
                            <TypedRecipe take={(read) => pourIn(linesOf(read, page), read.asks, null)} />
                        </Parts>
                        <HowMuch order={order} set={set} mixed={mixed} colour={here} levels={order.parts.map((p) => page.paints.find((x) => x.id === p.product)?.levelMl ?? null)} wrong={wrong} />
                    </div>
                    <section className="card into" aria-labelledby="into-title">
                        <h2 id="into-title" className="card-title">
                            Into the cup, in this order
                        </h2>
                        <div className="into-cup">{mixed !== undefined && <Cup mixed={mixed} swatches={swatches} />}</div>
                        <div className="into-says">
                            {mixed !== undefined && (
                                <p data-testid="cups">
                                    <strong>
                                        {mixed.totalMl.toFixed(2)} ml
                                        {mixed.cups > 1 && ` in ${mixed.cups} cups of ${(mixed.totalMl / mixed.cups).toFixed(2)} ml`}
                                    </strong>
                                    . {mixed.ratioWords !== '' && `${mixed.ratioWords.charAt(0).toUpperCase()}${mixed.ratioWords.slice(1)}. `}
                                    {mixed.pouringWords}
                                </p>
                            )}
                            {mixed?.pass != null && <p data-testid="pass">{mixed.pass.says}</p>}
                            <TextInput label="The cup holds, ml" inputMode="decimal" value={order.cup ?? ''} error={wrong('cup')} onChange={(e) => set({ ...order, cup: e.currentTarget.value })} />
                        </div>
                    </section>
                    <div className="mix-wanted">
                        {mixed !== undefined && <Look look={mixed.colour} />}
                        {mixed !== undefined && <Jars page={page} order={order} mixed={mixed} />}
                        <Pot order={order} set={set} mixed={mixed} zone={page.build.zone} wrong={wrong} hardened={(minutes) => minutes > 0 && mixedNow({ potLifeMinutes: minutes }, 'Hardener is in')} />
                        {mixed !== undefined && <Signs order={order} set={set} mixed={mixed} wrong={wrong} />}
                        <Used buildId={page.build.id} order={order} mixed={mixed} />
                    </div>
                </>
            )}
            {view === 'colour' && (
                <>
                    <div className="mix-left">
                        <Match page={page} take={take} />
                    </div>
                    <div className="mix-middle">
                        {mixed !== undefined && <Look look={mixed.colour} always />}
                        {mixed !== undefined && <SpoonCard order={order} mixed={mixed} recipe={recipe} />}
                    </div>
                    <aside className="mix-side">
                        <Tones page={page} product={toned} take={take} />
                        <section className="card" aria-labelledby="open-title">
                            <h2 id="open-title" className="card-title">
                                Colours for other programs
                            </h2>
                            <div className="much-row">
                                <a className="plain-press" href={`/api/builds/${page.build.id}/palette.gpl`} download>
                                    Palette
                                </a>
                                <a className="plain-press" href={`/api/builds/${page.build.id}/swatches.csv`} download>
                                    Swatches
                                </a>
                            </div>
                        </section>
                    </aside>
                </>
            )}
            {view === 'kept' && (
                <div className="mix-whole">
                    <KeepRecipe order={order} asks={asks} gun={gun} />
                    <Recipes page={page} colour={here} change={change} remake={(r) => pourIn(linesOf(r, page), r.asks, r.id)} />
                </div>
            )}
        </div>
    );
}
