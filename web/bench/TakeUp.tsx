import type { ReactElement } from 'react';
import { Link } from 'react-router';
import type { BenchLine } from '../api/types';
import { idOf } from '../shared/rounds';

/** Named of a round: the bench it leads to has them all. */
const PLACES = 4;

/** The hands do best on another model now: which, and what. */
export function TakeUp({ run }: { run: BenchLine[] }): ReactElement {
    const [line] = run as [BenchLine];
    const minutes = run.reduce((sum, one) => sum + one.minutes, 0);

    return (
        <div className="take-up" role="status" data-testid="take-up">
            <p>
                First take up <strong>{line.build}</strong>: {line.round?.title ?? line.title}, {run.slice(0, PLACES).map((one) => <Place key={idOf(one)} line={one} first={line} />)}
                {run.length > PLACES && `and ${run.length - PLACES} more, `}
                {Math.max(1, Math.round(minutes))} min.
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
