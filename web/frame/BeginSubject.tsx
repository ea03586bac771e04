import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type FormEvent, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { SubjectProposal, SubjectKind } from '../api/types';
import { readNumber } from './numbers';

/** Four answers, and the kit is proposed: what it is, its scale, its size, how it shall look. */
export function BeginSubject({ begin }: { begin: (body: Record<string, unknown>) => Promise<void> }): ReactElement {
    const { data: kinds } = useQuery({ queryKey: ['subjects'], queryFn: () => api.get<{ subjects: SubjectKind[] }>('subjects'), staleTime: Infinity, refetchInterval: false });
    const [name, setName] = useState('');
    const [subject, choose] = useState('propeller');
    const [scale, setScale] = useState('72');
    const [length, setLength] = useState('');
    const [width, setWidth] = useState('');
    const [looks, setLooks] = useState('');
    const [busy, work] = useState(false);
    const kind = kinds?.subjects.find((k) => k.id === subject);
    const [s, l, w] = [readNumber(scale.replace(/^1\s*\/\s*/, '')), readNumber(length), width.trim() === '' ? null : readNumber(width)];
    const ready = typeof s === 'number' && typeof l === 'number' && (w === null || typeof w === 'number');
    const body = { subject, scale: s, length: l, width: w, looks: looks.trim() };
    const asked = useDeferredValue(ready ? JSON.stringify(body) : '');
    const { data: proposal, error } = useQuery({ queryKey: ['proposal', asked], queryFn: () => api.post<SubjectProposal>('subjects', JSON.parse(asked) as unknown), enabled: asked !== '', refetchInterval: false, retry: false, placeholderData: (was) => was });
    const wrong = error instanceof Refused ? error.sentence() : null;
    const submit = async (e: FormEvent): Promise<void> => {
        e.preventDefault();
        if (ready && name.trim() !== '' && wrong === null) {
            work(true);
            await begin({ ...body, name: name.trim() });
            work(false);
        }
    };

    return (
        <form className="begin-subject" onSubmit={(e) => void submit(e)}>
            <div className="begin-four">
                <TextInput label="Its name" value={name} onChange={(e) => setName(e.currentTarget.value)} data-autofocus maxLength={120} />
                <NativeSelect label="What it is" value={subject} onChange={(e) => choose(e.currentTarget.value)} data={(kinds?.subjects ?? []).map((k) => ({ value: k.id, label: k.name }))} />
                <TextInput label="Scale, 1 to" value={scale} inputMode="decimal" onChange={(e) => setScale(e.currentTarget.value)} error={typeof s === 'string' ? s : undefined} />
                <TextInput label={`Model’s ${kind?.along ?? 'length'}, mm`} value={length} inputMode="decimal" onChange={(e) => setLength(e.currentTarget.value)} error={typeof l === 'string' && length.trim() !== '' ? l : undefined} />
                {kind?.across !== null && (
                    <TextInput
                        label={`Its ${kind?.across ?? 'span'}, mm`}
                        value={width}
                        inputMode="decimal"
                        placeholder={typeof l === 'number' && kind !== undefined ? `about ${Math.round(l * kind.usual)}` : ''}
                        onChange={(e) => setWidth(e.currentTarget.value)}
                        error={typeof w === 'string' ? w : undefined}
                    />
                )}
            </div>
            <TextInput label="How it shall look" value={looks} placeholder={kind?.looks ?? ''} onChange={(e) => setLooks(e.currentTarget.value)} maxLength={1000} description="Colours in your words, with commas; “over” for what lies below, a place at the end: yellow bands, cream roof. Empty: as in the grey." />
            {wrong !== null && (
                <p className="bad" role="alert">
                    {wrong}
                </p>
            )}
            {proposal !== undefined && wrong === null && asked !== '' && (
                <section className="begin-proposed" aria-label="What is proposed" aria-live="polite">
                    <p>
                        <strong>{proposal.sums.length} areas</strong> on {proposal.lines.split('\n').filter((line) => line.startsWith('part ')).length} parts, each with its cm² worked out. All of it can be changed; what you have not touched stays marked as proposed.
                    </p>
                    {proposal.missing.length > 0 && (
                        <p className="begin-missing">
                            Put on your shelf with it, as water acrylics; put right what they are later:{' '}
                            {proposal.missing.map((paint) => (
                                <span key={paint.name}>
                                    <i style={{ background: paint.swatch }} /> {paint.name}
                                </span>
                            ))}
                        </p>
                    )}
                    <pre tabIndex={0} aria-label="The lines">
                        {proposal.lines}
                    </pre>
                </section>
            )}
            <Button data-main type="submit" disabled={!ready || name.trim() === '' || wrong !== null || busy}>
                {busy ? 'Laying it out' : 'Begin with this'}
            </Button>
        </form>
    );
}
