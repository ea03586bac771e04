import { useEffect, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import type { Frame } from '../api/types';
import { Mark } from '../drawing/Mark';
import { useNow } from '../api/clock';
import { ImportSheet } from './ImportSheet';
import { RoomSheet } from './RoomSheet';
import { shortName } from './shortName';
import { useSurround } from './surround';
import { clock, weekday } from './words';

/** Builds that have a tab; the others are in the list of all builds. */
const TABS = 20;

/** The top edge: name, builds in hand, the room, the clock, the surround. */
export function Edge({ frame, buildId, station }: { frame: Frame | undefined; buildId: string | undefined; station: string }): ReactElement {
    const at = useNow();
    const [surround, turn] = useSurround();
    const [asking, ask] = useState<'room' | 'import' | null>(null);
    const zone = frame?.builds[0]?.zone ?? 'UTC';
    const room = frame?.room;
    const builds = frame?.builds.length;
    const shown = inTabs(frame?.builds ?? [], buildId);
    const others = (builds ?? 0) - shown.length;
    // With more builds than fit, the one in hand is the one to see.
    useEffect(() => {
        document.querySelector('.edge-tab[aria-current]')?.scrollIntoView({ inline: 'nearest', block: 'nearest' });
    }, [buildId, builds]);

    return (
        <header className="edge">
            <Link className="edge-name" to="/" aria-label="Amber Step">
                <Logo />
                <span>amber step</span>
            </Link>
            <nav className="edge-tabs" aria-label="Builds in hand">
                {shown.map((build) => (
                    <Link key={build.id} className="edge-tab" title={frame?.late[build.id] === undefined ? build.name : `${build.name}: ${frame.late[build.id] ?? 0} d too late for its show`} to={`/b/${build.id}/${station}`} aria-current={build.id === buildId ? 'page' : undefined}>
                        <Mark kind={build.aspect.kind} left={leftOf(build.aspect.from, build.aspect.until, at)} onEdge={build.id !== buildId} />
                        <span>
                            {shortName(build.name)}
                            {/* With many builds in hand only the one that is open has room for its scale. */}
                            <span className={shown.length > 4 && (build.id !== buildId || frame?.late[build.id] !== undefined) ? 'unseen' : undefined}> 1/{build.scale}</span>
                            {build.aspect.kind === 'done' && ', done'}
                            {frame?.late[build.id] !== undefined && <span className="edge-late">{frame.late[build.id]} d<span className="unseen"> too late for its show</span></span>}
                        </span>
                    </Link>
                ))}
            </nav>
            <button className="edge-tool" type="button" onClick={() => ask('import')} aria-label="Begin a build">
                + build
            </button>
            {(others > 0 || (frame?.away ?? 0) > 0) && (
                <Link className="edge-tool" to="/keep" title="All builds">
                    {[...(others > 0 ? [`${others} more`] : []), ...((frame?.away ?? 0) > 0 ? [`${frame?.away} away`] : [])].join(', ')}
                </Link>
            )}
            {room !== undefined && (
                <button className="edge-tool edge-room" type="button" onClick={() => ask('room')}>
                    <span className="quiet">The room:</span>
                    <span>{room.temperatureC.toFixed(1)} °C</span>
                    <span>{Math.round(room.humidity * 100)} % RH</span>
                    <span>dew {room.dewPointC.toFixed(1)} °C</span>
                </button>
            )}
            <div className="edge-clock" aria-label="Time">
                {weekday(at, zone)} {clock(at, zone)}
            </div>
            <button className="edge-tool" type="button" onClick={turn} aria-label={surround === 'day' ? 'Turn to Booth, the dark surround' : 'Turn to Day, the light surround'}>
                {surround === 'day' ? 'Booth' : 'Day'}
            </button>
            <ImportSheet opened={asking === 'import'} close={() => ask(null)} />
            {room !== undefined && <RoomSheet room={room} zone={zone} opened={asking === 'room'} close={() => ask(null)} />}
        </header>
    );
}

/** As many tabs as one can look over; the build that is open is always among them. */
function inTabs(builds: Frame['builds'], open: string | undefined): Frame['builds'] {
    const first = builds.slice(0, TABS);
    const here = builds.find((b) => b.id === open);

    return here === undefined || first.includes(here) ? first : [...first.slice(0, TABS - 1), here];
}

export function leftOf(from: string | null, until: string | null, at: number): number {
    if (from === null || until === null) {
        return 1;
    }
    const start = Date.parse(from);
    const end = Date.parse(until);

    return end <= start ? 0 : (end - at) / (end - start);
}

function Logo(): ReactElement {
    return (
        <svg width="24" height="22" viewBox="0 0 24 22" aria-hidden="true">
            <path d="M1.5 20.5 v-6 h7 v-6 h7 v-7 h7 v19 z" fill="none" stroke="currentColor" strokeWidth="1.8" />
            <rect x="9.6" y="9.6" width="4.8" height="4.8" fill="var(--amber)" />
        </svg>
    );
}
