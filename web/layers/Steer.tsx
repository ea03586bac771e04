import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import type { Edit, Plan, Product, SectionCap, SectionCell, SectionColumn, Stage } from '../api/types';
import { now } from '../api/clock';
import { instantOf, localOf } from '../frame/zoned';
import { before, notBefore, pin, pinnedOf } from './edits';

const ROLES: Record<string, string[]> = { primer: ['primer'], clear: ['varnish'], wash: ['wash'], colour: ['colour', 'metallic', 'tinted-clear'], shade: ['colour', 'metallic'] };
const MEDIA = ['paper-tape', 'vinyl-tape', 'cut-film', 'liquid-mask', 'putty', 'rubber-cement', 'held-card'];

interface Props {
    plan: Plan;
    thing: SectionCell | SectionCap;
    column: SectionColumn;
    steps: Stage['steps'];
    products: Product[];
    look: (title: string, edits: Edit[]) => Promise<void>;
}

/** Has a layer or a mask otherwise: what is chosen is looked at at once, and changed only when that is taken. */
export function Steer({ plan, thing, column, steps, products, look }: Props): ReactElement {
    const [everywhere, widen] = useState(false);
    const [time, setTime] = useState(() => localOf(now() + 86400000, plan.build.zone).replace('T', ' '));
    const about = pinnedOf(thing);
    const target = everywhere ? null : column.pieceId;
    const where = everywhere ? 'everywhere' : `on ${column.piece}`;
    const cell = 'coats' in thing ? thing : null;
    const first = steps[0]?.key ?? '';
    const isColour = cell?.operation === 'colour' && cell.purpose !== null;
    const fitting = products.filter((p) => (ROLES[cell?.kind ?? ''] ?? []).includes(p.role));
    const others = plan.stages.filter((s) => !s.steps.some((step) => steps.some((mine) => mine.key === step.key)));
    const instant = instantOf(time, plan.build.zone);

    return (
        <div className="steer">
            <h3>Have it otherwise</h3>
            {cell !== null && cell.productId !== null && (
                <div className="steer-row">
                    <NativeSelect
                        label="Coats"
                        value={String(cell.coats)}
                        data={Array.from({ length: Math.max(8, cell.coats) }, (_, i) => String(i + 1))}
                        onChange={(e) => void look(`${e.currentTarget.value} coats ${where}`, pin(about, target, 'coats', Number(e.currentTarget.value)))}
                    />
                    <NativeSelect
                        label={isColour ? 'Paint of this colour' : 'Product'}
                        value={cell.productId}
                        data={[...(fitting.some((p) => p.id === cell.productId) ? [] : [{ value: cell.productId, label: cell.product ?? '' }]), ...fitting.map((p) => ({ value: p.id, label: p.name }))]}
                        onChange={(e) => {
                            const id = e.currentTarget.value;
                            const name = products.find((p) => p.id === id)?.name ?? '';
                            void (isColour ? look(`${name} for it, in the whole build`, [{ op: 'set', list: 'colours', id: cell.purpose ?? '', field: 'product', value: id }]) : look(`${name} ${where}`, pin(about, target, 'product', id)));
                        }}
                    />
                </div>
            )}
            {isColour && cell.coats > 1 && (
                <div className="steer-row">
                    <Button data-small onClick={() => void look(`Extra thinner in the last coat ${where}`, pin(about, target, 'extraThinner', true))}>
                        Thin the last coat more
                    </Button>
                </div>
            )}
            {cell === null && 'medium' in thing && (
                <NativeSelect label="Medium" value={thing.medium} data={MEDIA.map((m) => ({ value: m, label: m.replaceAll('-', ' ') }))} onChange={(e) => void look(`${e.currentTarget.value.replaceAll('-', ' ')} ${where}`, pin(about, target, 'medium', e.currentTarget.value))} />
            )}
            <div className="steer-row">
                <NativeSelect
                    label="Do it before"
                    value=""
                    data={[{ value: '', label: 'as the plan has it' }, ...others.map((s) => ({ value: s.steps[0]?.key ?? '', label: s.title }))]}
                    onChange={(e) => {
                        const stage = others.find((s) => s.steps[0]?.key === e.currentTarget.value);
                        const then = stage?.steps.find((s) => s.pieceId === column.pieceId) ?? stage?.steps[0];
                        if (then !== undefined) {
                            void look(`Before: ${stage?.title ?? ''}`, before(first, then.key));
                        }
                    }}
                />
            </div>
            <div className="steer-row steer-time">
                <TextInput label="Not before" value={time} onChange={(e) => setTime(e.currentTarget.value)} error={instant === null ? 'Write it as 2026-03-05 19:00.' : undefined} />
                <Button data-small disabled={instant === null} onClick={() => instant !== null && void look(`Not before ${time}`, notBefore(first, instant))}>
                    Look at it
                </Button>
            </div>
            <div className="steer-row steer-time">
                <Checkbox className="steer-wide" label={`everywhere, not only on ${column.piece}`} checked={everywhere} onChange={(e) => widen(e.currentTarget.checked)} />
                <Button data-small onClick={() => void look(`Leave it out ${where}`, pin(about, target, 'present', false))}>
                    Leave it out
                </Button>
            </div>
        </div>
    );
}
