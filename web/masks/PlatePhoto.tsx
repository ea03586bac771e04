import { Button, Select } from '@mantine/core';
import { useState, type MouseEvent, type ReactElement } from 'react';
import { Refused } from '../api/client';
import type { MaskFrame, MaskPlate } from '../api/types';
import { ulid } from '../frame/ulid';
import type { Change } from '../frame/useChange';
import { keepPhotograph, NoPicture } from '../shared/photograph';
import { FilePress } from '../shared/FilePress';

type Shown = MaskFrame['tiles'][number] | undefined;

/** The photograph of a piece with a mark for each area that was named on it, drawn by what the area is in this frame. */
export function PhotoOfPlate({ plate, shown, label }: { plate: MaskPlate; shown: (area: string) => Shown; label: string }): ReactElement | null {
    if (plate.photo === null) {
        return null;
    }

    return (
        <span className="plate-photo" role="img" aria-label={label}>
            <img src={`/api/photos/${plate.photo.hash}.jpg`} alt="" />
            {plate.photo.marks.map((mark) => {
                const tile = plate.tiles.find((t) => t.area === mark.area);
                const as = tile === undefined ? undefined : (shown(tile.area)?.as ?? 'bare');

                return tile === undefined || as === undefined ? null : (
                    <i key={tile.area} title={`${tile.name}: ${shown(tile.area)?.word ?? ''}`} data-as={as} style={{ left: `${mark.x * 100}%`, top: `${mark.y * 100}%`, ...(as === 'sprayed' || as === 'done' ? { background: tile.swatch ?? undefined } : {}) }} />
                );
            })}
        </span>
    );
}

/** Photographs, or the booklet's drawing, under the plates: laid once for a piece, its areas named by a click each. */
export function PlatePhotos({ plates, change }: { plates: MaskPlate[]; change: Change }): ReactElement {
    const outside = plates.filter((p) => p.piece === p.id);

    return (
        <details className="card plate-photos">
            <summary>A photograph or drawing under the plates</summary>
            {outside.map((plate) => (
                <PhotoUnder key={plate.id} plate={plate} change={change} />
            ))}
        </details>
    );
}

function PhotoUnder({ plate, change }: { plate: MaskPlate; change: Change }): ReactElement {
    const [wrong, say] = useState<string | null>(null);
    const [chosen, choose] = useState<string | null>(null);
    const photo = plate.photo;
    const named = new Set(photo?.marks.map((m) => m.area));
    const next = plate.tiles.find((t) => t.area === chosen) ?? plate.tiles.find((t) => !named.has(t.area));
    const take = async (picture: File): Promise<void> => {
        say(null);
        try {
            const hash = await keepPhotograph(picture);
            await change.apply(`A photograph under ${plate.name}`, [...(photo === null ? [] : [{ op: 'remove' as const, list: 'photos', id: photo.id }]), { op: 'add', list: 'photos', value: { id: ulid(), target: plate.piece, hash, marks: [] } }]);
        } catch (error) {
            say(error instanceof Refused ? error.sentence() : error instanceof NoPicture ? error.message : 'The bench cannot be reached: the picture was not kept.');
        }
    };
    const name = (e: MouseEvent<HTMLButtonElement>): void => {
        if (photo === null || next === undefined) {
            return;
        }
        const box = e.currentTarget.getBoundingClientRect();
        // A key presses the middle.
        const [x, y] = e.detail === 0 ? [0.5, 0.5] : [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height];
        choose(null);
        void change.apply(`${next.name} named on its photograph`, [{ op: 'set', list: 'photos', id: photo.id, field: 'marks', value: [...photo.marks.filter((m) => m.area !== next.area), { x: share(x), y: share(y), area: next.area }] }]);
    };

    return (
        <section className="plate-under" aria-label={`Photograph under ${plate.name}`}>
            <h3>{plate.name}</h3>
            <div className="finding-presses">
                <FilePress label={`Photograph under ${plate.name}`} words={photo === null ? 'Lay one under it' : 'Another picture'} take={(picture) => void take(picture)} />
                {photo !== null && (
                    <>
                        <Button data-small disabled={photo.marks.length === 0} onClick={() => void change.apply(`A name off the photograph of ${plate.name}`, [{ op: 'set', list: 'photos', id: photo.id, field: 'marks', value: photo.marks.slice(0, -1) }])}>
                            Last name off
                        </Button>
                        <Button data-small onClick={() => void change.apply(`The photograph under ${plate.name} out`, [{ op: 'remove', list: 'photos', id: photo.id }])}>
                            Picture out
                        </Button>
                    </>
                )}
            </div>
            {wrong !== null && (
                <p className="bad" role="alert">
                    {wrong}
                </p>
            )}
            {photo !== null && (
                <>
                    <p>{next === undefined ? 'All areas are named: it stands in every frame.' : `${named.size} of ${plate.tiles.length} areas named; with all of them it takes the plate's place.`}</p>
                    <Select label="The next click is" data={plate.tiles.map((t) => ({ value: t.area, label: named.has(t.area) ? `${t.name}, again` : t.name }))} value={next?.area ?? null} placeholder="all are named" onChange={choose} />
                    <div className="plate-press">
                        <button type="button" onClick={name} disabled={next === undefined} aria-label={next === undefined ? `All areas of ${plate.name} are named` : `Click where ${next.name} lies`}>
                            <img src={`/api/photos/${photo.hash}.jpg`} alt="" />
                        </button>
                        {photo.marks.map((m) => (
                            <span key={m.area} className="plate-name" style={{ left: `${m.x * 100}%`, top: `${m.y * 100}%` }}>
                                {plate.tiles.find((t) => t.area === m.area)?.name}
                            </span>
                        ))}
                    </div>
                </>
            )}
        </section>
    );
}

function share(of: number): number {
    return Math.round(Math.min(1, Math.max(0, of)) * 1000) / 1000;
}
