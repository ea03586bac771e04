import { useRef, useState, type KeyboardEvent, type ReactElement, type RefObject } from 'react';
import type { ReadLine, Reading } from '../api/types';

interface Props {
    text: string;
    setText: (text: string) => void;
    reading: Reading | undefined;
    rows: number;
    take: () => void;
    findPaint: () => void;
    area: RefObject<HTMLTextAreaElement | null>;
    label?: string;
    example?: string;
}

const EXAMPLE = 'hull / upper A, 84, sea grey, decals, pin wash, matt, soft 240 to upper B\nhull / upper B, 61, slate green, pin wash, matt\ncanopy / panes, 8, pane\njoint wing root: hull + wing, seam, gap 0.2, 9 long';

/** Lines as they are typed, each with what it was read as beside it; what was not read is marked where it stands. */
export function LineEditor({ text, setText, reading, rows, take, findPaint, area, label = 'Lines of the kit', example = EXAMPLE }: Props): ReactElement {
    const under = useRef<HTMLDivElement>(null);
    const beside = useRef<HTMLOListElement>(null);
    const lines = text.split('\n');
    const [caret, follow] = useState(0);
    const keys = (e: KeyboardEvent): void => {
        if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) {
            e.preventDefault();
            take();
        } else if (e.key === ' ' && e.ctrlKey) {
            e.preventDefault();
            findPaint();
        } else if (e.key === 'Escape') {
            area.current?.blur();
        }
    };

    return (
        <>
            <div className="editor" data-empty={text === ''} style={{ ['--rows' as string]: rows }}>
                <div className="editor-text">
                    <div className="editor-under" ref={under} aria-hidden="true">
                        {lines.map((line, i) => (
                            <div key={i}>
                                <Marked line={line} read={reading?.lines[i]} />
                            </div>
                        ))}
                    </div>
                    <textarea
                        ref={area}
                        aria-label={label}
                        aria-describedby="editor-says"
                        value={text}
                        spellCheck={false}
                        autoComplete="off"
                        autoCapitalize="off"
                        wrap="off"
                        autoFocus
                        placeholder={example}
                        onChange={(e) => setText(e.currentTarget.value)}
                        onSelect={(e) => follow(e.currentTarget.value.slice(0, e.currentTarget.selectionStart).split('\n').length - 1)}
                        onKeyDown={keys}
                        onScroll={(e) => {
                            if (under.current !== null && beside.current !== null) {
                                under.current.style.transform = `translate(${-e.currentTarget.scrollLeft}px, ${-e.currentTarget.scrollTop}px)`;
                                beside.current.style.transform = `translateY(${-e.currentTarget.scrollTop}px)`;
                            }
                        }}
                    />
                </div>
                <div className="editor-beside">
                    <ol ref={beside}>
                        {lines.map((line, i) => (
                            <Says key={i} line={line} read={reading?.lines[i]} />
                        ))}
                    </ol>
                </div>
            </div>
            <Whole lines={lines} reading={reading} caret={caret} />
        </>
    );
}

/** The line one is on, read back whole; where it says nothing yet, the first that is not understood. */
function Whole({ lines, reading, caret }: { lines: string[]; reading: Reading | undefined; caret: number }): ReactElement | null {
    const own = (lines[caret] ?? '').trim() === '' ? undefined : reading?.lines[caret];
    const read = own ?? reading?.lines.find((l) => l.problems.length > 0);
    if (lines.every((l) => l.trim() === '')) {
        return null;
    }

    return (
        <p className="editor-whole" data-testid="read-back" data-wrong={(read?.problems.length ?? 0) > 0 || undefined}>
            {read !== undefined && (
                <>
                    <strong>Line {read.number}: </strong>
                    {read.problems.length > 0 ? read.problems.map((p) => p.sentence).join(' ') : wordsOf(read)}
                </>
            )}
        </p>
    );
}

function wordsOf(read: ReadLine): string {
    return read.about === 'note' ? 'a note' : read.about === 'call-out' ? `${read.isNew ? '' : 'again: '}${read.title}` : [`${read.isNew ? '' : 'changes '}${read.title}`, ...read.phrases.map((p) => p.meaning)].join(' · ');
}

/** The line once more under what is typed, to carry the marks. */
function Marked({ line, read }: { line: string; read: ReadLine | undefined }): ReactElement {
    const characters = Array.from(line);
    const wrong = [...(read?.problems ?? [])].sort((a, b) => a.start - b.start);
    const parts: ReactElement[] = [];
    let at = 0;
    wrong.forEach((p, i) => {
        if (p.start < at || p.start + p.length > characters.length) {
            return;
        }
        parts.push(<span key={`a${i}`}>{characters.slice(at, p.start).join('')}</span>, <mark key={`b${i}`}>{characters.slice(p.start, p.start + p.length).join('')}</mark>);
        at = p.start + p.length;
    });
    parts.push(<span key="rest">{characters.slice(at).join('')}</span>);

    return <>{parts}</>;
}

function Says({ line, read }: { line: string; read: ReadLine | undefined }): ReactElement {
    if (read === undefined || line.trim() === '' || (read.about === null && read.problems.length === 0)) {
        return <li className="says" />;
    }
    const problem = read.problems[0];
    if (problem !== undefined) {
        return (
            <li className="says" data-wrong title={read.problems.map((p) => p.sentence).join(' ')}>
                <span className="says-mark" aria-hidden="true" />
                <span>{problem.sentence}</span>
            </li>
        );
    }
    const words = wordsOf(read);

    return (
        <li className="says" data-about={read.about} title={words}>
            {read.swatch === null ? <span className="says-dot" aria-hidden="true" /> : <span className="swatch" style={{ background: read.swatch }} aria-hidden="true" />}
            <span>{words}</span>
        </li>
    );
}
