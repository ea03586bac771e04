import './sessions.css';
import { Button, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { Session } from '../api/types';
import { read, words } from './sessions';

/** Sessions of a day as they are typed, kept when they are said to be done. */
export function SessionField({ label, sessions, set, hint }: { label: string; sessions: readonly Session[]; set: (sessions: Session[]) => void; hint?: string }): ReactElement {
    const [typed, type] = useState<string | null>(null);
    const said = typed ?? words(sessions);
    const found = read(said);
    const keep = (): void => {
        if (typed !== null && found !== null) {
            set(found);
            type(null);
        }
    };

    return (
        <form
            className="session-field"
            onSubmit={(e) => {
                e.preventDefault();
                keep();
            }}
        >
            <TextInput
                label={label}
                value={said}
                placeholder={hint ?? 'away'}
                onChange={(e) => type(e.currentTarget.value)}
                error={found === null ? 'write it as 19:00–21:00' : undefined}
            />
            {typed !== null && (
                <Button data-small type="submit" disabled={found === null} aria-label={`Keep ${label}`}>
                    Keep
                </Button>
            )}
        </form>
    );
}
