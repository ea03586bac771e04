import { Button, TextInput } from '@mantine/core';
import { useState, type DragEvent, type ReactElement } from 'react';
import { Link } from 'react-router';
import { api } from '../api/client';
import type { BuildRow } from '../api/types';
import { dated } from '../frame/words';
import type { Work } from './KeepPage';

type Build = BuildRow['builds'][number];

/** The builds in their order, by drag or by keys; those put away, and those in the bin. */
export function Builds({ builds, work, zone }: { builds: Build[]; work: Work; zone: string }): ReactElement {
    const inHand = builds.filter((b) => !b.away && b.goneAt === null);
    const away = builds.filter((b) => b.away && b.goneAt === null);
    const binned = builds.filter((b) => b.goneAt !== null);
    const [naming, write] = useState<{ id: string; name: string } | null>(null);
    const [dragged, drag] = useState<string | null>(null);
    const order = (id: string, to: number): void => {
        const ids = inHand.map((b) => b.id).filter((each) => each !== id);
        ids.splice(to, 0, id);
        void work(async () => {
            await api.put('builds/order', { order: ids });

            return 'The tabs stand in this order.';
        });
    };
    const drop = (e: DragEvent, to: number): void => {
        e.preventDefault();
        if (dragged !== null) {
            order(dragged, to);
        }
        drag(null);
    };

    return (
        <section className="card keep-card" aria-label="Builds">
            <h2>In hand</h2>
            {inHand.length === 0 && <p className="quiet-line">None. What is put away can be taken back in hand.</p>}
            <ol className="keep-rows" data-testid="in-hand">
                {inHand.map((build, i) => (
                    <li key={build.id} className="keep-row" data-dragged={dragged === build.id ? '' : undefined} onDragOver={(e) => e.preventDefault()} onDrop={(e) => drop(e, i)}>
                        <span className="keep-grip" draggable onDragStart={() => drag(build.id)} onDragEnd={() => drag(null)} aria-hidden="true">
                            <svg width="12" height="20" viewBox="0 0 12 20">
                                <path d="M1 5 h10 M1 10 h10 M1 15 h10" stroke="currentColor" strokeWidth="1.6" />
                            </svg>
                        </span>
                        <Named build={build} work={work} name={naming?.id === build.id ? naming.name : null} write={(name) => write(name === null ? null : { id: build.id, name })} />
                        <span className="keep-presses">
                            <Button data-small onClick={() => write({ id: build.id, name: build.name })} aria-label={`Rename ${build.name}`}>
                                Rename
                            </Button>
                            <Button data-small disabled={i === 0} onClick={() => order(build.id, i - 1)} aria-label={`${build.name} one place up`}>
                                Up
                            </Button>
                            <Button data-small disabled={i === inHand.length - 1} onClick={() => order(build.id, i + 1)} aria-label={`${build.name} one place down`}>
                                Down
                            </Button>
                            <Button
                                data-small
                                aria-label={`Put away ${build.name}`}
                                onClick={() =>
                                    void work(async () => {
                                        await api.put(`builds/${build.id}/away`, { away: true });

                                        return `${build.name} is put away: it takes no time and has no tab.`;
                                    })
                                }
                            >
                                Put away
                            </Button>
                        </span>
                    </li>
                ))}
            </ol>
            {away.length > 0 && (
                <>
                    <h3>Put away</h3>
                    <ul className="keep-rows" data-testid="put-away">
                        {away.map((build) => (
                            <li key={build.id} className="keep-row">
                                <span className="keep-name">
                                    {build.name}
                                    <span className="keep-count">{entries(build.events)}</span>
                                </span>
                                <span className="keep-presses">
                                    <Button
                                        data-small
                                        aria-label={`Take in hand ${build.name}`}
                                        onClick={() =>
                                            void work(async () => {
                                                await api.put(`builds/${build.id}/away`, { away: false });

                                                return `${build.name} is in hand again.`;
                                            })
                                        }
                                    >
                                        Take in hand
                                    </Button>
                                    <Button
                                        data-small
                                        aria-label={`Into the bin: ${build.name}`}
                                        onClick={() =>
                                            void work(async () => {
                                                await api.put(`builds/${build.id}/bin`, { binned: true });

                                                return `${build.name} lies in the bin for thirty days.`;
                                            })
                                        }
                                    >
                                        Into the bin
                                    </Button>
                                </span>
                            </li>
                        ))}
                    </ul>
                </>
            )}
            {binned.length > 0 && (
                <>
                    <h3>In the bin</h3>
                    <ul className="keep-rows" data-testid="in-bin">
                        {binned.map((build) => (
                            <li key={build.id} className="keep-row">
                                <span className="keep-name">
                                    {build.name}
                                    <span className="keep-count">gone on {dated(build.goneAt ?? '', zone)}</span>
                                </span>
                                <span className="keep-presses">
                                    <Button
                                        data-small
                                        aria-label={`Take out ${build.name}`}
                                        onClick={() =>
                                            void work(async () => {
                                                await api.put(`builds/${build.id}/bin`, { binned: false });

                                                return `${build.name} is out of the bin.`;
                                            })
                                        }
                                    >
                                        Take out
                                    </Button>
                                </span>
                            </li>
                        ))}
                    </ul>
                </>
            )}
        </section>
    );
}

/** Its name, which can be written anew where it stands. */
function Named({ build, work, name, write }: { build: Build; work: Work; name: string | null; write: (name: string | null) => void }): ReactElement {
    if (name === null) {
        return (
            <span className="keep-name">
                <Link to={`/b/${build.id}/bench`}>{build.name}</Link>
                <span className="keep-count">{entries(build.events)}</span>
            </span>
        );
    }

    return (
        <form
            className="keep-name keep-naming"
            onSubmit={(e) => {
                e.preventDefault();
                const fresh = name.trim();
                write(null);
                if (fresh !== '' && fresh !== build.name) {
                    void work(async () => {
                        await api.post(`builds/${build.id}/changes`, { title: `Renamed ${fresh}`, edits: [{ op: 'set', list: 'kit', field: 'name', value: fresh }] }, { 'If-Match': `"${build.revision}"` });

                        return `It is called ${fresh}.`;
                    });
                }
            }}
        >
            <TextInput aria-label={`New name of ${build.name}`} value={name} maxLength={120} autoFocus onChange={(e) => write(e.currentTarget.value)} onKeyDown={(e) => e.key === 'Escape' && write(null)} />
            <Button data-small type="submit">
                Rename
            </Button>
        </form>
    );
}

function entries(count: number): string {
    return count === 1 ? '1 entry in its log' : `${count} entries in its log`;
}
