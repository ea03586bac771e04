import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api } from '../api/client';
import type { MasksPage, OrderTold, OwnOrder } from '../api/types';
import type { Change } from '../frame/useChange';
import { PreviewBox } from '../shared/PreviewBox';
import { Movable } from './Movable';

type Orders = MasksPage['orders'];

const RULES: Record<Orders['rule'], string> = {
    'by-cost': 'The plan takes the cheapest over the whole model.',
    always: 'The plan goes light before dark, whatever that costs (house rule).',
    own: 'The plan goes by your own order.',
};

/** The best orders, the plan's and one of the user's own, with what each costs and what decides. */
export function OrderList({ orders, buildId, change }: { orders: Orders; buildId: string; change: Change }): ReactElement {
    const [own, set] = useState<string[] | null>(null);
    const asked = own ?? orders.planned.order;
    const { data } = useQuery({ queryKey: ['order', buildId, asked.join(' ')], queryFn: () => api.post<OwnOrder>(`builds/${buildId}/order`, { order: asked }), enabled: own !== null, refetchInterval: false });
    const swatches = new Map(orders.entries.map((e) => [e.id, e]));
    const priced = own === null ? null : data;
    const shown = change.intended?.place === 'order' ? change.intended : null;
    const take = (title: string, edits: OwnOrder['edits']): void => void change.look('order', title, edits);

    return (
        <section className="card orders" aria-labelledby="orders-title">
            <div className="orders-head">
                <h2 id="orders-title">Which colour first</h2>
                <p>
                    {RULES[orders.rule]} {found(orders)}
                </p>
            </div>
            <div className="orders-scroll" tabIndex={0} role="group" aria-label="The orders as a table">
            <table className="orders-table">
                <thead>
                    <tr>
                        <th scope="col">Order</th>
                        <th scope="col">areas capped</th>
                        <th scope="col">edge</th>
                        <th scope="col">coats</th>
                        <th scope="col">waits</th>
                        <th scope="col">min</th>
                    </tr>
                </thead>
                <tbody>
                    {orders.best.map((one, i) => (
                        <Row key={one.order.join() + one.shades.join()} one={one} name={`${i + 1}${one.planned ? ', planned' : ''}`} swatches={swatches} isPlanned={one.planned} />
                    ))}
                    {!orders.best.some((one) => one.planned) && <Row one={orders.planned} name="planned" swatches={swatches} isPlanned />}
                    {priced != null && <Row one={priced.order} name="yours" swatches={swatches} isPlanned={false} />}
                </tbody>
            </table>
            </div>
            <Movable ids={asked} names={swatches} move={set} />
            {priced != null && priced.against.length > 0 && (
                <div className="orders-against" role="alert">
                    {priced.against.map((sentence) => (
                        <p key={sentence}>{sentence}</p>
                    ))}
                </div>
            )}
            <div className="finding-presses">
                {priced != null && priced.against.length === 0 && (
                    <Button data-small data-main data-testid="take-order" onClick={() => take('Colours in my own order', priced.edits)}>
                        Spray them so: {more(priced.order.more)}
                    </Button>
                )}
                {own !== null && (
                    <Button data-small onClick={() => set(null)}>
                        Back to the plan&rsquo;s
                    </Button>
                )}
                {orders.rule !== 'by-cost' && (
                    <Button data-small data-testid="by-cost" onClick={() => take('Colours by what it costs', [{ op: 'house', list: 'light-first', value: 'by-cost' }])}>
                        Take the cheapest
                    </Button>
                )}
            </div>
            {shown !== null && (
                <PreviewBox
                    fix={shown}
                    preview={shown.preview}
                    apply={() =>
                        void change.apply(shown.title, shown.edits).then((done) => {
                            if (done) {
                                set(null);
                            }
                        })
                    }
                    close={change.leave}
                />
            )}
        </section>
    );
}

function found(orders: Orders): string {
    if (!orders.proven) {
        return `The best found; none is under ${orders.boundMinutes} min:`;
    }

    return orders.best.length > 1 ? 'The cheapest there are:' : 'No other is left: what is begun stays first.';
}

function more(minutes: number): string {
    return minutes < 0.5 ? 'as cheap as the best' : `${Math.round(minutes)} min more than the best`;
}

function Row({ one, name, swatches, isPlanned }: { one: OrderTold; name: string; swatches: Map<string, Orders['entries'][number]>; isPlanned: boolean }): ReactElement {
    return (
        <tr data-planned={isPlanned ? '' : undefined}>
            <th scope="row">
                <span className="orders-chips">
                    {one.order.map((id, i) => (
                        <span key={id} className="mask-swatch" style={{ background: swatches.get(id)?.swatch ?? undefined }} title={one.names[i]} />
                    ))}
                </span>
                <span className="orders-name">
                    {name}
                    {one.decides !== '' && `: ${one.decides}`}
                    {one.shades.length > 0 && `, on ${one.shades.join(' and ')}`}
                </span>
                <span className="unseen">{one.names.join(', ')}</span>
            </th>
            <td>{one.masks}</td>
            <td>{Math.round(one.edgeCm)} cm</td>
            <td>{one.coats}</td>
            <td>{one.evenings}</td>
            <td>{Math.round(one.minutes)}</td>
        </tr>
    );
}
