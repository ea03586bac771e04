import { Button, Modal, NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Product } from '../api/types';
import { queries } from '../frame/queries';
import { FAMILIES } from './PaintSheet';

/** Several paints that are not on the shelf yet, put there in one go; how large a pack is and what it costs is asked later. */
export function MissingPaints({ names, close, done }: { names: string[]; close: () => void; done: (words: string) => void }): ReactElement {
    const [family, choose] = useState('water-acrylic');
    const [left, leave] = useState<ReadonlySet<string>>(new Set());
    const [picked, pick] = useState<Record<string, string>>({});
    const [wrong, say] = useState<string | null>(null);
    const { data } = useQuery({ queryKey: ['paints-by-name', names], queryFn: () => api.post<{ products: Product[] }>('products/several', { paints: names.map((name) => ({ name })) }), refetchInterval: false });
    const wanted = (data?.products ?? []).filter((p) => !left.has(p.name));
    const put = async (): Promise<void> => {
        try {
            await api.post('products/several', { family, keep: true, paints: wanted.map((p) => ({ name: p.name, swatch: picked[p.name] ?? p.swatch })) });
            await queries.invalidateQueries();
            done(`On the shelf: ${wanted.map((p) => p.name).join(', ')}.`);
        } catch (error) {
            say(error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was put on the shelf.');
        }
    };

    return (
        <Modal opened onClose={close} title="Paints that are not on the shelf" size="lg">
            <div className="stack-form">
                <ul className="missing-paints">
                    {(data?.products ?? []).map((p) => (
                        <li key={p.id}>
                            <input type="color" aria-label={`Colour of ${p.name}`} disabled={p.swatch === null} value={(picked[p.name] ?? p.swatch ?? '#808080').toLowerCase()} onChange={(e) => pick({ ...picked, [p.name]: e.currentTarget.value.toUpperCase() })} />
                            <span>
                                <strong>{p.name}</strong>
                                <small>
                                    {p.role}, {p.sheen}
                                </small>
                            </span>
                            <Button
                                data-small
                                onClick={() => {
                                    const next = new Set(left);
                                    if (!next.delete(p.name)) {
                                        next.add(p.name);
                                    }
                                    leave(next);
                                }}
                            >
                                {left.has(p.name) ? 'Take it along' : 'Leave it out'}
                            </Button>
                        </li>
                    ))}
                </ul>
                <NativeSelect label="They are" value={family} data={FAMILIES.map((f) => ({ value: f, label: f.replaceAll('-', ' ') }))} onChange={(e) => choose(e.currentTarget.value)} />
                {wrong !== null && (
                    <p className="field-error" role="alert">
                        {wrong}
                    </p>
                )}
                <div className="stack-row">
                    <Button data-main data-autofocus disabled={wanted.length === 0} onClick={() => void put()}>
                        {wanted.length === 1 ? 'Put it on the shelf' : `Put ${wanted.length} on the shelf`}
                    </Button>
                    <Button onClick={close}>Leave it</Button>
                </div>
            </div>
        </Modal>
    );
}
