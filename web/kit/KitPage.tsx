import '../shared/typing.css';
import './kit.css';
import { Button, Checkbox } from '@mantine/core';
import { useRef, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { api, Refused } from '../api/client';
import type { Changed, Kit } from '../api/types';
import { useNow } from '../api/clock';
import { queries, useKit } from '../frame/queries';
import { useChange } from '../frame/useChange';
import { wall } from '../frame/words';
import { CsvPresses } from './CsvPresses';
import { Grid, type GridRow } from './Grid';
import { GrammarHelp } from './GrammarHelp';
import { KitViews } from '../shared/KitViews';
import { LineEditor } from '../shared/LineEditor';
import { PaintSheet } from './PaintSheet';
import { Proposed } from './Proposed';
import { tablesOf, type ListName } from './tables';
import { useReading } from '../shared/useReading';

/** What the kit is made of and what it shall look like: typed as lines, put right in tables. */
export default function KitPage({ buildId }: { buildId: string }): ReactElement {
    const { data: kit } = useKit(buildId);

    return kit === undefined ? <p>Fetching the kit.</p> : <KitStation key={buildId} kit={kit} />;
}

function KitStation({ kit }: { kit: Kit }): ReactElement {
    const buildId = kit.build.id;
    const at = useNow();
    const [text, setText] = useState('');
    const [whole, setWhole] = useState(false);
    const [list, setList] = useState<ListName>('areas');
    const [finding, find] = useState<string | null>(null);
    const [wrong, say] = useState<string | null>(null);
    const [told, tell] = useState('');
    const area = useRef<HTMLTextAreaElement>(null);
    const { reading, outlook, stale } = useReading(buildId, kit.build.revision, text, whole);
    const change = useChange(buildId, kit.build.revision);
    const tables = tablesOf(kit);
    const table = tables.find((t) => t.list === list) ?? tables[0];
    const match = { 'If-Match': `"${kit.build.revision}"` };
    const empty = kit.areas.length === 0 && kit.parts.length === 0;

    const send = async (path: string, body: unknown): Promise<Changed | string> => {
        try {
            const changed = await api.post<Changed>(`builds/${buildId}/${path}`, body, match);
            await queries.invalidateQueries();

            return changed;
        } catch (error) {
            return error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was changed.';
        }
    };
    const take = async (): Promise<void> => {
        if (text.trim() === '') {
            return;
        }
        // Now and not when the answer is there: by then the hands may be elsewhere.
        area.current?.focus();
        const answer = await send('lines', { text, whole });
        if (typeof answer === 'string') {
            say(answer);

            return;
        }
        say(null);
        setText((now) => (now === text ? answer.left : now));
        setWhole(false);
        tell(answer.change === null ? 'Nothing changed: the kit says so already.' : `Taken in: ${answer.change.title}.`);
    };
    const commit = async (id: string, field: string, typed: string): Promise<string | null> => {
        const answer = await send('cell', { list, id, field, text: typed });

        return typeof answer === 'string' ? answer : null;
    };
    const remove = async (row: GridRow): Promise<void> => {
        const answer = await send('remove', { list, id: row.id });
        say(typeof answer === 'string' ? answer : null);
        tell(typeof answer === 'string' ? '' : `${row.cells['name'] ?? 'It'} is out${row.warn === undefined ? '' : ` (${row.warn}: they stay in the log)`}.`);
    };
    const insert = (name: string): void => {
        find(null);
        const field = area.current;
        const place = field?.selectionStart ?? text.length;
        const from = finding !== null && finding !== '' ? text.lastIndexOf(finding, place) : -1;
        const next = from >= 0 && finding !== null ? text.slice(0, from) + name + text.slice(from + finding.length) : text.slice(0, place) + name + text.slice(place);
        setText(next);
        requestAnimationFrame(() => {
            field?.focus();
            const caret = (from >= 0 ? from : place) + name.length;
            field?.setSelectionRange(caret, caret);
        });
    };

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
                        <Button
                            data-small
                            onClick={() => {
                                setText(kit.lines);
                                setWhole(true);
                                area.current?.focus();
                            }}
                        >
                            Write it all out as lines
                        </Button>
                    )}
                    <CsvPresses buildId={buildId} revision={kit.build.revision} say={(words, bad) => (bad ? say(words) : tell(words))} />
                </div>
            </div>
            <Proposed kit={kit} change={change} />
            <section className="card typing" aria-label="Type it in">
                <LineEditor text={text} setText={setText} reading={reading} rows={empty && text === '' ? 9 : Math.max(5, Math.min(14, text.split('\n').length + 1))} take={() => void take()} findPaint={() => find('')} area={area} />
                <div className="typing-foot">
                    <p id="editor-says" data-testid="editor-says" data-stale={stale}>
                        {text.trim() === '' ? (
                            <>
                                A line for each area or part. <kbd>Ctrl Enter</kbd> takes them in, <kbd>Ctrl Space</kbd> finds a paint, <kbd>Esc</kbd> leaves the field.
                            </>
                        ) : reading === undefined ? (
                            'Reading.'
                        ) : (
                            <>
                                <strong>{reading.understood}</strong> understood{reading.unread > 0 ? <>, <strong className="bad">{reading.unread} not</strong></> : ''}
                                {outlook?.steps != null && ` · ${outlook.pieces} ${outlook.pieces === 1 ? 'piece' : 'pieces'}, ${outlook.steps} steps to do`}
                                {outlook?.finish != null && `, finished ${wall(outlook.finish, at, kit.build.zone)}`}
                                {reading.removes > 0 && ` · takes ${reading.removes} out`}
                                {whole && reading.unread > 0 && ': put them right first, or what they stand for would be gone'}
                                {outlook !== undefined && outlook.stops.length > 0 && <span className="bad"> · stops: {outlook.stops.slice(0, 2).join('; ')}</span>}
                            </>
                        )}
                    </p>
                    {whole && (
                        <Checkbox className="typing-whole" label="these lines are the whole kit" checked={whole} onChange={(e) => setWhole(e.currentTarget.checked)} />
                    )}
                    <Unknown reading={reading} text={text} find={find} />
                    <Button data-main onClick={() => void take()} disabled={text.trim() === '' || reading === undefined || reading.understood === 0 || (whole && reading.unread > 0)}>
                        {whole ? 'Put the kit so' : 'Take them in'}
                    </Button>
                </div>
                {wrong !== null && (
                    <div className="notice" data-bad role="alert">
                        {wrong}
                    </div>
                )}
                <p role="status" className={told === '' ? 'quiet' : 'typing-told'}>
                    {told}
                </p>
            </section>
            {empty ? (
                <GrammarHelp open />
            ) : (
                <section className="card kit-tables" aria-label="The kit">
                    <div className="kit-tabs">
                        <div className="views" role="group" aria-label="Which table">
                            {tables.map((t) => (
                                <button key={t.list} type="button" className="view" aria-pressed={t.list === list} onClick={() => setList(t.list)}>
                                    {t.title} <small>{t.rows.length}</small>
                                </button>
                            ))}
                        </div>
                        <span className="kit-hint">Arrows move, Enter or a letter changes, Delete takes out.</span>
                        {kit.undoable !== null && (
                            <div className="undo">
                                <span>
                                    Last: <strong>{kit.undoable.title}</strong>
                                </span>
                                <Button data-small data-testid="undo" onClick={() => void change.undo(kit.undoable?.id ?? '').then((done) => tell(done ? 'Taken back.' : ''))}>
                                    Take it back
                                </Button>
                            </div>
                        )}
                    </div>
                    {change.wrong !== null && (
                        <p className="grid-wrong" role="alert">
                            {change.wrong}
                        </p>
                    )}
                    {table !== undefined && <Grid key={table.list} label={table.title} columns={table.columns} rows={table.rows} commit={commit} {...(table.list === 'pieces' ? {} : { remove: (row: GridRow) => void remove(row) })} empty={table.empty} />}
                </section>
            )}
            {!empty && (
                <p className="kit-next">
                    <GrammarHelp />
                    <Link to={`/b/${buildId}/layers`}>See it as layers</Link>
                </p>
            )}
            {finding !== null && <PaintSheet products={kit.products} wanted={finding} close={() => find(null)} choose={insert} />}
        </div>
    );
}

/** The first phrase nobody knows is most often a paint: one press looks for it on the shelf, or puts it there. */
function Unknown({ reading, text, find }: { reading: ReturnType<typeof useReading>['reading']; text: string; find: (name: string) => void }): ReactElement | null {
    const line = reading?.lines.find((l) => l.problems.length > 0);
    const problem = line?.problems.find((p) => /not understood|no colour or paint|no paint on the shelf/i.test(p.sentence));
    if (line === undefined || problem === undefined) {
        return null;
    }
    const phrase = Array.from(text.split('\n')[line.number - 1] ?? '')
        .slice(problem.start, problem.start + problem.length)
        .join('')
        .replace(/^(on|inside|preshade|pre-shade|colour .*=)\s+/, '');

    return phrase === '' ? null : (
        <Button data-small onClick={() => find(phrase)}>
            Look for &ldquo;{phrase}&rdquo;
        </Button>
    );
}
