import { Button, Select, Textarea, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { MasksPage as Masks, RegisterMask, TypedMasks } from '../api/types';
import type { Change } from '../frame/useChange';
import { Tones } from './Tones';

const STATES: Record<RegisterMask['state'], string> = { spare: 'spare', on: 'on', spent: 'spent', lost: 'lost' };
const HANDS = [
    { value: 'none', label: 'either' },
    { value: 'port', label: 'port' },
    { value: 'starboard', label: 'starboard' },
];

/** Every mask with its sheet and number, where it goes, which hand, and whether it is used up. */
export function Register({ data, change }: { data: Masks; change: Change }): ReactElement {
    const { masks, says } = data.register;

    return (
        <div className="register">
            <section className="card register-list" aria-labelledby="register-title">
                <h2 id="register-title">Every mask</h2>
                {says.length > 0 && (
                    <ul className="register-says" data-testid="register-says">
                        {says.map((sentence) => (
                            <li key={sentence}>{sentence}</li>
                        ))}
                    </ul>
                )}
                {masks.length === 0 ? (
                    <p>None is written down. Type a bought set, or put a shape in from the Shapes.</p>
                ) : (
                    <div className="register-scroll" tabIndex={0} role="group" aria-label="The register as a table">
                        <table>
                            <thead>
                                <tr>
                                    <th scope="col">Mask</th>
                                    <th scope="col">lies on</th>
                                    <th scope="col">hand</th>
                                    <th scope="col">while</th>
                                    <th scope="col">begins at</th>
                                    <th scope="col">it is</th>
                                    <th scope="col" />
                                </tr>
                            </thead>
                            <tbody>
                                {masks.map((mask) => (
                                    <Row key={mask.id} mask={mask} data={data} change={change} />
                                ))}
                            </tbody>
                        </table>
                    </div>
                )}
            </section>
            {data.register.patterns.map((pattern) => (
                <Tones key={pattern.start} pattern={pattern} />
            ))}
            <TypedSets data={data} change={change} />
        </div>
    );
}

function Row({ mask, data, change }: { mask: RegisterMask; data: Masks; change: Change }): ReactElement {
    const [start, write] = useState(mask.start);
    const set = (field: string, value: unknown, what: string): void => void change.apply(`${mask.name}: ${what}`, [{ op: 'set', list: 'masks', id: mask.id, field, value }]);
    const pieces = [...new Set(data.register.areas.map((a) => a.piece))];

    return (
        <tr data-state={mask.state}>
            <th scope="row">
                {mask.name}
                {mask.pair !== '' && <span> pair {mask.pair}</span>}
                {mask.measures !== '' && <span> {mask.measures}</span>}
            </th>
            <td>
                <Select
                    aria-label={`${mask.name} lies on`}
                    placeholder="nothing yet"
                    data={pieces.map((piece) => ({ group: piece, items: data.register.areas.filter((a) => a.piece === piece).map((a) => ({ value: a.id, label: a.name })) }))}
                    value={mask.area}
                    onChange={(value) => set('area', value, 'its place')}
                    searchable
                    clearable
                />
            </td>
            <td>
                <Select aria-label={`${mask.name} hand`} data={HANDS} value={mask.hand} allowDeselect={false} onChange={(value) => value !== null && value !== mask.hand && set('hand', value, `for ${value}`)} />
            </td>
            <td>
                <Select aria-label={`${mask.name} lies while`} placeholder="all of it" data={data.register.colours.map((c) => ({ value: c.id, label: c.name }))} value={mask.stage} onChange={(value) => set('stage', value, 'its colour')} clearable />
            </td>
            <td>
                <TextInput aria-label={`${mask.name} begins at`} value={start} maxLength={60} onChange={(e) => write(e.currentTarget.value)} onBlur={() => start.trim() !== mask.start && set('start', start.trim(), 'where it begins')} />
            </td>
            <td className="register-state">{STATES[mask.state]}</td>
            <td>
                <Button data-small onClick={() => set('lost', !mask.lost, mask.lost ? 'found again' : 'lost')}>
                    {mask.lost ? 'Found it' : 'Lost it'}
                </Button>
            </td>
        </tr>
    );
}

/** A bought set, typed once and read while it is typed. */
function TypedSets({ data, change }: { data: Masks; change: Change }): ReactElement {
    const [text, type] = useState('');
    const asked = useDeferredValue(text.trim());
    const { data: read, error, isPlaceholderData } = useQuery({
        queryKey: ['masks-read', data.build.id, data.build.revision, asked],
        queryFn: () => api.post<TypedMasks>(`builds/${data.build.id}/masks/read`, { text: asked }),
        enabled: asked !== '',
        refetchInterval: false,
        retry: false,
    });
    const wrong = error instanceof Refused ? error.problems : [];
    const take = async (): Promise<void> => {
        if (read !== undefined && (await change.apply(`${read.masks.length} masks into the register`, read.edits))) {
            type('');
        }
    };

    return (
        <section className="card register-typed" aria-labelledby="typed-title">
            <h2 id="typed-title">A bought set</h2>
            <Textarea label="One line a sheet" placeholder="sheet 4: 1-12 panes, 13 14 roundels x2, 15L 15R stripe" value={text} onChange={(e) => type(e.currentTarget.value)} autosize minRows={3} maxRows={10} maxLength={8000} />
            <div aria-live="polite" data-testid="typed-says">
                {asked !== '' &&
                    wrong.map((problem) => (
                        <p key={problem.path + problem.wrong} className="shape-wrong">
                            {problem.path} {problem.wrong}; {problem.right}.
                        </p>
                    ))}
                {asked !== '' && wrong.length === 0 && read !== undefined && (
                    <>
                        <p>
                            {read.masks.length} {read.masks.length === 1 ? 'mask' : 'masks'}
                            {placed(read) > 0 && `, ${placed(read)} on panes`}
                        </p>
                        <ul className="register-read">
                            {read.masks.slice(0, 8).map((m, i) => (
                                <li key={i}>
                                    {m.name}
                                    {m.hand !== 'none' && `, ${m.hand}`}
                                    {m.where !== null && `: ${m.where}`}
                                </li>
                            ))}
                            {read.masks.length > 8 && <li>and {read.masks.length - 8} more</li>}
                        </ul>
                    </>
                )}
            </div>
            <Button data-main disabled={asked === '' || asked !== text.trim() || wrong.length > 0 || read === undefined || isPlaceholderData} onClick={() => void take()}>
                Into the register
            </Button>
        </section>
    );
}

function placed(read: TypedMasks): number {
    return read.masks.filter((m) => m.where !== null).length;
}
