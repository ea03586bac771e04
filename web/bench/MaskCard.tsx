import { Button } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { LaidMasks } from '../api/types';

type Laid = LaidMasks['masks'][number];

/** A mask of a pair, or one that begins at a mark, is not laid before hand and mark are looked at. */
function isAsked(mask: Laid): boolean {
    return mask.hand !== 'none' || mask.start !== '';
}

export interface MaskAnswers {
    ready: boolean;
    /** What was said of each, by its id: "right", or the wrong hand. */
    said: Record<string, string>;
    say: (id: string, what: string) => void;
}

/** What was answered for the masks of the step at hand; another step asks anew. */
export function useMaskAnswers(step: string, masks: LaidMasks | null): MaskAnswers {
    const [kept, keep] = useState<{ step: string; said: Record<string, string> }>({ step, said: {} });
    const said = kept.step === step ? kept.said : {};

    return { said, ready: (masks?.masks ?? []).every((m) => !isAsked(m) || said[m.id] === 'right'), say: (id, what) => keep({ step, said: { ...said, [id]: what } }) };
}

const WIDE = 230;

/** The masks that are laid: where on the piece, which hand, where each begins. Hand and mark are asked before it counts as done. */
export function MaskCard({ laid, answers }: { laid: LaidMasks; answers: MaskAnswers }): ReactElement {
    const high = WIDE / laid.aspect;
    const lit = new Set(laid.masks.map((m) => m.area));

    return (
        <div className="mask-card" data-testid="mask-card">
            <svg viewBox={`-2 -2 ${WIDE + 4} ${high + 4}`} role="img" aria-label={`Laid on ${laid.masks.map((m) => m.where).join(', ')}`}>
                {laid.tiles.map((tile) => (
                    <g key={tile.area}>
                        <title>{`${tile.name}, ${tile.cm2} cm²`}</title>
                        <rect x={tile.x * high} y={tile.y * high} width={tile.w * high} height={tile.h * high} fill={tile.swatch ?? 'none'} className="mask-card-tile" data-lit={lit.has(tile.area) || undefined} />
                        {lit.has(tile.area) && <Hand hand={laid.masks.find((m) => m.area === tile.area)?.hand ?? 'none'} x={(tile.x + tile.w / 2) * high} y={(tile.y + tile.h / 2) * high} room={Math.min(tile.w, tile.h) * high} />}
                    </g>
                ))}
            </svg>
            <ul>
                {laid.masks.map((mask) => (
                    <li key={mask.id}>
                        <strong>{mask.name}</strong> on {mask.where}
                        {mask.start !== '' && <>, begins at {mask.start}</>}
                        {isAsked(mask) && <Ask mask={mask} said={answers.said[mask.id]} say={(what) => answers.say(mask.id, what)} />}
                    </li>
                ))}
            </ul>
        </div>
    );
}

/** An arrow to the side it is for; port is to the left of one who looks forward. */
function Hand({ hand, x, y, room }: { hand: Laid['hand']; x: number; y: number; room: number }): ReactElement | null {
    const r = Math.max(3, Math.min(11, room / 2.6));
    const d = hand === 'port' ? -1 : 1;

    return hand === 'none' ? <circle className="mask-card-hand" cx={x} cy={y} r={r / 2} /> : <path className="mask-card-hand" d={`M${x + d * r} ${y}L${x - d * r * 0.6} ${y - r * 0.8}V${y + r * 0.8}Z`} />;
}

function Ask({ mask, said, say }: { mask: Laid; said: string | undefined; say: (what: string) => void }): ReactElement {
    if (said === 'right') {
        return <span className="mask-card-right"> ✓ {mask.hand === 'none' ? 'from its mark' : `${mask.hand}, ${mask.start === '' ? 'looked at' : 'from its mark'}`}</span>;
    }

    return (
        <span className="mask-card-ask" role="group" aria-label={`Which is it: ${mask.name}`}>
            {mask.hand === 'none' ? (
                <Button data-small onClick={() => say('right')}>
                    It begins there
                </Button>
            ) : (
                (['port', 'starboard'] as const).map((hand) => (
                    <Button key={hand} data-small onClick={() => say(hand === mask.hand ? 'right' : hand)}>
                        I hold the {hand} one
                    </Button>
                ))
            )}
            {said !== undefined && (
                <span role="alert" className="mask-card-wrong">
                    Stop: {mask.where} takes {mask.name}, the {mask.hand} one{mask.other === null ? '' : `; ${mask.other} is for the other side`}. Put it back and take the other.
                </span>
            )}
        </span>
    );
}
