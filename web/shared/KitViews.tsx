import type { ReactElement } from 'react';
import { Link } from 'react-router';

const VIEWS = [
    { path: 'kit', name: 'Parts and areas' },
    { path: 'booklet', name: 'Booklet' },
    { path: 'breakdown', name: 'Break-down' },
] as const;

/** The three views of the Kit station: what it is made of, what the booklet says, how it comes apart. */
export function KitViews({ buildId, here }: { buildId: string; here: (typeof VIEWS)[number]['path'] }): ReactElement {
    return (
        <div className="views kit-views" role="group" aria-label="Views of the kit">
            {VIEWS.map((view) => (
                <Link key={view.path} className="view" to={`/b/${buildId}/${view.path}`} aria-current={view.path === here ? 'page' : undefined}>
                    {view.name}
                </Link>
            ))}
        </div>
    );
}
