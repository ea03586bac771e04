import { useEffect, useState, type ReactElement } from 'react';
import { FIRST, meet, met, TERMS } from './terms';

/** The words of a page that were never met before, said once: gone when they are read or the page is left. */
export function FirstWords({ station }: { station: string }): ReactElement | null {
    const [words, leave] = useState(() => (FIRST[station] ?? []).filter((word) => !met().has(word)));
    useEffect(() => () => meet(FIRST[station] ?? []), [station]);
    if (words.length === 0) {
        return null;
    }

    return (
        <aside className="first-words" aria-label="Words that stand here first" data-testid="first-words">
            <dl>
                {words.map((word) => (
                    <div key={word}>
                        <dt>{word}</dt>
                        <dd>{TERMS[word]}</dd>
                    </div>
                ))}
            </dl>
            <button
                type="button"
                className="press"
                data-small
                onClick={() => {
                    meet(words);
                    leave([]);
                }}
            >
                Read
            </button>
        </aside>
    );
}
