import type { ReactElement } from 'react';
import type { LogPage } from '../api/types';

/** Findings and places that are taken as they are, each with its reason. */
export function Accepted({ accepted }: { accepted: LogPage['accepted'] }): ReactElement {
    return (
        <dl>
            {accepted.map((a) => (
                <div key={a.what + a.reason}>
                    <dt>{a.what}</dt>
                    <dd>{a.reason}</dd>
                </div>
            ))}
        </dl>
    );
}
