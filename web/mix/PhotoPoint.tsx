import { useRef, useState, type KeyboardEvent, type ReactElement } from 'react';
import { FilePress } from '../shared/FilePress';

/** px of the drawing; a point is the mean of a square of so many px, as paint has grain and a camera noise. */
const MOST = 560;
const SQUARE = 5;

/** A colour taken from a point of a photograph, which stays in the browser. */
export function PhotoPoint({ want }: { want: (hex: string) => void }): ReactElement {
    const canvas = useRef<HTMLCanvasElement>(null);
    const [name, call] = useState<string | null>(null);
    const [at, go] = useState({ x: 0, y: 0 });
    const [wrong, say] = useState<string | null>(null);
    const load = async (chosen: File): Promise<void> => {
        try {
            const picture = await createImageBitmap(chosen);
            const scale = Math.min(1, MOST / Math.max(picture.width, picture.height));
            const sheet = canvas.current;
            if (sheet !== null) {
                sheet.width = Math.max(1, Math.round(picture.width * scale));
                sheet.height = Math.max(1, Math.round(picture.height * scale));
                sheet.getContext('2d', { willReadFrequently: true })?.drawImage(picture, 0, 0, sheet.width, sheet.height);
                go({ x: Math.round(sheet.width / 2), y: Math.round(sheet.height / 2) });
            }
            picture.close();
            call(chosen.name);
            say(null);
        } catch {
            say(`${chosen.name} is no picture this browser reads: give a JPEG, PNG or WebP.`);
        }
    };
    const take = (x: number, y: number): void => {
        const sheet = canvas.current;
        const pixels = sheet?.getContext('2d', { willReadFrequently: true })?.getImageData(Math.max(0, Math.min(sheet.width - SQUARE, x - 2)), Math.max(0, Math.min(sheet.height - SQUARE, y - 2)), SQUARE, SQUARE).data;
        if (sheet === null || pixels === undefined) {
            return;
        }
        go({ x, y });
        const mean = [0, 1, 2].map((channel) => {
            let sum = 0;
            for (let i = channel; i < pixels.length; i += 4) {
                // Light adds up before it is written down as sRGB, about its square.
                sum += (pixels[i] ?? 0) ** 2;
            }

            return Math.round(Math.sqrt(sum / (pixels.length / 4)));
        });
        want(`#${mean.map((c) => c.toString(16).padStart(2, '0')).join('')}`.toUpperCase());
    };
    const keys = (e: KeyboardEvent): void => {
        const by: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
        const move = by[e.key];
        const sheet = canvas.current;
        if (move !== undefined && sheet !== null) {
            e.preventDefault();
            const far = e.shiftKey ? 20 : 4;
            take(Math.max(0, Math.min(sheet.width - 1, at.x + move[0] * far)), Math.max(0, Math.min(sheet.height - 1, at.y + move[1] * far)));
        }
    };

    return (
        <div className="photo-point">
            <FilePress label="A photograph to take a colour from" words={name === null ? 'Take it from a photograph' : 'Another photograph'} take={(chosen) => void load(chosen)} />
            <div className="photo-sheet" hidden={name === null}>
                <canvas
                    ref={canvas}
                    tabIndex={0}
                    role="application"
                    aria-label={`${name ?? 'Photograph'}: press a point, or move it with the arrows`}
                    onClick={(e) => {
                        const box = e.currentTarget.getBoundingClientRect();
                        take(Math.round(((e.clientX - box.left) * e.currentTarget.width) / box.width), Math.round(((e.clientY - box.top) * e.currentTarget.height) / box.height));
                    }}
                    onKeyDown={keys}
                />
                {name !== null && <span className="photo-spot" style={{ left: `${(100 * at.x) / (canvas.current?.width ?? 1)}%`, top: `${(100 * at.y) / (canvas.current?.height ?? 1)}%` }} aria-hidden="true" />}
            </div>
            {name !== null && <small>Light and camera shift a colour: hold it against the real thing.</small>}
            {wrong !== null && (
                <p className="bad" role="alert">
                    {wrong}
                </p>
            )}
        </div>
    );
}
