import { Modal, TextInput } from '@mantine/core';
import { useCallback, useState, type KeyboardEvent, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import type { Thing } from '../api/types';
import { useFind } from './queries';

const MOST = 12;

/** Where each kind of thing is looked at. */
const LEADS: Record<Thing['kind'], string> = { piece: 'layers?piece=', area: 'layers?area=', place: 'surface?place=', paint: 'mix?paint=', step: 'layers?step=', rule: 'layers?rule=' };

/** Any piece, area, place, paint, step or rule, found by what one remembers of its name. */
export function FindSheet({ buildId, opened, close }: { buildId: string; opened: boolean; close: () => void }): ReactElement {
    const go = useNavigate();
    const { data } = useFind(buildId, opened);
    const [typed, type] = useState('');
    const [at, choose] = useState(0);
    const found = search(data?.things ?? [], typed);
    const come = useCallback((row: HTMLLIElement | null): void => {
        row?.scrollIntoView({ block: 'nearest' });
    }, []);
    const leave = (): void => {
        type('');
        choose(0);
        close();
    };
    const open = (thing: Thing): void => {
        leave();
        void go(`/b/${buildId}/${LEADS[thing.kind]}${encodeURIComponent(thing.id)}`);
    };
    const keys = (e: KeyboardEvent): void => {
        const thing = found[at];
        if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
            e.preventDefault();
            choose(Math.max(0, Math.min(found.length - 1, at + (e.key === 'ArrowDown' ? 1 : -1))));
        } else if (e.key === 'Enter' && thing !== undefined) {
            e.preventDefault();
            open(thing);
        }
    };

    return (
        <Modal opened={opened} onClose={leave} title="Find" size="lg">
            <TextInput
                label="A piece, area, place, paint, step or rule"
                data-autofocus
                role="combobox"
                aria-expanded={found.length > 0}
                aria-controls="found"
                aria-activedescendant={found[at] === undefined ? undefined : `found-${at}`}
                autoComplete="off"
                value={typed}
                onChange={(e) => {
                    type(e.currentTarget.value);
                    choose(0);
                }}
                onKeyDown={keys}
            />
            {typed.trim() !== '' && found.length === 0 && data !== undefined && <p className="find-none">Nothing here is called that. A part of a word will do.</p>}
            <ul className="find-list" id="found" role="listbox" aria-label="Found">
                {found.map((thing, i) => (
                    <li key={`${thing.kind} ${thing.id}`} id={`found-${i}`} role="option" aria-selected={i === at} className="find-row" ref={i === at ? come : undefined} onMouseMove={() => choose(i)} onClick={() => open(thing)}>
                        <span className="find-kind">{thing.kind}</span>
                        <span>
                            <strong>{thing.name}</strong>
                            <small>
                                {thing.says}
                                {thing.findings > 0 && ' It speaks here.'}
                            </small>
                        </span>
                    </li>
                ))}
            </ul>
        </Modal>
    );
}

/** All words typed have to begin a word of the name, or of what is said of it; names first, and the shorter ones. */
function search(things: Thing[], typed: string): Thing[] {
    const asked = words(typed);
    if (asked.length === 0) {
        return [];
    }
    const begins = (text: string): boolean => {
        const its = words(text);

        return asked.every((a) => its.some((w) => w.startsWith(a)));
    };
    const ranked = things.flatMap((thing) => (begins(thing.name) ? [{ thing, rank: thing.name.length }] : begins(`${thing.name} ${thing.says}`) ? [{ thing, rank: 1000 + thing.name.length }] : []));

    return ranked
        .sort((a, b) => a.rank - b.rank)
        .slice(0, MOST)
        .map((r) => r.thing);
}

function words(text: string): string[] {
    return text.toLowerCase().split(/[^\p{L}\p{N}.]+/u).filter((w) => w !== '');
}
