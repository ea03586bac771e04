import '../shared/typing.css';
import './breakdown.css';
import { useState, type ReactElement } from 'react';
import type { Breakdown } from '../api/types';
import { useBreakdown } from '../frame/queries';
import { useChange } from '../frame/useChange';
import { KitViews } from '../shared/KitViews';
import { FindingCard } from '../shared/FindingCard';
import { TakeBack } from '../shared/TakeBack';
import { Fitting } from './Fitting';
import { GluingTrack } from './GluingTrack';
import { Holders } from './Holders';
import { JointCard } from './JointCard';
import { Pieces } from './Pieces';
import { Terms } from './Terms';

/** How it comes apart: what is glued when and with what, and what each piece is held by. */
export default function BreakdownPage({ buildId }: { buildId: string }): ReactElement {
    const { data, isPlaceholderData } = useBreakdown(buildId);

    return data === undefined ? <p>Working out how it comes apart.</p> : <BreakdownStation data={data} stale={isPlaceholderData} />;
}

function BreakdownStation({ data, stale }: { data: Breakdown; stale: boolean }): ReactElement {
    const buildId = data.build.id;
    const change = useChange(buildId, data.build.revision);
    const [chosen, choose] = useState<string | null>(null);
    const joint = data.joints.find((j) => j.id === chosen) ?? data.joints.find((j) => j.closedAt === null && j.order === 1) ?? data.joints[0];

    return (
        <div className="breakdown" data-stale={stale || undefined}>
            <div className="page-head">
                <h1>Kit</h1>
                <KitViews buildId={buildId} here="breakdown" />
                <p>
                    {data.pieces.length} {data.pieces.length === 1 ? 'piece' : 'pieces'}, {data.joints.length} {data.joints.length === 1 ? 'joint' : 'joints'}
                    {data.parked.length > 0 && `, ${data.parked.length} parked`}
                </p>
                <div className="page-tools">
                    <TakeBack undoable={data.undoable} change={change} />
                </div>
            </div>
            {change.wrong !== null && (
                <div className="notice" data-bad role="alert">
                    {change.wrong}
                </div>
            )}
            <div className="breakdown-main">
                {data.joints.length === 0 ? (
                    <section className="card empty">
                        <h2>Nothing is joined yet</h2>
                        <p>Write the gluing with the booklet, such as 4: A1 + A2, seam, and the break-down is proposed from it.</p>
                    </section>
                ) : (
                    <GluingTrack joints={data.joints} chosen={joint?.id ?? null} choose={choose} deadStop={data.deadStop} />
                )}
                {joint !== undefined && <JointCard key={joint.id} joint={joint} change={change} />}
                <Pieces pieces={data.pieces} parked={data.parked} change={change} />
            </div>
            <aside className="breakdown-side">
                <Holders holders={data.holders} change={change} />
                {data.findings
                    .filter((f) => f.severity !== 'note' || f.fixes.length > 0)
                    .map((finding) => (
                        <FindingCard key={finding.key} finding={finding} change={change} />
                    ))}
                <Fitting buildId={buildId} fitting={data.fitting} />
                <Terms data={data} change={change} />
            </aside>
        </div>
    );
}
