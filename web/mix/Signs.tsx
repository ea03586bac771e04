import { TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { Mixed, MixOrder } from '../api/types';
import { Gun } from './Gun';
import { Fold } from '../shared/Fold';

interface Props {
    order: MixOrder;
    set: (next: MixOrder) => void;
    mixed: Mixed;
    wrong: (path: string) => string | undefined;
}

/** What the cup's wall and a spoon show becomes a correction of this mix; one pair of readings becomes the setting at rest. */
export function Signs({ order, set, mixed, wrong }: Props): ReactElement {
    const [sign, see] = useState<string | null>(null);
    const seen = mixed.signs.find((s) => s.sign === sign);
    const bar = (field: 'rest' | 'flowing' | 'working', label: string): ReactElement => (
        <TextInput label={label} inputMode="decimal" value={order.regulator?.[field] ?? ''} error={wrong(`regulator.${field}`)} onChange={(e) => set({ ...order, regulator: { ...order.regulator, [field]: e.currentTarget.value } })} />
    );

    return (
        <Fold name="signs" title="Does it run right, and how is the gun set?" tells={seen?.says ?? mixed.pressure ?? 'watch the wall of the cup'} kind="signs">
            <div className="match-jars" role="group" aria-label="What it shows">
                {mixed.signs.map((s) => (
                    <button key={s.sign} type="button" className="jar" aria-pressed={s.sign === sign} onClick={() => see(s.sign)}>
                        {s.word}
                    </button>
                ))}
            </div>
            {seen !== undefined && (
                <p data-testid="sign">
                    <strong>{seen.says}</strong>
                </p>
            )}
            {mixed.pressure !== null && (
                <>
                    <p>{mixed.pressure}. A regulator reads more at rest: read it once both ways.</p>
                    <div className="much-row">
                        {bar('rest', 'At rest, bar')}
                        {bar('flowing', 'Trigger down, bar')}
                        {bar('working', 'Wanted, bar')}
                    </div>
                    {mixed.regulator !== null && <p data-testid="regulator">{mixed.regulator.says}</p>}
                    <Gun mixed={mixed} />
                </>
            )}
        </Fold>
    );
}
