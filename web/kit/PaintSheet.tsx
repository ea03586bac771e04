import { Button, Modal, NativeSelect, TextInput } from '@mantine/core';
import { useState, type FormEvent, type KeyboardEvent, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Product } from '../api/types';
import { queries } from '../frame/queries';

export const FAMILIES = ['water-acrylic', 'alcohol-acrylic', 'lacquer', 'enamel', 'hardened-enamel', 'two-part', 'artist-oil', 'aerosol', 'polymer-primer', 'solvent-primer', 'water-varnish'];
const ROLES = ['colour', 'metallic', 'primer', 'varnish', 'wash', 'tinted-clear'];

interface Props {
    products: Product[];
    wanted: string;
    close: () => void;
    choose: (name: string) => void;
}

/** The shelf, searched by name, range or family; what is not there is put on it here. */
export function PaintSheet({ products, wanted, close, choose }: Props): ReactElement {
    const [search, setSearch] = useState(wanted);
    const [at, go] = useState(0);
    const [adding, add] = useState(false);
    const words = search.toLowerCase().split(/\s+/).filter(Boolean);
    const found = products.filter((p) => words.every((w) => `${p.name} ${p.range} ${p.familyWord} ${p.role}`.toLowerCase().includes(w))).slice(0, 40);
    const keys = (e: KeyboardEvent): void => {
        if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
            e.preventDefault();
            go(Math.max(0, Math.min(found.length - 1, at + (e.key === 'ArrowDown' ? 1 : -1))));
        } else if (e.key === 'Enter') {
            e.preventDefault();
            const paint = found[at];
            if (paint !== undefined) {
                choose(paint.name);
            } else {
                add(true);
            }
        }
    };

    return (
        <Modal opened onClose={close} title={adding ? 'A paint for the shelf' : 'Paints on the shelf'} size="lg">
            {adding ? (
                <AddPaint name={search} products={products} done={choose} back={() => add(false)} />
            ) : (
                <div className="stack-form">
                    <TextInput
                        label="Name, range or family"
                        value={search}
                        data-autofocus
                        onChange={(e) => {
                            setSearch(e.currentTarget.value);
                            go(0);
                        }}
                        onKeyDown={keys}
                        role="combobox"
                        aria-expanded
                        aria-controls="paints"
                        aria-activedescendant={found[at] === undefined ? undefined : `paint-${found[at].id}`}
                    />
                    <ul id="paints" className="paints" role="listbox" aria-label="Paints">
                        {found.map((paint, i) => (
                            <li key={paint.id} id={`paint-${paint.id}`} role="option" aria-selected={i === at} onClick={() => choose(paint.name)}>
                                <span className="paint-swatch" style={paint.swatch === null ? undefined : { background: paint.swatch }} data-none={paint.swatch === null} aria-hidden="true" />
                                <span>
                                    <strong>{paint.name}</strong>
                                    <small>
                                        {paint.familyWord}, {paint.role.replaceAll('-', ' ')}
                                        {paint.sheen === null ? '' : `, ${paint.sheen}`}
                                    </small>
                                </span>
                                <em>{paint.levelMl === null ? '' : `${paint.levelMl} ml left`}</em>
                            </li>
                        ))}
                    </ul>
                    {found.length === 0 && <p>Nothing on the shelf is called that.</p>}
                    <Button onClick={() => add(true)}>Put a new paint on the shelf</Button>
                </div>
            )}
        </Modal>
    );
}

function AddPaint({ name, products, done, back }: { name: string; products: Product[]; done: (name: string) => void; back: () => void }): ReactElement {
    const [paint, set] = useState({ name, range: '', family: 'water-acrylic', role: 'colour', swatch: '#808080', sheen: 'satin', opacity: 'good' });
    const [wrong, say] = useState<string | null>(null);
    const field = (key: keyof typeof paint) => (e: { currentTarget: { value: string } }) => set({ ...paint, [key]: e.currentTarget.value });
    const submit = async (e: FormEvent): Promise<void> => {
        e.preventDefault();
        try {
            await api.post('products', { ...paint, swatch: paint.role === 'varnish' ? null : paint.swatch });
            await queries.invalidateQueries();
            done(paint.name);
        } catch (error) {
            say(error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was put on the shelf.');
        }
    };

    return (
        <form className="stack-form" onSubmit={(e) => void submit(e)}>
            <div className="stack-row">
                <TextInput label="Name" value={paint.name} onChange={field('name')} data-autofocus autoFocus />
                <TextInput label="Range" value={paint.range} onChange={field('range')} />
            </div>
            <div className="stack-row">
                <NativeSelect label="Family" value={paint.family} data={FAMILIES.map((f) => ({ value: f, label: f.replaceAll('-', ' ') }))} onChange={field('family')} />
                <NativeSelect label="For" value={paint.role} data={ROLES.map((r) => ({ value: r, label: r.replaceAll('-', ' ') }))} onChange={field('role')} />
                <NativeSelect label="Sheen" value={paint.sheen} data={['matt', 'satin', 'semi-gloss', 'gloss']} onChange={field('sheen')} />
                <NativeSelect label="Covers" value={paint.opacity} data={['opaque', 'good', 'fair', 'weak']} onChange={field('opacity')} />
            </div>
            {paint.role !== 'varnish' && (
                <>
                    <div className="stack-row paint-colour">
                        <input type="color" aria-label="Pick its colour" value={/^#[0-9a-f]{6}$/i.test(paint.swatch) ? paint.swatch.toLowerCase() : '#808080'} onChange={(e) => set({ ...paint, swatch: e.currentTarget.value.toUpperCase() })} />
                        <TextInput label="Colour, as #RRGGBB" value={paint.swatch} onChange={field('swatch')} />
                        <NativeSelect
                            label="Or like this one"
                            value=""
                            data={[{ value: '', label: 'of the shelf' }, ...products.filter((p) => p.swatch !== null).map((p) => ({ value: p.swatch ?? '', label: p.name }))]}
                            onChange={(e) => e.currentTarget.value !== '' && set({ ...paint, swatch: e.currentTarget.value })}
                        />
                    </div>
                    <div className="finding-presses">
                        {([['lighter', 0.12], ['darker', -0.12]] as const).map(([word, by]) => (
                            <Button key={word} type="button" data-small onClick={() => set({ ...paint, swatch: shifted(paint.swatch, by) })}>
                                But {word}
                            </Button>
                        ))}
                    </div>
                </>
            )}
            {wrong !== null && (
                <p className="field-error" role="alert">
                    {wrong}
                </p>
            )}
            <div className="stack-row">
                <Button data-main type="submit" disabled={paint.name.trim() === ''}>
                    Put it on the shelf
                </Button>
                <Button type="button" onClick={back}>
                    Back to the shelf
                </Button>
            </div>
        </form>
    );
}

/** A swatch moved towards white or black, for a first idea: a spoon says what it is. */
function shifted(hex: string, by: number): string {
    if (!/^#[0-9a-f]{6}$/i.test(hex)) {
        return hex;
    }

    return `#${[1, 3, 5]
        .map((i) => {
            const c = parseInt(hex.slice(i, i + 2), 16);

            return Math.round(by > 0 ? c + (255 - c) * by : c * (1 + by))
                .toString(16)
                .padStart(2, '0');
        })
        .join('')
        .toUpperCase()}`;
}
