import { Component, type ReactElement, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Refused } from '../api/client';

interface Props {
    children: ReactNode;
}

/** A build whose page cannot be made says why, in place of waiting for ever; the rest of the bench goes on. */
export class Unread extends Component<Props, { error: Error | null }> {
    override state: { error: Error | null } = { error: null };

    static getDerivedStateFromError(error: Error): { error: Error } {
        return { error };
    }

    override render(): ReactNode {
        const { error } = this.state;
        if (error === null) {
            return this.props.children;
        }
        if (!(error instanceof Refused)) {
            throw error;
        }

        return <Said words={error.problems.map((p) => `${p.path === '' ? '' : p.path + ' '}${p.wrong}; ${p.right}.`).join(' ')} />;
    }
}

function Said({ words }: { words: string }): ReactElement {
    return (
        <div className="card empty" role="alert" data-testid="unread">
            <h2>This build cannot be read</h2>
            <p>{words} The others go on; a copy of the bench may hold it whole.</p>
            <Link className="plain-press" to="/keep">
                Copies
            </Link>
        </div>
    );
}
