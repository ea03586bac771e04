import { Button } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { api, Refused } from '../api/client';
import type { Work } from './KeepPage';

/** Everything in one file, out and in. */
export function OneFile({ work }: { work: Work }): ReactElement {
    const [asked, ask] = useState<{ file: Blob; why: string } | null>(null);
    const send = (file: Blob, over: boolean): void => {
        void work(async () => {
            try {
                await api.post('bench' + (over ? '?mode=replace' : ''), file);
                ask(null);

                return 'All of it is in.';
            } catch (error) {
                if (error instanceof Refused && error.status === 409) {
                    ask({ file, why: error.message });

                    return '';
                }
                throw error;
            }
        });
    };

    return (
        <section className="card keep-card" aria-label="Everything in one file">
            <h2>Everything in one file</h2>
            <p>Builds with their logs, the shelf with its recipes, house rules, settings, readings and photographs: to keep elsewhere, or to go on with on another machine.</p>
            {asked === null ? (
                <div className="keep-presses">
                    <a className="plain-press" href="/api/bench.zip" download>
                        All of it, out
                    </a>
                    <label className="field-label keep-in" htmlFor="bench-file">
                        All of it, in
                    </label>
                    <input
                        id="bench-file"
                        type="file"
                        accept=".zip,application/zip"
                        className="field file-field"
                        onChange={(e) => {
                            const file = e.currentTarget.files?.[0];
                            if (file !== undefined) {
                                send(file.slice(0, file.size, 'application/zip'), false);
                            }
                        }}
                    />
                </div>
            ) : (
                <div className="keep-presses" role="alert">
                    <span>
                        <strong>{asked.why}</strong> The file takes the place of all that is here; a copy of it is kept.
                    </span>
                    <Button data-small onClick={() => send(asked.file, true)}>
                        Replace all
                    </Button>
                    <Button data-small data-main onClick={() => ask(null)}>
                        Leave it
                    </Button>
                </div>
            )}
        </section>
    );
}
