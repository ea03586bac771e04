import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { api } from '../api/client';
import type { Copied, CopyList } from '../api/types';
import { datedAt } from '../frame/words';
import type { Work } from './KeepPage';

const SHOWN = 8;

/** Copies of the whole bench: what each holds, what would change, and the way back. */
export function Copies({ list, work, zone }: { list: CopyList; work: Work; zone: string }): ReactElement {
    // With a damaged file there is one thing to do.
    const [opened, open] = useState<string | null>(list.damaged ? (list.copies[0]?.name ?? null) : null);
    const [all, showAll] = useState(false);
    const [folder, choose] = useState<string | null>(null);
    const shown = all ? list.copies : list.copies.slice(0, SHOWN);

    return (
        <section className="card keep-card" aria-label="Copies">
            <div className="keep-head">
                <h2>Copies</h2>
                {!list.damaged && (
                    <Button
                        data-small
                        onClick={() =>
                            void work(async () => {
                                const { copy } = await api.post<{ copy: Copied | null }>('copies', {});

                                return copy === null ? 'There is nothing to copy yet.' : 'Copied.';
                            })
                        }
                    >
                        Copy now
                    </Button>
                )}
            </div>
            {list.copies.length === 0 ? (
                <p className="quiet-line">None yet. The first start of a day makes one, and so does whatever replaces something.</p>
            ) : (
                <ul className="keep-rows" data-testid="copies">
                    {shown.map((copy) => (
                        <li key={copy.name} className="keep-copy" data-open={opened === copy.name ? '' : undefined}>
                            <button type="button" className="keep-copy-head" aria-expanded={opened === copy.name} onClick={() => open(opened === copy.name ? null : copy.name)}>
                                <strong>{datedAt(copy.at, zone)}</strong>
                                <span>{copy.why}</span>
                                <span className="keep-count">{holds(copy)}</span>
                            </button>
                            {opened === copy.name && <Back copy={copy} damaged={list.damaged} work={work} zone={zone} done={() => open(null)} />}
                        </li>
                    ))}
                </ul>
            )}
            {list.copies.length > SHOWN && (
                <button type="button" className="plain-press" onClick={() => showAll(!all)}>
                    {all ? 'The newest only' : `${list.copies.length - SHOWN} older ones`}
                </button>
            )}
            {folder === null ? (
                <p className="quiet-line keep-folder">
                    <span className="keep-path" title={list.folder}>
                        {list.chosen === list.folder ? `In ${list.folder}` : 'In the folder backups, beside the file of the bench'}
                    </span>
                    {list.chosen !== null && list.chosen !== list.folder && <strong> while {list.chosen} is not there</strong>}{' '}
                    {!list.damaged && (
                        <button type="button" className="plain-press" onClick={() => choose(list.chosen ?? list.folder)}>
                            Another folder
                        </button>
                    )}
                </p>
            ) : (
                <form
                    className="keep-naming"
                    onSubmit={(e) => {
                        e.preventDefault();
                        void work(async () => {
                            const { folder: now } = await api.put<CopyList>('copies/folder', { folder: folder.trim() === '' ? null : folder.trim() });
                            choose(null);

                            return `Copies go to ${now} from now on.`;
                        });
                    }}
                >
                    <TextInput label="Whole path of a folder; empty for the one beside the bench" value={folder} onChange={(e) => choose(e.currentTarget.value)} autoFocus />
                    <Button data-small type="submit">
                        Copy there
                    </Button>
                    <button type="button" className="plain-press" onClick={() => choose(null)}>
                        Leave it
                    </button>
                </form>
            )}
        </section>
    );
}

/** What would change, before it does. */
function Back({ copy, damaged, work, zone, done }: { copy: Copied; damaged: boolean; work: Work; zone: string; done: () => void }): ReactElement {
    const { data } = useQuery({
        queryKey: ['copy', copy.name],
        queryFn: () => api.get<{ changes: { id: string; name: string; here: number | null; then: number | null }[] }>(`copies/${copy.name}`),
        refetchInterval: false,
    });

    return (
        <div className="keep-back">
            {copy.builds === null ? (
                <p>This copy cannot be read.</p>
            ) : (
                <>
                    <table className="keep-table">
                        <thead>
                            <tr>
                                <th scope="col">Entries in the log of</th>
                                <th scope="col">now</th>
                                <th scope="col">then</th>
                            </tr>
                        </thead>
                        <tbody>
                            {data?.changes.map((change) => (
                                <tr key={change.id} data-differs={change.here === change.then ? undefined : ''}>
                                    <th scope="row">{change.name}</th>
                                    <td>{damaged ? 'damaged' : (change.here ?? 'not here')}</td>
                                    <td>{change.then ?? 'gone'}</td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                    <div className="keep-presses">
                        <Button
                            data-main
                            onClick={() =>
                                void work(async () => {
                                    const { kept } = await api.post<{ kept: string | null }>(`copies/${copy.name}/restore`, {});
                                    done();

                                    return `The bench is as it was on ${datedAt(copy.at, zone)}.${kept === null ? '' : ' What was here is kept among the copies.'}`;
                                })
                            }
                        >
                            Bring it back
                        </Button>
                        <span className="quiet-line">Shelf, recipes, house rules and readings come back with it. {damaged ? 'The damaged file is kept beside the copies.' : 'What is here now is copied first.'}</span>
                    </div>
                </>
            )}
        </div>
    );
}

function holds(copy: Copied): string {
    if (copy.builds === null) {
        return 'cannot be read';
    }
    const entries = copy.builds.reduce((sum, build) => sum + build.events, 0);

    return `${copy.builds.length === 1 ? '1 build' : `${copy.builds.length} builds`}, ${entries} entries`;
}
