import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import { dismiss, useOutbox } from './outbox';

/** What was pressed and is not on the server: shown until it is, over the page so that nothing moves under a thumb; or until the reason it cannot be was read. */
export function Notices(): ReactElement | null {
    const pending = useOutbox();
    const waiting = pending.filter((p) => p.refused === undefined && p.acknowledged !== true);
    const refused = pending.filter((p) => p.refused !== undefined);
    if (waiting.length + refused.length === 0) {
        return null;
    }

    return (
        <div role="status">
            {waiting.length > 0 && (
                <div className="notice notice-passing" data-testid="not-recorded">
                    <strong>Not yet recorded</strong>
                    <span>
                        {waiting.find((p) => p.why !== undefined)?.why} {waiting.length === 1 ? waiting[0]?.title : `${waiting.length} presses`}: kept in this browser, and sent as soon as the bench takes {waiting.length === 1 ? 'it' : 'them'}.
                    </span>
                </div>
            )}
            {refused.map((p) => (
                <div key={p.event.id} className="notice" data-bad data-testid="refused">
                    <span>
                        <strong>{p.title}</strong> was not recorded. {p.refused}
                    </span>
                    <Button data-small onClick={() => dismiss(p.event.id)}>
                        Read
                    </Button>
                </div>
            ))}
        </div>
    );
}
