import { Button } from '@mantine/core';
import { useState, type MouseEvent, type ReactElement } from 'react';
import { Refused } from '../api/client';
import type { Place } from '../api/types';
import { ulid } from '../frame/ulid';
import type { Change } from '../frame/useChange';
import { keepPhotograph, NoPicture } from '../shared/photograph';
import { FilePress } from '../shared/FilePress';

type Photo = Place['photos'][number];

/** Photographs of a place, with marks where to look: a press on the picture sets one. */
export function Photos({ place, change }: { place: Place; change: Change }): ReactElement {
    const [wrong, say] = useState<string | null>(null);
    const [sending, send] = useState(false);
    const take = async (chosen: File): Promise<void> => {
        say(null);
        send(true);
        try {
            const hash = await keepPhotograph(chosen);
            await change.apply(`A photograph of ${place.name}`, [{ op: 'add', list: 'photos', value: { id: ulid(), target: place.id, hash, marks: [] } }]);
        } catch (error) {
            say(error instanceof Refused ? error.sentence() : error instanceof NoPicture ? error.message : 'The bench cannot be reached: the picture was not kept.');
        }
        send(false);
    };

    return (
        <div className="photos">
            {place.photos.map((photo) => (
                <Picture key={photo.id} place={place} photo={photo} change={change} />
            ))}
            <FilePress label={`Photograph of ${place.name}`} words={sending ? 'Keeping the picture' : 'Photograph it'} disabled={sending} camera testId="photo-file" take={(chosen) => void take(chosen)} />
            {wrong !== null && (
                <p className="bad" role="alert">
                    {wrong}
                </p>
            )}
        </div>
    );
}

function Picture({ place, photo, change }: { place: Place; photo: Photo; change: Change }): ReactElement {
    const marks = (next: Photo['marks']): void => void change.apply(`Marks on a photograph of ${place.name}`, [{ op: 'set', list: 'photos', id: photo.id, field: 'marks', value: next }]);
    const mark = (e: MouseEvent<HTMLButtonElement>): void => {
        const box = e.currentTarget.getBoundingClientRect();
        // A key presses the middle.
        const at = e.detail === 0 ? [0.5, 0.5] : [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height];
        marks([...photo.marks, { x: clamp(at[0] ?? 0.5), y: clamp(at[1] ?? 0.5) }]);
    };

    return (
        <figure className="photo">
            <button type="button" className="photo-press" onClick={mark} aria-label={`Set a mark on the photograph of ${place.name}`}>
                <img src={`/api/photos/${photo.hash}.jpg`} alt={`${place.name}${photo.marks.length > 0 ? `, ${photo.marks.length} marked` : ''}`} />
                {photo.marks.map((m, i) => (
                    <span key={`${m.x}/${m.y}`} className="photo-mark" style={{ left: `${m.x * 100}%`, top: `${m.y * 100}%` }}>
                        {i + 1}
                    </span>
                ))}
            </button>
            <figcaption>
                <span>{photo.marks.length === 0 ? 'Press where to look.' : `${photo.marks.length} marked.`}</span>
                {photo.marks.length > 0 && (
                    <Button data-small onClick={() => marks(photo.marks.slice(0, -1))}>
                        Last mark off
                    </Button>
                )}
                <Button data-small onClick={() => void change.apply(`A photograph of ${place.name} out`, [{ op: 'remove', list: 'photos', id: photo.id }])}>
                    Picture out
                </Button>
            </figcaption>
        </figure>
    );
}

function clamp(share: number): number {
    return Math.round(Math.min(1, Math.max(0, share)) * 1000) / 1000;
}
