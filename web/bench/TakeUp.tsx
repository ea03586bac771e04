import type { ReactElement } from 'react';
import { Link } from 'react-router';
import type { Bench } from '../api/types';

/** The hands do best on another model now: which, and what. */
export function TakeUp({ line }: { line: NonNullable<Bench['takeUp']> }): ReactElement {
    return (
        <div className="take-up" role="status" data-testid="take-up">
            <p>
                First take up <strong>{line.build}</strong>: {line.title}, {line.where}, {Math.max(1, Math.round(line.minutes))} min.
            </p>
            <Link className="plain-press" to={`/b/${line.buildId ?? ''}/bench`}>
                Go to it
            </Link>
        </div>
    );
}
