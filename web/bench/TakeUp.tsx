import type { ReactElement } from 'react';
import { Link } from 'react-router';
import type { BenchLine } from '../api/types';
import { idOf } from '../shared/rounds';

/** The hands do best on another model now: which, and what. */
export function TakeUp({ run }: { run: BenchLine[] }): ReactElement {
    const [line] = run as [BenchLine];
    const minutes = run.reduce((sum, one) => sum + one.minutes, 0);

    return (
        <div className="take-up" role="status" data-testid="take-up">
            <p>
                First take up <strong>{line.build}</strong>: {line.round?.title ?? line.title}, {run.map((one) => <Place key={idOf(one)} line={one} first={line} />)} {Math.max(1, Math.round(minutes))} min.
            </p>
            <Link className="plain-press" to={`/b/${line.buildId ?? ''}/bench`}>
                Go to it
            </Link>
        </div>
    );
}

function Place({ line, first }: { line: BenchLine; first: BenchLine }): ReactElement {
    return <>{line.build !== first.build && line.build !== null ? `${line.build}: ${line.where}, ` : `${line.where}, `}</>;
}
