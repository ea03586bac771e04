import { Button, FileButton } from '@mantine/core';
import { useEffect, useRef, useState, type MouseEvent, type ReactElement } from 'react';

interface Picture {
    url: string;
    width: number;
    height: number;
}

interface Point {
    x: number;
    y: number;
    rounded: boolean;
}

/** What the next click on the photograph sets. */
type Next = 'from' | 'to' | 'corner' | 'rounded';

const SAYS: Record<Next, string> = {
    from: 'Click the first of two points whose distance you know.',
    to: 'Click the second known point.',
    corner: 'Click round the edge, corner by corner.',
    rounded: 'Click points on the bend; the outline passes them smoothly.',
};

/** A photograph of a rubbing to click on. It stays in the browser: only the points are worked with. */
export function RubbingPhoto({ measures, change }: { measures: Record<string, string>; change: (measures: Record<string, string>) => void }): ReactElement {
    const [picture, show] = useState<Picture | null>(null);
    const [wrong, refuse] = useState<string | null>(null);
    const [next, turn] = useState<Next>('from');
    const image = useRef<HTMLImageElement>(null);
    const points = read(measures.points ?? '');
    const [from, to] = [read(measures.from ?? '')[0], read(measures.to ?? '')[0]];

    useEffect(() => () => void (picture !== null && URL.revokeObjectURL(picture.url)), [picture]);

    const open = (file: File | null): void => {
        if (file === null) {
            return;
        }
        const url = URL.createObjectURL(file);
        const probe = new Image();
        probe.onload = () => {
            refuse(null);
            show({ url, width: probe.naturalWidth, height: probe.naturalHeight });
            change({ ...measures, from: '', to: '', points: '' });
            turn('from');
        };
        probe.onerror = () => {
            URL.revokeObjectURL(url);
            refuse(`${file.name} is no picture this browser opens: take a JPEG or PNG.`);
        };
        probe.src = url;
    };
    const click = (event: MouseEvent<HTMLDivElement>): void => {
        const box = image.current?.getBoundingClientRect();
        if (box === undefined || picture === null) {
            return;
        }
        const at = `${Math.round(((event.clientX - box.left) / box.width) * picture.width)} ${Math.round(((event.clientY - box.top) / box.height) * picture.height)}`;
        if (next === 'from' || next === 'to') {
            change({ ...measures, [next]: at });
            turn(next === 'from' ? 'to' : 'corner');
        } else {
            change({ ...measures, points: [measures.points ?? '', next === 'rounded' ? `${at} r` : at].filter((p) => p !== '').join(', ') });
        }
    };
    const takeBack = (): void => {
        if (points.length > 0) {
            change({ ...measures, points: (measures.points ?? '').split(',').slice(0, -1).join(',') });
        } else {
            turn(to === undefined ? 'from' : 'to');
            change({ ...measures, [to === undefined ? 'from' : 'to']: '' });
        }
    };

    return (
        <div className="rubbing" data-testid="rubbing">
            <div className="finding-presses">
                <FileButton accept="image/*" onChange={open}>
                    {(props) => <Button {...props}>{picture === null ? 'Open a photograph of the rubbing' : 'Another photograph'}</Button>}
                </FileButton>
                {picture !== null && (
                    <>
                        {(['corner', 'rounded'] as const).map((kind) => (
                            <Button key={kind} data-small aria-pressed={next === kind} disabled={from === undefined || to === undefined} onClick={() => turn(kind)}>
                                {kind === 'corner' ? 'Corners' : 'Rounded'}
                            </Button>
                        ))}
                        <Button data-small disabled={from === undefined} onClick={takeBack}>
                            Take the last back
                        </Button>
                    </>
                )}
            </div>
            {wrong !== null && (
                <p className="shape-wrong" role="alert">
                    {wrong}
                </p>
            )}
            {picture !== null && (
                <>
                    <p aria-live="polite">{SAYS[next]}</p>
                    <div className="rubbing-photo" onClick={click} data-testid="rubbing-photo">
                        <img ref={image} src={picture.url} alt="The photograph of the rubbing" />
                        <svg viewBox={`0 0 ${picture.width} ${picture.height}`} aria-hidden="true">
                            {points.length > 1 && <polygon points={points.map((p) => `${p.x},${p.y}`).join(' ')} strokeWidth={picture.width / 400} />}
                            {points.map((p, i) => (p.rounded ? <circle key={i} cx={p.x} cy={p.y} r={picture.width / 110} /> : <rect key={i} x={p.x - picture.width / 120} y={p.y - picture.width / 120} width={picture.width / 60} height={picture.width / 60} />))}
                            {from !== undefined && to !== undefined && <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} strokeWidth={picture.width / 250} />}
                            {[from, to].map((p, i) => p !== undefined && <path key={i} d={`M${p.x - picture.width / 70} ${p.y}h${picture.width / 35}M${p.x} ${p.y - picture.width / 70}v${picture.width / 35}`} strokeWidth={picture.width / 250} />)}
                        </svg>
                    </div>
                </>
            )}
        </div>
    );
}

function read(text: string): Point[] {
    return [...text.matchAll(/(-?[\d.]+)\s+(-?[\d.]+)(\s*r)?/g)].map((m) => ({ x: Number(m[1]), y: Number(m[2]), rounded: m[3] !== undefined }));
}
