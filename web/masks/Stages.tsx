import { Button } from '@mantine/core';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import type { MasksPage as Masks } from '../api/types';
import type { Change } from '../frame/useChange';
import { PrintFoot, PrintHead } from '../frame/Printed';
import { FindingCard } from '../shared/FindingCard';
import { useNow } from '../api/clock';
import { FrameCard } from './FrameCard';
import { MaskPanel } from './MaskPanel';
import { OrderList } from './OrderList';
import { PlatePhotos } from './PlatePhoto';
import { SoftEdge } from './SoftEdge';

/** The strip of frames, the orders there could be, and the mask that is looked at. */
export function Stages({ data, change }: { data: Masks; change: Change }): ReactElement {
    const now = useNow();
    const [chosen, choose] = useState<string | null>(null);
    const mask = data.masks.find((m) => m.key === chosen) ?? data.masks.find((m) => !m.isOn) ?? data.masks.find((m) => !m.isOff) ?? data.masks[0];
    const next = data.frames.findIndex((f) => !f.done);
    const strip = useRef<HTMLOListElement>(null);
    // Where not all frames fit, the one that comes next stands first.
    useEffect(() => {
        const frame = strip.current?.children[next];
        if (strip.current !== null && frame instanceof HTMLElement) {
            strip.current.scrollLeft = frame.offsetLeft - strip.current.offsetLeft;
        }
    }, [next]);

    if (data.frames.length === 0) {
        return (
            <section className="card empty">
                <h2>Nothing is masked yet</h2>
                <p>{data.alone.length === 0 ? 'Say in the Kit which areas have which colour; where two meet on one piece, say how long the edge is.' : 'Every piece has one colour only: nothing is covered for another.'}</p>
            </section>
        );
    }

    return (
        <>
            <PrintHead title="Mask sheet" build={data.build} at={now} />
            <section className="card mask-strip" aria-labelledby="strip-title">
                <h2 id="strip-title" className="unseen">
                    Colour by colour
                </h2>
                <ol className="mask-frames" ref={strip} tabIndex={0} aria-label="Colour by colour">
                    {data.frames.map((frame, i) => (
                        <FrameCard key={frame.colour === null ? 'off' : frame.colour.id + String(frame.inside)} frame={frame} number={i + 1} isNext={i === next} data={data} now={now} chosen={mask?.key ?? null} choose={choose} />
                    ))}
                </ol>
                <p className="mask-legend">
                    <span data-as="sprayed">thick line: sprayed</span> <span data-as="capped">hatched: capped</span> <span data-as="to-come">dots: still to come</span> <span data-as="bare">white: bare on purpose</span>
                    {data.alone.length > 0 && <span>Sprayed on pieces of their own, nothing covered: {data.alone.map((c) => c.name).join(', ')}.</span>}
                </p>
            </section>
            <div className="masks-main">
                <OrderList orders={data.orders} buildId={data.build.id} change={change} />
                <div className="masks-side">
                    {mask !== undefined && <MaskPanel mask={mask} zone={data.build.zone} now={now} change={change} />}
                    <SoftEdge scale={data.build.scale} wanted={Math.max(...data.masks.map((m) => m.softMm ?? 0)) || 1} />
                    {data.findings
                        .filter((f) => f.severity !== 'note' || f.fixes.length > 0)
                        .map((finding) => (
                            <FindingCard key={finding.key} finding={finding} change={change} />
                        ))}
                    <PlatePhotos plates={data.plates} change={change} />
                    <Button data-small className="mask-print" onClick={() => window.print()}>
                        Print the mask sheet
                    </Button>
                </div>
            </div>
            <PrintFoot />
        </>
    );
}
