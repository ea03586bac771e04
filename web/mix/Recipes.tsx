import { Button, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { api } from '../api/client';
import type { MixOrder, MixPage, Recipe, RecipeAsk } from '../api/types';
import type { Change } from '../frame/useChange';
import { told } from './Jars';
import { Asks } from './TypedRecipe';

interface Keep {
    order: MixOrder;
    asks: RecipeAsk[];
    gun: string;
}

/** What is in the cup is kept under a name: with its ground, its gun and what is set aside of it. */
export function KeepRecipe({ order, asks, gun }: Keep): ReactElement {
    const [name, call] = useState('');
    const [ml, set] = useState('');
    const [ground, lay] = useState(order.grounds?.[0]?.name ?? '');
    const [said, say] = useState<string | null>(null);
    const keep = (): Promise<void> =>
        told(async () => {
            await api.post('recipes', { name, parts: order.parts, keptMl: ml, ground, gun, asks: asks.map((a) => a.kept) });
            call('');

            return `${name} is kept: it is a paint of the shelf now.`;
        }, say);

    return (
        <form
            className="card keep"
            onSubmit={(e) => {
                e.preventDefault();
                void keep();
            }}
            aria-labelledby="keep-title"
        >
            <h2 id="keep-title" className="card-title">
                Keep what is in the cup
            </h2>
            <div className="much-row">
                <TextInput label="Called" value={name} maxLength={120} onChange={(e) => call(e.currentTarget.value)} data-testid="recipe-name" />
                <TextInput label="Set aside of it, ml" inputMode="decimal" value={ml} onChange={(e) => set(e.currentTarget.value)} />
                <TextInput label="Over" value={ground} maxLength={120} onChange={(e) => lay(e.currentTarget.value)} />
                <Button type="submit" data-testid="keep-recipe" disabled={name.trim() === ''}>
                    Keep it
                </Button>
            </div>
            <small>Through {gun}.</small>
            {said !== null && (
                <p role="status" data-testid="recipe-said">
                    {said}
                </p>
            )}
        </form>
    );
}

interface Kept {
    page: MixPage;
    colour: MixPage['colours'][number] | undefined;
    change: Change;
    remake: (recipe: Recipe) => void;
}

/** Recipes that are kept: remade at any size, given to a colour of the build, asked about where they can be read two ways. */
export function Recipes({ page, colour, change, remake }: Kept): ReactElement {
    const [said, say] = useState<string | null>(null);

    return (
        <section className="card recipes" aria-labelledby="recipes-title">
            <h2 id="recipes-title" className="card-title">
                Kept recipes
            </h2>
            {page.recipes.length === 0 && <p>None yet. Mix something that comes out right, and keep it here: it can then be a colour of a build.</p>}
            <ul className="recipe-list">
                {page.recipes.map((r) => (
                    <li key={r.id} data-testid="recipe">
                        <span className="recipe-patch" style={{ background: r.swatch ?? 'transparent' }} aria-hidden="true" />
                        <div>
                            <strong>{r.name}</strong>
                            <p>{r.says}</p>
                            <small>{[r.ground === null ? null : `over ${r.ground}`, r.gun === null ? null : `through ${r.gun}`, (r.keptMl ?? 0) > 0 ? `${r.keptMl} ml kept` : 'none kept'].filter((x) => x !== null).join(' · ')}</small>
                            {r.spoon !== null && <small>Spoon: {r.spoon}.</small>}
                            {r.usedOn.length > 0 && <small>On {r.usedOn.join('; ')}.</small>}
                            <Asks asks={r.asks} answer={(ask, reading) => void told(async () => (await api.put(`recipes/${r.id}`, { ask, reading }), `${r.name}: answered.`), say)} />
                        </div>
                        <span className="recipe-presses">
                            <Button data-small onClick={() => remake(r)}>
                                Mix it again
                            </Button>
                            {colour !== undefined && colour.product !== r.id && (
                                <Button data-small onClick={() => void change.apply(`${colour.name} is ${r.name}`, [{ op: 'set', list: 'colours', id: colour.id, field: 'product', value: r.id }])}>
                                    Use it for {colour.name}
                                </Button>
                            )}
                        </span>
                    </li>
                ))}
            </ul>
            {(said ?? change.wrong) !== null && (
                <p role="status" data-testid="recipes-say">
                    {change.wrong ?? said}
                </p>
            )}
        </section>
    );
}
