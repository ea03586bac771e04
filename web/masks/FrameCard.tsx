import type { ReactElement } from 'react';
import type { LaidMask, MaskFrame, MasksPage } from '../api/types';
import { wall } from '../frame/words';
import { Plates } from './Plates';

interface Props {
    frame: MaskFrame;
    number: number;
    isNext: boolean;
    data: MasksPage;
    now: number;
    chosen: string | null;
    choose: (mask: string) => void;
}

/** One colour: what is sprayed and what is covered then, what goes on before and comes off after. */
export function FrameCard({ frame, number, isNext, data, now, chosen, choose }: Props): ReactElement {
    const zone = data.build.zone;
    const on = frame.on.map((key) => data.masks.find((m) => m.key === key)).filter((m): m is LaidMask => m !== undefined);
    const sprayed = new Set(frame.tiles.filter((t) => t.as === 'sprayed').map((t) => t.plate));
    // While one is sprayed only its pieces matter; at the end all that were covered.
    const plates = frame.colour === null ? data.plates : data.plates.filter((p) => sprayed.has(p.id));

    return (
        <li className="mask-frame" data-done={frame.done ? '' : undefined} data-next={isNext ? '' : undefined}>
            <h3>
                {frame.colour !== null && <span className="mask-swatch" style={frame.colour.swatch === null ? undefined : { background: frame.colour.swatch }} aria-hidden="true" />}
                {frame.colour === null ? 'Masks off' : `${number} ${frame.colour.name}${frame.inside ? ', inside' : ''}`}
            </h3>
            <Plates frame={frame} plates={plates} aspect={data.aspect} />
            <p className="mask-does">
                {frame.colour === null ? 'Everything comes off' : `Spray ${frame.coats} ${frame.coats === 1 ? 'coat' : 'coats'}${frame.oneSitting ? ', one sitting' : ''}`}
                <span>
                    {frame.done ? 'done, ' : frame.colour === null ? 'from ' : ''}
                    {frame.from !== null && wall(frame.from, now, zone)}
                </span>
            </p>
            {frame.open !== '' && <p className="mask-open-finished">Open though finished: {frame.open}.</p>}
            {frame.colour !== null && (
                <ul className="mask-moves">
                    {groups(on).map((group) => (
                        <li key={group[0]?.key}>
                            {group.map((m) => (
                                <button key={m.key} type="button" className="mask-name" aria-pressed={chosen === m.key} onClick={() => choose(m.key)}>
                                    {m.name}
                                </button>
                            ))}
                            <span>{laid(group)}</span>
                        </li>
                    ))}
                    {on.length === 0 && !frame.done && <li className="mask-nothing">nothing more goes on</li>}
                    {frame.off.length > 0 && !frame.done && (
                        <li>
                            off after it: {frame.off.map((off) => off.name).join(', ')}
                            <span>{frame.off[0]?.at != null && `, ${wall(frame.off[0].at, now, zone)}`}</span>
                        </li>
                    )}
                </ul>
            )}
            {frame.colour === null && (
                <ol className="mask-moves">
                    {frame.off.map((off) => (
                        <li key={off.mask}>
                            {off.name}{' '}
                            <span>
                                {off.medium}
                                {off.at !== null && `, ${wall(off.at, now, zone)}`}
                            </span>
                        </li>
                    ))}
                </ol>
            )}
        </li>
    );
}

/** What is laid of one medium for one colour is told in one line. */
function groups(masks: LaidMask[]): LaidMask[][] {
    const by = new Map<string, LaidMask[]>();
    for (const mask of masks) {
        const key = `${mask.medium.medium} ${mask.purpose}`;
        by.set(key, [...(by.get(key) ?? []), mask]);
    }

    return [...by.values()];
}

function laid(group: LaidMask[]): string {
    const cm = group.reduce((sum, m) => sum + m.edgeCm, 0);
    const soft = Math.max(...group.map((m) => m.softMm ?? 0));

    return `${group.every((m) => m.isOn) ? 'on: ' : 'put on: '}${group[0]?.medium.word ?? ''}${cm > 0 ? `, ${Math.round(cm)} cm` : ''}${soft > 0 ? `, soft ${soft} mm` : ''}`;
}
