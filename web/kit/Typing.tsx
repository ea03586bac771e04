import '../shared/typing.css';
import { Button, Checkbox } from '@mantine/core';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import type { Kit } from '../api/types';
import { useNow } from '../api/clock';
import { wall } from '../frame/words';
import { LineEditor } from '../shared/LineEditor';
import { useReading } from '../shared/useReading';
import { MissingPaints } from './MissingPaints';
import { PaintSheet } from './PaintSheet';
import { Unknown, type Wanted } from './Unknown';
import { useSend } from './useSend';

interface Props {
    kit: Kit;
    empty: boolean;
    /** Counts how often the whole kit was asked for as lines. */
    written: number;
    /** What went wrong, and what was done, here or in the tables: said in one place. */
    wrong: string | null;
    told: string;
    say: (wrong: string | null) => void;
    tell: (words: string) => void;
}

/** Lines of the kit, read while they are typed: what one types redraws this, and no table. */
export function Typing({ kit, empty, written, wrong, told, say, tell }: Props): ReactElement {
    const buildId = kit.build.id;
    const at = useNow();
    const [text, setText] = useState('');
    const [whole, setWhole] = useState(false);
    const [finding, find] = useState<Wanted | null>(null);
    const [missing, addSeveral] = useState<string[]>([]);
    const area = useRef<HTMLTextAreaElement>(null);
    const { reading, outlook, stale } = useReading(buildId, kit.build.revision, text, whole);
    const send = useSend(buildId, kit.build.revision);
    const [taken, takeUp] = useState(written);
    if (written !== taken) {
        takeUp(written);
        setText(kit.lines);
        setWhole(true);
    }
    useEffect(() => {
        if (written > 0) {
            area.current?.focus();
        }
    }, [written]);
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
    /** A paint's name goes where its phrase stands, or to the caret where one looked for a paint by itself; never to a guess. */
    const insert = (name: string): void => {
        const wanted = finding;
        find(null);
        const field = area.current;
        const at = wanted?.from === undefined ? (field?.selectionStart ?? text.length) : wanted.from;
        const length = wanted?.from === undefined ? 0 : wanted.words.length;
        if (length > 0 && text.slice(at, at + length) !== wanted?.words) {
            say(`\u201c${wanted?.words ?? ''}\u201d is no longer where it stood: ${name} is on the shelf, write it where it belongs.`);

            return;
        }
        setText(text.slice(0, at) + name + text.slice(at + length));
        requestAnimationFrame(() => {
            field?.focus();
            field?.setSelectionRange(at + name.length, at + name.length);
        });
    };

    return (
        <>
            <section className="card typing" aria-label="Type it in">
                <LineEditor text={text} setText={setText} reading={reading} rows={empty && text === '' ? 9 : Math.max(5, Math.min(14, text.split('\n').length + 1))} take={() => void take()} findPaint={() => find({ words: '' })} area={area} />
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
                    <Unknown reading={reading} text={text} stale={stale} find={find} several={addSeveral} />
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
            {missing.length > 0 && (
                <MissingPaints
                    names={missing}
                    close={() => addSeveral([])}
                    done={(words) => {
                        addSeveral([]);
                        tell(words);
                        area.current?.focus();
                    }}
                />
            )}
            {finding !== null && <PaintSheet products={kit.products} wanted={finding.words} close={() => find(null)} choose={insert} />}
        </>
    );
}
