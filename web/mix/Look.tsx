import type { ReactElement } from 'react';
import type { Mixed } from '../api/types';
import { Fold } from '../shared/Fold';

/** What it will look like over each ground, coat by coat, large and on neutral grey; framed where the ground is hidden. */
export function Look({ look, always = false }: { look: Mixed['colour']; always?: boolean }): ReactElement {
    return (
        <Fold name="look" title="What it will look like" tells={look.says} kind="look" always={always}>
            {look.grounds.length > 0 && (
                <div className="parts-scroll">
                    <table className="look-table">
                        <thead>
                            <tr>
                                <th scope="col">over</th>
                                {look.grounds[0]?.coats.map((_, n) => (
                                    <th key={n} scope="col">
                                        {n === 0 ? 'ground' : `coat ${n}`}
                                    </th>
                                ))}
                            </tr>
                        </thead>
                        <tbody>
                            {look.grounds.map((ground) => (
                                <tr key={ground.name}>
                                    <th scope="row">
                                        {ground.name}
                                        {ground.planned && <small>as planned</small>}
                                        <small>{ground.hiddenAt === null ? 'never in 12' : `hidden at ${ground.hiddenAt}`}</small>
                                    </th>
                                    {ground.coats.map((coat, n) => (
                                        <td key={n} style={{ background: coat.hex }} data-hidden={n === ground.hiddenAt || undefined} title={n === 0 ? 'the ground' : `ΔE ${coat.differs} to the mix itself`}>
                                            <span className="unseen">{n === 0 ? coat.hex : `${coat.hex}, ΔE ${coat.differs}${n === ground.hiddenAt ? ', hidden' : ''}`}</span>
                                        </td>
                                    ))}
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </div>
            )}
            <p data-testid="look">{look.says}</p>
            {look.fitted !== null && <p data-testid="fitted">{look.fitted}</p>}
            {look.saves !== null && <p data-testid="saves">{look.saves}</p>}
            {look.oneMore !== null && <p>{look.oneMore}</p>}
            {look.wash !== null && (
                <p data-testid="wash">
                    Wash: <strong>{look.wash.name}</strong> reads {look.wash.reads} on it; {look.wash.why}.{look.wash.shelf.length > 0 && ` On the shelf: ${look.wash.shelf.map((w) => `${w.name} ${w.reads}`).join(', ')}.`}
                </p>
            )}
        </Fold>
    );
}
