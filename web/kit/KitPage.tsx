import './kit.css';
import { Button } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import type { Kit } from '../api/types';
import { useKit } from '../frame/queries';
import { useChange } from '../frame/useChange';
import { KitViews } from '../shared/KitViews';
import { CsvPresses } from './CsvPresses';
import { GrammarHelp } from './GrammarHelp';
import { Proposed } from './Proposed';
import { Tables } from './Tables';
import { Typing } from './Typing';

/** What the kit is made of and what it shall look like: typed as lines, put right in tables. */
export default function KitPage({ buildId }: { buildId: string }): ReactElement {
    const { data: kit } = useKit(buildId);

    return kit === undefined ? <p>Fetching the kit.</p> : <KitStation key={buildId} kit={kit} />;
}

function KitStation({ kit }: { kit: Kit }): ReactElement {
    const buildId = kit.build.id;
    const [written, write] = useState(0);
    const [wrong, say] = useState<string | null>(null);
    const [told, tell] = useState('');
    const change = useChange(buildId, kit.build.revision);
    const empty = kit.areas.length === 0 && kit.parts.length === 0;

    return (
        <div className="kit">
            <div className="page-head">
                <h1>Kit</h1>
                <KitViews buildId={buildId} here="kit" />
                <p>
                    {kit.build.name}, 1/{kit.build.scale} · {kit.pieces.length} {kit.pieces.length === 1 ? 'piece' : 'pieces'}, {kit.areas.length} {kit.areas.length === 1 ? 'area' : 'areas'}, {kit.colours.length}{' '}
                    {kit.colours.length === 1 ? 'colour' : 'colours'}
                </p>
                <div className="page-tools">
                    {!empty && (
                        <Button data-small onClick={() => write(written + 1)}>
                            Write it all out as lines
                        </Button>
                    )}
                    <CsvPresses buildId={buildId} revision={kit.build.revision} say={(words, bad) => (bad ? say(words) : tell(words))} />
                </div>
            </div>
            <Proposed kit={kit} change={change} />
            <Typing kit={kit} empty={empty} written={written} wrong={wrong} told={told} say={say} tell={tell} />
            {empty ? <GrammarHelp open /> : <Tables kit={kit} say={say} tell={tell} />}
            {!empty && (
                <p className="kit-next">
                    <GrammarHelp />
                    <Link to={`/b/${buildId}/layers`}>See it as layers</Link>
                </p>
            )}
        </div>
    );
}
