import { lazy, Suspense, useMemo, useState, type ReactElement } from 'react';
import { Link, Navigate, Route, Routes, useLocation, useNavigate, useParams } from 'react-router';
import { Edge } from './frame/Edge';
import { FindSheet } from './frame/FindSheet';
import { FirstWords } from './frame/FirstWords';
import { HelpSheet } from './frame/HelpSheet';
import { HoldLine } from './frame/HoldLine';
import { ImportSheet } from './frame/ImportSheet';
import { useKeys } from './frame/keys';
import { Notices } from './frame/Notices';
import { Jumped } from './frame/Jumped';
import { isOld } from './frame/kept';
import { useDamaged, useFrame } from './frame/queries';
import { Unread } from './frame/Unread';
import { Refused } from './api/client';
import { Button } from '@mantine/core';

const KitPage = lazy(() => import('./kit/KitPage'));
const HousePage = lazy(() => import('./house/HousePage'));
const BenchPage = lazy(() => import('./bench/BenchPage'));
const LayersPage = lazy(() => import('./layers/LayersPage'));
const SheetPage = lazy(() => import('./bench/SheetPage'));
const FinishPage = lazy(() => import('./log/FinishPage'));
const BookletPage = lazy(() => import('./booklet/BookletPage'));
const BreakdownPage = lazy(() => import('./breakdown/BreakdownPage'));
const MixPage = lazy(() => import('./mix/MixPage'));
const MasksPage = lazy(() => import('./masks/MasksPage'));
const SurfacePage = lazy(() => import('./surface/SurfacePage'));
const ListsPage = lazy(() => import('./lists/ListsPage'));
const LogPage = lazy(() => import('./log/LogPage'));
const KeepPage = lazy(() => import('./keep/KeepPage'));
const EveningsPage = lazy(() => import('./evenings/EveningsPage'));
const SessionPage = lazy(() => import('./runup/SessionPage'));
const RunUpPage = lazy(() => import('./runup/RunUpPage'));

/** Each station keeps its own number, even while some are not built. */
const STATIONS = [
    { key: '1', path: 'kit', name: 'Kit' },
    { key: '2', path: 'surface', name: 'Surface' },
    { key: '3', path: 'layers', name: 'Layers' },
    { key: '4', path: 'masks', name: 'Masks' },
    { key: '5', path: 'mix', name: 'Mix' },
    { key: '6', path: 'bench', name: 'Bench' },
    { key: '7', path: 'runup', name: 'Run-up' },
    { key: '8', path: 'log', name: 'Log' },
] as const;

/** Pages that belong to a station. */
const UNDER: Record<string, string> = { booklet: 'kit', breakdown: 'kit', lists: 'bench', sheet: 'bench', session: 'runup', finish: 'log' };

export function App(): ReactElement {
    return (
        <Routes>
            <Route path="/b/:build/:station" element={<Screen />} />
            <Route path="*" element={<Screen />} />
        </Routes>
    );
}

function Screen(): ReactElement {
    const { build, station = 'bench' } = useParams();
    const frame = useFrame();
    const go = useNavigate();
    const [help, showHelp] = useState(false);
    const [finding, find] = useState(false);
    const [importing, bringIn] = useState(false);
    const { pathname } = useLocation();
    const first = frame.data?.builds[0]?.id;
    const keeping = pathname === '/keep';
    const evening = pathname === '/evenings';
    const trouble = frame.error instanceof Refused ? frame.error : null;
    const damaged = useDamaged();
    // The stations of the first build, where none is open.
    const at = build ?? (keeping || evening ? first : undefined);
    const here = frame.data?.builds.find((b) => b.id === build);
    const keys = useMemo(
        () => ({
            ...Object.fromEntries(STATIONS.map((s) => [s.key, () => build !== undefined && void go(`/b/${build}/${s.path}`)])),
            b: () => build !== undefined && void go(`/b/${build}/booklet`),
            d: () => build !== undefined && void go(`/b/${build}/breakdown`),
            l: () => build !== undefined && void go(`/b/${build}/lists`),
            h: () => build !== undefined && void go(`/b/${build}/house`),
            k: () => void go('/keep'),
            e: () => void go('/evenings'),
            n: () => bringIn(true),
            '/': () => build !== undefined && find(true),
            '?': () => showHelp(true),
        }),
        [build, go],
    );
    useKeys(keys);

    if (build === undefined && first !== undefined && !keeping && !evening) {
        return <Navigate to={`/b/${first}/bench`} replace />;
    }

    return (
        <div className="frame">
            <Edge frame={frame.data} buildId={build} station={station} />
            <HoldLine frame={frame.data} buildId={build} keptAt={frame.data !== undefined && isOld(frame.dataUpdatedAt) ? Date.parse(frame.data.now) : null} />
            <nav className="stations" aria-label="Stations">
                {at !== undefined && !damaged &&
                    STATIONS.map((s) => (
                        <Link key={s.path} className="station" to={`/b/${at}/${s.path}`} aria-current={!keeping && !evening && (UNDER[station] ?? station) === s.path ? 'page' : undefined}>
                            {s.name}
                            {s.path === 'layers' && here !== undefined && here.stops > 0 && <span className="station-count" aria-label={`${here.stops} open stops`}>{here.stops}</span>}
                        </Link>
                    ))}
                {at !== undefined && !damaged && (
                    <Link className="station stations-foot" to={`/b/${at}/house`} aria-current={pathname.endsWith('/house') ? 'page' : undefined}>
                        House rules
                    </Link>
                )}
                {build !== undefined && !damaged && (
                    <button type="button" className="station" onClick={() => find(true)}>
                        Find
                    </button>
                )}
                {!damaged && (
                    <Link className="station" to="/evenings" aria-current={evening ? 'page' : undefined}>
                        Evenings
                    </Link>
                )}
                <Link className={at === undefined || damaged ? 'station stations-foot' : 'station'} to="/keep" aria-current={keeping ? 'page' : undefined}>
                    Builds, copies
                </Link>
                <button type="button" className="station" onClick={() => showHelp(true)}>
                    Help
                </button>
            </nav>
            <main className="page" inert={isOld(frame.dataUpdatedAt) && !frame.isError && !damaged}>
                <Notices />
                {frame.isError && !damaged && (
                    <div className="notice" data-bad role="status">
                        <strong>{trouble === null ? 'The bench does not answer.' : trouble.sentence()}</strong>
                        <span>Clocks go on by what was last known. What you press is kept and sent later.</span>
                    </div>
                )}
                <Jumped frame={frame.data} />
                {frame.data?.unreadable.map((one) => (
                    <div key={one.id} className="notice" data-bad role="status">
                        <span>
                            <strong>{one.name} cannot be read.</strong> {one.wrong}. The others go on; a copy of the bench may hold it whole.
                        </span>
                        <Link className="plain-press" to="/keep">
                            Copies
                        </Link>
                    </div>
                ))}
                {here !== undefined && !damaged && <FirstWords key={station} station={station} />}
                <Unread key={pathname}>
                <Suspense fallback={<p>Loading the station.</p>}>
                    {(keeping || damaged) && <KeepPage damaged={damaged} />}
                    {evening && !damaged && <EveningsPage />}
                    {here !== undefined && !damaged && station === 'bench' && <BenchPage key={here.id} buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'runup' && <RunUpPage buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'session' && <SessionPage buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'kit' && <KitPage key={here.id} buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'house' && <HousePage key={here.id} buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'layers' && <LayersPage key={here.id} buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'sheet' && <SheetPage key={here.id} buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'finish' && <FinishPage key={here.id} buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'booklet' && <BookletPage key={here.id} buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'breakdown' && <BreakdownPage key={here.id} buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'mix' && <MixPage key={here.id} buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'surface' && <SurfacePage key={here.id} buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'masks' && <MasksPage key={here.id} buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'lists' && <ListsPage key={here.id} buildId={here.id} />}
                    {here !== undefined && !damaged && station === 'log' && <LogPage key={here.id} buildId={here.id} />}
                </Suspense>
                </Unread>
                {frame.data !== undefined && here === undefined && !keeping && !evening && !damaged && (
                    <div className="card empty">
                        <h2>{frame.data.builds.length === 0 ? 'No build in hand' : 'This build is not here'}</h2>
                        <p>{frame.data.builds.length === 0 ? 'Type a kit in or bring a build file in, and the bench says what to do first.' : 'It may be in the bin. Choose one from the tabs above, or look among all builds.'}</p>
                        {frame.data.builds.length === 0 && (
                            <Button data-main onClick={() => bringIn(true)}>
                                Begin a build
                            </Button>
                        )}
                        <Link className="plain-press" to="/keep">
                            {frame.data.away > 0 ? `All builds: ${frame.data.away} put away` : 'All builds, and copies'}
                        </Link>
                    </div>
                )}
            </main>
            {build !== undefined && <FindSheet buildId={build} opened={finding} close={() => find(false)} />}
            <HelpSheet buildId={build ?? first} opened={help} close={() => showHelp(false)} />
            <ImportSheet opened={importing} close={() => bringIn(false)} />
        </div>
    );
}
