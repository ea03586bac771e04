import './area-helper.css';
import { Button, Modal, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';

interface Shape {
    id: string;
    name: string;
    measures: { id: string; name: string }[];
}

interface Worked {
    cm2: number;
    typed: string;
    sum: string;
}

/** An area worked out from what a ruler says, for any field that wants cm². */
export function AreaHelper({ of, take, close }: { of: string; take: (typed: string) => void; close: () => void }): ReactElement {
    const { data } = useQuery({ queryKey: ['area-shapes'], queryFn: () => api.get<{ shapes: Shape[] }>('area-shapes'), refetchInterval: false, staleTime: Infinity });
    const [shape, choose] = useState('wing');
    const [mm, set] = useState<Record<string, string>>({});
    const [count, setCount] = useState('1');
    const measures = data?.shapes.find((s) => s.id === shape)?.measures ?? [];
    const query = new URLSearchParams([...measures.map((m): [string, string] => [`m[${m.id}]`, mm[m.id] ?? '']), ['count', count]]);
    const ready = measures.length > 0 && measures.every((m) => (mm[m.id] ?? '').trim() !== '');
    const { data: worked, error } = useQuery({ queryKey: ['area', shape, query.toString()], queryFn: () => api.get<Worked>(`area-shapes/${shape}?${query.toString()}`), enabled: ready, refetchInterval: false, retry: false });
    const wrong = (field: string): string | undefined => {
        const problem = error instanceof Refused ? error.problems.find((p) => p.path === field) : undefined;

        return problem === undefined || !ready ? undefined : `It ${problem.wrong}: ${problem.right}.`;
    };
    const answer = ready && error === null ? worked : undefined;

    return (
        <Modal opened onClose={close} title={`The area of ${of}`} size="lg">
            <form
                className="stack-form"
                onSubmit={(e) => {
                    e.preventDefault();
                    if (answer !== undefined) {
                        take(answer.typed);
                    }
                }}
            >
                <div className="helper-shapes" role="radiogroup" aria-label="Its shape">
                    {(data?.shapes ?? []).map((s) => (
                        <label key={s.id} className="helper-shape">
                            <input type="radio" name="shape" value={s.id} checked={s.id === shape} onChange={() => choose(s.id)} />
                            {s.name}
                        </label>
                    ))}
                </div>
                <div className="helper-fields">
                    {measures.map((m, i) => (
                        <TextInput key={m.id} label={`${m.name}, mm`} inputMode="decimal" value={mm[m.id] ?? ''} error={wrong(m.id)} data-autofocus={i === 0 ? true : undefined} onChange={(e) => set({ ...mm, [m.id]: e.currentTarget.value })} />
                    ))}
                    <TextInput label="how many alike" inputMode="numeric" value={count} error={wrong('count')} onChange={(e) => setCount(e.currentTarget.value)} />
                </div>
                <p className="helper-sum" data-testid="area-sum" role="status">
                    {answer === undefined ? 'Measured on the model, in mm; 1.5 in is read too.' : `${answer.sum} = ${answer.typed} cm²`}
                </p>
                <div className="stack-row">
                    <Button data-main type="submit" disabled={answer === undefined}>
                        {answer === undefined ? 'Take it' : `Take ${answer.typed} cm²`}
                    </Button>
                    <Button type="button" onClick={close}>
                        Leave it
                    </Button>
                </div>
            </form>
        </Modal>
    );
}
