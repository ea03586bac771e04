import { Button, Modal, TextInput } from '@mantine/core';
import { useRef, useState, type FormEvent, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { api, Away, Refused } from '../api/client';
import { BeginSubject } from './BeginSubject';
import { readNumber } from './numbers';
import { queries, useFrame } from './queries';

interface Asked {
    file: string | Blob;
    name: string;
    /** It was changed since it was written. */
    changed?: boolean;
    mode?: 'replace' | 'copy' | undefined;
}

interface Named {
    build: { id: string };
}

/** Begins a build: from nothing, as a copy of a kit that is here, or from a file; asks what to do when it is here already. */
export function ImportSheet({ opened, close }: { opened: boolean; close: () => void }): ReactElement {
    const go = useNavigate();
    const frame = useFrame();
    const file = useRef<HTMLInputElement>(null);
    const [asked, ask] = useState<Asked | null>(null);
    const [wrong, say] = useState<string[]>([]);
    const [name, setName] = useState('');
    const [scale, setScale] = useState('72');
    const number = readNumber(scale.replace(/^1\s*\/\s*/, ''));

    const done = (): void => {
        ask(null);
        say([]);
        setName('');
        close();
    };
    const open = async (work: () => Promise<Named>, station: string): Promise<void> => {
        try {
            const { build } = await work();
            await queries.invalidateQueries();
            done();
            void go(`/b/${build.id}/${station}`);
        } catch (error) {
            if (error instanceof Refused && error.status === 409) {
                ask((was) => was ?? { file: '', name: error.message });
            } else if (error instanceof Refused) {
                say([error.message, ...error.problems.map((p) => `${p.path === '' ? 'The file' : p.path} ${p.wrong}; ${p.right}.`)]);
            } else {
                say([error instanceof Away ? error.message : 'The file could not be read.']);
            }
        }
    };
    const send = async (file: string | Blob, mode?: 'replace' | 'copy', anyway = false): Promise<void> => {
        await open(async () => {
            try {
                const query = [...(mode === undefined ? [] : [`mode=${mode}`]), ...(anyway ? ['changed=anyway'] : [])].join('&');

                return await api.post<Named>('builds' + (query === '' ? '' : `?${query}`), file);
            } catch (error) {
                if (error instanceof Refused && error.status === 409) {
                    ask({ file, name: error.message, changed: error.there.digest !== undefined, mode });
                }
                throw error;
            }
        }, 'bench');
    };
    const blank = (e: FormEvent): void => {
        e.preventDefault();
        if (typeof number === 'number' && name.trim() !== '') {
            void open(() => api.post<Named>('builds/blank', { name: name.trim(), scale: number }), 'kit');
        }
    };

    return (
        <Modal opened={opened} onClose={done} title="Begin a build" size="lg">
            {asked === null ? (
                <div className="stack-form">
                    <BeginSubject begin={(body) => open(() => api.post<Named>('builds/begin', body), 'kit')} />
                    <hr />
                    <form className="stack-row begin" onSubmit={blank}>
                        <TextInput label="Or from nothing: its name" value={name} onChange={(e) => setName(e.currentTarget.value)} maxLength={120} />
                        <TextInput className="begin-scale" label="Scale, 1 to" value={scale} inputMode="decimal" onChange={(e) => setScale(e.currentTarget.value)} error={typeof number === 'string' ? number : undefined} />
                        <Button data-main type="submit" disabled={name.trim() === '' || typeof number !== 'number'}>
                            Type it in
                        </Button>
                    </form>
                    {(frame.data?.builds.length ?? 0) > 0 && (
                        <div className="begin-copy">
                            <p className="field-label">The kit of another once more, with nothing done on it</p>
                            <div className="finding-presses">
                                {frame.data?.builds.map((build) => (
                                    <Button key={build.id} data-small onClick={() => void open(() => api.post<Named>(`builds/${build.id}/copy`, {}), 'kit')}>
                                        {build.name}
                                    </Button>
                                ))}
                            </div>
                        </div>
                    )}
                    <label className="field-label" htmlFor="build-file">
                        From a file, as this bench writes it: its kit, its log and the paints it uses
                    </label>
                    <input
                        ref={file}
                        id="build-file"
                        type="file"
                        accept=".json,.zip,application/json,application/zip"
                        aria-label="Build file"
                        className="field file-field"
                        onChange={(e) => {
                            const chosen = e.currentTarget.files?.[0];
                            say([]);
                            if (chosen !== undefined) {
                                void (chosen.name.toLowerCase().endsWith('.zip') ? send(chosen.slice(0, chosen.size, 'application/zip')) : chosen.text().then((text) => send(text)));
                            }
                        }}
                    />
                    {wrong.length > 0 && (
                        <ul className="wrong-list" role="alert">
                            {wrong.slice(0, 8).map((line) => (
                                <li key={line}>{line}</li>
                            ))}
                        </ul>
                    )}
                </div>
            ) : asked.changed === true ? (
                <div className="stack-form">
                    <p>
                        <strong>{asked.name}</strong> That is no fault where you know who did it, and a reason to look where you do not.
                    </p>
                    <div className="stack-row">
                        <Button onClick={() => void send(asked.file, asked.mode, true)}>Bring it in as it is</Button>
                        <Button data-main onClick={done}>
                            Leave it
                        </Button>
                    </div>
                </div>
            ) : (
                <div className="stack-form">
                    <p>
                        <strong>{asked.name}</strong> Replace it, and the one that is here can be had back; or bring this in as a copy beside it.
                    </p>
                    <div className="stack-row">
                        <Button onClick={() => void send(asked.file, 'replace')}>Replace it</Button>
                        <Button data-main onClick={() => void send(asked.file, 'copy')}>
                            Bring in a copy
                        </Button>
                    </div>
                </div>
            )}
        </Modal>
    );
}
