import { Button } from '@mantine/core';
import type { ReactElement } from 'react';
import { api } from '../api/client';
import type { BuildRow } from '../api/types';
import { datedAt } from '../frame/words';
import type { Work } from './KeepPage';

const BELONGS = { shelf: 'Shelf', house: 'House rules', builds: 'Builds', calendar: 'Evenings', guns: 'Guns', workshop: 'Cabinet and places' };

/** What was changed that belongs to no build: each can be taken back by itself. */
export function Changes({ changes, work, zone }: { changes: BuildRow['changes']; work: Work; zone: string }): ReactElement {
    return (
        <section className="card keep-card" aria-label="What was changed">
            <h2>What was changed</h2>
            {changes.length === 0 ? (
                <p className="quiet-line">Nothing on the shelf, in the house rules or among the builds yet. What is changed in a build is taken back where it was changed.</p>
            ) : (
                <ul className="keep-rows" data-testid="changes">
                    {changes.map((change) => (
                        <li key={change.id} className="keep-row" data-undone={change.undone ? '' : undefined}>
                            <span className="keep-name">
                                {change.title}
                                <span className="keep-count">
                                    {BELONGS[change.scope]}, {datedAt(change.at, zone)}
                                </span>
                            </span>
                            <span className="keep-presses">
                                {change.undone ? (
                                    <span className="quiet-line">taken back</span>
                                ) : (
                                    <Button
                                        data-small
                                        aria-label={`Take back: ${change.title}`}
                                        onClick={() =>
                                            void work(async () => {
                                                await api.post(`changes/${change.id}/undo`, {});

                                                return `Taken back: ${change.title}.`;
                                            })
                                        }
                                    >
                                        Take back
                                    </Button>
                                )}
                            </span>
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}
