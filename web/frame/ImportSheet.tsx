import { Button, Modal } from '@mantine/core';
import { useRef, useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { api, Away, Refused } from '../api/client';
import { queries } from './queries';

interface Asked {
    text: string;
    name: string;
}

/** Brings a build file in; asks what to do when the build is here already. */
export function ImportSheet({ opened, close }: { opened: boolean; close: () => void }): ReactElement {
    const go = useNavigate();
    const file = useRef<HTMLInputElement>(null);
    const [asked, ask] = useState<Asked | null>(null);
    const [wrong, say] = useState<string[]>([]);

    const done = (): void => {
        ask(null);
        say([]);
        close();
    };
    const send = async (text: string, mode?: 'replace' | 'copy'): Promise<void> => {
        try {
            const { build } = await api.post<{ build: { id: string } }>('builds' + (mode === undefined ? '' : `?mode=${mode}`), text);
            await queries.invalidateQueries();
            done();
            void go(`/b/${build.id}/bench`);
        } catch (error) {
            if (error instanceof Refused && error.status === 409) {
                ask({ text, name: error.message });
            } else if (error instanceof Refused) {
                say([error.message, ...error.problems.map((p) => `${p.path === '' ? 'The file' : p.path} ${p.wrong}; ${p.right}.`)]);
            } else {
                say([error instanceof Away ? error.message : 'The file could not be read.']);
            }
        }
    };

    return (
        <Modal opened={opened} onClose={done} title="Bring a build in" size="lg">
            {asked === null ? (
                <div className="stack-form">
                    <p>A build file, as this bench writes it: its kit, its log and the paints it uses.</p>
                    <input
                        ref={file}
                        type="file"
                        accept=".json,application/json"
                        aria-label="Build file"
                        className="field file-field"
                        data-autofocus
                        onChange={(e) => {
                            const chosen = e.currentTarget.files?.[0];
                            say([]);
                            if (chosen !== undefined) {
                                void chosen.text().then((text) => send(text));
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
            ) : (
                <div className="stack-form">
                    <p>
                        <strong>{asked.name}</strong> Replace it, and the one that is here is kept as a backup; or bring this in as a copy beside it.
                    </p>
                    <div className="stack-row">
                        <Button onClick={() => void send(asked.text, 'replace')}>Replace it</Button>
                        <Button data-main onClick={() => void send(asked.text, 'copy')}>
                            Bring in a copy
                        </Button>
                    </div>
                </div>
            )}
        </Modal>
    );
}
