import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import type { SurfacePage } from '../api/types';
import type { Change } from '../frame/useChange';
import { putBack, takeBack } from './deeds';

/** Detail that sanding took: ticked off before primer. */
export function Features({ data, change }: { data: SurfacePage; change: Change }): ReactElement | null {
    if (data.features.length === 0) {
        return null;
    }
    const left = data.features.filter((f) => f.doneBy === null).length;

    return (
        <section className="card features" aria-labelledby="features-title">
            <h2 id="features-title" className="card-title">
                Before primer
            </h2>
            <p>{left === 0 ? 'All detail is there again.' : left === 1 ? '1 line of detail is to be put back.' : `${left} lines of detail are to be put back.`}</p>
            <ul>
                {data.features.map((f) => (
                    <li key={f.id}>
                        <button
                            type="button"
                            role="checkbox"
                            className="feature"
                            aria-checked={f.doneBy !== null}
                            onClick={() => (f.doneBy === null ? putBack(data.build.id, f.id, f.name) : takeBack(data.build.id, `${f.name} is missing again`, f.doneBy))}
                        >
                            <span className="feature-box" aria-hidden="true">
                                {f.doneBy !== null && '✓'}
                            </span>
                            <span>
                                <strong>{f.name}</strong>
                                <small>
                                    {f.part}. {f.how}
                                </small>
                            </span>
                        </button>
                        <Button data-small aria-label={`Strike out ${f.name}`} title="It is not on the subject" onClick={() => void change.apply(`Strike out ${f.name}`, [{ op: 'remove', list: 'features', id: f.id }])}>
                            ×
                        </Button>
                    </li>
                ))}
            </ul>
        </section>
    );
}
