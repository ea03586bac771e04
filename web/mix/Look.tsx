import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { api } from '../api/client';
import type { Mixed, MixTone } from '../api/types';

/** What it will look like over each ground, coat by coat, large and on neutral grey; framed where the ground is hidden. */
export function Look({ look, product, take }: { look: Mixed['colour']; product: string | null; take: (product: string, parts: number) => void }): ReactElement {
    const { data } = useQuery({ queryKey: ['tones', product], queryFn: () => api.get<{ tones: MixTone[] }>(`tones/${product ?? ''}`), enabled: product !== null, refetchInterval: false, staleTime: Infinity });
    const tones = product === null ? [] : (data?.tones ?? []);

    return (
        <section className="card look" aria-labelledby="look-title">
            <h2 id="look-title" className="card-title">
                What it will look like
            </h2>
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
            {tones.map((tone) => (
                <p key={tone.word} className="tone">
                    <span>
                        A little {tone.word}: {tone.says}.
                    </span>
                    <Button data-small onClick={() => take(tone.product, tone.parts)}>
                        Mix it
                    </Button>
                </p>
            ))}
            {look.wash !== null && (
                <p>
                    Wash: <strong>{look.wash.name}</strong>, {look.wash.why}.
                </p>
            )}
        </section>
    );
}
