import { useState, type ReactElement } from 'react';
import type { Hold } from '../api/types';
import { now } from '../api/clock';
import { record } from './outbox';
import { ulid } from './ulid';

const WORDS: Record<string, [string, string]> = { dry: ['still wet', 'dry already'], handle: ['still gives', 'holds already'], full: ['still gives', 'holds already'] };

/** Somebody has tried it: still soft, or fine already. What is said moves the wait of that paint, glue or filler. */
export function Tried({ buildId, hold }: { buildId: string; hold: Hold }): ReactElement | null {
    const [said, say] = useState<string | null>(null);
    if (hold.on === null) {
        return null;
    }
    const [soft, fine] = WORDS[hold.kind] ?? ['still soft', 'fine already'];
    const about = hold.label.replace(/, [^,]*$/, '');
    const tell = (verdict: 'soft' | 'fine', word: string): void => {
        record(buildId, `${about}: ${word}`, { id: ulid(), kind: 'verdict', at: new Date(Math.floor(now() / 1000) * 1000).toISOString().replace('.000Z', 'Z'), targets: [hold.on ?? ''], verdict, wait: hold.kind });
        say(word);
    };

    return said === null ? (
        <span className="tried" role="group" aria-label={`${about}, tried`}>
            Tried:
            <button type="button" onClick={() => tell('soft', soft)} data-testid="soft">
                {soft}
            </button>
            <button type="button" onClick={() => tell('fine', fine)} data-testid="fine">
                {fine}
            </button>
        </span>
    ) : (
        <span className="tried" role="status">
            Heard: {said}.
        </span>
    );
}
