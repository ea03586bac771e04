import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import type { Reading } from '../api/types';

export interface Wanted {
    words: string;
    /** Where it stands in the text; undefined where one looks for any paint. */
    from?: number;
}

/** The phrases nobody knows that may be paints, each once, with the place where it stands first. */
function unknownIn(reading: Reading | undefined, text: string): Wanted[] {
    const starts = text.split('\n').reduce<number[]>((all, line) => [...all, (all[all.length - 1] ?? 0) + line.length + 1], [0]);
    const found = new Map<string, Wanted>();
    for (const line of reading?.lines ?? []) {
        for (const problem of line.problems.filter((p) => /not understood|no colour or paint|no paint on the shelf/i.test(p.sentence))) {
            const characters = Array.from(text.split('\n')[line.number - 1] ?? '');
            const phrase = characters.slice(problem.start, problem.start + problem.length).join('');
            const lead = /^(on|inside|preshade|pre-shade|colour .*=)\s+/.exec(phrase)?.[0] ?? '';
            const words = phrase.slice(lead.length);
            if (words !== '' && !found.has(words.toLowerCase())) {
                found.set(words.toLowerCase(), { words, from: (starts[line.number - 1] ?? 0) + characters.slice(0, problem.start).join('').length + lead.length });
            }
        }
    }

    return [...found.values()];
}

/** What nobody knows is most often a paint: one press looks for it on the shelf or puts it there; several go in one. Where more was typed since it was read, its place is not known. */
export function Unknown({ reading, text, stale, find, several }: { reading: Reading | undefined; text: string; stale: boolean; find: (wanted: Wanted) => void; several: (names: string[]) => void }): ReactElement | null {
    const unknown = unknownIn(reading, text);
    const [first] = unknown;
    if (first === undefined) {
        return null;
    }

    return (
        <>
            <Button data-small disabled={stale} onClick={() => find(first)}>
                Look for &ldquo;{first.words}&rdquo;
            </Button>
            {unknown.length > 1 && (
                <Button data-small disabled={stale} data-testid="missing-paints" onClick={() => several(unknown.map((u) => u.words))}>
                    Add {unknown.length} paints
                </Button>
            )}
        </>
    );
}
