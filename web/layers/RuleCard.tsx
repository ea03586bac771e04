import type { ReactElement } from 'react';
import { useFind } from '../frame/queries';

/** A rule that was looked up: what it is about, and whether it has anything to say of this build. */
export function RuleCard({ buildId, rule }: { buildId: string; rule: string }): ReactElement | null {
    const { data } = useFind(buildId, true);
    const thing = data?.things.find((t) => t.kind === 'rule' && t.id === rule);

    return thing === undefined ? null : (
        <section className="card rule-card" aria-label="The rule looked up" data-testid="rule">
            <h2>{thing.name}</h2>
            <p>{thing.says}</p>
            <p>{thing.findings === 0 ? 'It has nothing to say of this build now.' : thing.findings === 1 ? 'It speaks once below.' : `It speaks ${thing.findings} times below.`}</p>
        </section>
    );
}
