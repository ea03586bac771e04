import type { ReactElement } from 'react';
import type { Mixed } from '../api/types';

const between = ([low, high]: number[], unit: string): string => (low === high ? `${low} ${unit}` : `${low} to ${high} ${unit}`);

/** How the gun is set for each task with this family, thinned as the house rule has it, and what to set at rest. */
export function Gun({ mixed }: { mixed: Mixed }): ReactElement | null {
    return mixed.tasks.length === 0 ? null : (
        <div className="parts-scroll">
            <table className="gun-table" data-testid="gun">
                <thead>
                    <tr>
                        <th scope="col">for</th>
                        <th scope="col">nozzle</th>
                        <th scope="col">working</th>
                        {mixed.regulator !== null && <th scope="col">at rest</th>}
                        <th scope="col">distance</th>
                        <th scope="col">thinner to 1</th>
                        <th scope="col">coats</th>
                    </tr>
                </thead>
                <tbody>
                    {mixed.tasks.map((t) => (
                        <tr key={t.task}>
                            <th scope="row">{t.word}</th>
                            <td>{between(t.nozzleMm, 'mm')}</td>
                            <td>{between(t.bar, 'bar')}</td>
                            {mixed.regulator !== null && <td>{t.atRestBar === null ? '' : `${t.atRestBar.toFixed(2)} bar`}</td>}
                            <td>{between(t.distanceCm, 'cm')}</td>
                            <td>{t.thinner}</td>
                            <td>{t.coats}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}
