import { Button, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Mixed, MixOrder, MixPage, MixPaint } from '../api/types';
import { queries } from '../frame/queries';
import { Fold } from '../shared/Fold';

/** A change of the shelf, told where it was asked for. */
export async function told(work: () => Promise<string>, say: (words: string | null) => void): Promise<void> {
    try {
        say(await work());
        await queries.invalidateQueries();
    } catch (wrong) {
        say(wrong instanceof Refused ? wrong.sentence() : 'The bench cannot be reached: nothing was changed.');
    }
}

/** The jars a recipe comes from: how full, for how many whole jobs, stirred or not; what is taken out, and how large their drops are. */
export function Jars({ page, order, mixed }: { page: MixPage; order: MixOrder; mixed: Mixed }): ReactElement {
    const [said, say] = useState<string | null>(null);
    const [open, look] = useState<string | null>(null);
    const jars = order.parts.flatMap((part, i) => {
        const paint = page.paints.find((p) => p.id === part.product);
        const is = mixed.parts[i];

        return paint === undefined || is === undefined ? [] : [{ paint, ml: is.ml, jobs: is.jobs }];
    });
    const known = jars.filter((j) => j.paint.levelMl !== null);
    const take = (): Promise<void> =>
        told(async () => {
            await api.post('jars', { taken: known.map((j) => ({ product: j.paint.id, ml: j.ml })) });

            return `Taken out: ${known.map((j) => `${j.ml.toFixed(2)} ml of ${j.paint.name}`).join(', ')}.`;
        }, say);

    return (
        <Fold name="jars" title="Still in the jars" tells={jars.map(({ paint, jobs }) => `${paint.name}: ${paint.levelMl === null ? 'nobody looked how full' : `${paint.levelMl.toFixed(1)} ml`}${jobs === 0 ? ', not enough for this' : ''}`).join(' · ')} kind="jars">
            <ul className="jar-list">
                {jars.map(({ paint, ml, jobs }) => (
                    <li key={paint.id} data-testid="jar">
                        <JarShape paint={paint} takes={ml} />
                        <span>
                            <strong>{paint.name}</strong>
                            {paint.levelMl === null ? 'nobody looked how full' : `${paint.levelMl.toFixed(1)} ml${paint.sizeMl === null ? '' : ` of ${paint.sizeMl}`}`}
                            {jobs !== null && <small>{jobs === 0 ? 'not enough for this' : `${jobs} whole ${jobs === 1 ? 'job' : 'jobs'} like this`}</small>}
                            <small>{paint.stirring ?? 'Stirred this evening.'}</small>
                        </span>
                        <Button data-small aria-expanded={open === paint.id} aria-label={open === paint.id ? `Shut ${paint.name}` : `Look into ${paint.name}`} onClick={() => look(open === paint.id ? null : paint.id)}>
                            {open === paint.id ? 'Shut' : 'Look'}
                        </Button>
                        {open === paint.id && <JarFields paint={paint} say={say} />}
                    </li>
                ))}
            </ul>
            {known.length > 0 && (
                <Button data-testid="take-from-jars" onClick={() => void take()}>
                    It came out of the jars
                </Button>
            )}
            {said !== null && (
                <p role="status" data-testid="jars-say">
                    {said}
                </p>
            )}
        </Fold>
    );
}

/** A jar to its own scale, with the line it goes down to. */
function JarShape({ paint, takes }: { paint: MixPaint; takes: number }): ReactElement {
    const size = paint.sizeMl ?? Math.max(paint.levelMl ?? 0, takes, 1);
    const level = Math.min(1, (paint.levelMl ?? 0) / size);
    const after = Math.max(0, level - takes / size);

    return (
        <svg className="jar-shape" viewBox="0 0 44 62" aria-hidden="true">
            <rect x="2" y={4 + 56 * (1 - level)} width="40" height={56 * level} fill={paint.swatch ?? 'var(--raised)'} />
            {takes > 0 && level > 0 && <line x1="2" x2="42" y1={4 + 56 * (1 - after)} y2={4 + 56 * (1 - after)} className="jar-after" />}
            <path d="M2 2 V60 H42 V2" className="jar-wall" />
        </svg>
    );
}

export function JarFields({ paint, say }: { paint: MixPaint; say: (words: string | null) => void }): ReactElement {
    const [level, type] = useState('');
    const [drops, count] = useState(paint.dropsPerMl === null ? '' : String(paint.dropsPerMl));
    const put = (body: Record<string, string | boolean>, words: (usedMl: number | null) => string): Promise<void> =>
        told(async () => {
            const { usedMl } = await api.put<{ usedMl: number | null }>(`jars/${paint.id}`, body);
            type('');

            return words(usedMl);
        }, say);

    return (
        <div className="jar-fields">
            <form
                onSubmit={(e) => {
                    e.preventDefault();
                    void put(level.includes('%') ? { height: level.replace('%', '').trim() } : { level }, (used) => `${paint.name} is at its new level${used === null ? '' : used >= 0 ? `: ${used.toFixed(2)} ml were used` : `: ${(-used).toFixed(2)} ml more than before`}.`);
                }}
            >
                <TextInput label="In it, ml or % of its height" inputMode="decimal" value={level} onChange={(e) => type(e.currentTarget.value)} />
                <Button data-small type="submit" disabled={level.trim() === ''}>
                    So full
                </Button>
            </form>
            <form
                onSubmit={(e) => {
                    e.preventDefault();
                    void put({ drops }, () => `${paint.name}: ${drops} drops to a ml, as counted.`);
                }}
            >
                <TextInput label="Drops counted into 1 ml" inputMode="numeric" value={drops} onChange={(e) => count(e.currentTarget.value)} />
                <Button data-small type="submit" disabled={drops.trim() === ''}>
                    Counted
                </Button>
            </form>
            <Button data-small onClick={() => void put({ stirred: true }, () => `${paint.name} is stirred.`)}>
                Stirred to the bottom
            </Button>
        </div>
    );
}
