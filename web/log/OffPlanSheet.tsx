import { Button, Modal, MultiSelect, Select, Textarea, TextInput } from '@mantine/core';
import { useState, type FormEvent, type ReactElement } from 'react';
import type { Kit, NewEvent } from '../api/types';
import { earlierToday } from '../shared/earlier';
import { now } from '../api/clock';
import { record } from '../frame/outbox';
import { useKit } from '../frame/queries';
import { ulid } from '../frame/ulid';
import { clock } from '../frame/words';
import { DEEDS, MEDIA, type Deed } from './deeds';

interface Props {
    buildId: string;
    zone: string;
    close: () => void;
}

/** Writes down what was done away from the plan, or a note. */
export function OffPlanSheet({ buildId, zone, close }: Props): ReactElement {
    const { data: kit } = useKit(buildId);
    const [deed, setDeed] = useState<Deed>(DEEDS[0]);
    const [on, setOn] = useState<string[]>([]);
    const [product, setProduct] = useState<string | null>(null);
    const [coat, setCoat] = useState<string>('light');
    const [medium, setMedium] = useState<string>('paper-tape');
    const [heat, setHeat] = useState('45');
    const [note, setNote] = useState('');
    const [time, setTime] = useState(() => clock(now(), zone));
    const when = earlierToday(time, now(), zone);
    const ready = typeof when === 'number' && (deed.value === 'note' ? note.trim() !== '' : on.length > 0) && (!deed.coat || product !== null);

    const submit = (e: FormEvent): void => {
        e.preventDefault();
        if (!ready || typeof when !== 'number') {
            return;
        }
        const event: NewEvent = {
            id: ulid(),
            kind: deed.kind,
            at: new Date(Math.floor(when / 1000) * 1000).toISOString().replace('.000Z', 'Z'),
            targets: on,
            ...(deed.operation === undefined ? {} : { operation: deed.operation }),
            ...(deed.coat && product !== null ? { product, coatKind: coat as NonNullable<NewEvent['coatKind']> } : {}),
            ...(deed.kind === 'mask-on' ? { medium } : {}),
            ...(deed.kind === 'into-cabinet' ? { cabinetC: Number(heat) } : {}),
            ...(deed.wipe === undefined ? {} : { wipe: deed.wipe }),
            ...(note.trim() === '' ? {} : { note: note.trim() }),
        };
        record(buildId, deed.label, event);
        close();
    };

    return (
        <Modal opened onClose={close} title="Record something" size="lg">
            <form className="stack-form" onSubmit={submit}>
                <div className="stack-row">
                    <Select
                        label="What was done"
                        data={DEEDS.map((d) => ({ value: d.value, label: d.label }))}
                        value={deed.value}
                        onChange={(value) => {
                            setDeed(DEEDS.find((d) => d.value === value) ?? DEEDS[0]);
                            setOn([]);
                        }}
                        allowDeselect={false}
                        data-autofocus
                    />
                    <TextInput label="Done at" value={time} onChange={(e) => setTime(e.currentTarget.value)} error={typeof when === 'string' ? when : undefined} />
                </div>
                {deed.value !== 'note' && kit !== undefined && <MultiSelect label="On" data={targets(kit, deed)} value={on} onChange={setOn} searchable placeholder={on.length === 0 ? 'areas or joints' : ''} />}
                {deed.coat && kit !== undefined && (
                    <div className="stack-row">
                        <Select label="With" data={paints(kit)} value={product} onChange={setProduct} searchable placeholder="from the shelf" />
                        <Select label="Coat" data={['mist', 'light', 'wet', 'heavy', 'brushed']} value={coat} onChange={(v) => setCoat(v ?? 'light')} allowDeselect={false} />
                    </div>
                )}
                {deed.kind === 'mask-on' && <Select label="With" data={MEDIA} value={medium} onChange={(v) => setMedium(v ?? 'paper-tape')} allowDeselect={false} />}
                {deed.kind === 'into-cabinet' && <TextInput label="Cabinet, °C" value={heat} inputMode="numeric" onChange={(e) => setHeat(e.currentTarget.value)} error={/^\d{1,3}$/.test(heat) ? undefined : 'Write whole degrees, such as 45.'} />}
                <Textarea label="Note" value={note} onChange={(e) => setNote(e.currentTarget.value)} maxLength={2000} minRows={2} />
                <Button data-main type="submit" disabled={!ready}>
                    That is what happened
                </Button>
            </form>
        </Modal>
    );
}

function targets(kit: Kit, deed: Deed): { value: string; label: string }[] {
    return (deed.joint ? kit.joints : kit.areas).map((t) => ({ value: t.id, label: t.name }));
}

function paints(kit: Kit): { value: string; label: string }[] {
    return kit.products.map((p) => ({ value: p.id, label: `${p.name} (${p.family.replaceAll('-', ' ')})` }));
}
