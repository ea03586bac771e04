import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import type { Change } from '../frame/useChange';

/** Takes the last change of a build back, and says which that is. */
export function TakeBack({ undoable, change }: { undoable: { id: string; title: string } | null; change: Change }): ReactElement | null {
    return undoable === null ? null : (
        <Button data-small data-testid="undo" title={undoable.title} onClick={() => void change.undo(undoable.id)}>
            Take back the last
        </Button>
    );
}
