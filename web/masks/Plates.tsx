import type { ReactElement } from 'react';
import type { MaskFrame, MaskPlate } from '../api/types';
import { PhotoOfPlate } from './PlatePhoto';

/** The hatching of what is capped and the dots of what is still to come, once for all drawings. */
export function Patterns(): ReactElement {
    return (
        <svg width="0" height="0" className="mask-patterns" aria-hidden="true">
            <defs>
                <pattern id="capped" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                    <rect width="7" height="7" className="mask-paper" />
                    <path d="M0 0V7" className="mask-hatch" />
                </pattern>
                <pattern id="to-come" width="8" height="8" patternUnits="userSpaceOnUse">
                    <rect width="8" height="8" className="mask-open" />
                    <circle cx="4" cy="4" r="0.9" className="mask-dot" />
                </pattern>
            </defs>
        </svg>
    );
}

const WIDE = 180;

/** The pieces as plates of tiles, sized by cm², neighbours touching where they share an edge: the same plate in every frame. */
export function Plates({ frame, plates, aspect }: { frame: MaskFrame; plates: MaskPlate[]; aspect: number }): ReactElement {
    const shown = new Map(frame.tiles.map((t) => [t.area, t]));
    const high = WIDE / aspect;

    return (
        <div className="mask-plates">
            {plates.map((plate, i) => {
                const tiles = [...plate.tiles].sort((a, b) => Number(shown.get(a.area)?.as === 'sprayed') - Number(shown.get(b.area)?.as === 'sprayed'));

                return (
                    <figure key={plate.id} data-first={i === 0 ? '' : undefined}>
                        {isNamed(plate) ? (
                            <PhotoOfPlate plate={plate} shown={(area) => shown.get(area)} label={`${plate.name}: ${says(plate, shown)}`} />
                        ) : (
                            <svg viewBox={`-2 -2 ${WIDE + 4} ${high + 4}`} role="img" aria-label={`${plate.name}: ${says(plate, shown)}`}>
                                {tiles.map((tile) => {
                                    const one = shown.get(tile.area);
                                    const as = one?.as ?? 'bare';
                                    const fill = as === 'capped' ? 'url(#capped)' : as === 'to-come' ? 'url(#to-come)' : as === 'bare' ? undefined : (tile.swatch ?? undefined);
    
                                    return (
                                        <g key={tile.area}>
                                            <title>{`${tile.name}, ${tile.cm2} cm²: ${one?.word ?? ''}${one?.under == null ? '' : ` under ${one.under}`}`}</title>
                                            <rect className="mask-tile" data-as={as} x={tile.x * high} y={tile.y * high} width={tile.w * high} height={tile.h * high} fill={fill} />
                                            {as === 'finished' && <path className="mask-exposed" d={`M${tile.x * high + 4} ${tile.y * high + 4}l8 8m0 -8l-8 8`} />}
                                        </g>
                                    );
                                })}
                            </svg>
                        )}
                        <figcaption>{plate.name}</figcaption>
                    </figure>
                );
            })}
        </div>
    );
}

function says(plate: MaskPlate, shown: Map<string, MaskFrame['tiles'][number]>): string {
    return plate.tiles
        .map((t) => {
            const one = shown.get(t.area);

            return `${t.name} ${one?.word ?? ''}${one?.under == null ? '' : ` under ${one.under}`}`;
        })
        .join('; ');
}

/** A photograph takes the plate's place once each of its areas is named on it. */
export function isNamed(plate: MaskPlate): boolean {
    return plate.photo !== null && plate.tiles.every((tile) => plate.photo?.marks.some((m) => m.area === tile.area));
}
