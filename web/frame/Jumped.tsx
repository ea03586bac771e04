import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import { api } from '../api/client';
import type { Frame } from '../api/types';
import { queries } from './queries';
import { span } from './words';

/** The clock jumped: said, and holds wait for a word. */
export function Jumped({ frame }: { frame: Frame | undefined }): ReactElement | null {
    const jumped = frame?.clockJumpedMinutes ?? null;
    if (jumped === null) {
        return null;
    }

    return (
        <div className="notice" data-bad role="status" data-testid="jumped">
            <span>
                <strong>
                    The clock of this machine jumped {span(Math.abs(jumped))} {jumped < 0 ? 'back' : 'on'}.
                </strong>{' '}
                Holds go on as if it had not, until you say that it is right; or set it right, and this goes by itself.
            </span>
            <Button data-small onClick={() => void api.put('clock', { right: true }).then(() => queries.invalidateQueries())}>
                The clock is right
            </Button>
        </div>
    );
}
