import type { ReactElement } from 'react';
import type { Plan } from '../api/types';
import { useFind } from '../frame/queries';

/** A rule that was looked up: what it is about, and whether it has anything to say of this build. */
export function RuleCard({ plan, rule }: { plan: Plan; rule: string }): ReactElement | null {
    const { data } = useFind(plan.build.id, true);
    const thing = data?.things.find((t) => t.kind === 'rule' && t.id === rule);
    const speaks = plan.findings.filter((f) => f.rule === rule).length;

    return thing === undefined ? null : (
        <section className="card rule-card" aria-label="The rule looked up" data-testid="rule">
            <h2>{thing.name}</h2>
            <p>{thing.says.replace(' It speaks here.', '')}</p>
            <p>{speaks === 0 ? 'It has nothing to say of this build now.' : speaks === 1 ? 'It speaks once below.' : `It speaks ${speaks} times below.`}</p>
        </section>
    );
}
