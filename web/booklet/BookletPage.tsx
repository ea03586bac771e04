import '../shared/typing.css';
import './booklet.css';
import { Button, Checkbox } from '@mantine/core';
import { useRef, useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Booklet, BookletReading, Changed } from '../api/types';
import { queries, useBooklet } from '../frame/queries';
import { useChange } from '../frame/useChange';
import { KitViews } from '../shared/KitViews';
import { LineEditor } from '../shared/LineEditor';
import { useReading } from '../shared/useReading';
import { BookletHelp } from './BookletHelp';
import { Callouts } from './Callouts';
import { Options } from './Options';
import { Totals } from './Totals';

const EXAMPLE = 'S = Linnet Sea Grey\n3: A1 A2 S L\nA3 D M inside\n4: A1 + A2, seam, closes over A3\n12: B4 B5 S M x2';

/** The booklet, called out page by page: one short line for each call-out, running totals at the side. */
export default function BookletPage({ buildId }: { buildId: string }): ReactElement {
    const { data: booklet } = useBooklet(buildId);

    return booklet === undefined ? <p>Fetching the booklet.</p> : <BookletStation booklet={booklet} />;
}

function BookletStation({ booklet }: { booklet: Booklet }): ReactElement {
    const buildId = booklet.build.id;
    const [text, setText] = useState('');
    const [whole, setWhole] = useState(false);
    const [wrong, say] = useState<string | null>(null);
    const [told, tell] = useState('');
    const area = useRef<HTMLTextAreaElement>(null);
    const change = useChange(buildId, booklet.build.revision);
    const { reading, stale } = useReading<BookletReading>(buildId, booklet.build.revision, text, whole, 'booklet');
    const empty = booklet.callouts.length === 0;

    const send = async (path: string, body: unknown, did: (changed: Changed) => string): Promise<Changed | null> => {
        try {
            const changed = await api.post<Changed>(`builds/${buildId}/${path}`, body, { 'If-Match': `"${booklet.build.revision}"` });
            say(null);
            tell(did(changed));
            await queries.invalidateQueries();

            return changed;
        } catch (error) {
            say(error instanceof Refused ? error.sentence() : 'The bench cannot be reached: nothing was changed.');

            return null;
        }
    };
    const take = async (): Promise<void> => {
        if (text.trim() === '') {
            return;
        }
        // Now and not when the answer is there: by then the hands may be elsewhere.
        area.current?.focus();
        const changed = await send('booklet', { text, whole }, (c) => (c.change === null ? 'Nothing changed: the booklet says so already.' : `Taken in: ${c.change.title}.`));
        if (changed !== null) {
            setText((now) => (now === text ? changed.left : now));
            setWhole(false);
        }
    };
    const wrongLine = reading?.lines.find((l) => l.problems.length > 0);
    const open = whole && reading !== undefined && reading.unread > 0;

    return (
        <div className="kit booklet">
            <div className="page-head">
                <h1>Kit</h1>
                <KitViews buildId={buildId} here="booklet" />
                <p>
                    {booklet.callouts.length} {booklet.callouts.length === 1 ? 'call-out' : 'call-outs'}
                    {booklet.step !== null && `, last step ${booklet.step}`}
                </p>
                <div className="page-tools">
                    {booklet.undoable !== null && (
                        <Button data-small data-testid="undo" title={booklet.undoable.title} onClick={() => void change.undo(booklet.undoable?.id ?? '').then((done) => tell(done ? 'Taken back.' : ''))}>
                            Take back the last
                        </Button>
                    )}
                    {!empty && (
                        <Button
                            data-small
                            onClick={() => {
                                setText(booklet.lines);
                                setWhole(true);
                                area.current?.focus();
                            }}
                        >
                            Write it all out as lines
                        </Button>
                    )}
                </div>
            </div>
            <div className="booklet-main">
                <section className="card typing" aria-label="Call it out">
                    <LineEditor
                        text={text}
                        setText={setText}
                        reading={reading}
                        rows={empty && text === '' ? 8 : Math.max(4, Math.min(14, text.split('\n').length + 1))}
                        take={() => void take()}
                        findPaint={() => undefined}
                        area={area}
                        label="Lines of the booklet"
                        example={booklet.step === null ? EXAMPLE : `${booklet.step + 1}: B4 B5 sea grey M x2`}
                    />
                    <div className="typing-foot">
                        <p id="editor-says" data-testid="editor-says" data-stale={stale}>
                            {text.trim() === '' ? (
                                <>
                                    Step, part numbers, colour or its code, size. <kbd>Ctrl Enter</kbd> takes the lines in.
                                </>
                            ) : reading === undefined ? (
                                'Reading.'
                            ) : (
                                <>
                                    <strong>{reading.understood}</strong> understood
                                    {reading.unread > 0 && (
                                        <>
                                            , <strong className="bad">{reading.unread} not</strong>
                                            {wrongLine !== undefined && ` · line ${wrongLine.number}: ${wrongLine.problems[0]?.sentence ?? ''}`}
                                        </>
                                    )}
                                    {reading.removes > 0 && ` · takes ${reading.removes} out`}
                                    {open && ': put them right first, or what they stand for would be gone'}
                                </>
                            )}
                        </p>
                        {whole && <Checkbox className="typing-whole" label="these lines are the whole booklet" checked={whole} onChange={(e) => setWhole(e.currentTarget.checked)} />}
                        <Button data-main onClick={() => void take()} disabled={text.trim() === '' || reading === undefined || reading.understood === 0 || open}>
                            {whole ? 'Put the booklet so' : 'Take them in'}
                        </Button>
                    </div>
                    {(wrong ?? change.wrong) !== null && (
                        <div className="notice" data-bad role="alert">
                            {wrong ?? change.wrong}
                        </div>
                    )}
                    <p role="status" className={told === '' ? 'quiet' : 'typing-told'}>
                        {told}
                    </p>
                </section>
                {booklet.lost > 0 && (
                    <section className="card lost" data-edge="stop" aria-label="Call-outs on no piece">
                        <p>
                            <strong>{booklet.lost === 1 ? '1 call-out is on no piece.' : `${booklet.lost} call-outs are on no piece.`}</strong> The plan paints only what the kit has.
                        </p>
                        <Button data-main data-testid="bring-in" onClick={() => void send('booklet/bring-in', {}, (c) => (c.change === null ? '' : `${c.change.title}.`))}>
                            {booklet.lost === 1 ? 'Bring it into the kit' : 'Bring them into the kit'}
                        </Button>
                    </section>
                )}
                {booklet.options.length > 0 && <Options booklet={booklet} change={change} />}
                {empty ? <BookletHelp /> : <Callouts booklet={booklet} change={change} />}
            </div>
            <Totals tally={reading?.tally ?? booklet.tally} />
        </div>
    );
}
